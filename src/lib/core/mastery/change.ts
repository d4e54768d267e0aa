import { ownStanding, type CellLook } from './cell';
import type { Standing } from './standing';

/** How a standing has gone between two days. */
export type StandingChange = 'risen' | 'fallen' | 'first seen' | 'no longer seen' | 'same';

const RANK: Record<Exclude<Standing, 'unseen'>, number> = { gap: 0, forming: 1, slipping: 1, secure: 2 };

/**
 * How a standing has gone from one cell to another: only what answers say counts. A skill that slips has fallen from secure;
 * to be forming or slipping is the same height. `no longer seen` comes of a sitting that was set aside.
 */
export function standingChange(before: CellLook, now: CellLook): StandingChange {
	const [from, to] = [ownStanding(before), ownStanding(now)];
	if (from === to) return 'same';
	if (from === 'unseen') return 'first seen';
	if (to === 'unseen') return 'no longer seen';
	return RANK[to] > RANK[from] ? 'risen' : RANK[to] < RANK[from] ? 'fallen' : 'same';
}
