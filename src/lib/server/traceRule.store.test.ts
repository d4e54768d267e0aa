import { afterAll, beforeAll, expect, it } from 'vitest';
import { smallSchool, type SmallSchool } from '../../../tests/smallSchool';
import { TRACE_RULE } from '../core/mastery';
import { readTraces } from './store/standings';
import { keepTraceRule, storedTraceRule } from './store/traceRule';
import { bringTracesUpToDate, everybody } from './traceRule';

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

it('everybody is met once, school by school', async () => {
	const met: number[][] = [];
	for await (const { ids } of everybody(small.database)) met.push(ids);
	expect(met).toEqual([STUDENTS.slice(0, 8), STUDENTS.slice(8)]);
});
