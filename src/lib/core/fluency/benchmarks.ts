/** Measures a teacher gives one student at a time. */
export type FluencyMeasure = 'reading aloud' | 'number fluency';
export const FLUENCY_MEASURES: FluencyMeasure[] = ['reading aloud', 'number fluency'];

/** What a measure counts, and the subject it belongs to. */
export const MEASURES: Record<FluencyMeasure, { unit: string; units: string; subject: string; lastGrade: number }> = {
	'reading aloud': { unit: 'word', units: 'words', subject: 'Reading', lastGrade: 6 },
	'number fluency': { unit: 'fact', units: 'facts', subject: 'Mathematics', lastGrade: 8 }
};

/** School years since the start of grade 1, at the end of a term. */
const yearsOfSchool = (grade: number, term: number) => grade - 1 + term / 3;

/**
 * Correct a minute that half of the students reach by the end of a term, on the sheet of their grade. Made-up norms:
 * reading aloud nears 165 words by steps that shrink; facts rise by three a year, on sheets that get harder.
 */
export function expectedPerMinute(measure: FluencyMeasure, grade: number, term: number): number {
	const years = yearsOfSchool(grade, term);
	return measure === 'reading aloud' ? 165 * (1 - Math.exp(-0.42 * years)) : 9 + 3 * years;
}

/** Share of the expected that the usual line is drawn at. */
const LINE = 0.75;

/** Cut score in correct a minute until a coordinator sets one: three quarters of what is expected, a whole number. */
export function usualLine(measure: FluencyMeasure, grade: number, term: number): number {
	return Math.round(LINE * expectedPerMinute(measure, grade, term));
}
