import { oneSkillSet } from '../../../../tests/oneSkillSet';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import {
	adopt,
	newGroup,
	newProbes,
	NOW,
	seen,
	smallSchool,
	staffAs,
	TODAY,
	type SmallSchool
} from '../../../../tests/smallSchool';
import { addDays } from '../../core/calendar';
import { fill } from '../database/seeding';
import type { RosterStudent } from '../people';
import { assignSet } from '../practice';
import { startProbes } from '../track';
import { beginDiagnostic } from '../sitting';
import { screeningWindows } from '../screen/store/windows';
import { readStandings } from '../standing';
import { peekAt } from './peek';
import { ribbon } from './ribbon';
import { defaultScope, findScope, scopeChoices } from './store/scope';

let small: SmallSchool;
let students: RosterStudent[];
const specialist = staffAs('specialist');

beforeAll(async () => {
	small = await smallSchool('shell');
	students = await (await findScope(small.database, specialist, 'school', TODAY))!.students();
});
afterAll(() => small.database.close());

const waits = async (some = students) =>
	Object.fromEntries(
		(
			await ribbon(small.database, staffAs('specialist'), small.school, {
				key: some === students ? 'school' : 'list',
				roster: {
					staff: specialist,
					today: TODAY,
					narrowing: { sql: 'AND membership.student_id IN (?)', values: [some.map(({ id }) => id)] }
				}
			})
		).legs.map(({ leg, waits: text }) => [leg, text])
	);
const peek = (id: number) =>
	peekAt(
		small.database,
		staffAs('specialist'),
		small.school,
		students.find((student) => student.id === id)!
	);
async function sit(studentId: number, right: (position: number) => boolean) {
	const [winter] = await screeningWindows(small.database, 1);
	const sitting = await beginDiagnostic(
		small.database,
		{ id: studentId, grade: 4 },
		{ window: winter, attempt: 1 },
		small.skills,
		NOW
	);
	await small.answerAll(studentId, sitting, right);
}

describe('the ribbon', () => {
	it('counts what waits before anything was done', async () => {
		expect(await waits()).toEqual({
			screen: '8 to finish',
			gaps: '0 below the line',
			groups: '0 groups',
			practice: '0 with work waiting',
			track: '0 with probes to take',
			decide: '0 to review'
		});
	});

	it('follows each leg as work is done, for those in scope only', async () => {
		await sit(1, () => true);
		await sit(2, (position) => position % 8 === 0);
		await adopt(
			small,
			newGroup(small, {
				startsOn: addDays(TODAY, -21),
				endsOn: addDays(TODAY, 20),
				studentIds: [2, 5],
				reviewOn: TODAY
			})
		);
		const common = { skillId: small.skills[0].id, groupId: null };
		await assignSet(
			small.database,
			specialist,
			oneSkillSet({ ...common, itemCount: 5, opensOn: TODAY, dueOn: TODAY, studentIds: [2, 5, 6] }),
			NOW
		);
		await startProbes(
			small.database,
			specialist,
			newProbes({ ...common, studentIds: [2], startsOn: TODAY, goalOn: addDays(TODAY, 28) }),
			NOW
		);
		expect(await waits()).toEqual({
			screen: '6 to finish',
			gaps: '1 below the line',
			groups: '1 group',
			practice: '3 with work waiting',
			track: '1 with probes to take',
			decide: '2 to review'
		});
		const secondClass = students.filter(({ classId }) => classId === 2);
		expect(await waits(secondClass)).toMatchObject({
			screen: '4 to finish',
			gaps: '0 below the line',
			practice: '2 with work waiting',
			track: '0 with probes to take',
			decide: '1 to review'
		});
	});
});

