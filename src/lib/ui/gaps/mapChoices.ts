import type { NeedleFilter } from '$lib/core/mastery';

/** What needles can be narrowed to, in words. */
export const NEEDLES: Record<NeedleFilter, string> = {
	all: 'all needles',
	gaps: 'gaps',
	ready: 'ready next',
	slipping: 'slipping',
	thin: 'little evidence'
};

/** Orders of the map's rows, in words. */
export const ROW_ORDERS = {
	class: 'class and name',
	gaps: 'most gaps first',
	ready: 'most ready next first',
	secure: 'most secure first',
	forming: 'most forming first',
	slipping: 'most slipping first',
	level: 'working level',
	tier: 'tier'
} as const;
