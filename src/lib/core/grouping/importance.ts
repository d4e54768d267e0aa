import type { SkillGraph } from '../mastery';
import type { GradeTerm } from '../measurement';

/** Importance of a skill that nothing soon builds on, beside 1 for the one that most does. */
const LEAST = 0.4;
const TERMS_A_YEAR = 3;

const termsOf = ({ grade, term }: GradeTerm) => TERMS_A_YEAR * grade + term;

/**
 * How much depends on each skill that is due by a grade and term, from 0.4 to 1: by the skills of the year ahead that
 * build on it, against the one that most do. What builds on it directly counts whole, and half as much with every step
 * between: else the first skills of all would come before everything else for everybody. What the school puts less weight
 * on is multiplied down. Skills that are not due, or of no weight, are absent.
 *
 * @param levels grade and term of each skill of the graph
 * @param weightOf what importance is multiplied by, 0…1, by skill
 */
export function importanceBy(
	{ skills, prerequisites }: SkillGraph,
	levels: Map<number, GradeTerm>,
	now: GradeTerm,
	weightOf: (skill: number) => number = () => 1
): Map<number, number> {
	const termOf = new Map(skills.map((skill) => [skill, termsOf(levels.get(skill)!)]));
	const today = termsOf(now);
	const builtOn = new Map<number, number>(skills.map((skill) => [skill, 0]));
	for (const skill of skills) {
		const isAhead = termOf.get(skill)! > today && termOf.get(skill)! <= today + TERMS_A_YEAR;
		if (!isAhead) continue;
		const seen = new Set([skill]);
		let counts = 1;
		for (let near = [skill]; near.length; counts /= 2) {
			near = [...new Set(near.flatMap((one) => prerequisites.get(one) ?? []))].filter((one) => !seen.has(one));
			for (const one of near) {
				seen.add(one);
				builtOn.set(one, builtOn.get(one)! + counts);
			}
		}
	}
	const due = skills.filter((skill) => termOf.get(skill)! <= today);
	const most = Math.max(1, ...due.map((skill) => builtOn.get(skill)!));
	return new Map(
		due
			.map((skill) => [skill, weightOf(skill) * (LEAST + (1 - LEAST) * (builtOn.get(skill)! / most))] as const)
			.filter(([, importance]) => importance > 0)
	);
}
