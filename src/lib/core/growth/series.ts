import type { ItemParameters, ScoredResponse } from '../measurement';

/** A probe: in which week of the series, from 0, and its answers. */
export interface ProbeAnswers {
	week: number;
	answers: ScoredResponse[];
}

const meanOf = (values: number[]) => values.reduce((sum, value) => sum + value, 0) / values.length;

/**
 * The usual question of a series: as hard, and as telling, as those that were asked.
 *
 * @throws RangeError without answers
 */
export function usualQuestion(series: ProbeAnswers[]): ItemParameters {
	const items = series.flatMap(({ answers }) => answers.map(({ item }) => item));
	if (items.length === 0) throw new RangeError('growth needs at least one probe');
	return {
		difficulty: meanOf(items.map(({ difficulty }) => difficulty)),
		discrimination: meanOf(items.map(({ discrimination }) => discrimination))
	};
}

/** The level at which a share of usual questions is right, luck aside. @param share between 0 and 1 */
export const levelOfShare = (share: number, { difficulty, discrimination }: ItemParameters): number =>
	difficulty + Math.log(share / (1 - share)) / discrimination;
