import { invertSymmetric } from '../measurement';
import { answerTrail, followAnswers, type AnswerTrail, type FieldAnswer } from './changes';
import type { SkillField } from './field';
import { GRID, levelOf, weigh, type Level } from './levelGrid';

/** What is believed of a student on every skill, in logits, in the order of the field's skills. */
export interface FieldEstimate {
	mean: Float64Array;
	standardError: Float64Array;
	/** Of each skill with answers, what all else says of it: its level were they left out. */
	cavities: Map<string, Level>;
	/** How the levels of two skills go together, given all answers, in logits². @throws RangeError for no skill of the field */
	together(one: string, other: string): number;
}

/** A score from outside: of the whole, or of one domain. */
export interface OutsideScore {
	/** Null for the whole. */
	domain: string | null;
	/** Above the expected median of the student's grade and term then, in logits. */
	above: number;
	standardError: number;
}

/** What a student is taken to be like before any answer. */
export interface FieldPrior {
	/** The expected median of the grade and the term of the last answer, in logits. */
	mean: number;
	scores?: OutsideScore[];
}

/** Passes over all sites at most, and by how much of a logit levels may still move when it is enough. */
const PASSES = 12;
const ENOUGH = 1e-4;

/** One thing that is observed: what the answers on a skill say, or a score. */
interface Site {
	/** Its covariance with each skill, in logits². */
	row: Float64Array;
	domain: string | null;
	/** Place of the skill; null for a score. */
	skill: number | null;
	trail: AnswerTrail | null;
	/** As a normal distribution, around the student's mean: precision, and precision times mean. */
	precision: number;
	shift: number;
}

/**
 * Levels of all skills of a student by expectation propagation (Minka 2001): what the answers on a skill say, changes
 * among them, is matched by a normal distribution, one skill at a time, until all of them agree; the levels of all other
 * skills follow by conditioning.
 *
 * @param answers first tries, of each skill in the order they were given; how skills come between each other is the same
 * @throws RangeError for an answer on a skill that the field does not have
 */
export function estimateField(field: SkillField, answers: FieldAnswer[], prior: FieldPrior): FieldEstimate {
	const sites = [...skillSites(field, answers, prior.mean), ...scoreSites(field, prior.scores ?? [])];
	const before = sites.map((one) => Float64Array.from(sites, (other) => covarianceOf(field, one, other)));
	const posterior = propagate(sites, before);
	const cavities = new Map<string, Level>();
	for (const [i, { skill }] of sites.entries()) {
		if (skill === null) continue;
		const { mean, standardError } = posterior.cavity(i);
		cavities.set(field.skills[skill].code, { mean: prior.mean + mean, standardError });
	}
	const told = toldBy(before, posterior);
	const placeIn = (code: string) => {
		const place = field.placeOf.get(code);
		if (place === undefined) throw new RangeError(`the field has no skill ${code}`);
		return place;
	};
	const together = (one: string, other: string) => {
		const [first, second] = [placeIn(one), placeIn(other)];
		let covariance = field.covariance[first][second];
		for (const [i, { row }] of sites.entries())
			for (const [j, site] of sites.entries()) covariance -= told[i][j] * row[first] * site.row[second];
		return covariance;
	};
	return { ...conditioned(field, prior.mean, sites, { before, posterior, told }), cavities, together };
}

/** How much the sites' levels together are surer than before, by their precision before: what is taken from any two skills' covariance. */
function toldBy(before: Float64Array[], { covariance }: Posterior): Float64Array[] {
	if (before.length === 0) return [];
	const inverse = invertSymmetric(before)!;
	const lost = before.map((row, i) => row.map((value, j) => value - covariance[i][j]));
	return multiply(multiply(inverse, lost), inverse);
}

/** Levels of all skills, given those of the sites: how each goes with them, times what they have learned. */
function conditioned(
	{ skills, covariance }: SkillField,
	middle: number,
	sites: Site[],
	{ before, posterior, told }: { before: Float64Array[]; posterior: Posterior; told: Float64Array[] }
): Pick<FieldEstimate, 'mean' | 'standardError'> {
	const mean = new Float64Array(skills.length).fill(middle);
	const variance = Float64Array.from(covariance, (row, k) => row[k]);
	if (sites.length > 0) {
		const inverse = invertSymmetric(before)!;
		const along = new Float64Array(skills.length);
		for (const [i, { row }] of sites.entries()) {
			add(mean, dot(inverse[i], posterior.mean), row);
			// What all sites before and this one tell together.
			along.fill(0);
			for (let j = 0; j <= i; j++) add(along, (i === j ? 1 : 2) * told[i][j], sites[j].row);
			for (let k = 0; k < along.length; k++) variance[k] -= row[k] * along[k];
		}
	}
	return { mean, standardError: variance.map((one) => Math.sqrt(Math.max(LEAST_VARIANCE, one))) };
}

/** Levels are never surer than this, in logits²: what is taken from a variance is not exact. */
const LEAST_VARIANCE = 1e-6;

