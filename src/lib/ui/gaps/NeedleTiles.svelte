<!--
	The needles of the map as pictures: tiles of some rows and columns, each drawn once when it comes near. They scroll with
	the page, so that scrolling costs next to nothing; the cells below them say the same to whoever cannot see, and take
	clicks and keys.
-->
<script lang="ts">
	import { readCell, type Cell } from '$lib/core/mastery';
	import { onMount } from 'svelte';
	import { SPRITE_COLUMNS, SPRITE_ROWS, spritePlace } from '../glyphs/needleShape';
	import type { ColumnRange } from './columnWindow';
	import type { MapColumn } from './columns';
	import { foldDomain } from './map';
	import { copySquare, type Pixels } from './pixels';

	interface Props {
		/** Packed cells of each row; null of one that has not come yet. */
		rows: (Uint8Array | null)[];
		columns: MapColumn[];
		/** Where each column begins, in pixels. */
		starts: number[];
		/** Height of a row. */
		height: number;
		/** Rows and columns in view. */
		inView: { rows: ColumnRange; columns: ColumnRange };
		isShown: (cell: Cell) => boolean;
		ground: boolean;
		/** Whether the pictures are there. */
		ready: boolean;
	}
	let { rows, columns, starts, height, inView, isShown, ground, ready = $bindable() }: Props = $props();

	/** Rows and columns of a tile: fewer and larger ones cost the browser less as the page is put together. */
	const ROWS = 12;
	const COLUMNS = 24;
	const NEEDLE = 20;
	/** From a column's right edge to its needle's. */
	const RIGHT = 1;
	/** Of a folded domain's bar. */
	const BAR = { left: 10, width: 44, height: 8 };

	/** The sheet of needles at the screen's own resolution. */
	let sheet = $state.raw<Pixels | null>(null);
	let scale = $state(1);
	onMount(() => {
		const image = new Image();
		image.onload = () => {
			scale = Math.max(1, Math.round(window.devicePixelRatio));
			const canvas = document.createElement('canvas');
			canvas.width = scale * NEEDLE * SPRITE_COLUMNS.length;
			canvas.height = scale * NEEDLE * SPRITE_ROWS;
			const context = canvas.getContext('2d', { willReadFrequently: true })!;
			context.drawImage(image, 0, 0, canvas.width, canvas.height);
			const { data } = context.getImageData(0, 0, canvas.width, canvas.height);
			sheet = { data: new Uint32Array(data.buffer), width: canvas.width };
			ready = true;
		};
		image.src = '/needles.svg';
		return () => (ready = false);
	});

	/**
	 * Tiles in view, each as its first row and column: `12 0`. A text is the same as the one before, so that a tile that
	 * stays in view is not drawn again.
	 */
	const tiles = $derived.by(() => {
		if (!sheet) return [];
		const found: string[] = [];
		const firstRow = ROWS * Math.floor(inView.rows.from / ROWS);
		const firstColumn = COLUMNS * Math.floor(inView.columns.from / COLUMNS);
		for (let row = firstRow; row < inView.rows.until; row += ROWS)
			for (let column = firstColumn; column < inView.columns.until; column += COLUMNS) found.push(`${row} ${column}`);
		return found;
	});
	const cornerOf = (tile: string) => tile.split(' ').map(Number);

	/** Draws a tile: needles by copying their pixels, bars of folded domains over them. */
	function draw(canvas: HTMLCanvasElement, tile: string): void {
		const [firstRow, firstColumn] = cornerOf(tile);
		// Read once: what a component holds is dear to read for each of some thousand needles.
		const [needles, times, line] = [sheet!, scale, height];
		const last = Math.min(firstColumn + COLUMNS, columns.length);
		const shown = rows.slice(firstRow, firstRow + ROWS);
		const lefts = starts.slice(firstColumn, last + 1).map((start) => start - starts[firstColumn]);
		const [is, tinted] = [isShown, ground];
		canvas.width = times * lefts[lefts.length - 1];
		canvas.height = times * line * shown.length;
		const context = canvas.getContext('2d', { willReadFrequently: true })!;
		const image = context.createImageData(canvas.width, canvas.height);
		const picture = { data: new Uint32Array(image.data.buffer), width: canvas.width };
		const own = columns.slice(firstColumn, last);
		own.forEach((column, c) => {
			if (column.kind === 'folded') return;
			const x = times * (lefts[c + 1] - RIGHT - NEEDLE);
			shown.forEach((cells, r) => {
				if (!cells) return;
				const cell = readCell(cells, column.skill.place);
				if (!is(cell)) return;
				const from = spritePlace(cell, tinted);
				const y = times * (r * line + (line - NEEDLE) / 2);
				copySquare(needles, { x: times * from.x, y: times * from.y }, picture, { x, y }, times * NEEDLE);
			});
		});
		context.putImageData(image, 0, 0);
		own.forEach((column, c) => {
			if (column.kind !== 'folded') return;
			shown.forEach((cells, r) => {
				if (cells) drawBar(context, foldDomain(cells, column.skills), lefts[c] + BAR.left, r * line);
			});
		});
	}

	function drawBar(
		context: CanvasRenderingContext2D,
		{ secure, between, gap }: ReturnType<typeof foldDomain>,
		left: number,
		top: number
	): void {
		const colors = getComputedStyle(context.canvas);
		let x = left;
		for (const [count, token] of [
			[secure, '--secure-ink'],
			[between, '--rule'],
			[gap, '--gap-ink']
		] as const) {
			const width = (BAR.width * count) / Math.max(1, secure + between + gap);
			context.fillStyle = colors.getPropertyValue(token);
			context.fillRect(scale * x, scale * (top + (height - BAR.height) / 2), scale * width, scale * BAR.height);
			x += width;
		}
	}
</script>

<div class="tiles" aria-hidden="true">
	{#each tiles as tile (tile)}
		{@const [row, column] = cornerOf(tile)}
		<canvas
			{@attach (canvas) => draw(canvas, tile)}
			style:left="{starts[column]}px"
			style:top="{row * height}px"
			style:width="{starts[Math.min(column + COLUMNS, columns.length)] - starts[column]}px"
			style:height="{Math.min(ROWS, rows.length - row) * height}px"
		></canvas>
	{/each}
</div>

<style>
	.tiles {
		position: absolute;
		z-index: 1;
		pointer-events: none;
	}
	canvas {
		position: absolute;
	}
	@media print {
		.tiles {
			display: none;
		}
	}
</style>
