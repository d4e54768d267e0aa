import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { adopt, newGroup, NOW, smallSchool, staffAs, TODAY, type SmallSchool, seen } from '../../../tests/smallSchool';
import { addDays } from '../core/calendar';
import { readCell } from '../core/mastery';
import { needleMap } from './gaps/needleMap';
import { cycleDates, firstReview, peekAt, ribbon } from './overview';
import { windowInView } from './screen/windowPlaces';
import { fill } from './database/seeding';
import { beginDiagnostic } from './sitting/store/adaptiveSittings';
import { findScope, type RosterStudent } from './people/store/people';
import { assignSet } from './practice/store/practice';
import { startProbes } from './track/store/probes';
import { screeningWindows } from './screen/store/windows';
import { skillGraph } from './library/store/skills';
import { readStandings } from './standing/store/standings';

let small: SmallSchool;
let students: RosterStudent[];
const specialist = staffAs('specialist');

beforeAll(async () => {
	small = await smallSchool('overview');
	students = (await findScope(small.database, specialist, 'school', TODAY))!.students;
});
afterAll(() => small.database.close());

const waits = async (some = students) =>
	Object.fromEntries(
		(await ribbon(small.database, staffAs('specialist'), small.school, some)).legs.map(({ leg, waits: text }) => [
			leg,
			text
		])
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
			track: '0 probes to take',
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
			{ ...common, itemCount: 5, opensOn: TODAY, dueOn: TODAY, studentIds: [2, 5, 6] },
			NOW
		);
		await startProbes(
			small.database,
			specialist,
			{ ...common, studentIds: [2], startsOn: TODAY, goalOn: addDays(TODAY, 28), goalCorrect: 7 },
			NOW
		);
		expect(await waits()).toEqual({
			screen: '6 to finish',
			gaps: '1 below the line',
			groups: '1 group',
			practice: '3 with work waiting',
			track: '1 probe to take',
			decide: '2 to review'
		});
		const secondClass = students.filter(({ classId }) => classId === 2);
		expect(await waits(secondClass)).toMatchObject({
			screen: '4 to finish',
			gaps: '0 below the line',
			practice: '2 with work waiting',
			track: '0 probes to take',
			decide: '1 to review'
		});
	});
});

describe('the peek', () => {
	it('shows the same student that every leg knows', async () => {
		const shown = await peek(2);
		expect(shown.groups).toMatchObject([{ name: 'Rounding', focus: small.skills[0].shortName }]);
		expect(shown.queue).toMatchObject([{ skill: small.skills[0].shortName, answered: 0, itemCount: 5, dueOn: TODAY }]);
		expect(shown.probes).toMatchObject([{ counts: [], due: true }]);
		expect(shown.nextReview).toBe(TODAY);
		expect(shown.scores.length).toBe(7);
		const standings = [...(await readStandings(small.database, seen(2), TODAY)).get(2)!.values()];
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

describe('the needle map', () => {
	it('shows the standings as they are read, cell by cell, and rings what is ready next', async () => {
		const ids = students.map(({ id }) => id);
		const graph = await skillGraph(small.database, small.school.id, small.skills);
		const { rows, standings } = await needleMap(small.database, ids, small.skills, graph, TODAY);
		expect(rows.map(({ id }) => id)).toEqual(ids);
		for (const { id, cells } of rows) {
			small.skills.forEach((skill, place) => {
				const cell = readCell(cells, place);
				const now = standings.get(id)!.get(skill.id);
				expect(cell.standing).toBe(now?.inferred ?? now?.standing ?? 'unseen');
				expect(cell.answers).toBe(now?.answers ?? 0);
				const before = graph.prerequisites.get(skill.id)!.map((one) => standings.get(id)!.get(one));
				const met = before.every((one) => (one?.inferred ?? one?.standing) === 'secure');
				expect(cell.readyNext).toBe(met && cell.standing !== 'secure');
			});
		}
	});

	it('of nobody is empty', async () => {
		const graph = await skillGraph(small.database, small.school.id, small.skills);
		expect((await needleMap(small.database, [], small.skills, graph, TODAY)).rows).toEqual([]);
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
});

describe('dates to begin with', () => {
	it('show the window asked for, else the last that has begun', async () => {
		expect((await windowInView(small.database, small.school)).window).toMatchObject({ name: 'Winter' });
		expect((await windowInView(small.database, small.school, 1)).window).toMatchObject({ name: 'Autumn' });
		expect((await windowInView(small.database, small.school, 99)).window).toMatchObject({ name: 'Winter' });
		const early = { ...small.school, today: '2026-10-01' };
		expect((await windowInView(small.database, early)).window).toMatchObject({ name: 'Autumn' });
		expect((await windowInView(small.database, { ...small.school, id: 2 })).window).toBeNull();
	});

	it('show a window with a diagnostic before one in which a measure is given, begun or not', async () => {
		const reading = { school_id: 1, subject: 'Reading', mode: 'teacher-given', measure: 'reading aloud', term: 2 };
		await fill(small.database, 'screening_window', [
			{ ...reading, id: 50, name: 'Reading', opens_on: '2026-11-20', closes_on: '2026-12-04' },
			{ ...reading, id: 51, name: 'Early reading', opens_on: '2026-09-01', closes_on: '2026-12-04' }
		]);
		const on = async (today: string, wanted?: number) =>
			(await windowInView(small.database, { ...small.school, today }, wanted)).window!.name;
		expect(await on(TODAY)).toBe('Winter');
		expect(await on(TODAY, 50)).toBe('Reading');
		expect(await on('2026-09-10')).toBe('Early reading');
		expect(await on('2026-08-01')).toBe('Autumn');
	});

	it('end groups with the cycle, or after eight weeks where none runs, and review on a weekday', () => {
		expect(cycleDates({ endsOn: '2026-12-20' }, TODAY)).toEqual({ endsOn: '2026-12-20', reviewOn: '2026-12-17' });
		expect(cycleDates({ endsOn: '2026-12-22' }, TODAY).reviewOn).toBe('2026-12-18');
		// Who joins late is looked at on the last weekday, or on the last day where none is left.
		const joining = ['2026-12-17', '2026-12-18', '2026-12-19'];
		expect(joining.map((on) => firstReview('2026-12-20', on))).toEqual(['2026-12-17', '2026-12-18', '2026-12-20']);
		expect(cycleDates({ endsOn: '2026-11-01' }, TODAY).endsOn).toBe('2027-01-17');
		expect(cycleDates(null, TODAY).endsOn).toBe('2027-01-17');
	});
});
