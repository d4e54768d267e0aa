import { adaptiveSeed, type ItemSeed } from '../src/lib/core/items';
import { itemFrom } from '../src/lib/core/items/bank';
import type { AbilityEstimate, GradeTerm, ItemParameters } from '../src/lib/core/measurement';
import { type AdaptiveSitting, itemParameters, itemPool, nextQuestion } from '../src/lib/core/screening';
import type { Skill } from '../src/lib/server/library/store/skills';

type Answered = ItemSeed & { correct: boolean };
type Asking = { as: AdaptiveSitting['as']; level: GradeTerm; previous?: AbilityEstimate };

/** Chooses questions as the server does. @param domainId of which alone is asked; null for all */
export function adaptiveQuestions(skills: Skill[], domainId: number | null) {
	const pool = itemPool(skills).filter((item) => domainId === null || item.domainId === domainId);
	const byCode = new Map(skills.map((skill) => [skill.code, skill]));
	/** Of what was answered: a sitting's answers are looked at again with each of them. */
	const known = new WeakMap<Answered, ItemParameters>();
	const parametersOf = (answer: Answered): ItemParameters => {
		const found =
			known.get(answer) ?? itemParameters(itemFrom(answer.familyId, answer.seed), byCode.get(answer.skillCode)!);
		known.set(answer, found);
		return found;
	};
	return (asking: Asking) =>
		(id: number, answered: Answered[]): ItemSeed | null => {
			const next = nextQuestion({
				...asking,
				id,
				pool,
				answers: answered.map((answer) => {
					const { familyId, skillCode, correct } = answer;
					const response = { item: parametersOf(answer), correct };
					return { familyId, skillCode, domainId: byCode.get(skillCode)!.domainId, response };
				})
			});
			return next && { ...next, seed: adaptiveSeed(id, answered.length) };
		};
}
