import type { StandingNow } from '$lib/core/mastery';

export type NeedleState = 'gap' | 'forming' | 'secure' | 'slipping' | 'unseen';

/** Degrees that the needle turns from straight up. */
export const turns: Record<Exclude<NeedleState, 'unseen'>, number> = {
	secure: 0,
	forming: 90,
	slipping: 135,
	gap: 180
};

export const standingWords: Record<NeedleState, string> = {
	gap: 'Gap',
	forming: 'Forming',
	secure: 'Secure',
	slipping: 'Slipping',
	unseen: 'Unseen'
};

/** A standing in words, with what it rests on. An inferred one is never called by the name of a standing. */
export function describeStanding(
	now: Pick<StandingNow, 'standing' | 'inferred' | 'answers' | 'probability'> | undefined
): string {
	if (!now) return 'Unseen: nothing is known yet';
	const answers = `${now.answers} ${now.answers === 1 ? 'answer' : 'answers'}`;
	if (now.standing !== 'unseen') return `${standingWords[now.standing]}, from ${answers}`;
	const likely = { gap: 'probably not yet known', forming: 'could be either', secure: 'probably known' }[
		now.inferred ?? 'forming'
	];
	return `Unseen (${answers}); ${likely}, going by the domain as a whole`;
}
