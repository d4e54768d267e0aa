import { sayDate, sayDay, weeksBetween } from '../calendar';
import { plural, sayShareBand } from '../words';
import type { Cell } from './cell';
import { shareBand } from './share';
import type { Standing, StandingNow } from './standing';
import { dayOfNumber } from './storedDay';

export const standingWords: Record<Standing, string> = {
	gap: 'Gap',
	forming: 'Forming',
	secure: 'Secure',
	slipping: 'Slipping',
	unseen: 'Unseen'
};

const inferredWords = { gap: 'probably not yet there', forming: 'could be either', secure: 'probably there' };

/** A standing in words, with what it rests on. An inferred one is never called by the name of a standing. */
export function describeStanding(now: Pick<StandingNow, 'standing' | 'inferred' | 'answers'> | undefined): string {
	if (!now) return 'Unseen: nothing is known yet';
	const answers = `${plural(now.answers, 'answer')}`;
	if (now.standing !== 'unseen') return `${standingWords[now.standing]}, from ${answers}`;
	return `Unseen (${answers}); ${inferredWords[now.inferred ?? 'forming']}, going by what is near`;
}

/** Weeks without an answer from which it is said how old a standing is. */
const OLD_WEEKS = 6;

/** A standing in full: the share of usual questions that are right, with its band, what it rests on, and how old that is. */
export function sayStanding(now: StandingNow | undefined, today: string): string {
	if (!now) return describeStanding(now);
	const share = sayShareBand(shareBand(now.level, now.difficulty));
	const weeks = now.lastOn ? Math.floor(weeksBetween(now.lastOn, today)) : 0;
	const newest = now.lastOn ? `, newest ${sayDate(now.lastOn)}` : '';
	const old = weeks >= OLD_WEEKS ? `; not seen for ${weeks} weeks` : '';
	return now.standing === 'unseen'
		? `${describeStanding(now)}: right on ${share}`
		: `${standingWords[now.standing]}: right on ${share}; from ${plural(now.answers, 'answer')}${newest}${old}`;
}

/** Days in words by their number, since a map asks for thousands. */
const daysSaid = new Map<number, string>();
function sayDayNumber(number: number): string {
	const known = daysSaid.get(number) ?? sayDay(dayOfNumber(number)!);
	daysSaid.set(number, known);
	return known;
}

/** A cell of the needle map in words, with the day of its last answer. */
export function describeCell({ standing, inferred, answers, readyNext, isSure, lastDay }: Cell): string {
	const now = inferred
		? { standing: 'unseen' as const, inferred: standing as StandingNow['inferred'], answers }
		: { standing, inferred: null, answers };
	const last = lastDay === null ? '' : `, last on ${sayDayNumber(lastDay)}`;
	const rough = isSure || inferred ? '' : '; known only roughly';
	const isUnknown = standing === 'unseen' && !inferred;
	return describeStanding(isUnknown ? undefined : now) + last + rough + (readyNext ? '; ready next' : '');
}
