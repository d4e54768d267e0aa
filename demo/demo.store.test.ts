import { findScope, type Scope } from '../src/lib/server/shell/store/scope';
import { cutScores } from '../src/lib/server/screen/store/cutScores';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { demoSchool, ownDemoSchool } from '../tests/demoSchool';
import { NOW, staffAs, TODAY } from '../tests/smallSchool';
import { fromPoints, shippedNorm } from '../src/lib/core/measurement';
import { classwideNeed, OVERALL } from '../src/lib/core/screening';
import type { RootDatabase } from '../src/lib/server/database/pool';
import { ribbon } from '../src/lib/server/shell/ribbon';
import { currentCycle } from '../src/lib/server/school/store/cycles';
import { findSchool } from '../src/lib/server/school/store/school';
import { currentGroups } from '../src/lib/server/groups/store/groups';
import { type RosterStudent } from '../src/lib/server/people/store/roster';
import { classSets } from '../src/lib/server/practice/store/calendar';
import { queuedSets } from '../src/lib/server/practice/store/practice';
import { adviceFor } from '../src/lib/server/decide/advice';
import { openReviews } from '../src/lib/server/decide/store/reviews';
import { overallScores, placesIn, uncountedWindows } from '../src/lib/server/screen/store/places';
import type { VisibleId } from '../src/lib/server/request/viewer';
import { windowPlaces } from '../src/lib/server/screen/windowPlaces';
import { refreshSummaries, storedSummaries } from '../src/lib/server/standing/summaries';
import { windowScores } from '../src/lib/server/screen/store/scores';
import { screeningWindows } from '../src/lib/server/screen/store/windows';
import { windowSittings } from '../src/lib/server/sitting/store/sittings';
import { skillList } from '../src/lib/server/library/store/skills';
import { readCells, readStandings } from '../src/lib/server/standing/standings';
import { remakeFields, staleStudents } from '../src/lib/server/standing/store/studentFields';
import { schoolField } from '../src/lib/server/standing/schoolField';
import { CLASSWIDE, SCHOOL_ID, SCHOOL_NAME, STUDENT_IDS } from './people';

const ids = STUDENT_IDS;
let database: RootDatabase;
let wholeSchool: Scope;
let students: RosterStudent[];

beforeAll(async () => {
	database = await demoSchool();
	wholeSchool = (await findScope(database, staffAs('specialist'), 'school', TODAY))!;
	students = await wholeSchool.students();
});
afterAll(() => database.close());

const count = async (sql: string) => Number((await database.row<{ n: number }>(sql))!.n);

describe('the demo school', () => {
	it('has 264 students in 12 classes and stands in week 5 of cycle 2', async () => {
		expect(students.length).toBe(264);
		expect(new Set(students.map(({ classId }) => classId)).size).toBe(12);
		expect(await currentCycle(database, SCHOOL_ID, TODAY)).toMatchObject({
			number: 2,
			startsOn: '2026-10-26',
			weeks: 8
		});
		expect((await findSchool(database, SCHOOL_ID, NOW)).name).toBe(SCHOOL_NAME);
	});

	it('has nothing in it that lies after its now', async () => {
		const latest = await database.row<{ answer: Date; sitting: Date; finished: Date }>(
			`SELECT (SELECT MAX(answered_at) FROM answer) AS answer, (SELECT MAX(started_at) FROM sitting) AS sitting,
				(SELECT MAX(finished_at) FROM sitting) AS finished`
		);
		for (const instant of Object.values(latest!)) expect(instant.getTime()).toBeLessThanOrEqual(NOW.getTime());
		expect(await count(`SELECT COUNT(*) AS n FROM attendance WHERE on_date > '${TODAY}'`)).toBe(0);
	});

	it('is the same to the last answer from the same instant', async () => {
		const digest = async (from: RootDatabase) =>
			from.row(
				"SELECT COUNT(*) AS answers, BIT_XOR(CRC32(CONCAT_WS(' ', id, sitting_id, position, response, answered_at))) AS digest FROM answer"
			);
		const again = await ownDemoSchool('demo_again');
		expect(await digest(again)).toEqual(await digest(database));
		await again.close();
	});

	it('has counters that agree with its answer log', async () => {
		expect(
			await count(
				`SELECT COUNT(*) AS n FROM sitting WHERE answered <> (SELECT COUNT(*) FROM answer WHERE sitting_id = sitting.id AND attempt = 1)`
			)
		).toBe(0);
		expect(
			await count('SELECT COUNT(*) AS n FROM sitting WHERE (answered = item_count) <> (finished_at IS NOT NULL)')
		).toBe(0);
		expect(await count(`SELECT COUNT(*) AS n FROM sitting WHERE finished_at IS NOT NULL AND trust = 'open'`)).toBe(0);
	});

	it('gives the same standings when all are worked out anew', async () => {
		const { madeBy } = await schoolField(database, SCHOOL_ID);
		expect(await staleStudents(database, SCHOOL_ID, madeBy, 1_000)).toEqual([]);
		expect(await remakeFields(database, ids)).toBe(0);
	});
});