function skillSites(field: SkillField, answers: FieldAnswer[], middle: number): Site[] {
	const own = new Map<number, FieldAnswer[]>();
	for (const answer of answers) {
		const place = field.placeOf.get(answer.skill);
		if (place === undefined) throw new RangeError(`the field has no skill ${answer.skill}`);
		const list = own.get(place);
		if (list) list.push(answer);
		else own.set(place, [answer]);
	}
	return [...own.keys()]
		.sort((a, b) => a - b)
		.map((skill) => ({
			row: field.covariance[skill],
			domain: field.skills[skill].domain,
			skill,
			trail: answerTrail(own.get(skill)!, middle, field.constants.change),
			precision: 0,
			shift: 0
		}));
}

/** Scores tell of what is general, or of it together with what is a domain's own; several of one kind tell it together. */
function scoreSites({ skills, constants }: SkillField, scores: OutsideScore[]): Site[] {
	return [...new Set(scores.map(({ domain }) => domain))].map((domain) => {
		const same = scores.filter((score) => score.domain === domain);
		return {
			row: Float64Array.from(
				skills,
				(skill) => constants.general + (domain !== null && skill.domain === domain ? constants.domain : 0)
			),
			domain,
			skill: null,
			trail: null,
			precision: same.reduce((sum, { standardError }) => sum + 1 / standardError ** 2, 0),
			shift: same.reduce((sum, { above, standardError }) => sum + above / standardError ** 2, 0)
		};
	});
}

function covarianceOf({ constants }: SkillField, one: Site, other: Site): number {
	if (other.skill !== null) return one.row[other.skill];
	if (one.skill !== null) return other.row[one.skill];
	return constants.general + (one.domain !== null && one.domain === other.domain ? constants.domain : 0);
}

/** Sites' levels together, as a normal distribution around the student's mean. */
interface Posterior {
	mean: Float64Array;
	covariance: Float64Array[];
	/** The level of a site by all the others. */
	cavity(site: number): Level;
}

/** Goes over the sites until they agree; leaves their precisions and shifts in them. */
function propagate(sites: Site[], before: Float64Array[]): Posterior {
	const covariance = before.map((row) => Float64Array.from(row));
	const mean = new Float64Array(sites.length);
	const cavity = (i: number): Level => {
		const precision = 1 / covariance[i][i] - sites[i].precision;
		return {
			mean: (mean[i] / covariance[i][i] - sites[i].shift) / precision,
			standardError: 1 / Math.sqrt(precision)
		};
	};
	sites.forEach(({ trail, precision, shift }, i) => {
		if (!trail) tell(mean, covariance, i, { precision, shift });
	});
	const weights = new Float64Array(GRID.length);
	for (let pass = 0; pass < PASSES; pass++) {
		let moved = 0;
		for (let i = 0; i < sites.length; i++) {
			const site = sites[i];
			if (!site.trail) continue;
			const around = cavity(i);
			if (!(around.standardError > 0)) continue;
			weigh(around, weights);
			const level = levelOf(weights, followAnswers(site.trail, weights));
			const precision = 1 / level.standardError ** 2 - 1 / around.standardError ** 2;
			const shift = level.mean / level.standardError ** 2 - around.mean / around.standardError ** 2;
			moved = Math.max(
				moved,
				Math.abs(level.mean - mean[i]),
				Math.abs(level.standardError - Math.sqrt(covariance[i][i]))
			);
			const more = { precision: precision - site.precision, shift: shift - site.shift };
			if (tell(mean, covariance, i, more)) {
				site.precision = precision;
				site.shift = shift;
			}
		}
		if (moved < ENOUGH) break;
	}
	return { mean, covariance, cavity };
}

/** Tells a site more, which everything that goes with it follows. @returns false, and nothing is told, where that cannot be */
function tell(
	mean: Float64Array,
	covariance: Float64Array[],
	site: number,
	{ precision, shift }: Pick<Site, 'precision' | 'shift'>
): boolean {
	const along = Float64Array.from(covariance[site]);
	const scale = 1 + precision * along[site];
	if (!(scale > 0)) return false;
	const move = (shift - precision * mean[site]) / scale;
	const shrink = precision / scale;
	add(mean, move, along);
	for (let j = 0; j < along.length; j++) add(covariance[j], -shrink * along[j], along);
	return true;
}

/** Adds a multiple of one list of numbers to another. */
function add(to: Float64Array, times: number, more: Float64Array): void {
	for (let i = 0; i < to.length; i++) to[i] += times * more[i];
}

function dot(one: Float64Array, other: Float64Array): number {
	let sum = 0;
	for (let i = 0; i < one.length; i++) sum += one[i] * other[i];
	return sum;
}

/** The product of two matrices, the second one symmetric. */
function multiply(one: Float64Array[], other: Float64Array[]): Float64Array[] {
	return one.map((row) => Float64Array.from(other, (column) => dot(row, column)));
}
