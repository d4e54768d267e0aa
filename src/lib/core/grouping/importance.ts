import type { SkillGraph } from '../mastery';
import type { GradeTerm } from '../measurement';

/** Importance of a skill that nothing soon builds on, beside 1 for the one that most does. */
const LEAST = 0.4;
const TERMS_A_YEAR = 3;

const termsOf = ({ grade, term }: GradeTerm) => TERMS_A_YEAR * grade + term;

/**
 * How much depends on each skill that is due by a grade and term, from 0.4 to 1: by how many of the skills up to one year
 * ahead build on it, near or far, against the one that most do. Skills that are not due are absent.
 *
 * @param levels grade and term of each skill of the graph
 */
export function importanceBy(
	{ skills, prerequisites }: SkillGraph,
	levels: Map<number, GradeTerm>,
	now: GradeTerm
): Map<number, number> {
	const ahead = termsOf(now) + TERMS_A_YEAR;
	const builtOn = new Map<number, number>(skills.map((skill) => [skill, 0]));
	for (const skill of skills) {
		if (termsOf(levels.get(skill)!) > ahead) continue;
		const before = new Set<number>();
		const visit = (one: number) => {
			for (const prerequisite of prerequisites.get(one) ?? [])
				if (!before.has(prerequisite)) {
					before.add(prerequisite);
					visit(prerequisite);
				}
		};
		visit(skill);
		for (const one of before) builtOn.set(one, builtOn.get(one)! + 1);
	}
	const due = skills.filter((skill) => termsOf(levels.get(skill)!) <= termsOf(now));
	const most = Math.max(1, ...due.map((skill) => builtOn.get(skill)!));
	return new Map(due.map((skill) => [skill, LEAST + (1 - LEAST) * (builtOn.get(skill)! / most)]));
}
