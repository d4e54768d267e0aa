import type { ItemSeed } from '../items';
import { hasItems, itemsForSkill } from '../items/bank';
import { expectedTheta, type GradeTerm } from '../measurement';

/** Items in a fixed form, about; each of its domains has the same number of skills. */
const FORM_ITEMS = 24;
/** Items a skill: fewer tell nothing. */
const ITEMS_A_SKILL = 2;
/** The form aims this far (logits) under the grade's median, where those who may need help are. */
const AIM_BELOW = 0.4;

const skillsADomain = (domains: number) => Math.max(1, Math.round(FORM_ITEMS / ITEMS_A_SKILL / Math.max(1, domains)));

/** Items in a fixed form over so many domains, at least one. */
export const formLength = (domains: number) => domains * skillsADomain(domains) * ITEMS_A_SKILL;

/**
 * A fixed diagnostic form for a grade: in each domain the skills nearest to the level aimed at, two items each,
 * easier rounds first so that nobody starts with the hardest. The same arguments always give the same form.
 *
 * @param skills with their domain, in teaching order
 * @param firstSeed windows with different first seeds share no item
 */
export function fixedForm(
	skills: (GradeTerm & { code: string; domainId: number })[],
	level: GradeTerm,
	firstSeed: number
): ItemSeed[] {
	const aim = expectedTheta(level) - AIM_BELOW;
	const domains = [...new Set(skills.map((skill) => skill.domainId))];
	const perDomain = skillsADomain(domains.length);
	const chosen = domains.map((domainId) =>
		skills
			.filter((skill) => skill.domainId === domainId && hasItems(skill.code))
			.sort(
				(a, b) =>
					Math.abs(expectedTheta(a) - aim) - Math.abs(expectedTheta(b) - aim) || expectedTheta(a) - expectedTheta(b)
			)
			.slice(0, perDomain)
			.sort((a, b) => expectedTheta(a) - expectedTheta(b))
	);
	const form: ItemSeed[] = [];
	for (let round = 0; round < perDomain; round++) {
		for (let n = 0; n < ITEMS_A_SKILL; n++) {
			for (const domain of chosen) {
				if (domain[round]) form.push(itemsForSkill(domain[round].code, ITEMS_A_SKILL, firstSeed)[n]);
			}
		}
	}
	return form;
}
