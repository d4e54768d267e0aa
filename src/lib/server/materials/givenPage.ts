import { fullName } from '../../core/words';
import type { Database } from '../database';
import { visibleAmong } from '../people';
import { type Asked, receivers } from '../practice';
import { numberIn, type Staff, undoesAll } from '../request';
import type { School } from '../school';
import { scopeChoices } from '../shell';
import { givenMaterials, whoHas } from './store/given';

/** Things that are listed at once. */
const AT_ONCE = 30;

/** What students of a scope were given, and those whom something new would be for; null for a group or student that is none. */
export async function givenPage(asked: Asked) {
	const { database, staff, school, url, scope } = asked;
	const part = { from: numberIn(url, 'given'), most: AT_ONCE };
	const [{ materials, total }, found, choices] = await Promise.all([
		givenMaterials(database, scope.roster, part),
		receivers(asked),
		scopeChoices(database, staff, school.today)
	]);
	if (!found) return null;
	return {
		part: { ...part, total },
		materials,
		who: { label: found.label, groupId: found.group?.id ?? null },
		students: found.students.map((student) => ({
			id: student.id as number,
			name: fullName(student),
			className: student.className
		})),
		choices: choices.filter(({ kind }) => kind === 'Classes' || kind === 'Groups')
	};
}

/** One thing with whom it was given to; null for no such thing. */
export async function materialPage(database: Database, staff: Staff, school: School, materialId: number) {
	const material = await whoHas(database, { staff, today: school.today }, materialId);
	if (!material) return null;
	const seen = new Map<number, (typeof material.students)[number]>(material.students.map((one) => [one.id, one]));
	const students = await visibleAmong(
		database,
		staff,
		material.students.map(({ id }) => id),
		school.today
	);
	return {
		material,
		students: students.map((student) => {
			const { seenAt, givenBy } = seen.get(student.id)!;
			return {
				id: student.id as number,
				name: fullName(student),
				className: student.className,
				seenAt,
				/** Whether it can be taken back from them by the person. */
				isTheirs: material.kind === 'task' || undoesAll(staff.role) || givenBy === staff.id
			};
		})
	};
}