describe('the peek', () => {
	it('shows the same student that every leg knows', async () => {
		const shown = await peek(2);
		expect(shown.groups).toMatchObject([{ name: 'Rounding', focus: small.skills[0].shortName }]);
		expect(shown.queue).toMatchObject([{ title: small.skills[0].shortName, answered: 0, itemCount: 5, dueOn: TODAY }]);
		expect(shown.probes).toMatchObject([{ counts: [], due: true }]);
		expect(shown.nextReview).toBe(TODAY);
		expect(shown.scores.length).toBe(7);
		const standings = [...(await readStandings(small.database, seen(2))).get(2)!.values()];
		expect(shown.openGaps).toBe(standings.filter(({ standing }) => standing === 'gap').length);
		expect(shown.openGaps).toBeGreaterThan(0);
		const counted = shown.domains.flatMap(({ counts: { likelyGap: _, ...counts } }) => Object.values(counts));
		expect(counted.reduce((a, b) => a + b)).toBe(small.skills.length);
	});

	it('shows empty hands as what they are', async () => {
		const shown = await peek(8);
		expect(shown).toMatchObject({
			groups: [],
			queue: [],
			probes: [],
			results: [],
			scores: [],
			nextReview: null,
			openGaps: 0
		});
		expect(shown.sitting).toBeNull();
	});
});

describe('a scope', () => {
	it('is named by itself and inside a sentence', async () => {
		const named = async (key: string, staff = specialist) => {
			const { label, inWords } = (await findScope(small.database, staff, key, TODAY))!;
			return [label, inWords];
		};
		expect(await named('school')).toEqual(['Whole school', 'the whole school']);
		expect(await named('school', staffAs('teacher'))).toEqual(['My class', 'your class']);
		expect(await named('grade:4')).toEqual(['Grade 4', 'grade 4']);
		expect(await named('class:1')).toEqual(['Avocet', 'Avocet']);
		expect(await named('list:3')).toEqual(['1 chosen student', 'the chosen student']);
		expect(await named('list:3,5')).toEqual(['2 chosen students', 'the 2 chosen students']);
	});

	it('of a caseload holds those in tiers 2 and 3: all for a specialist, of their own groups for an interventionist', async () => {
		const caseload = async (role: 'specialist' | 'interventionist' | 'coordinator' | 'teacher', day = TODAY) => {
			const scope = await findScope(small.database, staffAs(role), 'caseload', day);
			return scope && { size: scope.size, ids: (await scope.students()).map(({ id }) => id as number).sort() };
		};
		expect(await caseload('specialist')).toEqual({ size: 0, ids: [] });
		await fill(
			small.database,
			'tier_interval',
			[1, 2, 6].map((student_id) => ({ student_id, tier: 2, from_on: '2026-10-26', until_on: addDays(TODAY, 7) }))
		);
		// The interventionist holds the second meeting time.
		await adopt(small, newGroup(small, { slotId: 2, name: 'Held', studentIds: [2, 4] }));
		expect(await caseload('specialist')).toEqual({ size: 3, ids: [1, 2, 6] });
		expect(await caseload('interventionist')).toEqual({ size: 1, ids: [2] });
		expect(await caseload('specialist', addDays(TODAY, 7))).toEqual({ size: 0, ids: [] });
		expect([await caseload('coordinator'), await caseload('teacher')]).toEqual([null, null]);
		const offered = async (role: 'specialist' | 'teacher') =>
			(await scopeChoices(small.database, staffAs(role), TODAY)).some(({ key }) => key === 'caseload');
		expect([await offered('specialist'), await offered('teacher')]).toEqual([true, false]);
	});

	it('that nobody has chosen is a caseload with somebody in it, else all that the person may see', async () => {
		const { database } = small;
		const [own, later] = [TODAY, addDays(TODAY, 7)];
		const key = async (role: 'specialist' | 'interventionist' | 'coordinator' | 'teacher', day: string) =>
			(await defaultScope(database, staffAs(role), day)).key;
		expect(await key('specialist', own)).toBe('caseload');
		expect(await key('interventionist', own)).toBe('caseload');
		// Nobody is in tier 2 any more.
		expect(await key('specialist', later)).toBe('school');
		expect([await key('coordinator', own), await key('teacher', own)]).toEqual(['school', 'school']);
	});
});
