import { adaptiveSeed, type ItemSeed } from '../src/lib/core/items';
import { itemFrom } from '../src/lib/core/items/bank';
import type { AbilityEstimate, GradeTerm } from '../src/lib/core/measurement';
import { type AdaptiveSitting, itemParameters, itemPool, nextQuestion } from '../src/lib/core/screening';
import type { Skill } from '../src/lib/server/library/store/skills';

type Asking = { as: AdaptiveSitting['as']; level: GradeTerm; previous?: AbilityEstimate };

/** Chooses questions as the server does. @param domainId of which alone is asked; null for all */
export function adaptiveQuestions(skills: Skill[], domainId: number | null) {
	const pool = itemPool(skills).filter((item) => domainId === null || item.domainId === domainId);
	const byCode = new Map(skills.map((skill) => [skill.code, skill]));
	return (asking: Asking) =>
		(id: number, answered: (ItemSeed & { correct: boolean })[]): ItemSeed | null => {
			const next = nextQuestion({
				...asking,
				id,
				pool,
				answers: answered.map(({ familyId, seed, skillCode, correct }) => {
					const skill = byCode.get(skillCode)!;
					const response = { item: itemParameters(itemFrom(familyId, seed), skill), correct };
					return { familyId, skillCode, domainId: skill.domainId, response };
				})
			});
			return next && { ...next, seed: adaptiveSeed(id, answered.length) };
		};
}