describe('its simulated students', () => {
	it('grow at about the pace of the norms from one screening to the next', async () => {
		const { growth, weeks } = (await database.row<{ growth: number; weeks: number }>(
			`SELECT AVG(winter.theta - autumn.theta) AS growth, AVG(DATEDIFF(winter.taken_on, autumn.taken_on)) / 7 AS weeks
			FROM score AS autumn
			JOIN score AS winter
				ON winter.student_id = autumn.student_id AND winter.domain_id = 0 AND winter.window_id = 2
			WHERE autumn.domain_id = 0 AND autumn.window_id = 1
				AND autumn.student_id NOT IN (SELECT student_id FROM group_membership)`
		))!;
		const expected = shippedNorm(4, Number(weeks)).median - shippedNorm(4, 0).median;
		expect(growth).toBeGreaterThan(0.6 * expected);
		expect(growth).toBeLessThan(1.6 * expected);
	});

	it('know many skills in part: right now and then, neither seldom nor nearly always', async () => {
		const shares = await database.rows<{ share: number }>(
			`SELECT AVG(correct) AS share FROM answer WHERE attempt = 1 GROUP BY student_id, skill_id HAVING COUNT(*) >= 15`
		);
		const inPart = shares.filter(({ share }) => share > 0.3 && share < 0.8).length;
		expect(shares.length).toBeGreaterThan(30);
		expect(inPart / shares.length).toBeGreaterThan(0.25);
	});
});

describe('what is kept to be counted by', () => {
	it('is as it comes out when it is made anew', async () => {
		const kept = await storedSummaries(database, ids);
		await refreshSummaries(database, ids);
		expect(await storedSummaries(database, ids)).toEqual(kept);
		expect(kept.size).toBeGreaterThan(3 * ids.length);
	});

	it('says of every student in every window what the full board says', async () => {
		for (const window of await screeningWindows(database, SCHOOL_ID)) {
			const full = await windowPlaces(database, window, students);
			const kept = await placesIn(database, window.id, wholeSchool.roster);
			expect([...kept].map(([id, { status }]) => [id, status]).sort()).toEqual(
				[...full].map(([id, { status }]) => [id, status]).sort()
			);
			const overall = await overallScores(database, window.id, wholeSchool.roster);
			expect(overall.map(({ id, theta }) => [id, theta]).sort()).toEqual(
				[...full]
					.flatMap(([id, { scores }]) =>
						scores.filter((one) => one.domainId === OVERALL).map(({ theta }) => [id, theta])
					)
					.sort()
			);
			const measures = new Set([...full.values()].flatMap(({ scores }) => scores.map(({ domainId }) => domainId)));
			measures.add(OVERALL);
			for (const measure of measures) {
				const places = await placesIn(database, window.id, wholeSchool.roster, measure);
				for (const [id, { scores }] of full) {
					const own = scores.find(({ domainId }) => domainId === measure);
					expect(places.get(id)!.score).toEqual(own ? { theta: own.theta, standardError: own.standardError } : null);
				}
			}
		}
	});

	it('says of whom answers in a window do not count', async () => {
		const flagged = await database.row<{ id: VisibleId; window: string }>(
			`SELECT sitting.student_id AS id, screening_window.name AS \`window\`
			FROM sitting JOIN screening_window ON screening_window.id = sitting.window_id
			WHERE sitting.trust = 'flagged' LIMIT 1`
		);
		expect(await uncountedWindows(database, flagged!.id)).toEqual([
			{ window: flagged!.window, status: 'needs another look' }
		]);
		const [, latest] = await screeningWindows(database, SCHOOL_ID);
		const finished = [...(await placesIn(database, latest.id, wholeSchool.roster))].find(
			([, { status }]) => status === 'finished'
		)!;
		expect(await uncountedWindows(database, finished[0] as VisibleId)).toEqual([]);
	});
});

