import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { keptOf } from '../../../../tests/keptOf';
import { NOW, seen, smallSchool, staffAs, TODAY, type SmallSchool } from '../../../../tests/smallSchool';
import { addDays } from '../../core/calendar';
import { keepField, unpackField } from '../../core/mastery';
import { expectedTheta } from '../../core/measurement';
import { assignChecks, beginCheck, openChecks } from '../gaps/store/skillChecks';
import { bumpRevision } from '../library/store/library';
import { lockStudents } from '../people';
import { bringFieldsUpToDate } from './keepFresh';
import { rebuildEverything, studentsInBatches } from './rebuild';
import { schoolField } from './schoolField';
import { levelReasons, readStandings, standingsOnDays } from './standings';
import { answersOf, outsideScores } from './store/evidence';
import { fieldInputs, markStale, remakeFields, staleStudents, studentFields } from './store/studentFields';

/** Eight of one school, and one of another. */
const STUDENTS = [1, 2, 3, 4, 5, 6, 7, 8, 9];

let small: SmallSchool;
beforeAll(async () => {
	small = await smallSchool('standings');
});
afterAll(() => small.database.close());

/** A check of a skill that waits for a student. */
async function checkOf(studentId: number, skillId: number): Promise<number> {
	await assignChecks(small.database, staffAs('specialist'), [{ studentId, skillIds: [skillId] }], TODAY, NOW);
	const check = (await openChecks(small.database, seen(studentId))).find(({ skillIds }) => skillIds.includes(skillId))!;
	return beginCheck(small.database, check, small.skills, NOW);
}
const stale = async () => staleStudents(small.database, 1, (await schoolField(small.database, 1)).madeBy, 100);
const keptRow = (id: number) =>
	small.database.row<{ revision: number; madeOf: number; packed: Buffer }>(
		'SELECT revision, made_of AS madeOf, packed FROM student_field WHERE student_id = ?',
		[id]
	);

describe('what is kept of a student', () => {
	it('is all that the log and core say, of every skill that is taught', async () => {
		const skillId = small.skills[3].id;
		await small.answerAll(1, await checkOf(1, skillId), (n) => n % 2 === 0);
		const [kept] = [await keptOf(small.database, [1])];
		expect(kept.map((one) => one.skillId)).toEqual(small.skills.map(({ id }) => id));
		const school = await schoolField(small.database, 1);
		const answers = (await answersOf(small.database, school, [1])).get(1)!;
		expect(answers).toHaveLength(5);
		// No school year is told here, so that the middle term stands for the day.
		const expected = keepField(school.field, answers, { mean: expectedTheta({ grade: 4, term: 2 }) });
		kept.forEach(({ level, answers: count, lastOn, isEnough }, k) => {
			expect(level.mean).toBeCloseTo(expected[k].level.mean, 6);
			expect(level.standardError).toBeCloseTo(expected[k].level.standardError, 6);
			expect({ count, lastOn, isEnough }).toEqual({
				count: expected[k].answers,
				lastOn: expected[k].lastOn,
				isEnough: expected[k].isEnough
			});
		});
		expect(kept.find((one) => one.skillId === skillId)).toMatchObject({ answers: 5, lastOn: TODAY, isEnough: true });
	});

	it('is stale from the moment an answer is stored until it is read, and made once', async () => {
		await bringFieldsUpToDate(small.database, () => {});
		expect(await stale()).toEqual([]);
		const sittingId = await checkOf(2, small.skills[4].id);
		await small.answerAll(2, sittingId, () => true);
		expect(await stale()).toEqual([2]);
		await readStandings(small.database, seen(1, 2));
		expect(await stale()).toEqual([]);
		const before = await keptRow(2);
		await readStandings(small.database, seen(2));
		expect(await keptRow(2)).toEqual(before);
	});

	it('made while an answer is being stored is stale again once that is there', async () => {
		const sittingId = await checkOf(3, small.skills[5].id);
		await studentFields(small.database, [3]);
		let made = Promise.resolve(0);
		await small.database.transaction(async (transaction) => {
			await lockStudents(transaction, [3]);
			await transaction.run(
				`INSERT INTO answer (id, sitting_id, position, attempt, student_id, skill_id, response, correct, milliseconds,
					answered_at, received_at)
				SELECT UUID(), sitting_id, position, 1, 3, skill_id, '"7"', TRUE, 9000, ?, ? FROM sitting_item
				WHERE sitting_id = ? AND position = 0`,
				[NOW, NOW, sittingId]
			);
			// Meanwhile somebody makes it anew without having seen the answer.
			made = remakeFields(small.database, [3]);
			await new Promise((resolve) => setTimeout(resolve, 200));
			await markStale(transaction, [3], { reachesBack: false });
		});
		await made;
		const kept = await keptOf(small.database, [3]);
		expect(kept.reduce((sum, { answers }) => sum + answers, 0)).toBe(1);
	});

	it('is made anew where the skills or their order have changed, and not for a changed word elsewhere', async () => {
		await bringFieldsUpToDate(small.database, () => {});
		await small.database.transaction((transaction) => bumpRevision(transaction, 1));
		expect(await stale()).toEqual([]);
		const [edge] = await small.database.rows<{ framework: number; before: number; after: number }>(
			`SELECT edge.framework_id AS framework, edge.prerequisite_id AS \`before\`, edge.skill_id AS after FROM school
			JOIN framework_edge AS edge ON edge.framework_id = school.framework_id WHERE school.id = 1 LIMIT 1`
		);
		await small.database.run(
			'DELETE FROM framework_edge WHERE framework_id = ? AND prerequisite_id = ? AND skill_id = ?',
			[edge.framework, edge.before, edge.after]
		);
		await small.database.transaction((transaction) => bumpRevision(transaction, 1));
		expect(await stale()).toEqual(STUDENTS.slice(0, 8));
		const said: number[] = [];
		await bringFieldsUpToDate(small.database, (done) => said.push(done));
		expect(said.at(-1)).toBeGreaterThanOrEqual(8);
		expect(await stale()).toEqual([]);
	});

	it('is made anew where the school year is told otherwise, since what is expected goes by its terms', async () => {
		await bringFieldsUpToDate(small.database, () => {});
		await small.database.run(
			"INSERT INTO school_year (school_id, starts_on, ends_on) VALUES (1, '2026-08-20', '2027-06-10')"
		);
		expect(await stale()).toEqual(STUDENTS.slice(0, 8));
		await small.database.run('DELETE FROM school_year WHERE school_id = 1');
		expect(await stale()).toEqual([]);
	});
});

