import type { FollowOn, FollowRule, NoticeReason } from '$lib/core/practice';

export const ABOVE_WORDS: Record<FollowRule['above'], string> = {
	nothing: 'nothing more',
	'next skill': 'the next skill that builds on it',
	mixed: 'the same mixed with some from before'
};

export const BELOW_WORDS: Record<FollowRule['below'], string> = {
	notice: 'only a notice to me',
	prerequisite: 'the prerequisite that is missing',
	half: 'a worked example and half the questions',
	again: 'the set once more with other questions',
	nothing: 'nothing more'
};

/** The sentence of what will happen after a set. */
export function sayFollow({ line, above, below, doneOnly }: FollowRule & { doneOnly: boolean }): string {
	if (doneOnly) return 'Nothing follows: only counts whether it is done.';
	if (above === 'nothing' && below === 'nothing') return 'Nothing follows.';
	const up =
		above === 'nothing' ? '' : `At ${line}% or more right at the first try, ${ABOVE_WORDS[above]} follows by itself.`;
	const down =
		below === 'nothing'
			? ''
			: below === 'notice'
				? `Under ${line}% who assigned it is told, on their page of sets; no more work comes by itself.`
				: `Under ${line}%, ${BELOW_WORDS[below]} follows by itself.`;
	const limits =
		above === 'nothing' && (below === 'nothing' || below === 'notice')
			? ''
			: 'Never more than one that waits, and after two in a row a person is told instead. It can be taken back.';
	return [up, down, limits].filter(Boolean).join(' ');
}

export const NOTICE_WORDS: Record<NoticeReason, string> = {
	below: 'under the line',
	'one waits': 'under the line; what followed before still waits',
	'two in a row': 'under the line after two sets that followed in a row: time for a person',
	'nothing fits': 'under the line, and no prerequisite is known to be missing'
};

export const FOLLOW_WORDS: Record<Exclude<FollowOn['kind'], 'nothing' | 'notice'>, string> = {
	'next skill': 'next skill',
	mixed: 'mixed with some from before',
	prerequisite: 'prerequisite',
	half: 'example and half the questions',
	again: 'the set once more'
};
