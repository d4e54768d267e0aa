import { usualOperations, type Operation } from '../../core/fluency';
import type { Habits } from '../../core/practice';
import { habitsOf } from '../practice';
import type { SignedInStudent } from '../request';
import { findSchool } from '../school';
import { beginFactRun, factRunsOn, factTries, findFactRun, type FactRun } from './store/factRuns';

/** Runs of an operation that a student can begin on a day, at most. */
const MOST_RUNS_A_DAY = 20;

/** Which facts a student works on, in minutes a run; none where the class has none. */
export function factsFor(habits: Habits, grade: number): { operation: Operation; minutes: number }[] {
	if (habits.factMinutes === 0) return [];
	const operations = habits.factOperations ?? usualOperations(grade);
	return operations.map((operation) => ({ operation, minutes: habits.factMinutes }));
}

/** Begins a run of facts, or goes on with the one that is open today. @returns null where the class has no such facts */
export async function beginFacts(
	{ database, at }: App.Locals,
	student: SignedInStudent,
	operation: Operation
): Promise<number | null> {
	const { today } = await findSchool(database, student.schoolId, at);
	const facts = factsFor(await habitsOf(database, student.id, today), student.grade);
	const own = facts.find((one) => one.operation === operation);
	if (!own) return null;
	const runs = (await factRunsOn(database, student.id, today)).filter((run) => run.operation === operation);
	const open = runs.find(({ isEnded }) => !isEnded);
	if (open) return open.id;
	if (runs.length >= MOST_RUNS_A_DAY) return null;
	return beginFactRun(database, student.id, { ...own, day: today, number: runs.length + 1 }, at);
}

/** A run with all that its student's device needs to choose the next facts by itself. Null for none of theirs. */
export async function factRunPage({ database }: App.Locals, student: SignedInStudent, id: number) {
	const run: FactRun | null = await findFactRun(database, student.id, id);
	if (!run) return null;
	const tries = await factTries(database, student.id, run.operation);
	return {
		run,
		grade: student.grade,
		before: tries.filter(({ runId }) => runId !== run.id).map(withoutRun),
		/** Of this run, where it goes on. */
		during: tries
			.filter(({ runId }) => runId === run.id)
			.sort((a, b) => a.position - b.position)
			.map(withoutRun)
	};
}

const withoutRun = ({ first, second, correct, milliseconds }: Awaited<ReturnType<typeof factTries>>[number]) => ({
	first,
	second,
	correct,
	milliseconds
});
