import { describe, expect, it } from 'vitest';
import { DrawnCells } from './drawnCells.svelte';

function timed() {
	const frames: (() => void)[] = [];
	let waiting: (() => void) | null = null;
	const cells = new DrawnCells({
		nextFrame: (then) => frames.push(then),
		after: (_, then) => {
			waiting = then;
			return 1;
		},
		cancel: () => (waiting = null)
	});
	return {
		cells,
		frames,
		frame: () => frames.splice(0).forEach((one) => one()),
		rest: () => waiting?.(),
		drawn: () => rows.filter((row) => cells.of(row)).length
	};
}
const rows = Array.from({ length: 20 }, (_, row) => row);
const range = { from: 0, until: 36 };

describe('cells of the rows in view', () => {
	it('are there at once when nobody scrolls', () => {
		const { cells, drawn, frames } = timed();
		cells.fill(rows, range);
		expect(drawn()).toBe(20);
		expect(cells.of(3)).toEqual(range);
		expect(cells.of(99)).toBeNull();
		expect(frames).toHaveLength(0);
	});

	it('are not made while one scrolls, and after a rest some rows a frame', () => {
		const { cells, drawn, frame, rest } = timed();
		cells.scrolled();
		cells.fill(rows, range);
		expect(drawn()).toBe(0);
		rest();
		expect(cells.isScrolling).toBe(false);
		cells.fill(rows, range);
		expect(drawn()).toBe(3);
		frame();
		expect(drawn()).toBe(6);
		// Asked for once more meanwhile, they still take turns.
		cells.fill([...rows], range);
		expect(drawn()).toBe(9);
		for (let i = 0; i < 4; i++) frame();
		expect(drawn()).toBe(20);
		// What is asked for next, by a filter say, comes at once again.
		cells.fill(rows, { from: 12, until: 48 });
		expect(rows.every((row) => cells.of(row)?.from === 12)).toBe(true);
	});

	it('stop coming when scrolling begins again, and those there are stay', () => {
		const { cells, drawn, frame, rest } = timed();
		cells.scrolled();
		rest();
		cells.fill(rows, range);
		cells.scrolled();
		frame();
		expect(drawn()).toBe(3);
	});

	it('go on with the newest rows only, and keep what these have already', () => {
		const { cells, frame, rest } = timed();
		cells.scrolled();
		rest();
		cells.fill(rows, range);
		const kept = cells.of(2);
		expect(kept).toEqual(range);
		cells.fill([2, 4, 30], range);
		frame();
		expect(cells.of(2)).toBe(kept);
		expect(cells.of(30)).toEqual(range);
		expect(cells.of(1)).toBeNull();
	});

	it('of one row are there at once where the keyboard moves to it, and stay in what follows', () => {
		const { cells, drawn, rest } = timed();
		cells.scrolled();
		cells.add(19, range);
		expect(drawn()).toBe(1);
		const kept = cells.of(19);
		rest();
		cells.fill(rows, range);
		expect(drawn()).toBe(4);
		expect(cells.of(19)).toBe(kept);
		cells.add(19, { from: 12, until: 48 });
		expect(cells.of(19)).toEqual({ from: 12, until: 48 });
	});
});
