import { sayDay } from '$lib/core/calendar';
import { PROBE_ITEMS, type Aimline, type Forecast, type Point } from '$lib/core/growth';
import type { Sessions } from '$lib/core/timetable';
import { number, plural, sayChance } from '$lib/core/words';

/** What weekly probes say, as far as there are enough of them. */
export interface ReadProbes {
	probes: Point[];
	goal: Point;
	goalOn: string;
	baseline: number | null;
	aimline: Aimline | null;
	trend: { slope: number; intercept: number; interval: [number, number] } | null;
	forecast: Forecast | null;
	/** What is still needed before a trend is said; null where there is enough. */
	missing: { probes: number; weeks: number } | null;
	sessions: Sessions | null;
	/** Minutes of practice since the series began. */
	practiced: number;
}

const one = (value: number) => number(value, 1);

/** Growth and forecast in a sentence, or what is still needed for it. */
export function sayProbes({ missing, trend, forecast, aimline, goal, goalOn }: ReadProbes): string {
	if (missing) {
		const parts = [
			missing.probes && plural(missing.probes, 'more probe'),
			missing.weeks && `${missing.weeks} more weeks`
		].filter(Boolean);
		return `Not enough yet for a trend: ${parts.join(' and ')} to go.`;
	}
	const expected = one(Math.max(0, Math.min(PROBE_ITEMS, forecast!.expected)));
	const [low, high] = trend!.interval;
	return `Growing ${one(trend!.slope)} items a week (80% interval ${one(low)} to ${one(high)}); the aimline needs ${one(aimline!.slope)}. Forecast for ${sayDay(goalOn)}: ${expected} of ${PROBE_ITEMS}, ${sayChance(forecast!.chanceOfGoal)} likely to reach ${goal.y}.`;
}
