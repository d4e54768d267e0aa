import { weeksBetween } from '../../core/calendar';
import { aimline, baseline, forecast, MINIMUM_PROBES, MINIMUM_WEEKS, theilSen } from '../../core/growth';
import type { ProbeSeries } from './store/probes';

/** What the probes of a plan say, as far as there are enough of them. */
export function readSeries(plan: ProbeSeries) {
	const goal = { x: weeksBetween(plan.startsOn, plan.goalOn), y: plan.goalCorrect };
	const { probes } = plan;
	const weeks = probes.length ? probes[probes.length - 1].x - probes[0].x : 0;
	const enough = probes.length >= MINIMUM_PROBES && weeks >= MINIMUM_WEEKS;
	return {
		...plan,
		goal,
		baseline: baseline(probes),
		aimline: aimline(probes, goal),
		trend: enough ? theilSen(probes, 0.8) : null,
		forecast: enough ? forecast(probes, goal) : null,
		missing: enough
			? null
			: {
					probes: Math.max(0, MINIMUM_PROBES - probes.length),
					weeks: Math.max(0, Math.ceil(10 * (MINIMUM_WEEKS - weeks)) / 10)
				}
	};
}
