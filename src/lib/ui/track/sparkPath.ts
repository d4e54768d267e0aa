import type { SeriesReading } from '$lib/core/growth';
import { placesOf } from './seriesChart';

/** Pixels of a sparkline, and what is left free at its edges for dots. */
const [WIDTH, HEIGHT, EDGE] = [110, 26, 3];
export const SPARK = { width: WIDTH, height: HEIGHT };

/** What it needs of a reading. */
export interface SparkReading {
	probes: Pick<SeriesReading['probes'][number], 'week' | 'right' | 'of'>[];
	levels: SeriesReading['levels'];
}

/** A series as a line of a table draws it: dots of probes, the level, and its band as one outline. */
export function sparkPath({ probes, levels }: SparkReading, weeks: number) {
	const across = (place: number) => EDGE + ((place + 0.5) / (weeks + 1)) * (WIDTH - 2 * EDGE);
	const up = (share: number) => HEIGHT - EDGE - share * (HEIGHT - 2 * EDGE);
	// Levels are told in questions of the last probe.
	const of = probes[probes.length - 1].of;
	const x = placesOf(probes).map(across);
	const point = (at: number, y: number) => `${at.toFixed(1)},${y.toFixed(1)}`;
	const upper = levels.map((level, i) => point(x[i], up(level.upper / of)));
	const lower = levels.map((level, i) => point(x[i], up(level.lower / of)));
	return {
		dots: probes.map(({ right, of: all }, i) => ({ x: x[i], y: up(right / all) })),
		level: levels.map(({ value }, i) => point(x[i], up(value / of))).join(' '),
		band: [...upper, ...lower.reverse()].join(' ')
	};
}
