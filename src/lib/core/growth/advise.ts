import { PROBE_ITEMS } from './probe';
import { number, sayChance, plural } from '../words';
import type { Standing } from '../mastery';
import { aimAt, aimline, baseline, forecast, type Forecast } from './forecast';
import { theilSen, type Point } from './regression';

export type Verdict = 'continue' | 'adjust' | 'intensify' | 'fade' | 'exit';
export type Advice = Verdict | 'not enough yet';

/** No advice before this many probes and this many weeks. */
export const MINIMUM_PROBES = 6;
export const MINIMUM_WEEKS = 4;
/** Under this share of planned sessions, the plan has not been tried: deliver first. */
const MINIMUM_DOSAGE = 0.6;

/** All that a review looks at. Probes and goal in items right; x in weeks since the plan's start. */
interface ReviewEvidence {
	probes: Point[];
	goal: Point;
	/** Standing on each focus skill now. */
	focusStandings: Standing[];
	sessionsPlanned: number;
	sessionsAttended: number;
}

export interface Recommendation {
	advice: Advice;
	/** Plain sentences, the deciding one first. */
	reasons: string[];
	forecast: Forecast | null;
}

const one = (value: number) => number(value, 1);
/** A forecast in words stays within what a probe can show. */
const ofProbe = (value: number) => `${one(Math.min(PROBE_ITEMS, Math.max(0, value)))} of ${PROBE_ITEMS}`;

/**
 * What the numbers advise at a review. In this order:
 * 1. under 6 probes or 4 weeks: not enough yet;
 * 2. focus secure, the last three probes at or over the goal: exit; with the chance of holding it under 80%: fade;
 * 3. last four probes all under the aimline (four-point rule, after Stecker & Fuchs 2000): deliver first when under
 *    60% of sessions took place (adjust); intensify when the slope's 80% interval lies under half the needed growth
 *    and the goal is unlikely (chance under 20%); adjust otherwise;
 * 4. goal unlikely (chance under 20%): adjust; otherwise continue.
 */
export function advise(evidence: ReviewEvidence): Recommendation {
	const probes = [...evidence.probes].sort((a, b) => a.x - b.x);
	const { goal } = evidence;
	const weeks = probes.length ? probes[probes.length - 1].x - probes[0].x : 0;
	if (probes.length < MINIMUM_PROBES || weeks < MINIMUM_WEEKS) {
		const missing = [
			probes.length < MINIMUM_PROBES && plural(MINIMUM_PROBES - probes.length, 'more probe'),
			weeks < MINIMUM_WEEKS && `${one(MINIMUM_WEEKS - weeks)} more weeks`
		].filter(Boolean);
		return {
			advice: 'not enough yet',
			reasons: [
				`${probes.length} probes over ${one(weeks)} weeks so far; still needed: ${missing.join(' and ')}, before the numbers say anything.`
			],
			forecast: null
		};
	}
	const ahead = forecast(probes, goal);
	const line = aimline(probes, goal)!;
	const robust = theilSen(probes, 0.8);
	const dosage = evidence.sessionsPlanned === 0 ? null : evidence.sessionsAttended / evidence.sessionsPlanned;
	const trend = `Growth is ${one(robust.slope)} items a week (80% interval ${one(robust.interval[0])} to ${one(robust.interval[1])}); the aimline needs ${one(line.slope)}.`;
	const outlook = `The forecast for the goal date is ${ofProbe(ahead.expected)} against a goal of ${one(goal.y)} (${sayChance(ahead.chanceOfGoal)} likely to be reached).`;
	const delivered =
		dosage === null
			? 'No sessions were planned, so dosage is not known.'
			: `${evidence.sessionsAttended} of ${evidence.sessionsPlanned} planned sessions were attended.`;
	const answer = (advice: Advice, ...reasons: string[]): Recommendation => ({ advice, reasons, forecast: ahead });

	const focusSecure = evidence.focusStandings.length > 0 && evidence.focusStandings.every((s) => s === 'secure');
	const lastThree = probes.slice(-3);
	const atGoal = lastThree.every((p) => p.y >= goal.y);
	if (atGoal && focusSecure) {
		const reached = `The last three probes are at or over the goal of ${one(goal.y)}, and the focus skill is secure.`;
		if (ahead.chanceOfGoal >= 0.8) return answer('exit', reached, outlook, delivered);
		return answer('fade', reached, `${outlook} That is not sure enough to stop at once.`, delivered);
	}
	const lastFour = probes.slice(-4);
	if (lastFour.every((p) => p.y < aimAt(line, p.x))) {
		const under = 'The last four probes are all under the aimline.';
		if (dosage !== null && dosage < MINIMUM_DOSAGE) {
			return answer(
				'adjust',
				`${under} But under 60% of the sessions took place: deliver the plan before changing the tier.`,
				delivered,
				trend
			);
		}
		if (robust.interval[1] < line.slope / 2 && ahead.chanceOfGoal < 0.2) {
			return answer(
				'intensify',
				`${under} Even the favorable end of the trend grows less than half as fast as needed.`,
				trend,
				outlook,
				delivered
			);
		}
		return answer('adjust', under, trend, outlook, delivered);
	}
	if (ahead.chanceOfGoal < 0.2)
		return answer('adjust', 'The goal is unlikely at this pace.', outlook, trend, delivered);
	return answer(
		'continue',
		baseline(probes)! >= goal.y
			? 'The student is near the goal and keeps there.'
			: 'Recent probes keep to the aimline.',
		outlook,
		trend,
		delivered
	);
}
