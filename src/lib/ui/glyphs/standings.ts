import { plural } from '$lib/core/words';
import { addDays, sayDay } from '$lib/core/calendar';
import type { Cell, Standing, StandingNow } from '$lib/core/mastery';

export type NeedleState = Standing;

export const standingWords: Record<NeedleState, string> = {
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

/** Days in words by how long ago they were, for the day they were last asked on: a map asks for thousands. */
const said = { today: '', days: new Map<number, string>() };
function sayDaysAgo(today: string, daysAgo: number): string {
	if (said.today !== today) Object.assign(said, { today, days: new Map() });
	const known = said.days.get(daysAgo) ?? sayDay(addDays(today, -daysAgo));
	said.days.set(daysAgo, known);
	return known;
}

/** A cell of the needle map in words; with the day of its last answer where today is told. */
export function describeCell({ standing, inferred, answers, readyNext, daysAgo }: Cell, today?: string): string {
	const now = inferred
		? { standing: 'unseen' as const, inferred: standing as StandingNow['inferred'], answers }
		: { standing, inferred: null, answers };
	const nothingKnown = standing === 'unseen' && !inferred;
	const last = today && daysAgo !== null ? `, last on ${sayDaysAgo(today, daysAgo)}` : '';
	return describeStanding(nothingKnown ? undefined : now) + last + (readyNext ? '; ready next' : '');
}
