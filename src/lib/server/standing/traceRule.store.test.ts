import { afterAll, beforeAll, expect, it } from 'vitest';
import { NOW, smallSchool, staffAs, TODAY, type SmallSchool, seen } from '../../../../tests/smallSchool';
import { TRACE_RULE } from '../../core/mastery';
import { lockStudents } from '../people/store/people';
import { assignChecks, beginCheck, openChecks } from '../gaps/store/skillChecks';
import { readTraces } from './store/standings';
import { keepTraceRule, storedTraceRule } from './store/traceRule';
import { bringTracesUpToDate, studentsInBatches } from './traceRule';

/** Eight of one school, and one of another. */
const STUDENTS = [1, 2, 3, 4, 5, 6, 7, 8, 9];

let small: SmallSchool;
beforeAll(async () => {
	small = await smallSchool('trace_rule');
});
afterAll(() => small.database.close());

/** What is said while traces that all claim to be sure are brought up to date, and how many still claim it. */
async function bring() {
	await small.database.run('UPDATE skill_trace SET probability = 0.999');
	const said: string[] = [];
	await bringTracesUpToDate(small.database, (line) => said.push(line));
	const traces = await readTraces(small.database, STUDENTS);
	return { said, unchanged: traces.filter(({ probability }) => probability === 0.999).length, traces: traces.length };
}

it('traces of an older rule, or of one nobody wrote down, are worked out anew, and those of the newest left', async () => {
	await small.database.run('DELETE FROM trace_rule');
	const { said, unchanged, traces } = await bring();
	expect(said).toEqual([8, 9].map((done) => `Standings worked out anew by the newest rule: ${done} of 9 students`));
	expect(traces).toBeGreaterThan(0);
	expect(unchanged).toBe(0);
	expect(await storedTraceRule(small.database)).toBe(TRACE_RULE);

	expect(await bring()).toEqual({ said: [], unchanged: traces, traces });

	await keepTraceRule(small.database, TRACE_RULE - 1);
	expect((await bring()).unchanged).toBe(0);
	expect(await storedTraceRule(small.database)).toBe(TRACE_RULE);
});

it('an answer that is stored while traces are worked out anew is in them', async () => {
	const skillId = small.skills[3].id;
	await assignChecks(small.database, staffAs('specialist'), [{ studentId: 2, skillIds: [skillId] }], TODAY, NOW);
	const [check] = await openChecks(small.database, seen(2));
	const sittingId = await beginCheck(small.database, check, small.skills, NOW);
	await keepTraceRule(small.database, TRACE_RULE - 1);
	let bringing = Promise.resolve();
	// As whoever stores an answer does it: the student is held, then the log is written to.
	await small.database.transaction(async (transaction) => {
		await lockStudents(transaction, [2]);
		bringing = bringTracesUpToDate(small.database, () => {});
		// Long enough for one that does not wait to have read the log.
		for (let i = 0; i < 300; i++) await transaction.rows('SELECT id FROM answer WHERE sitting_id = ?', [sittingId]);
		await transaction.run(
			`INSERT INTO answer (id, sitting_id, position, attempt, student_id, skill_id, response, correct, milliseconds,
				answered_at, received_at)
			SELECT UUID(), sitting_id, position, 1, 2, skill_id, '"7"', TRUE, 9000, ?, ? FROM sitting_item
			WHERE sitting_id = ? AND position = 0`,
			[NOW, NOW, sittingId]
		);
	});
	await bringing;
	const traces = await readTraces(small.database, [2]);
	expect(traces.find((trace) => trace.skillId === skillId)).toMatchObject({ answers: 1, correct: 1 });
});

it('everybody is met once, school by school', async () => {
	const met: number[][] = [];
	for await (const { ids } of studentsInBatches(small.database)) met.push(ids);
	expect(met).toEqual([STUDENTS.slice(0, 8), STUDENTS.slice(8)]);
});
