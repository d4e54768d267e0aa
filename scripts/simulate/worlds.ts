/** Worlds in which students answer: that of the field, that of knowledge tracing, and one that is neither. */
import { levelFor, shareAt, type FieldSkill, type SkillField } from '../../src/lib/core/mastery';
import { invertSymmetric, probabilityCorrect, type ItemParameters } from '../../src/lib/core/measurement';
import { seededRandom, type Random } from '../../src/lib/core/random';
import { Learner as TaughtLearner, LEARNING } from '../../demo/learner';
import { guess, SLIP } from './knowledgeTracing';
import { lowerFactor } from './lowerFactor';

/** A question of a skill: its parameters, and the kind of question that its family is. */
export interface SimulatedItem extends ItemParameters {
	family: number;
}

/** A student of a world. */
export interface Learner {
	/** Answers a question on a day (counted from the first), in practice or not, which may teach. */
	answer(skill: number, item: SimulatedItem, day: number, isPractice: boolean): boolean;
	/** The share of first tries on the skill's usual question that would be right now, luck left out. */
	share(skill: number): number;
}

/** @param mean the expected median of the student's grade and term, in logits */
export type World = (mean: number, random: Random) => Learner;

/** Levels are as the field believes them, and change as it believes: now and then one starts afresh, near its neighbors. */
export function fieldWorld(field: SkillField): World {
	const factor = lowerFactor(field.covariance);
	const { change } = field.constants;
	const precision = invertSymmetric(field.covariance)!;
	return (mean, random) => {
		const levels = drawLevels(factor, mean, random);
		const learner = fieldLearner(field.skills, levels, random);
		const lastDay = new Map<number, number>();
		return {
			...learner,
			answer(skill, item, day, isPractice) {
				const before = lastDay.get(skill);
				lastDay.set(skill, day);
				const isAfresh = random.chance(before === undefined ? 0 : before === day ? change.sameDay : change.anotherDay);
				if (isAfresh) {
					const row = precision[skill];
					const pull = row.reduce((sum, value, k) => (k === skill ? sum : sum - value * (levels[k] - mean)), 0);
					levels[skill] = mean + pull / row[skill] + random.normal() / Math.sqrt(row[skill]);
				}
				return learner.answer(skill, item, day, isPractice);
			}
		};
	};
}

/** Levels of all skills, drawn from a prior. @param factor its lower Cholesky factor */
export function drawLevels(factor: Float64Array[], mean: number, random: Random): Float64Array {
	const free = factor.map(() => random.normal());
	return Float64Array.from(factor, (row, k) => {
		let sum = mean;
		for (let j = 0; j <= k; j++) sum += row[j] * free[j];
		return sum;
	});
}

export function fieldLearner(skills: FieldSkill[], levels: Float64Array, random: Random): Learner {
	return {
		answer: (skill, item) => random.chance(probabilityCorrect(levels[skill], item)),
		share: (skill) => shareAt(levels[skill], skills[skill].difficulty)
	};
}

/** How steeply knowing a skill goes with ability, and how much easier it is for who knows what comes before. */
const KNOWING = { slope: 1, easier: 0.2 };
/** Chance that practice on a question teaches its skill to who knows what comes before. */
const TAUGHT = 0.1;

/** Each skill is known or not, and only where all that comes before it is; answers slip or are lucky. */
export function knownWorld(skills: FieldSkill[]): World {
	const before = prerequisitePlaces(skills);
	const order = inOrder(before);
	return (mean, random) => {
		const ability = mean + 1.1 * random.normal();
		const known: boolean[] = [];
		for (const k of order)
			known[k] =
				before[k].every((one) => known[one]) &&
				random.chance(1 / (1 + Math.exp(-KNOWING.slope * (ability - skills[k].difficulty + KNOWING.easier))));
		return {
			answer(skill, _, __, isPractice) {
				const correct = random.chance(known[skill] ? 1 - SLIP : LUCK);
				if (isPractice && !known[skill] && before[skill].every((one) => known[one]))
					known[skill] = random.chance(TAUGHT);
				return correct;
			},
			share: (skill) => (known[skill] ? 1 - SLIP : LUCK)
		};
	};
}

const LUCK = guess({ kind: 'number' });

/** How often practice on a question brings a step where what comes before is there. */
const STEP = 0.08;

/**
 * The demo's students (`demo/learner.ts`): levels that rise in steps, were partly forgotten, and show only as far as what
 * comes before is there; with forms of a day, and families of questions that are harder than others.
 */
export function thirdWorld(skills: FieldSkill[], seed: number): World {
	const families = new Map<string, number>();
	const drawFamily = seededRandom(seed);
	const hardness = (family: string) => {
		if (!families.has(family)) families.set(family, LEARNING.family * drawFamily.normal());
		return families.get(family)!;
	};
	return (mean, random) => {
		const learner = new TaughtLearner(skills, mean, random, hardness);
		let today = 0;
		return {
			answer(skill, item, day, isPractice) {
				today = day;
				const { code } = skills[skill];
				const correct = random.chance(learner.chance(code, item, String(item.family), day));
				if (isPractice && random.chance(STEP * learner.way(code, day))) learner.step(code, day);
				return correct;
			},
			share: (skill) => learner.share(skills[skill].code, today)
		};
	};
}

/**
 * A student of the field's world whose share on one skill is as wanted.
 *
 * @param goesAlong whether all else is drawn to go with it, or as if nothing were known: the skill is a hole then, or an island
 */
export function learnerWithShare(
	field: SkillField,
	factor: Float64Array[],
	{ skill, share, goesAlong }: { skill: number; share: number; goesAlong: boolean },
	mean: number,
	random: Random
): { learner: Learner; setShare: (share: number) => void } {
	const levels = drawLevels(factor, mean, random);
	const setShare = (wanted: number) => {
		levels[skill] = levelFor(wanted, field.skills[skill].difficulty);
	};
	if (goesAlong) {
		const off = levelFor(share, field.skills[skill].difficulty) - levels[skill];
		const row = field.covariance[skill];
		for (let k = 0; k < levels.length; k++) levels[k] += (row[k] / row[skill]) * off;
	}
	setShare(share);
	return { learner: fieldLearner(field.skills, levels, random), setShare };
}

function prerequisitePlaces(skills: FieldSkill[]): number[][] {
	const placeOf = new Map(skills.map(({ code }, place) => [code, place]));
	return skills.map(({ prerequisites }) => prerequisites.map((code) => placeOf.get(code)!));
}

/** Places of all skills, each after its prerequisites. */
function inOrder(before: number[][]): number[] {
	const order = new Set<number>();
	const add = (skill: number) => {
		if (order.has(skill)) return;
		before[skill].forEach(add);
		order.add(skill);
	};
	before.forEach((_, skill) => add(skill));
	return [...order];
}
