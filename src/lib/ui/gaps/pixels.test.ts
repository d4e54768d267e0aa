import { describe, expect, it } from 'vitest';
import { copySquare, type Pixels } from './pixels';

const picture = (width: number, ...data: number[]): Pixels => ({ data: Uint32Array.from(data), width });
const blank = (width: number, height: number): Pixels => ({ data: new Uint32Array(width * height), width });

describe('a square of pixels', () => {
	// prettier-ignore
	const sheet = picture(4,
		1, 2, 3, 4,
		5, 6, 7, 8,
		9, 10, 11, 12
	);

	it('is copied to its place, and nothing around it changes', () => {
		const to = blank(5, 3);
		copySquare(sheet, { x: 2, y: 1 }, to, { x: 1, y: 0 }, 2);
		// prettier-ignore
		expect([...to.data]).toEqual([
			0, 7, 8, 0, 0,
			0, 11, 12, 0, 0,
			0, 0, 0, 0, 0
		]);
	});

	it('may fill the whole of either picture', () => {
		const to = blank(3, 3);
		copySquare(sheet, { x: 1, y: 0 }, to, { x: 0, y: 0 }, 3);
		expect([...to.data]).toEqual([2, 3, 4, 6, 7, 8, 10, 11, 12]);
	});

	it('does not run over an edge into the next line', () => {
		for (const at of [
			{ x: 3, y: 0 },
			{ x: 0, y: 2 },
			{ x: -1, y: 0 }
		]) {
			expect(() => copySquare(sheet, at, blank(2, 2), { x: 0, y: 0 }, 2)).toThrow(RangeError);
			expect(() => copySquare(sheet, { x: 0, y: 0 }, blank(4, 3), at, 2)).toThrow(RangeError);
		}
	});
});
