import { normalCdf } from '../measurement';
import type { Level } from './levelGrid';

/** How well a skill's usual question tells students apart, as questions do whose answers are not counted yet. */
export const USUAL_DISCRIMINATION = 1.2;
/** The share of right first tries from which a skill is mastered. */
export const MASTERED_SHARE = 0.7;
/** The share under which a skill may be a gap. */
export const GAP_SHARE = 0.5;

/** How sure it must be that a share is reached to say Secure, and that it is not to say Gap. */
export const SURE = { secure: 0.85, gap: 0.8 };

/** The share of right first tries on a skill's usual question, answered without luck, at a level in logits. */
export const shareAt = (level: number, difficulty: number): number =>
	1 / (1 + Math.exp(-USUAL_DISCRIMINATION * (level - difficulty)));

/** The level in logits at which a share of first tries on the usual question is right. @param share between 0 and 1 */
export const levelFor = (share: number, difficulty: number): number =>
	difficulty + Math.log(share / (1 - share)) / USUAL_DISCRIMINATION;

/**
 * The chance that a student's share of right first tries on a skill's usual question is at least so much.
 *
 * @param level in logits
 * @param difficulty of the usual question, in logits
 * @param share between 0 and 1
 */
export function shareAtLeast({ mean, standardError }: Level, difficulty: number, share: number): number {
	return normalCdf((mean - levelFor(share, difficulty)) / standardError);
}

/** The middle of the share and its 80% band. */
export function shareBand({ mean, standardError }: Level, difficulty: number) {
	const at = (away: number) => shareAt(mean + away * standardError, difficulty);
	return { value: at(0), lower: at(-BAND_80), upper: at(BAND_80) };
}

/** Standard errors to either side that hold 80%. */
const BAND_80 = 1.2815515655446004;
