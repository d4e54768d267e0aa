import type { SchoolDate } from '../../../core/calendar';
import { gradeAlong, joinNext } from '../../../core/interchange/nextClasses';
import type { RootDatabase } from '../../database';
import type { Staff } from '../../request';
import { addClasses, type ClassNamed } from './classes';
import { setGradesFrom } from './grades';
import { moveToClass, type Way } from './moves';

/** What a class of a school becomes; null where its students leave. */
export interface Promotion {
	classId: number;
	becomes: ClassNamed | null;
}

/** What was done when classes became others, so that it can be taken back. */
export interface Promoted {
	/** Classes and sections. */
	ended: number[];
	/** New classes, each with those that became it. */
	added: { id: number; name: string; from: number[] }[];
	ways: Way[];
	/** Students whose grade is another from that day on. */
	graded: number[];
}

/** Why classes cannot become others: they are not those planned for, or somebody is planned to join or leave one later. */
export type WhyNotPromoted = 'changed' | 'planned later' | { taken: string };

/** How often a student is planned to join or leave a class of the school after a day. */
export async function plannedAfter(database: RootDatabase, staff: Staff, day: SchoolDate): Promise<number> {
	const row = await database.row<{ size: string | number }>(
		`SELECT COUNT(*) AS size FROM class_membership AS membership JOIN class ON class.id = membership.class_id
		WHERE class.school_id = ? AND class.ended_on IS NULL AND (membership.from_on > ? OR membership.until_on > ?)`,
		[staff.schoolId, day, day]
	);
	return Number(row!.size);
}

/**
 * Lets all classes of a school that have not ended become others from a day on, with their students, whose grades go along;
 * sections end.
 * Belongs into a transaction with what else is to happen.
 *
 * @returns what stands in the way, told before anything is changed
 */
export async function promoteClasses(
	all: RootDatabase,
	staff: Staff,
	plan: Promotion[],
	{ from, at }: { from: SchoolDate; at: Date }
): Promise<Promoted | { not: WhyNotPromoted }> {
	await all.row('SELECT id FROM school WHERE id = ? FOR UPDATE', [staff.schoolId]);
	const going = await all.rows<{ id: number; grade: number; isSection: boolean }>(
		'SELECT id, grade, is_section AS isSection FROM class WHERE school_id = ? AND ended_on IS NULL FOR UPDATE',
		[staff.schoolId]
	);
	const now = going.filter(({ isSection }) => !isSection);
	const planned = new Map(plan.map(({ classId, becomes }) => [classId, becomes]));
	if (now.length !== planned.size || now.some(({ id }) => !planned.has(id))) return { not: 'changed' };
	if (await plannedAfter(all, staff, from)) return { not: 'planned later' };
	const next = joinNext(plan.map(({ classId, becomes }) => ({ source: classId, becomes })));
	if ('taken' in next) return { not: next };

	const ended = going.map(({ id }) => id);
	if (ended.length) await all.run('UPDATE class SET ended_on = ? WHERE id IN (?)', [from, ended]);
	const made = await addClasses(
		all,
		staff,
		next.classes.map(({ name, grade }) => ({ name, grade })),
		at
	);
	if ('taken' in made) throw new Error(`${made.taken} is the name of a class that has just ended`);
	const added = next.classes.map(({ name, sources }, i) => ({ id: made.ids[i], name, from: sources }));
	const promoted: Promoted = { ended, added, ways: [], graded: [] };
	for (const { id, grade } of now) {
		const becomes = planned.get(id)!;
		const members = await all.rows<{ id: number; grade: number }>(
			`SELECT student.id, student.grade FROM class_membership AS membership
			JOIN student ON student.id = membership.student_id
			WHERE membership.class_id = ? AND (membership.until_on IS NULL OR membership.until_on > ?)
			ORDER BY student.id FOR UPDATE`,
			[id, from]
		);
		if (members.length === 0) continue;
		const to = becomes ? added.find((one) => one.from.includes(id))!.id : null;
		const ids = members.map((one) => one.id);
		promoted.ways.push(...(await moveToClass(all, staff, ids, to, { from, at })));
		if (!becomes || becomes.grade === grade) continue;
		const graded = members.map((one) => ({
			id: one.id,
			before: one.grade,
			grade: gradeAlong(one.grade, grade, becomes.grade)
		}));
		await setGradesFrom(all, graded, from);
		promoted.graded.push(...graded.filter((one) => one.before !== one.grade).map((one) => one.id));
	}
	return promoted;
}
