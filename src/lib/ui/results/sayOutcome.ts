import type { SittingKind } from '$lib/core/measurement';
import type { Outcome } from '$lib/core/results';
import { plural } from '$lib/core/words';

/** How a question went, in words. */
export const OUTCOME_WORDS: Record<Outcome, string> = {
	'first try': 'right at the first try',
	later: 'right at a later try',
	missed: 'missed',
	unanswered: 'not answered'
};

/** Kinds of work, as a student's answers are told by. */
export const KIND_WORDS: Record<SittingKind, string> = {
	diagnostic: 'diagnostic',
	practice: 'practice given',
	probe: 'weekly probe',
	level: 'level check',
	check: 'skill check',
	review: 'a few from before',
	free: 'own choice'
};

/** One question of one student: `missed, 2 tries, 34 s, with a hint`. */
export function sayCell({
	outcome,
	tries,
	seconds,
	hints
}: {
	outcome: Outcome;
	tries: number;
	seconds: number;
	hints: number;
}): string {
	if (outcome === 'unanswered') return OUTCOME_WORDS.unanswered;
	return [OUTCOME_WORDS[outcome], plural(tries, 'try', 'tries'), `${seconds} s`, hints > 0 && 'with a hint']
		.filter(Boolean)
		.join(', ');
}

/** Time on questions: `4:05`. */
export const sayTime = (milliseconds: number): string => {
	const seconds = Math.round(milliseconds / 1_000);
	return `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`;
};
