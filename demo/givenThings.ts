import { addDays, instantOf, schoolDayBy, type SchoolDate } from '../src/lib/core/calendar';
import type { RootDatabase } from '../src/lib/server/database/pool';
import { giveMaterial, markTask, seeMaterial } from '../src/lib/server/materials/store/given';
import { insertMaterial, type NewMaterial } from '../src/lib/server/materials/store/materials';
import type { Staff, VisibleId } from '../src/lib/server/request';
import { SCHOOL_ID } from './people';

type Thing = Pick<NewMaterial, 'kind' | 'title' | 'note'> & { link?: string };

/** What adults of the school give their groups beside questions. */
const THINGS: Thing[] = [
	{ kind: 'note', title: 'For the bus', note: 'Count the stops on your way home by twos. How many are there?' },
	{ kind: 'task', title: 'Fold and compare', note: 'We fold strips into equal parts and lay them side by side.' },
	{
		kind: 'note',
		title: 'Well done',
		note: 'You explained your pattern so that all of us understood it. Show it at home.'
	}
];
/** What a set of this week begins with, and what is done beside it. */
const LESSON: Thing = {
	kind: 'note',
	title: 'How we did it on Friday',
	note: 'Say in your own words what is asked. Draw it before you answer, and check your answer with the drawing.'
};

/** Gives groups something beside questions on the last day of school; some students have looked at it. */
export async function giveThings(
	database: RootDatabase,
	{ today, timeZone }: { today: SchoolDate; timeZone: string }
): Promise<void> {
	const on = schoolDayBy(addDays(today, -1), { schoolDays: [1, 2, 3, 4, 5], off: [] });
	const at = instantOf({ day: on, minute: 13 * 60 }, timeZone);
	const groups = await database.rows<{ id: number; staffId: number }>(
		`SELECT small_group.id, slot.staff_id AS staffId
		FROM small_group JOIN slot ON slot.id = small_group.slot_id
		WHERE small_group.school_id = ? AND small_group.ends_on >= ? ORDER BY small_group.id LIMIT 4`,
		[SCHOOL_ID, on]
	);
	const make = (staff: Staff, thing: Thing) =>
		insertMaterial(database, staff, { link: null, file: null, ...thing }, at);
	for (const [i, { id, staffId }] of groups.entries()) {
		const staff = { id: staffId, schoolId: SCHOOL_ID, role: 'interventionist' } as Staff;
		const thing = THINGS[i];
		if (!thing) {
			const lesson = await make(staff, LESSON);
			await database.run(
				"UPDATE practice_set SET lesson_id = ?, task = 'Explain one question to each other' WHERE group_id = ? AND opens_on > ?",
				[lesson, id, on]
			);
			continue;
		}
		const members = await database.rows<{ id: VisibleId }>(
			'SELECT student_id AS id FROM group_membership WHERE group_id = ? AND until_on > ? ORDER BY student_id',
			[id, on]
		);
		const studentIds = members.map((member) => member.id);
		const material = await make(staff, thing);
		await giveMaterial(database, staff, material, { studentIds, groupId: id }, at);
		const some = studentIds.filter((_, place) => place % 3 !== 2);
		if (thing.kind === 'task') await markTask(database, staff, material, some, true, at);
		else for (const student of some) await seeMaterial(database, student, material, at);
	}
}
