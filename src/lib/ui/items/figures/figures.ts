import type { Figure } from '$lib/core/items';

export type FigureOf<Kind extends Figure['kind']> = Extract<Figure, { kind: Kind }>;

/** What every figure component is given: what to draw, and the same in words. */
export interface Drawing<Kind extends Figure['kind']> {
	figure: FigureOf<Kind>;
	words: string;
}

export const range = (count: number) => Array.from({ length: Math.max(0, count) }, (_, i) => i);

/** A point on a circle around (60, 60), by degrees clockwise from the top. */
export function onClock(degrees: number, radius: number): { x: number; y: number } {
	const angle = ((degrees - 90) * Math.PI) / 180;
	return { x: 60 + radius * Math.cos(angle), y: 60 + radius * Math.sin(angle) };
}
