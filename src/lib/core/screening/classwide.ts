import { isOwn, type Cell } from '../mastery';

/** Share of a class lacking a skill from which it is taught to the whole class, and from which the advice is firm. */
const CLASSWIDE_SHARE = 0.6;
const CLASSWIDE_FIRM_SHARE = 0.8;
const CLASSWIDE_MINIMUM = 5;

/**
 * Whether a skill belongs to whole-class teaching, from the cells of one class on it. Who rather gets under half of
 * its usual questions right lacks it. Students without evidence do not count; under 5 with evidence nothing is said.
 */
export function classwideNeed(cells: Pick<Cell, 'standing' | 'inferred' | 'lacks'>[]): {
	lacking: number;
	withEvidence: number;
	advice: 'none' | 'whole class' | 'whole class, firm';
} {
	const seen = cells.filter(isOwn);
	const lacking = seen.filter(({ lacks }) => lacks).length;
	const share = seen.length === 0 ? 0 : lacking / seen.length;
	const advice =
		seen.length < CLASSWIDE_MINIMUM || share < CLASSWIDE_SHARE
			? 'none'
			: share >= CLASSWIDE_FIRM_SHARE
				? 'whole class, firm'
				: 'whole class';
	return { lacking, withEvidence: seen.length, advice };
}
