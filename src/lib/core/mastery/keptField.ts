import type { SchoolDate } from '../calendar';
import { answerTrail, followAnswers, type FieldAnswer } from './changes';
import { estimateField } from './estimateField';
import type { FieldPrior } from './fieldSites';
import type { SkillField } from './field';
import { GRID, levelOf, weigh, type Level } from './levelGrid';
import { SURE, shareAtLeast, MASTERED_SHARE } from './share';

/** An answer with the sitting that it was given in. */
export interface SittingAnswer extends FieldAnswer {
	sittingId: number;
}

/** What is kept of a student and a skill: all that a standing follows from, but for the skill itself. */
export interface KeptSkill {
	level: Level;
	/** First tries on the skill. */
	answers: number;
	lastOn: SchoolDate | null;
	/** Whether the own answers are enough to be called Secure: 4 on 2 days, or 5 in one sitting. */
	isEnough: boolean;
	/** Whether sittings on two days or more ended with the skill Secure. */
	wasSecure: boolean;
}

/**
 * What is kept of a student on every skill of a field, in their order, from all answers that count.
 *
 * @param answers of each skill in the order they were given
 * @throws RangeError for an answer on a skill that the field does not have
 */
export function keepField(field: SkillField, answers: SittingAnswer[], prior: FieldPrior): KeptSkill[] {
	const { mean, standardError, cavities } = estimateField(field, answers, prior);
	const own = new Map<string, SittingAnswer[]>();
	for (const answer of answers) own.set(answer.skill, [...(own.get(answer.skill) ?? []), answer]);
	return field.skills.map(({ code, difficulty }, k) => {
		const given = own.get(code) ?? [];
		const days = new Set(given.map(({ on }) => on)).size;
		const around = cavities.get(code);
		return {
			level: { mean: mean[k], standardError: standardError[k] },
			answers: given.length,
			lastOn: given.at(-1)?.on ?? null,
			isEnough: isEnough(given),
			wasSecure: days > 1 && around !== undefined && daysSecure(field, given, around, prior.mean, difficulty) > 1
		};
	});
}

/** 4 answers on 2 days, or 5 in one sitting. */
function isEnough(given: SittingAnswer[]): boolean {
	if (given.length >= 4 && new Set(given.map(({ on }) => on)).size >= 2) return true;
	const bySitting = new Map<number, number>();
	for (const { sittingId } of given) bySitting.set(sittingId, (bySitting.get(sittingId) ?? 0) + 1);
	return Math.max(0, ...bySitting.values()) >= 5;
}

/**
 * On how many days a sitting ended with the skill Secure, by its own answers up to then and by what all else says now: so
 * that what has gone since has gone by answers on the skill.
 */
function daysSecure(
	field: SkillField,
	given: SittingAnswer[],
	around: Level,
	middle: number,
	difficulty: number
): number {
	const days = new Set<SchoolDate>();
	const weights = weigh(
		{ mean: around.mean - middle, standardError: around.standardError },
		new Float64Array(GRID.length)
	);
	followAnswers(answerTrail(given, middle, field.constants.change), weights, (message, t) => {
		if (given[t + 1]?.sittingId === given[t].sittingId || !isEnough(given.slice(0, t + 1))) return;
		const { mean, standardError } = levelOf(weights, message);
		if (shareAtLeast({ mean: mean + middle, standardError }, difficulty, MASTERED_SHARE) >= SURE.secure)
			days.add(given[t].on);
	});
	return days.size;
}
