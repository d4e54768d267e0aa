import { scoreSheet, SECONDS_GIVEN, type MarkedSheet } from './score';

/** How far the giving of a measure is: not begun, under way, or over with the last place still to be said, or done. */
type SheetStage = 'ready' | 'under way' | 'last reached' | 'done';

/** One thing done on the sheet, so that it can be taken back. */
type Mark = { kind: 'missed'; place: number } | { kind: 'reached'; before: number | null };

/**
 * A sheet that is marked while a student reads words aloud or answers facts. Sheets are never changed; each step gives
 * a new one.
 *
 * @example
 * let sheet = startSheet(newSheet(120));
 * sheet = tapSheet(sheet, 4);          // the fifth word is missed
 * sheet = tapSheet(sheet, 4);          // no, it was right
 * sheet = stopSheet(sheet, 60);        // the minute is over
 * sheet = tapSheet(sheet, 81);         // the 82nd word was the last
 * scoreSheet(markedSheet(sheet));
 */
export interface Sheet {
	/** Words or facts on it. */
	length: number;
	stage: SheetStage;
	missed: number[];
	/** As in `MarkedSheet`. */
	reached: number;
	seconds: number;
	marks: Mark[];
}

export function newSheet(length: number): Sheet {
	return { length, stage: 'ready', missed: [], reached: 0, seconds: 0, marks: [] };
}

export function startSheet(sheet: Sheet): Sheet {
	return sheet.stage === 'ready' ? { ...sheet, stage: 'under way' } : sheet;
}

const toggled = (list: number[], place: number) =>
	list.includes(place) ? list.filter((one) => one !== place) : [...list, place].sort((a, b) => a - b);

/**
 * A tap on a word or fact: missed, or right after all; once time is over, first which was the last. A tap behind the
 * last reached says nothing.
 */
export function tapSheet(sheet: Sheet, place: number): Sheet {
	if (place < 0 || place >= sheet.length) return sheet;
	if (sheet.stage === 'last reached') return reachOnSheet(sheet, place);
	if (sheet.stage === 'ready' || (sheet.stage === 'done' && place >= sheet.reached)) return sheet;
	return { ...sheet, missed: toggled(sheet.missed, place), marks: [...sheet.marks, { kind: 'missed', place }] };
}

/** Says which word or fact was the last reached; −1 for none. Those missed behind it no longer are. */
export function reachOnSheet(sheet: Sheet, place: number): Sheet {
	if (sheet.stage !== 'last reached' && sheet.stage !== 'done') return sheet;
	if (place < -1 || place >= sheet.length) return sheet;
	return {
		...sheet,
		stage: 'done',
		reached: place + 1,
		marks: [...sheet.marks, { kind: 'reached', before: sheet.stage === 'done' ? sheet.reached : null }]
	};
}

/**
 * Ends the time. At the end of the sheet before time is over, all of it was reached.
 *
 * @param seconds taken, more than 0
 * @param isAtEnd whether the student came to the end
 */
export function stopSheet(sheet: Sheet, seconds: number, isAtEnd = false): Sheet {
	if (sheet.stage !== 'under way') return sheet;
	const stopped: Sheet = { ...sheet, stage: 'last reached', seconds: Math.min(SECONDS_GIVEN, seconds) };
	return isAtEnd ? { ...stopped, stage: 'done', reached: sheet.length } : stopped;
}

/** Takes the newest mark back. */
export function takeBackMark(sheet: Sheet): Sheet {
	const mark = sheet.marks.at(-1);
	if (!mark) return sheet;
	const marks = sheet.marks.slice(0, -1);
	if (mark.kind === 'missed') return { ...sheet, missed: toggled(sheet.missed, mark.place), marks };
	return { ...sheet, marks, reached: mark.before ?? 0, stage: mark.before === null ? 'last reached' : 'done' };
}

/** What the sheet says, as it is scored and stored; null until it is done. */
export function markedSheet(sheet: Sheet): MarkedSheet | null {
	if (sheet.stage !== 'done') return null;
	const { reached, seconds } = sheet;
	return { reached, missed: sheet.missed.filter((place) => place < reached), seconds };
}

/** The score that the sheet has come to; null until it is done. */
export function sheetScore(sheet: Sheet) {
	const marked = markedSheet(sheet);
	return marked && scoreSheet(marked);
}
