import { describe, expect, it } from 'vitest';
import { shippedFramework } from '../../../../framework/shipped';
import { lowerFactor } from '../../../../scripts/simulate/lowerFactor';
import { addDays } from '../calendar';
import { expectedTheta, probabilityCorrect } from '../measurement';
import { seededRandom } from '../random';
import { FIELD_CONSTANTS, skillField, type FieldConstants } from './field';
import { estimateConstants, isBetter, learnConstants, type KnownStudent } from './fieldConstants';

const framework = shippedFramework();
const skills = framework.skills
	.filter(({ grade }) => grade >= 3 && grade <= 4)
	.map((skill) => ({
		code: skill.code,
		domain: skill.domain,
		difficulty: expectedTheta(skill),
		prerequisites: framework.edges.filter((edge) => edge.skill === skill.code).map((edge) => edge.prerequisite)
	}));

/** Students whose levels are drawn part by part (general, domain, own parts by a walk of the graph), not by the field's covariance. */
function students(count: number, constants: FieldConstants, seed: number): KnownStudent[] {
	const random = seededRandom(seed);
	const { covariance } = skillField(skills, { ...constants, general: 0, domain: 0 });
	const factor = lowerFactor(covariance);
	const mean = expectedTheta({ grade: 4, term: 1 });
	return Array.from({ length: count }, () => {
		const general = constants.above + Math.sqrt(constants.general) * random.normal();
		const domains = new Map<string, number>();
		for (const { domain } of skills)
			if (!domains.has(domain)) domains.set(domain, Math.sqrt(constants.domain) * random.normal());
		const free = skills.map(() => random.normal());
		const levels = skills.map(({ domain }, k) => {
			let own = 0;
			for (let j = 0; j <= k; j++) own += factor[k][j] * free[j];
			return mean + general + domains.get(domain)! + own;
		});
		const asked = random.shuffle(skills.map((_, k) => k)).slice(0, 16);
		const answers = asked.flatMap((k) =>
			[0, 1, 2].map((n) => {
				const item = { discrimination: 1.2, difficulty: skills[k].difficulty, guessing: 0.02 };
				return {
					skill: skills[k].code,
					item,
					correct: random.chance(probabilityCorrect(levels[k], item)),
					on: addDays('2026-09-14', n),
					sittingId: n
				};
			})
		);
		return { answers, prior: { mean } };
	});
}

function endOf<Result>(steps: Generator<unknown, Result>): Result {
	for (;;) {
		const step = steps.next();
		if (step.done) return step.value;
	}
}

const STILL = { sameDay: 0, anotherDay: 0, afterLong: 0 };
const shipped = { ...FIELD_CONSTANTS, change: STILL };

describe('the constants of a field', () => {
	it('are found again in answers of students who were made by others', () => {
		const truth = { above: 0.4, general: 0.5, domain: 0.5, skill: 0.9, coupling: 3, change: STILL };
		const { constants, standardErrors, converged } = endOf(estimateConstants(skills, students(120, truth, 7), shipped));
		expect(converged).toBe(true);
		expect(Math.abs(constants.above - truth.above)).toBeLessThan(3 * standardErrors.above);
		for (const name of ['general', 'domain', 'skill', 'coupling'] as const)
			expect(Math.abs(Math.log(constants[name] / truth[name])), name).toBeLessThan(3 * standardErrors[name]);
		expect(standardErrors.above).toBeLessThan(0.15);
		for (const name of ['general', 'domain', 'skill'] as const) expect(standardErrors[name], name).toBeLessThan(0.5);
	}, 240_000);

	it('are said to be better only where they are: not for students as they are taken to be', () => {
		const usual = endOf(learnConstants(skills, students(30, shipped, 3), shipped));
		expect(isBetter(usual.heldOut)).toBe(false);
		expect(usual.heldOut.students).toBe(15);
		expect(usual.answers).toBe(30 * 48);
		const others = endOf(learnConstants(skills, students(30, { ...shipped, above: -1, skill: 2 }, 4), shipped));
		expect(isBetter(others.heldOut)).toBe(true);
		expect(others.found.constants.above).toBeLessThan(-0.4);
		expect(others.standings.all).toBe(30 * 16);
		const changed = others.standings.others.reduce((sum, { count }) => sum + count, 0);
		expect(changed).toBeGreaterThan(usual.standings.others.reduce((sum, { count }) => sum + count, 0));
	}, 240_000);
});
