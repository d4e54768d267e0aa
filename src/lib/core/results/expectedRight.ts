import { levelFor, MASTERED_SHARE } from '../mastery';
import { probabilityCorrect, type ItemParameters } from '../measurement';

/**
 * How many of some questions a student would get right at the first try who gets 70% of the usual questions of each skill:
 * the line of mastery. It says how hard they are beside the usual ones, whoever answered them.
 *
 * @param questions each with its parameters, and the difficulty of its skill's usual question, in logits
 */
export const expectedRight = (questions: { parameters: ItemParameters; usual: number }[]): number =>
	questions.reduce(
		(sum, { parameters, usual }) => sum + probabilityCorrect(levelFor(MASTERED_SHARE, usual), parameters),
		0
	);
