import { describeAnswer, type Item, SAMPLE_SEED } from '../../core/items';
import { itemFrom, itemsForSkill } from '../../core/items/bank';
import { mathHtml, showItemWithKey, type ShownItemWithKey } from '../sitting';

/** Sample questions a page shows. */
const SAMPLES = 6;

/** A sample question with its key and, for each wrong answer that tells something, the idea behind it. */
export interface SampleItem extends Omit<ShownItemWithKey, 'misconceptions'> {
	keyHtml: string;
	misconceptions: { answerHtml: string; shows: string; attempt: string }[];
}

/** A question with its key and what wrong answers tell, as staff see it. */
export function staffItem(item: Item): SampleItem {
	const shown = showItemWithKey(item);
	return {
		...shown,
		keyHtml: mathHtml(describeAnswer(item, item.key)),
		misconceptions: shown.misconceptions.map(({ answer, shows, attempt }) => ({
			answerHtml: mathHtml(describeAnswer(item, answer)),
			shows,
			attempt
		}))
	};
}

/** Sample questions for a skill, its families in turn; always the same ones. */
export const sampleItems = (skillCode: string): SampleItem[] =>
	itemsForSkill(skillCode, SAMPLES, SAMPLE_SEED).map(({ familyId, seed }) => staffItem(itemFrom(familyId, seed)));
