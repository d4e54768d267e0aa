import { advise, type Advice, type ReviewEvidence } from './advise';

/** From so many right on, the advice after one more probe is this. */
export interface AdviceFrom {
	right: number;
	advice: Advice;
}

/**
 * What the advice will be after the next probe, a week after the last, by how many of its questions are right: the same questions
 * as last time are taken to be asked, the easiest to be right. Nothing before the first probe.
 *
 * @returns one entry for each stretch of counts with the same advice, from 0 right on
 */
export function whatWouldChange(evidence: ReviewEvidence): AdviceFrom[] {
	const last = evidence.series[evidence.series.length - 1];
	if (!last) return [];
	const items = last.answers.map(({ item }) => item).sort((a, b) => a.difficulty - b.difficulty);
	const found: AdviceFrom[] = [];
	for (let right = 0; right <= items.length; right++) {
		const answers = items.map((item, i) => ({ item, correct: i < right }));
		const { advice } = advise({ ...evidence, series: [...evidence.series, { week: last.week + 1, answers }] });
		if (found[found.length - 1]?.advice !== advice) found.push({ right, advice });
	}
	return found;
}

/**
 * What would change the advice, as a sentence; null where nothing would.
 *
 * @param next of `whatWouldChange`
 */
export function sayNext(next: AdviceFrom[], now: Advice): string | null {
	const said = next.flatMap(({ right, advice }, i) =>
		advice === now ? [] : `${advice} ${sayStretch(right, i + 1 < next.length ? next[i + 1].right - 1 : null)}`
	);
	return said.length ? `After the next probe it would be ${said.join(', ')}.` : null;
}

/** Counts from the least to the most, in words. @param most null for all of a probe */
function sayStretch(least: number, most: number | null): string {
	if (most === null) return least === 0 ? 'whatever comes' : `from ${least} right on`;
	if (least === 0) return `with ${most} right or fewer`;
	return least === most ? `with ${least} right` : `with ${least} to ${most} right`;
}
