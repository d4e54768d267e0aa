import { answerTrail, followAnswers, type AnswerTrail, type FieldAnswer } from './changes';
import type { SkillField } from './field';
import { GRID, levelOf, weigh, type Level } from './levelGrid';

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
export interface Site {
	/** Its covariance with each skill, in logits². */
	row: Float64Array;
	domain: string | null;
	/** Place of the skill; null for a score. */
	skill: number | null;
	/** Null for a score. */
	trail: AnswerTrail | null;
	/** Scores of one kind, where it is these. */
	scores: OutsideScore[];
	/** As a normal distribution, around the student's mean: precision, and precision times mean. */
	precision: number;
	shift: number;
}

/** All that is observed of a student. @throws RangeError for an answer on a skill that the field does not have */
export function fieldSites(field: SkillField, answers: FieldAnswer[], { mean, scores }: FieldPrior): Site[] {
	return [...skillSites(field, answers, mean), ...scoreSites(field, scores ?? [])];
}

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
			scores: [],
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
			scores: same,
			precision: same.reduce((sum, { standardError }) => sum + 1 / standardError ** 2, 0),
			shift: same.reduce((sum, { above, standardError }) => sum + above / standardError ** 2, 0)
		};
	});
}

/** How the levels that two sites tell of go together before any answer, in logits². */
export function covarianceOf({ constants }: SkillField, one: Site, other: Site): number {
	if (other.skill !== null) return one.row[other.skill];
	if (one.skill !== null) return other.row[one.skill];
	return constants.general + (one.domain !== null && one.domain === other.domain ? constants.domain : 0);
}

/** Sites' levels together, as a normal distribution around the student's mean. */
export interface Posterior {
	mean: Float64Array;
	covariance: Float64Array[];
	/** The level of a site by all the others. */
	cavity(site: number): Level;
}

/** Goes over the sites until they agree; leaves their precisions and shifts in them. */
export function propagate(sites: Site[], before: Float64Array[]): Posterior {
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
export function tell(
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
export function add(to: Float64Array, times: number, more: Float64Array): void {
	for (let i = 0; i < to.length; i++) to[i] += times * more[i];
}