describe('its stories', () => {
	async function reviewsDue() {
		const school = await findSchool(database, SCHOOL_ID, NOW);
		const due = (await openReviews(database, ids)).filter(({ dueOn }) => dueOn <= TODAY);
		return [...(await adviceFor(database, school, due)).values()];
	}

	it('tell of one ready to exit, one who needs more, and one whose sessions did not take place', async () => {
		const advice = await reviewsDue();
		expect(advice.map((one) => one.advice)).toEqual(expect.arrayContaining(['exit', 'intensify', 'deliver first']));
	});

	it('tell of a class that lacks a skill as a whole', async () => {
		const skill = (await skillList(database, SCHOOL_ID)).find(({ code }) => code === CLASSWIDE.skillCode)!;
		const cells = await readCells(database, SCHOOL_ID, ids);
		const needIn = (className: string) =>
			classwideNeed(students.filter((one) => one.className === className).map(({ id }) => cells.of(id, skill.id)));
		expect(needIn(CLASSWIDE.className).advice).toMatch(/^whole class/);
	});

	it('tell of students who rushed, were absent, stopped half way, or have a clear queue and open gaps', async () => {
		const [winter] = await screeningWindows(database, SCHOOL_ID);
		const sittings = await windowSittings(database, winter.id, ids);
		expect(ids.filter((id) => !sittings.has(id)).length).toBeGreaterThan(3);
		const rushed = [...sittings.values()].filter(({ flags }) => flags.some(({ flag }) => flag === 'rapid'));
		expect(rushed.length).toBeGreaterThan(4);
		for (const { trust } of rushed) expect(trust).toBe('flagged');
		expect([...sittings.values()].filter(({ answered, itemCount }) => answered < itemCount).length).toBeGreaterThan(4);
		const waiting = new Set((await queuedSets(database, ids, TODAY)).map(({ studentId }) => studentId));
		const standings = await readStandings(database, ids);
		const clear = ids.filter(
			(id) => !waiting.has(id) && [...standings.get(id)!.values()].some(({ standing }) => standing === 'gap')
		);
		expect(clear.length).toBeGreaterThan(0);
	});

	it('flag few honest diagnostics: at most 5 in 100', async () => {
		const honest = await count(
			`SELECT COUNT(*) AS n FROM sitting WHERE kind = 'diagnostic' AND finished_at IS NOT NULL AND flags NOT LIKE '%rapid%'`
		);
		const flagged = await count(
			`SELECT COUNT(*) AS n FROM sitting WHERE trust = 'flagged' AND flags NOT LIKE '%rapid%'`
		);
		expect(flagged / honest).toBeLessThan(0.05);
	});
});

