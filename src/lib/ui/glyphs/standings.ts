import type { Cell, StandingNow } from '$lib/core/mastery';

export type NeedleState = 'gap' | 'forming' | 'secure' | 'slipping' | 'unseen';

export const standingWords: Record<NeedleState, string> = {
	gap: 'Gap',
	forming: 'Forming',
	secure: 'Secure',
	slipping: 'Slipping',
	unseen: 'Unseen'
};

const inferredWords = { gap: 'probably not yet known', forming: 'could be either', secure: 'probably known' };

/** A standing in words, with what it rests on. An inferred one is never called by the name of a standing. */
export function describeStanding(now: Pick<StandingNow, 'standing' | 'inferred' | 'answers'> | undefined): string {
	if (!now) return 'Unseen: nothing is known yet';
	const answers = `${now.answers} ${now.answers === 1 ? 'answer' : 'answers'}`;
	if (now.standing !== 'unseen') return `${standingWords[now.standing]}, from ${answers}`;
	return `Unseen (${answers}); ${inferredWords[now.inferred ?? 'forming']}, going by the domain as a whole`;
}

/** A cell of the needle map in words. */
export function describeCell({ standing, inferred, answers, readyNext }: Cell): string {
	const now = inferred
		? { standing: 'unseen' as const, inferred: standing as StandingNow['inferred'], answers }
		: { standing, inferred: null, answers };
	const nothingKnown = standing === 'unseen' && !inferred;
	return describeStanding(nothingKnown ? undefined : now) + (readyNext ? '; ready next' : '');
}
