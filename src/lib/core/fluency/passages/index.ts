import { GRADE_1 } from './grade1';
import { GRADE_2 } from './grade2';
import { GRADE_3 } from './grade3';
import { GRADE_4 } from './grade4';
import { GRADE_5 } from './grade5';
import { GRADE_6 } from './grade6';

/** A passage for reading aloud, written for this product. */
export interface Passage {
	/** The grade it is for, 1–6. */
	grade: number;
	title: string;
	paragraphs: string[];
}

/** Passages by grade, from the first on. How hard each is to read is measured by `readingGrade`. */
export const PASSAGES: readonly (readonly Passage[])[] = [GRADE_1, GRADE_2, GRADE_3, GRADE_4, GRADE_5, GRADE_6];

/** How many passages a grade has: as many weeks go by before one is read again. */
export const PASSAGES_A_GRADE = 5;

/**
 * A passage for a grade; grades above the last passages' read theirs.
 *
 * @param grade from 1
 * @param form which of the grade's, from 0; after the last the first comes again
 */
export function passageFor(grade: number, form: number): Passage {
	return PASSAGES[Math.min(grade, PASSAGES.length) - 1][form % PASSAGES_A_GRADE];
}

/** The words of a passage in reading order, each with the number of its paragraph. Marks of punctuation stay on them. */
export function passageWords({ paragraphs }: Passage): { text: string; paragraph: number }[] {
	return paragraphs.flatMap((text, paragraph) => text.split(/\s+/).map((word) => ({ text: word, paragraph })));
}
