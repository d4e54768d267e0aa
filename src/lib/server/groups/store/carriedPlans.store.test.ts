import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import {
	adopt,
	clearGroups,
	newGroup,
	newProbes,
	NOW,
	seen,
	smallSchool,
	staffAs,
	TODAY,
	type SmallSchool
} from '../../../../../tests/smallSchool';
import { addDays } from '../../../core/calendar';
import { beginProbe } from '../../sitting';
import { probeSeries, startProbes } from '../../track';
import { keepAdoptedPlans, undoAdoption } from './adoptions';
import { changeGroup, undoChange } from './groupChanges';
import type { GroupDeed } from './groupDeeds';

const specialist = staffAs('specialist');
const END = addDays(TODAY, 28);
let small: SmallSchool;
let adopted: Awaited<ReturnType<typeof adopt>>;
let plans: number[];

beforeAll(async () => {
	small = await smallSchool('carried_plans');
});
afterAll(() => small.database.close());
beforeEach(async () => {
	await small.database.run('DELETE FROM answer');
	await small.database.run('DELETE FROM sitting_item');
	await small.database.run('DELETE FROM sitting');
	await small.database.run('DELETE FROM probe_plan');
	await clearGroups(small);
	adopted = await adopt(small, newGroup(small, { studentIds: [1, 2], startsOn: TODAY, endsOn: END, reviewOn: END }));
	plans = await startProbes(
		small.database,
		specialist,
		newProbes({
			studentIds: [1, 2],
			skillId: small.skills[0].id,
			groupId: adopted.ids[0],
			startsOn: TODAY,
			goalOn: END
		}),
		NOW
	);
	await keepAdoptedPlans(small.database, specialist, adopted.id, plans);
});

const change = async (deed: GroupDeed) =>
	(await changeGroup(small.database, specialist, adopted.ids[0], deed, '', NOW))!;
const undo = (changeId: number) => undoChange(small.database, specialist, changeId, NOW);
const runningOn = async (today: string, ...students: number[]) =>
	(await probeSeries(small.database, seen(...students), { ...small.school, today })).map(
		({ studentId, skillId, goalOn }) => ({ studentId, skillId, goalOn })
	);
const running = (...students: number[]) => runningOn(TODAY, ...students);

describe('weekly probes of a group', () => {
	it('go over to another focus with it, and come back when that is undone', async () => {
		const before = await running(1, 2);
		const focus = small.skills[3].id;
		const tomorrow = addDays(TODAY, 1);
		const changeId = await change({ kind: 'focus', skillId: focus, on: tomorrow });
		expect(await runningOn(tomorrow, 1, 2)).toEqual(before.map((plan) => ({ ...plan, skillId: focus })));
		// Until then the ones of before run on.
		expect((await running(1)).map(({ skillId }) => skillId)).toEqual([small.skills[0].id, focus]);
		expect(await undo(changeId)).toBe(true);
		expect(await running(1, 2)).toEqual(before);
	});

	it('stay on the new focus once a probe of it was taken', async () => {
		const focus = small.skills[3].id;
		const changeId = await change({ kind: 'focus', skillId: focus, on: TODAY });
		const [series] = await probeSeries(small.database, seen(1), small.school);
		await small.answerAll(1, await beginProbe(small.database, series, 1, small.skills, NOW), () => true);
		expect(await undo(changeId)).toBe(false);
		expect((await running(1)).map(({ skillId }) => skillId)).toEqual([focus]);
	});

	it('begin for who joins, and aim at the last day of the group when that is moved', async () => {
		const joined = await change({ kind: 'join', studentIds: [3], reviewOn: END, on: TODAY });
		expect(await running(3)).toEqual([{ studentId: 3, skillId: small.skills[0].id, goalOn: END }]);
		const later = addDays(END, 7);
		const moved = await change({ kind: 'end', on: later });
		expect((await running(1, 2, 3)).map(({ goalOn }) => goalOn)).toEqual([later, later, later]);
		expect(await undo(moved)).toBe(true);
		expect((await running(1, 2, 3)).map(({ goalOn }) => goalOn)).toEqual([END, END, END]);
		expect(await undo(joined)).toBe(true);
		expect(await running(3)).toEqual([]);
	});

	it('do not begin for a helper', async () => {
		await change({ kind: 'join', studentIds: [3], helps: true, reviewOn: END, on: TODAY });
		expect(await running(3)).toEqual([]);
	});

	it('that began with an adoption are gone with it, unless one was taken', async () => {
		const [series] = await probeSeries(small.database, seen(2), small.school);
		const sitting = await beginProbe(small.database, series, 1, small.skills, NOW);
		expect(await undoAdoption(small.database, specialist, adopted.id, NOW)).toBe(false);
		expect(await running(1, 2)).toHaveLength(2);
		await small.database.run('DELETE FROM sitting_item WHERE sitting_id = ?', [sitting]);
		await small.database.run('DELETE FROM sitting WHERE id = ?', [sitting]);
		expect(await undoAdoption(small.database, specialist, adopted.id, NOW)).toBe(true);
		expect(await running(1, 2)).toEqual([]);
	});
});
