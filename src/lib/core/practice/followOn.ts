import type { StandingNow } from '../mastery';
import { masteredIn, RATHER_MASTERED, type SkillGraph } from '../mastery';
import { FAILED_OFTEN } from './warnings';

/** What can follow at or above the line: nothing, a skill that builds on these, or these mixed with some from before. */
export const ABOVE_STEPS = ['nothing', 'next skill', 'mixed'] as const;
/**
 * What can follow below it: word to the person who gave it, what comes before, an example and half of it again, or the
 * whole set once more with other questions, until it is at the line.
 */
export const BELOW_STEPS = ['notice', 'prerequisite', 'half', 'again', 'nothing'] as const;

/** What follows once a student has finished a set. */
export interface FollowRule {
	/** Percent right at the first try. */
	line: number;
	above: (typeof ABOVE_STEPS)[number];
	below: (typeof BELOW_STEPS)[number];
}

/** More work after failing discourages: unless somebody says otherwise a person hears of it, and decides. */
export const USUAL_FOLLOW: FollowRule = { line: 80, above: 'nothing', below: 'notice' };

/** Sets that may be set off in a row; then a person must look. */
export const MOST_IN_A_ROW = 2;
/** Questions of a set that follows, at least. */
const FEWEST_QUESTIONS = 3;
/** Questions from before in a mixed set, and beside them. */
const [MIXED_OLDER, MIXED_OWN] = [4, 4];

/** A run through a set that was finished. */
export interface FinishedRun {
	right: number;
	answered: number;
	/** Skills of the set, as the student had it. */
	skills: number[];
	/** Questions with help on all of them. */
	practice: number;
	rule: FollowRule;
	/** How many sets before this one were set off by another, or runs before this one through it, in a row. */
	depth: number;
}

/** What is known of the student. */
export interface FollowKnown {
	standings: Map<number, Pick<StandingNow, 'mastered'>>;
	/** Whether a set that was set off already waits for them. */
	hasOneWaiting: boolean;
	/** Skills of all that waits for them. */
	waiting: Set<number>;
	/** Whether there are questions for a skill. */
	hasItems: (skillId: number) => boolean;
	/** Finished sets under the line, in a row, of a skill. */
	failed: (skillId: number) => number;
}

/** Why there is only word to a person. */
export type NoticeReason = 'below' | 'one waits' | 'two in a row' | 'nothing fits';

export type FollowOn =
	| { kind: 'nothing' }
	| { kind: 'notice'; why: NoticeReason }
	| { kind: 'again' }
	| {
			kind: 'next skill' | 'mixed' | 'prerequisite' | 'half';
			skills: number[];
			practice: number;
			older: number;
			hasExample: boolean;
	  };

/**
 * What follows a finished set. Never more than one that was set off waits for a student, and after two in a row a person
 * is told instead; what cannot be found becomes word to a person, above the line nothing.
 */
export function followOn(run: FinishedRun, graph: SkillGraph, known: FollowKnown): FollowOn {
	const { rule, right, answered, practice } = run;
	const isAbove = answered > 0 && 100 * right >= rule.line * answered;
	const step = isAbove ? rule.above : rule.below;
	if (step === 'nothing') return { kind: 'nothing' };
	if (step === 'notice') return { kind: 'notice', why: 'below' };
	const instead = (why: NoticeReason): FollowOn => (isAbove ? { kind: 'nothing' } : { kind: 'notice', why });
	if (known.hasOneWaiting) return instead('one waits');
	if (run.depth >= MOST_IN_A_ROW) return instead('two in a row');
	if (step === 'again') return { kind: 'again' };
	const whole = { practice, older: 0, hasExample: true };
	if (step === 'mixed')
		return { kind: 'mixed', skills: run.skills, practice: MIXED_OWN, older: MIXED_OLDER, hasExample: false };
	if (step === 'half')
		return {
			...{ kind: 'half', older: 0, hasExample: true },
			skills: run.skills,
			practice: Math.max(FEWEST_QUESTIONS, Math.ceil(practice / 2))
		};
	const skill = step === 'next skill' ? nextSkill(run, graph, known) : missingBefore(run, graph, known);
	return skill === undefined ? instead('nothing fits') : { kind: step, skills: [skill], ...whole };
}

const isOffered = (skillId: number, { waiting, hasItems, failed }: FollowKnown) =>
	hasItems(skillId) && !waiting.has(skillId) && failed(skillId) < FAILED_OFTEN;

/** The first skill that builds on these, is not mastered, and lacks nothing else before it. */
function nextSkill({ skills }: FinishedRun, graph: SkillGraph, known: FollowKnown): number | undefined {
	const mastered = masteredIn(known.standings);
	const isThere = (skill: number) => skills.includes(skill) || (mastered(skill) ?? 0) >= RATHER_MASTERED;
	return graph.skills.find((skill) => {
		const before = graph.prerequisites.get(skill) ?? [];
		return (
			before.some((one) => skills.includes(one)) &&
			!skills.includes(skill) &&
			(mastered(skill) ?? 0) < RATHER_MASTERED &&
			before.every(isThere) &&
			isOffered(skill, known)
		);
	});
}

/** The prerequisite of these that is least likely mastered; none where each rather is. */
function missingBefore({ skills }: FinishedRun, graph: SkillGraph, known: FollowKnown): number | undefined {
	const mastered = masteredIn(known.standings);
	const chance = (skill: number) => mastered(skill) ?? RATHER_MASTERED;
	return skills
		.flatMap((skill) => graph.prerequisites.get(skill) ?? [])
		.filter((one) => !skills.includes(one) && mastered(one) !== null && chance(one) < RATHER_MASTERED)
		.filter((one) => isOffered(one, known))
		.sort((a, b) => chance(a) - chance(b))[0];
}
