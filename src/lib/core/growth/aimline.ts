import { median, type Point } from './regression';

/** Probes from which the baseline is taken. */
const BASELINE_PROBES = 3;

/** Baseline: the median of the first three probes; null while there are fewer. */
export function baseline(probes: Point[]): number | null {
	if (probes.length < BASELINE_PROBES) return null;
	return median(
		[...probes]
			.sort((a, b) => a.x - b.x)
			.slice(0, BASELINE_PROBES)
			.map((p) => p.y)
	);
}

/** A straight line from the baseline, placed at the first three probes' middle week, to the goal. */
export interface Aimline {
	from: Point;
	to: Point;
	/** Needed growth a week. */
	slope: number;
}

/** The aimline, or null while there is no baseline. `goal.x` is the goal's week and lies after the baseline. */
export function aimline(probes: Point[], goal: Point): Aimline | null {
	const start = baseline(probes);
	if (start === null) return null;
	const first = [...probes].sort((a, b) => a.x - b.x).slice(0, BASELINE_PROBES);
	const from = { x: median(first.map((p) => p.x)), y: start };
	return { from, to: goal, slope: (goal.y - from.y) / Math.max(goal.x - from.x, 1e-9) };
}

/** Height of the aimline in a week. */
export function aimAt(line: Aimline, x: number): number {
	return line.from.y + line.slope * (x - line.from.x);
}
