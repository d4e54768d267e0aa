import {
	factSheet,
	passageFor,
	passageWords,
	readingGrade,
	FACTS_A_ROW,
	type FluencyMeasure
} from '../../core/fluency';
import { sheetGradeFor } from './screenResults';

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

/** What a sheet is given for: a window, in which everybody of a grade has the same one, or the n-th giving of a series. */
export type GivenFor = { windowId: number } | { sheetNumber: number };

/**
 * The sheet of a grade. Screening has the first passage of it, a series those after it in turn; facts are others in each window
 * and each week.
 */
export function sheetToMark(measure: FluencyMeasure, grade: number, givenFor: GivenFor): SheetToMark {
	const own = sheetGradeFor(measure, grade);
	if (measure === 'reading aloud') {
		const passage = passageFor(own, 'windowId' in givenFor ? 0 : givenFor.sheetNumber);
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
		places: factSheet(own, 'windowId' in givenFor ? givenFor.windowId : -givenFor.sheetNumber).map(
			({ text, answer }, i) => ({ text, key: String(answer), part: Math.floor(i / FACTS_A_ROW) })
		),
		aRow: FACTS_A_ROW
	};
}
