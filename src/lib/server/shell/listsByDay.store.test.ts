import { oneSkillSet } from '../../../../tests/oneSkillSet';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import {
	adopt,
	newGroup,
	newProbes,
	NOW,
	smallSchool,
	staffAs,
	TODAY,
	type SmallSchool
} from '../../../../tests/smallSchool';
import { addDays } from '../../core/calendar';
import { fill } from '../database/seeding';
import { decidePage } from '../decide/decidePage';
import { classPage } from '../gaps/classPage';
import { mapPage } from '../gaps/mapPage';
import { studentsOnSkill } from '../gaps/skillPage';
import { groupPage } from '../groups/groupPage';
import { groupingFor } from '../groups/grouping';
import { addStudents, moveToClass } from '../people';
import { practicePage } from '../practice/practicePage';
import { queuesPage } from '../practice/queuesPage';
import { assignSet } from '../practice/store/assigning';
import { findSchool } from '../school';
import { resultsPage } from '../screen/resultsPage';
import { sittingsBoard } from '../screen/sittingsPage';
import { screeningWindows } from '../screen/store/windows';
import { caseloadPage } from '../setup/caseloadPage';
import { markStale } from '../standing';
import { startProbes } from '../track/store/probes';
import { trackPage } from '../track/trackPage';
import { findScope } from './store/scope';

let small: SmallSchool;
beforeAll(async () => {
	small = await smallSchool('lists_by_day');
});
afterAll(() => small.database.close());

const coordinator = staffAs('coordinator');
const specialist = staffAs('specialist');
const [YESTERDAY, TOMORROW] = [addDays(TODAY, -1), addDays(TODAY, 1)];
const URL_OF_PAGE = new URL('http://school/');

/** A student of the first class from a day on, with nothing done yet. */
async function join(familyName: string, from: string): Promise<number> {
	const record = { givenName: 'Noor', familyName, preferredName: null, number: null, grade: 4, birthDate: null };
	const [id] = await addStudents(small.database, coordinator, [{ ...record, classId: 1 }], { from, at: NOW });
	await markStale(small.database, [id], { reachesBack: false });
	return id;
}

/** Which lists have the student on a day, by leg. */
async function listsOn(id: number, group: number | null, day: string): Promise<Record<string, boolean>> {
	const { database, skills } = small;
	const school = await findSchool(database, 1, NOW);
	const then = { ...school, today: day };
	const scope = (await findScope(database, specialist, 'school', day))!;
	const windows = await screeningWindows(database, 1);
	const window = windows.find((one) => one.id === 2)!;
	const students = await scope.students();
	const has = (ids: readonly number[]) => ids.includes(id);
	const ids = (rows: readonly { id: number }[]) => rows.map((row) => row.id);
	const map = await mapPage(database, specialist, then, students, URL_OF_PAGE);
	const ofClass = await classPage(database, specialist, then, students, 1);
	const choices = { kind: 'same need' as const, studentIds: [id], regroups: [], focusId: null };
	const decide = await decidePage(database, specialist, then, scope, URL_OF_PAGE);
	const track = await trackPage(database, specialist, then, scope, URL_OF_PAGE);
	const queues = await queuesPage(database, specialist, then, scope, URL_OF_PAGE);
	const practice = await practicePage(database, specialist, then, scope, URL_OF_PAGE);
	const members = group && (await groupPage(database, specialist, then, group));
	return {
		sittings: has((await sittingsBoard(database, then, scope, window, URL_OF_PAGE)).ids),
		results: has((await resultsPage(database, then, scope, windows, window, URL_OF_PAGE)).ids),
		map: has(map.inScope),
		class: has(ids(ofClass.students)),
		skill: has((await studentsOnSkill(database, then, students, skills[0].id)).ids),
		candidates: has(ids((await groupingFor(database, specialist, then, choices)).students)),
		queues: has(queues.ids),
		probes: has(track.ids),
		...(group
			? {
					group: Boolean(members && has(members.students.map((one) => one.id))),
					caseload: has(ids((await caseloadPage(database, then, scope, URL_OF_PAGE)).students)),
					reviews: has([...decide.due.reviews, ...decide.later.reviews].map(({ studentId }) => studentId)),
					sets: practice.sets[0]?.students === 4
				}
			: {})
	};
}
const all = (lists: Record<string, boolean>, isThere: boolean) =>
	Object.fromEntries(Object.keys(lists).map((list) => [list, isThere]));

describe('the lists of every leg', () => {
	it('have who joins from that day on, though nothing is known yet, and not before', async () => {
		const id = await join('Quillon', TODAY);
		for (const [day, isThere] of [
			[YESTERDAY, false],
			[TODAY, true],
			[TOMORROW, true]
		] as const) {
			const lists = await listsOn(id, null, day);
			expect(lists, day).toEqual(all(lists, isThere));
		}
	});

	it('have who leaves until that day, with group, work and review, and not from then on', async () => {
		const { database, skills } = small;
		const id = await join('Verrin', '2026-09-01');
		await fill(database, 'tier_interval', [{ student_id: id, tier: 2, from_on: '2026-10-26' }]);
		const studentIds = [1, 2, 3, id];
		const dates = { startsOn: '2026-10-26', endsOn: '2026-12-20', reviewOn: TODAY };
		const { ids } = await adopt(small, newGroup(small, { ...dates, studentIds }));
		const skillId = skills[0].id;
		const set = { skillId, groupId: ids[0], itemCount: 5, opensOn: YESTERDAY, dueOn: addDays(TODAY, 7), studentIds };
		await assignSet(database, specialist, oneSkillSet(set), NOW);
		const goal = { groupId: ids[0], startsOn: '2026-10-26', goalOn: addDays(TODAY, 21) };
		await startProbes(database, specialist, newProbes({ studentIds: [id], skillId, ...goal }), NOW);
		await moveToClass(database, coordinator, [id], null, { from: TODAY, at: NOW });
		for (const [day, isThere] of [
			[YESTERDAY, true],
			[TODAY, false],
			[TOMORROW, false]
		] as const) {
			const lists = await listsOn(id, ids[0], day);
			expect(lists, day).toEqual(all(lists, isThere));
		}
	});
});