describe('the ribbon over it', () => {
	it('counts what plain queries count', async () => {
		const school = await findSchool(database, SCHOOL_ID, NOW);
		const { legs, cycle } = await ribbon(database, staffAs('specialist'), school, wholeSchool);
		const waits = Object.fromEntries(legs.map(({ leg, waits: text }) => [leg, parseInt(text)]));
		expect(cycle).toMatchObject({ week: 5, weeks: 8 });
		const [winter] = await screeningWindows(database, SCHOOL_ID);
		const scored = await count(
			`SELECT COUNT(DISTINCT student_id) AS n FROM score WHERE window_id = ${winter.id} AND domain_id = 0`
		);
		expect(waits.screen).toBe(264 - scored);
		const cuts = await cutScores(database, SCHOOL_ID, winter);
		const scores = await windowScores(database, winter.id, ids);
		// A standard error below the line, each in logits.
		const below = students.filter(({ id, grade }) => {
			const overall = scores.get(id)?.find(({ domainId }) => domainId === 0);
			return overall && overall.theta + overall.standardError < fromPoints(cuts[grade]);
		});
		expect(waits.gaps).toBe(below.length);
		expect(waits.groups).toBe((await currentGroups(database, staffAs('specialist'), TODAY)).length);
		expect(waits.practice).toBe(
			await count(
				`SELECT COUNT(DISTINCT member.student_id) AS n FROM practice_set_student AS member
				JOIN practice_set ON practice_set.id = member.set_id AND practice_set.opens_on <= '${TODAY}'
				WHERE NOT EXISTS (SELECT 1 FROM sitting WHERE sitting.set_id = member.set_id AND sitting.student_id = member.student_id AND sitting.attempt = member.attempt AND sitting.finished_at IS NOT NULL)`
			)
		);
		expect(waits.decide).toBe(
			await count(`SELECT COUNT(*) AS n FROM review WHERE due_on <= '${TODAY}' AND verdict IS NULL`)
		);
		expect(waits.track).toBe(
			await count(
				'SELECT COUNT(*) AS n FROM probe_plan WHERE id NOT IN (SELECT plan_id FROM sitting WHERE probe_number = 3 * probe_plan.in_two_weeks + 1 AND plan_id IS NOT NULL AND finished_at IS NOT NULL)'
			)
		);
	});

	it('counts only the students in scope', async () => {
		const school = await findSchool(database, SCHOOL_ID, NOW);
		const parts = await Promise.all(
			[1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12].map(async (classId) =>
				ribbon(database, staffAs('specialist'), school, {
					...wholeSchool,
					key: `class:${classId}`,
					roster: { ...wholeSchool.roster, narrowing: { sql: 'AND class.id = ?', values: [classId] } }
				})
			)
		);
		const whole = await ribbon(database, staffAs('specialist'), school, wholeSchool);
		for (const leg of ['screen', 'gaps', 'practice', 'track', 'decide']) {
			const waits = ({ legs }: typeof whole) => parseInt(legs.find((one) => one.leg === leg)!.waits) || 0;
			expect(
				parts.reduce((sum, part) => sum + waits(part), 0),
				leg
			).toBe(waits(whole));
		}
	});
});

describe('what is read a part at a time', () => {
	it('is all of it put together: sets of some groups, and of all but these', async () => {
		const span = { from: '2026-11-01', until: '2026-11-30' };
		const asked = { skillId: null, authorId: null };
		const sets = (which?: Parameters<typeof classSets>[4]) =>
			classSets(database, wholeSchool.roster, span, asked, which);
		const keys = (some: Awaited<ReturnType<typeof sets>>) => some.map(({ id, classId }) => `${id} ${classId}`).sort();
		const groupIds = (await currentGroups(database, staffAs('specialist'), TODAY)).map(({ id }) => id).slice(0, 5);
		const [all, own, others] = [await sets(), await sets({ only: groupIds }), await sets({ but: groupIds })];
		expect(own.length).toBeGreaterThan(5);
		expect(others.length).toBeGreaterThan(5);
		expect(own.every(({ groupId }) => groupIds.includes(groupId!))).toBe(true);
		expect(keys([...own, ...others])).toEqual(keys(all));
	});
});
