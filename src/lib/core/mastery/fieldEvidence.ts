import { logLikelihoodOf, type FieldAnswer } from './changes';
import type { SkillField } from './field';
import { covarianceOf, fieldSites, propagate, tell, type FieldPrior, type Site } from './fieldSites';
import { GRID, weigh } from './levelGrid';

/**
 * The logarithm of how likely all that is known of a student is, by a field and before any of it was known: what says
 * which of two fields tells more truly what students are like.
 *
 * By expectation propagation (Minka 2001; Seeger 2005, section 3): every site's normal distribution, scaled so that with
 * its cavity it is as likely as the answers are.
 *
 * @throws RangeError for an answer on a skill that the field does not have
 */
export function logEvidence(field: SkillField, answers: FieldAnswer[], prior: FieldPrior): number {
	const sites = fieldSites(field, answers, prior);
	const before = sites.map((one) => Float64Array.from(sites, (other) => covarianceOf(field, one, other)));
	propagate(sites, before);
	// Once more from the start, so that nothing has gathered on the way; what makes less sure comes last, as it may have to.
	const covariance = before;
	const mean = new Float64Array(sites.length);
	let logSure = 0;
	for (const i of [...sites.keys()].sort((a, b) => sites[b].precision - sites[a].precision)) {
		logSure += Math.log(1 + sites[i].precision * covariance[i][i]);
		tell(mean, covariance, i, sites[i]);
	}
	let sum = -0.5 * logSure;
	for (const [i, site] of sites.entries())
		sum += 0.5 * site.shift * mean[i] + logScale(site, mean[i], covariance[i][i]);
	return sum;
}

/** The logarithm of what a site's normal distribution is multiplied with. */
function logScale({ trail, precision, shift, scores }: Site, mean: number, variance: number): number {
	if (!trail)
		return scores.reduce(
			(sum, { above, standardError }) =>
				sum - 0.5 * (above / standardError) ** 2 - Math.log(standardError * Math.sqrt(2 * Math.PI)),
			0
		);
	const around = { precision: 1 / variance - precision, shift: mean / variance - shift };
	const weights = weigh(
		{ mean: around.shift / around.precision, standardError: 1 / Math.sqrt(around.precision) },
		new Float64Array(GRID.length)
	);
	return (
		logLikelihoodOf(trail, weights) + logMass(around) - logMass({ precision: 1 / variance, shift: mean / variance })
	);
}

/** The logarithm of the integral of exp(shift·x − precision·x²/2), but for what is the same for all. */
const logMass = ({ precision, shift }: { precision: number; shift: number }) =>
	(0.5 * shift * shift) / precision - 0.5 * Math.log(precision);