describe('working it all out anew', () => {
	it('finds no difference, unless what is kept was bent', async () => {
		await bringFieldsUpToDate(small.database, () => {});
		const told: [number, number][] = [];
		expect(await rebuildEverything(small.database, (done, total) => told.push([done, total]))).toMatchObject({
			students: 9,
			different: 0
		});
		expect(told.at(-1)).toEqual([9, 9]);
		expect(told).toEqual([...told].sort(([one], [other]) => one - other));
		await small.database.run('UPDATE student_field SET packed = INSERT(packed, 5, 4, 0x40000000) WHERE student_id = 4');
		expect(await rebuildEverything(small.database)).toMatchObject({ different: 1 });
		expect(await rebuildEverything(small.database)).toMatchObject({ different: 0 });
	});

	it('meets everybody once, school by school', async () => {
		const met: number[][] = [];
		for await (const { ids } of studentsInBatches(small.database)) met.push(ids);
		expect(met).toEqual([STUDENTS.slice(0, 8), STUDENTS.slice(8)]);
	});
});

describe('standings', () => {
	it('of an earlier day leave out what was answered later, and of that day are those that are kept', async () => {
		const before = addDays(TODAY, -1);
		const found = await standingsOnDays(small.database, seen(1), [before, TODAY]);
		const now = (await readStandings(small.database, seen(1))).get(1)!;
		expect(found.get(TODAY)!.get(1)).toEqual(now);
		expect([...found.get(before)!.get(1)!.values()].every(({ answers }) => answers === 0)).toBe(true);
	});

	it('say what moves a level, and what a gap begins with among what comes before it', async () => {
		const graph = await schoolField(small.database, 1);
		const skill = graph.field.skills.find(({ prerequisites }) => prerequisites.length > 0)!;
		const before = Number(skill.prerequisites[0]);
		await small.answerAll(5, await checkOf(5, Number(skill.code)), () => false);
		await small.answerAll(5, await checkOf(5, before), () => false);
		const { expected, without, causes } = await levelReasons(small.database, seen(5)[0], Number(skill.code));
		expect(without.map(({ of, skillId }) => [of, skillId])).toEqual([
			['skill itself', null],
			['neighbor', before]
		]);
		for (const { change, share } of without) {
			expect(change).toBeLessThan(0);
			expect(share).toBeLessThan(expected);
		}
		expect(causes[0].way.at(-1)).toBe(before);
		expect(causes[0].share.then).toBeGreaterThan(causes[0].share.now);
	});
});

describe('scores from outside', () => {
	const add = (studentId: number, source: string, domainId: number, theta: number, takenOn: string) =>
		small.database.run(
			`INSERT INTO score (student_id, window_id, source, domain_id, theta, standard_error, taken_on)
			VALUES (?, ?, ?, ?, ?, 0.3, ?)`,
			[studentId, takenOn < '2026-11-01' ? 1 : 2, source, domainId, theta, takenOn]
		);

	it('count by their newest, above what was expected then; our own diagnostic is no score', async () => {
		await add(6, 'elsewhere', 0, -1, '2026-09-20');
		await add(6, 'elsewhere', 0, 0.5, '2026-11-20');
		await add(6, 'diagnostic', 0, 2, '2026-11-20');
		const found = await outsideScores(small.database, [6], {
			gradeOn: () => 4,
			years: [{ startsOn: '2026-08-20', endsOn: '2027-06-10' }]
		});
		// The twentieth of November lies in the first term.
		const expected = expectedTheta({ grade: 4, term: 1 });
		expect(found.get(6)).toEqual([{ domain: null, above: 0.5 - expected, standardError: 0.3, takenOn: '2026-11-20' }]);
		const { prior, answers } = await fieldInputs(small.database, 6);
		expect(answers).toEqual([]);
		expect(prior.scores).toHaveLength(1);
	});

	it('of domains stand for the whole that came with them', async () => {
		const domainId = small.skills[0].domainId;
		await add(7, 'elsewhere', 0, 0.4, '2026-11-20');
		await add(7, 'elsewhere', domainId, 0.6, '2026-11-20');
		const found = await outsideScores(small.database, [7], { gradeOn: () => 4, years: [] });
		expect(found.get(7)!.map(({ domain }) => domain)).toEqual([String(domainId)]);
	});
});

it('bytes in the row are those that core reads', async () => {
	const { packed } = (await keptRow(1))!;
	expect(unpackField(packed)).toHaveLength(small.skills.length);
});
