import type { ColumnRange } from './columnWindow';

/** So long (ms) without a scroll is a rest. */
const REST_MS = 150;
/** Rows that get their cells in one frame after a rest. */
const ROWS_A_FRAME = 3;

/** What the page's clock offers, so that tests can turn it. */
interface Timing {
	nextFrame(then: () => void): void;
	after(milliseconds: number, then: () => void): number;
	cancel(timer: number): void;
}

/**
 * Which rows of the map have their cells, and for which columns. While one scrolls no cell is made, and the map is seen
 * as pictures; once it rests, rows get their cells some at a time, so that no frame is long.
 *
 * cells.scrolled();
 * $effect(() => cells.fill(rowsInView, columnsInView));
 * cells.of(7); // { from: 0, until: 36 }, or null while it has none
 */
export class DrawnCells {
	isScrolling = $state(false);
	private drawn: ReadonlyMap<number, ColumnRange> = $state.raw(new Map());
	private timer = 0;
	private asked = 0;
	/** Whether rows get their cells in turns: from a rest until all that are asked for have theirs. */
	private inTurns = false;

	constructor(private readonly timing: Timing) {}

	of(row: number): ColumnRange | null {
		return this.drawn.get(row) ?? null;
	}

	/** Says that the map has just been scrolled. */
	scrolled(): void {
		this.isScrolling = true;
		this.timing.cancel(this.timer);
		this.timer = this.timing.after(REST_MS, () => {
			this.inTurns = true;
			this.isScrolling = false;
		});
	}

	/** Gives one row its cells, whatever else goes on: the one that the keyboard moves to. */
	add(row: number, range: ColumnRange): void {
		if (!isSame(this.drawn.get(row), range)) this.drawn = new Map(this.drawn).set(row, range);
	}

	/** Gives rows their cells: at once, after a rest in turns, and not at all while one scrolls. */
	fill(rows: number[], range: ColumnRange): void {
		if (this.isScrolling) return;
		const turn = ++this.asked;
		const ready = new Map(rows.flatMap((row) => (this.drawn.has(row) ? [[row, this.drawn.get(row)!] as const] : [])));
		const open = rows.filter((row) => !isSame(ready.get(row), range));
		const size = this.inTurns ? ROWS_A_FRAME : open.length;
		const step = (): void => {
			// Something else was asked for since, or scrolling has begun again.
			if (turn !== this.asked || this.isScrolling) return;
			for (const row of open.splice(0, size)) ready.set(row, range);
			this.drawn = new Map(ready);
			if (open.length) this.timing.nextFrame(step);
			else this.inTurns = false;
		};
		step();
	}
}

const isSame = (a: ColumnRange | undefined, b: ColumnRange) => a?.from === b.from && a.until === b.until;
