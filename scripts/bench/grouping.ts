import loadHighs from 'highs';
import { solveGrouping } from '../../src/lib/core/grouping';
import { generateProblem } from '../../src/lib/core/grouping/generate';
import { worth } from '../../src/lib/core/grouping/arrangement';
import { runHighs, writeProgram } from '../../src/lib/core/grouping/integerProgram';
import { indexProblem, type GroupingProblem } from '../../src/lib/core/grouping/problem';

const SIZES = [
	{ students: 40, slots: 16, focuses: 30 },
	{ students: 120, slots: 16, focuses: 30 },
	{ students: 240, slots: 32, focuses: 60 }
];
/** After how long (ms) the two are compared. */
const LOOKS = [200, 500, 1_000, 2_000];
/** How long the bound is proven for, and how long HiGHS alone may take to come within 1%. */
const LONGEST_MS = 40_000;

/** What a solver had reached after some time: objectives, each with the milliseconds since it began. */
class Course {
	private readonly began = performance.now();
	private readonly reached: { after: number; objective: number }[] = [];
	bound = Infinity;

	add(objective: number): void {
		if (objective > (this.reached.at(-1)?.objective ?? 0))
			this.reached.push({ after: performance.now() - this.began, objective });
	}

	at(after: number): number {
		return this.reached.findLast((one) => one.after <= after)?.objective ?? 0;
	}

	/** Milliseconds until an objective was reached; null when it never was. */
	until(objective: number): number | null {
		return this.reached.find((one) => one.objective >= objective)?.after ?? null;
	}
}

async function ours(problem: GroupingProblem): Promise<Course> {
	const course = new Course();
	const result = await solveGrouping(problem, {
		timeLimitMs: LONGEST_MS,
		relativeGap: 0.002,
		clock: () => performance.now(),
		onProgress: ({ objective }) => course.add(objective)
	});
	course.bound = result.bound;
	return course;
}

/** HiGHS by itself, from nothing, until it has proven 1% or its time is over. */
async function highsAlone(problem: GroupingProblem): Promise<Course & { tookMs: number }> {
	const highs = await loadHighs();
	const indexed = indexProblem(problem);
	const course = new Course();
	const began = performance.now();
	runHighs(
		highs,
		indexed,
		writeProgram(indexed),
		null,
		{ timeLimitMs: LONGEST_MS, relativeGap: 0.01 },
		{
			onSolution: (arrangement) => course.add(worth(indexed, arrangement)),
			onBound: (bound) => (course.bound = Math.min(course.bound, bound)),
			shouldStop: () => performance.now() - began > LONGEST_MS
		}
	);
	return Object.assign(course, { tookMs: performance.now() - began });
}

/** Our search and HiGHS alone on the same made-up problems, against the better of the bounds that were proven. */
export async function benchGrouping(): Promise<void> {
	for (const size of SIZES) {
		const problem = generateProblem(size, 1);
		const [own, alone] = [await ours(problem), await highsAlone(problem)];
		const bound = Math.min(own.bound, alone.bound);
		const share = (objective: number) => `${((100 * objective) / bound).toFixed(1)}%`;
		const looks = LOOKS.map((after) => `${after} ms ${share(own.at(after))} (HiGHS alone ${share(alone.at(after))})`);
		const seconds = (milliseconds: number) => `${(milliseconds / 1_000).toFixed(1)} s`;
		const reached = (part: number) => {
			const after = own.until(part * bound);
			if (after === null) return `${100 * part}% never`;
			return `${100 * part}% after ${after.toFixed(0)} ms, ${((100 * after) / alone.tookMs).toFixed(1)}% of its time`;
		};
		const within =
			alone.tookMs < LONGEST_MS
				? `needs ${seconds(alone.tookMs)} for 1%`
				: `has not proven 1% after ${seconds(alone.tookMs)}`;
		console.log(
			`grouping  ${size.students} students, of the proven bound after ${looks.join(', ')}; HiGHS alone ${within}, ours ${reached(0.97)}, ${reached(0.99)}`
		);
	}
}
