import {
	factSheet,
	passageFor,
	passageWords,
	readingGrade,
	FACTS_A_ROW,
	type FluencyMeasure
} from '../../core/fluency';
import { sheetGradeFor } from './screenResults';
import type { ScreeningWindow } from './store/windows';

/** A sheet as it is marked: its words or facts, in rows where it is a grid. */
interface SheetToMark {
	grade: number;
	title: string;
	/** Reading grade of a passage; null for facts. */
	readingGrade: number | null;
	/** Each word or fact; `key` is the answer of a fact, `part` the paragraph or row it stands in. */
	places: { text: string; key: string | null; part: number }[];
	/** Places in a row; null where they run as text. */
	aRow: number | null;
}

/** The sheet of a grade in a window; everybody of the grade gets the same one there. */
export function sheetToMark(window: ScreeningWindow & { measure: FluencyMeasure }, grade: number): SheetToMark {
	const own = sheetGradeFor(window.measure, grade);
	if (window.measure === 'reading aloud') {
		const passage = passageFor(own);
		return {
			grade: own,
			title: passage.title,
			readingGrade: readingGrade(passage.paragraphs.join(' ')),
			places: passageWords(passage).map(({ text, paragraph }) => ({ text, key: null, part: paragraph })),
			aRow: null
		};
	}
	return {
		grade: own,
		title: `Facts, grade ${own}`,
		readingGrade: null,
		places: factSheet(own, window.id).map(({ text, answer }, i) => ({
			text,
			key: String(answer),
			part: Math.floor(i / FACTS_A_ROW)
		})),
		aRow: FACTS_A_ROW
	};
}
