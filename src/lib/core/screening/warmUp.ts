import { warmUpSeed, type ItemSeed } from '../items';
import { familiesFor, familyFormat } from '../items/bank';
import { expectedTheta, type GradeTerm } from '../measurement';
import { seedFrom, seededRandom } from '../random';
import type { SkillLevel } from './pool';

/** Practice questions are this much (logits) easier than the grade's median. */
const EASIER = 2;
const KINDS = ['choice', 'number'] as const;

/**
 * Practice questions before a diagnostic: an easy one of each of the two commonest ways to answer. They count for
 * nothing. The same student gets the same ones.
 */
export function warmUpItems(skills: SkillLevel[], level: GradeTerm, studentId: number): ItemSeed[] {
	const random = seededRandom(seedFrom('warm-up', studentId));
	const aim = expectedTheta(level) - EASIER;
	return KINDS.flatMap((kind) => {
		const families = skills
			.flatMap((skill) => familiesFor(skill.code).map((family) => ({ family, skill })))
			.filter(({ family }) => familyFormat(family.id).kind === kind)
			.sort((a, b) => Math.abs(expectedTheta(a.skill) - aim) - Math.abs(expectedTheta(b.skill) - aim))
			.slice(0, 5);
		if (families.length === 0) return [];
		const { family, skill } = random.pick(families);
		return [{ familyId: family.id, skillCode: skill.code, seed: warmUpSeed(random.integer(1, 9_999)) }];
	});
}
