import { daysBetween, type SchoolDate } from '../calendar';
import { probabilityCorrect, type ItemParameters } from '../measurement';
import { GRID } from './levelGrid';

/** A first-try answer, with the parameters of its question as they were for the sitting. */
export interface FieldAnswer {
	skill: string;
	item: ItemParameters;
	correct: boolean;
	on: SchoolDate;
}

/** Chances that a skill's level starts afresh, learned or lost, between two answers on it. */
export interface ChangeChances {
	/** On one day. */
	sameDay: number;
	/** Between two days. */
	anotherDay: number;
	/** After four weeks or more. */
	afterLong: number;
}

const LONG_DAYS = 28;

/** The chance that a level starts afresh between an answer and the next. */
export function chanceOfChange(from: SchoolDate, to: SchoolDate, chances: ChangeChances): number {
	if (from === to) return chances.sameDay;
	return daysBetween(from, to) >= LONG_DAYS ? chances.afterLong : chances.anotherDay;
}

/** The answers on one skill, ready to be followed: for each, how likely it is at each node, and the chance of a change before it. */
export interface AnswerTrail {
	likelihoods: Float64Array[];
	changes: number[];
}

function likelihoodOf(item: ItemParameters, correct: boolean, middle: number): Float64Array {
	const likelihood = new Float64Array(GRID.length);
	for (let node = 0; node < GRID.length; node++) {
		const right = probabilityCorrect(middle + GRID[node], item);
		likelihood[node] = correct ? right : 1 - right;
	}
	return likelihood;
}

/**
 * @param answers on one skill, in the order they were given
 * @param middle of the grid, in logits
 */
export function answerTrail(
	answers: Omit<FieldAnswer, 'skill'>[],
	middle: number,
	chances: ChangeChances
): AnswerTrail {
	return {
		likelihoods: answers.map(({ item, correct }) => likelihoodOf(item, correct, middle)),
		changes: answers.map(({ on }, t) => (t === 0 ? 0 : chanceOfChange(answers[t - 1].on, on, chances)))
	};
}

/**
 * What a trail of answers says of the level now, as a function on the grid (scaled so that its greatest value is 1):
 * carried forward from answer to answer, and at each change partly forgotten (a change-point filter, Adams & MacKay 2007).
 *
 * @param weights of the level by all else that is known (the cavity), from which a level that starts afresh is drawn
 * @param after is told what the answers so far say, with the place of the last of them
 */
export function followAnswers(
	{ likelihoods, changes }: AnswerTrail,
	weights: Float64Array,
	after?: (message: Float64Array, t: number) => void
): Float64Array {
	const message = new Float64Array(weights.length).fill(1);
	for (let t = 0; t < likelihoods.length; t++) {
		carryOn(message, weights, changes[t], likelihoods[t]);
		after?.(message, t);
	}
	return message;
}

/** The logarithm of how likely a trail of answers is, all of it together, for a level that has these weights at its start. */
export function logLikelihoodOf({ likelihoods, changes }: AnswerTrail, weights: Float64Array): number {
	const message = new Float64Array(weights.length).fill(1);
	let scale = 0;
	for (let t = 0; t < likelihoods.length; t++) scale += Math.log(carryOn(message, weights, changes[t], likelihoods[t]));
	return scale + Math.log(message.reduce((sum, value, node) => sum + value * weights[node], 0));
}

/** What is said of the level by answers so far, after one more. @returns what it was divided by */
function carryOn(message: Float64Array, weights: Float64Array, chance: number, likelihood: Float64Array): number {
	let afresh = 0;
	if (chance > 0) for (let node = 0; node < message.length; node++) afresh += message[node] * weights[node];
	afresh *= chance;
	const kept = 1 - chance;
	let peak = 0;
	for (let node = 0; node < message.length; node++) {
		message[node] = (kept * message[node] + afresh) * likelihood[node];
		if (message[node] > peak) peak = message[node];
	}
	for (let node = 0; node < message.length; node++) message[node] /= peak;
	return peak;
}
