import { USUAL_FOLLOW, type FollowRule } from './followOn';

/** When a student is told whether an answer was right. */
export const FEEDBACK_TIMES = ['at once', 'at the end', 'after the due date', 'none'] as const;
export type FeedbackTime = (typeof FEEDBACK_TIMES)[number];

/** Most questions with help. */
export const MOST_QUESTIONS = 30;
/** Most weeks that one set after another is laid out over. */
export const MOST_WEEKS = 8;
/** Most skills of a set that all its students work on. */
export const MOST_SKILLS = 6;
/** Most skills that can be picked at once, as all of a domain; more than a set has are parted into several. */
export const MOST_PICKED = 48;
/** Skills of each of several sets that many are parted into. */
const SKILLS_A_SET = 3;
/** From so many on a set is likely to be too much at once. */
export const MANY_SKILLS = 4;
/** Questions of a check at the end, on each skill that has one. */
export const CHECK_QUESTIONS = 2;
/** Questions of the check where there is only that, after a lesson. */
export const LESSON_CHECK = 5;
/** How many questions on skills from before can be mixed in. */
export const OLDER_QUESTIONS = [0, 2, 4] as const;

/** A skill of a set, with its parts. */
export interface SetSkill {
	skillId: number;
	/** Questions with help, and after them some without. */
	practice: number;
	checks: number;
	/** A worked example before the first question. */
	hasExample: boolean;
}

/** How a set is worked on. */
export interface SetHow extends FollowRule {
	/** Questions on skills from before, mixed in; which ones is each student's own. */
	older: number;
	/** Ends once so many are right at the first try; its questions are then the most there can be. Null: all are asked. */
	untilRight: number | null;
	/** Whether each student gets numbers of their own, or all the same questions. */
	ownQuestions: boolean;
	feedback: FeedbackTime;
	hints: boolean;
	secondTry: boolean;
	solutions: boolean;
	/** Whether a student may stop and go on later; else it is done in one go. */
	pausing: boolean;
	/** Whether only counts that it is done, not how well: no score is told, and nothing follows from one. */
	doneOnly: boolean;
}

/** How a set is worked on unless somebody says otherwise. */
export const USUAL_HOW: SetHow = {
	older: 0,
	untilRight: null,
	ownQuestions: false,
	feedback: 'at once',
	hints: true,
	secondTry: true,
	solutions: true,
	pausing: true,
	doneOnly: false,
	...USUAL_FOLLOW
};

/** What is otherwise for a student within a set; null where it is as for the others. */
export interface Variation {
	/** Questions with help, on all skills together. */
	practice: number | null;
	families: 'easier' | 'harder' | null;
	hints: boolean | null;
	readAloud: boolean | null;
	largerType: boolean | null;
}

export const NO_VARIATION: Variation = {
	practice: null,
	families: null,
	hints: null,
	readAloud: null,
	largerType: null
};

/**
 * Gives out so many questions over skills in the proportion in which these have them, as whole numbers (largest
 * remainders, Hamilton 1792); where there are enough for all, each skill keeps one at least.
 *
 * @throws RangeError without a skill
 */
export function shareOut(questions: number, counts: number[]): number[] {
	if (counts.length === 0) throw new RangeError('No skill to give questions to');
	const sum = counts.reduce((all, count) => all + count, 0);
	const weights = sum > 0 ? counts : counts.map(() => 1);
	const total = sum || counts.length;
	const atLeast = questions >= counts.length ? 1 : 0;
	const exact = weights.map((weight) => Math.max(atLeast, (questions * weight) / total));
	const shares = exact.map(Math.floor);
	const byRemainder = exact
		.map((share, place) => ({ place, left: share - Math.floor(share) }))
		.sort((one, other) => other.left - one.left || one.place - other.place);
	let left = questions - shares.reduce((all, share) => all + share, 0);
	for (const { place } of byRemainder) if (left > 0) [shares[place], left] = [shares[place] + 1, left - 1];
	// Where each kept one, some may have to come from those with most.
	for (; left < 0; left++) shares[shares.indexOf(Math.max(...shares))]--;
	return shares;
}

/** The sets that skills become, in their order: one, or where there are more than a set has, several of much the same size. */
export function setsOf<Skill>(skills: Skill[]): Skill[][] {
	if (skills.length <= MOST_SKILLS) return [skills];
	const count = Math.ceil(skills.length / SKILLS_A_SET);
	const begin = (set: number) => Math.round((set * skills.length) / count);
	return Array.from({ length: count }, (_, set) => skills.slice(begin(set), begin(set + 1)));
}

/** Questions of a set as a student gets it: with what is otherwise for them. */
export function questionsFor(
	skills: SetSkill[],
	{ older }: Pick<SetHow, 'older'>,
	{ practice }: Pick<Variation, 'practice'>
): number {
	const usual = skills.reduce((sum, skill) => sum + skill.practice, 0);
	return (practice ?? usual) + skills.reduce((sum, skill) => sum + skill.checks, 0) + older;
}
