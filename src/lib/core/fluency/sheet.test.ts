import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
	markedSheet,
	newSheet,
	reachOnSheet,
	sheetScore,
	startSheet,
	stopSheet,
	takeBackMark,
	tapSheet,
	type Sheet
} from '.';

const begun = () => startSheet(newSheet(100));

describe('a sheet that is marked', () => {
	it('takes no marks before it is begun', () => {
		expect(tapSheet(newSheet(100), 3)).toEqual(newSheet(100));
	});

	it('marks what is missed, and a second tap says it was right', () => {
		let sheet = tapSheet(tapSheet(begun(), 8), 4);
		expect(sheet.missed).toEqual([4, 8]);
		sheet = tapSheet(sheet, 8);
		expect(sheet.missed).toEqual([4]);
	});

	it('asks for the last place reached once time is over, and only then has a score', () => {
		let sheet = stopSheet(tapSheet(begun(), 4), 60.03);
		expect(sheet).toMatchObject({ stage: 'last reached', seconds: 60 });
		expect(sheetScore(sheet)).toBeNull();
		sheet = tapSheet(sheet, 49);
		expect(markedSheet(sheet)).toEqual({ reached: 50, missed: [4], seconds: 60 });
		expect(sheetScore(sheet)).toMatchObject({ correct: 49, accuracy: 0.98 });
	});

	it('can be marked on when done: missed up to the last place, nothing behind it, another last place', () => {
		let sheet = tapSheet(stopSheet(tapSheet(begun(), 60), 60), 49);
		expect(markedSheet(sheet)!.missed).toEqual([]);
		sheet = tapSheet(sheet, 49);
		sheet = tapSheet(sheet, 50);
		expect(markedSheet(sheet)!.missed).toEqual([49]);
		sheet = reachOnSheet(sheet, 70);
		expect(markedSheet(sheet)).toEqual({ reached: 71, missed: [49, 60], seconds: 60 });
	});

	it('needs no last place when the student came to the end before time', () => {
		const sheet = stopSheet(tapSheet(begun(), 4), 41.5, true);
		expect(markedSheet(sheet)).toEqual({ reached: 100, missed: [4], seconds: 41.5 });
	});

	it('takes a last place back to the asking for it', () => {
		const asked = stopSheet(begun(), 60);
		expect(takeBackMark(tapSheet(asked, 9))).toEqual(asked);
		const moved = reachOnSheet(tapSheet(asked, 9), 19);
		expect(takeBackMark(moved)).toEqual(tapSheet(asked, 9));
		const nothing = reachOnSheet(asked, -1);
		expect(sheetScore(nothing)).toMatchObject({ correct: 0, accuracy: null });
		expect(takeBackMark(reachOnSheet(nothing, 3))).toEqual(nothing);
		expect(reachOnSheet(asked, 100)).toBe(asked);
	});

	it('comes back to where it was by taking back every mark, whatever was tapped', () => {
		fc.assert(
			fc.property(
				fc.array(fc.integer({ min: -2, max: 102 }), { maxLength: 40 }),
				fc.array(fc.integer({ min: 0, max: 99 }), { minLength: 1, maxLength: 8 }),
				(during, after) => {
					let sheet: Sheet = begun();
					const empty = sheet;
					for (const place of during) sheet = tapSheet(sheet, place);
					const counts = new Map<number, number>();
					for (const place of during) counts.set(place, (counts.get(place) ?? 0) + 1);
					const odd = [...counts].filter(([place, times]) => place >= 0 && place < 100 && times % 2).map(([p]) => p);
					expect(sheet.missed).toEqual(odd.sort((a, b) => a - b));
					sheet = stopSheet(sheet, 60);
					for (const place of after) sheet = reachOnSheet(sheet, place);
					expect(markedSheet(sheet)!.reached).toBe(after.at(-1)! + 1);
					while (sheet.marks.length) sheet = takeBackMark(sheet);
					expect(sheet).toEqual({ ...empty, stage: 'last reached', seconds: 60 });
					expect(takeBackMark(sheet)).toBe(sheet);
				}
			)
		);
	});
});
