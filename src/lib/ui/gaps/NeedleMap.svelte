<!--
	Students × skills as a grid of needles. Only the rows in view are drawn; their needles are pictures (NeedleTiles), and
	their cells are made once the map rests (DrawnCells). One cell has the focus; keys move it (stepOf), Enter, Space act.
-->
<script lang="ts">
	import { NEEDLE_FILTERS, type NeedleFilter } from '$lib/core/mastery';
	import { onMount, tick, untrack } from 'svelte';
	import { legState } from '../shell/legState.svelte';
	import { columnsInView, columnStarts, WIDTHS, widthOf } from './columnWindow';
	import { mapColumns, type MapDomain } from './columns';
	import type { Rows } from '../table/rows.svelte';
	import { DrawnCells } from './drawnCells.svelte';
	import { cellsOf, type MapSkill, type MapStudent } from './map';
	import MapFoot from './MapFoot.svelte';
	import MapHeads from './MapHeads.svelte';
	import MapRow from './MapRow.svelte';
	import { stepOf } from './mapKeys';
	import NeedleTiles from './NeedleTiles.svelte';
	import { RowsInView } from './rowsInView.svelte';
	import { Sideways } from './sideways.svelte';

	interface Props {
		/** Students in their order, with what has come of them. */
		rows: Rows<MapStudent>;
		/** Those that stand in the map, and all there are. */
		skills: MapSkill[];
		allSkills: MapSkill[];
		domains: MapDomain[];
		/** Domains folded into one column. */
		folded: ReadonlySet<number>;
		/** Needles that are shown; the others leave their cell empty. */
		needles: NeedleFilter;
		ground: boolean;
		/** Student whose row is marked, and skill whose cell of it is. */
		studentId: number;
		skillId: number;
		/** Ids of students that are ticked. */
		selected: number[];
		onchoose: (studentId: number, skillId: number) => void;
		onfold: (domainId: number) => void;
	}
	let {
		rows,
		skills,
		allSkills,
		domains,
		folded,
		needles,
		ground,
		studentId,
		skillId,
		selected = $bindable(),
		onchoose,
		onfold
	}: Props = $props();

	/** Height of a row and of the heads, in pixels. */
	const ROW = 24;
	/** Rows on either side of those in view that are asked for with them. */
	const AHEAD = 40;
	const HEADS = 190;
	/** Of a landscape page between its margins. */
	const PAGE_WIDTH = 980;
	/** What is taken for the window's width until there is one. */
	const FIRST_WIDTH = 1280;
	/** Frames that a cell may take to be there once it is asked for. */
	const MOST_FRAMES = 30;

	let scroller = $state<HTMLElement>();
	let place = $state<HTMLElement>();
	let map = $state<HTMLTableElement>();
	let focusRow = $state(0);
	let focusColumn = $state(0);
	let tiled = $state(false);
	let innerWidth = $state(FIRST_WIDTH);
	const ids = $derived(rows.ids);
	const columns = $derived(mapColumns(domains, skills, allSkills, folded));
	const starts = $derived(columnStarts(columns));
	const width = $derived(WIDTHS.student + starts[columns.length]);
	const isShown = $derived(NEEDLE_FILTERS[needles]);
	const ticked = $derived(new Set(selected));

	const sideways = new Sideways(() => scroller);
	const drawn = new RowsInView({
		count: () => ids.length,
		height: ROW,
		top: () => place?.offsetTop ?? 0,
		firstWindow: { width: FIRST_WIDTH, height: 800 }
	});
	const { visible } = $derived(drawn);
	const inView = $derived({
		rows: { from: visible[0] ?? 0, until: (visible.at(-1) ?? -1) + 1 },
		columns: drawn.isPrinting
			? { from: 0, until: columns.length }
			: columnsInView(starts, sideways.left, sideways.left + innerWidth - WIDTHS.student)
	});

	const cells = new DrawnCells({
		nextFrame: (then) => requestAnimationFrame(then),
		after: (milliseconds, then) => window.setTimeout(then, milliseconds),
		cancel: (timer) => clearTimeout(timer)
	});
	// What is drawn on the server, and before anything is scrolled.
	untrack(() => cells.fill(visible, inView.columns));
	$effect.pre(() => {
		const { isScrolling } = cells;
		const [rows, range] = [visible, inView.columns];
		if (!isScrolling) untrack(() => cells.fill(rows, range));
	});

	function onscroll() {
		cells.scrolled();
		sideways.follow();
	}
	onMount(onscroll);

	// Rows are asked for as they come near.
	const askForRows = () => void rows.need(inView.rows.from - AHEAD, inView.rows.until + AHEAD);
	$effect(() => {
		void inView.rows;
		untrack(askForRows);
	});

	// One cell can be reached by Tab: the one that had the focus, or the first that is drawn.
	$effect(() => {
		void visible.map((row) => cells.of(row));
		const cell = map?.querySelector(`[data-at="${focusRow} ${focusColumn}"]`) ?? map?.querySelector('[data-at]');
		for (const old of map?.querySelectorAll('[data-at][tabindex="0"]') ?? []) old.setAttribute('tabindex', '-1');
		cell?.setAttribute('tabindex', '0');
	});

	function pick(id: number, isPicked: boolean) {
		selected = isPicked ? [...selected, id] : selected.filter((one) => one !== id);
	}

	const cellOf = ({ target }: Event) => (target as HTMLElement).closest<HTMLElement>('[data-at]');
	const placeOf = (event: Event) => cellOf(event)?.dataset.at!.split(' ').map(Number) ?? null;
	function onfocusin(event: FocusEvent) {
		[focusRow, focusColumn] = placeOf(event) ?? [focusRow, focusColumn];
	}
	function onclick(event: MouseEvent) {
		const at = placeOf(event);
		if (at) choose(at[0], at[1]);
	}
	/** What a cell says is shown over it, too. */
	function onmouseover(event: MouseEvent) {
		const cell = cellOf(event);
		if (cell) cell.title = cell.ariaLabel ?? '';
	}

	$effect(() => {
		legState.order = ids;
		return () => (legState.order = undefined);
	});
	// A student chosen elsewhere, by J and K or by name, comes into view even when the row is not drawn.
	$effect(() => {
		const row = ids.indexOf(studentId);
		if (row >= 0) reveal(row);
	});

	/** Scrolls a row into view: near it first where it is not drawn, then to the row itself. */
	async function reveal(row: number) {
		await tick();
		const find = () => map?.querySelector(`[aria-rowindex="${row + 2}"]`);
		if (!find()) drawn.scrollTo(row);
		requestAnimationFrame(() => find()?.scrollIntoView({ block: 'nearest' }));
	}

	async function focusCell(row: number, column: number) {
		focusRow = Math.max(0, Math.min(ids.length - 1, row));
		focusColumn = Math.max(0, Math.min(columns.length - 1, column));
		drawn.scrollTo(focusRow);
		const [left, right] = [starts[focusColumn], starts[focusColumn + 1]];
		sideways.show({ left, right }, scroller!.clientWidth - WIDTHS.student);
		for (let frame = 0; frame < MOST_FRAMES; frame++) {
			cells.add(focusRow, inView.columns);
			await tick();
			const cell = map?.querySelector<HTMLElement>(`[data-at="${focusRow} ${focusColumn}"]`);
			if (cell) return cell.focus();
			await new Promise(requestAnimationFrame);
		}
	}

	function choose(row: number, column: number) {
		const chosen = columns[column];
		if (chosen.kind === 'folded') onfold(chosen.domainId);
		else onchoose(ids[row], chosen.skill.id);
	}

	function onkeydown(event: KeyboardEvent) {
		// The heads of domains are buttons of their own.
		if ((event.target as HTMLElement).closest('thead')) return;
		const step = stepOf(event.key, columns.length);
		if (step) focusCell(focusRow + step.rows, focusColumn + step.columns);
		else if (event.key === 'Enter') choose(focusRow, focusColumn);
		else if (event.key === ' ') pick(ids[focusRow], !ticked.has(ids[focusRow]));
		else return;
		event.preventDefault();
	}
</script>

<svelte:window bind:innerWidth onscrollcapture={onscroll} />
<div class="scroller" bind:this={scroller}>
	<div class="map" bind:this={place} style:--width="{width}px" style:--page-zoom={Math.min(1, PAGE_WIDTH / width)}>
		<div class="pictures" style:top="{HEADS}px" style:left="{WIDTHS.student}px">
			<NeedleTiles
				rows={ids.map((id) => {
					const row = rows.at(id);
					return row ? cellsOf(row) : null;
				})}
				{columns}
				{starts}
				height={ROW}
				{inView}
				{isShown}
				{ground}
				bind:ready={tiled}
			/>
		</div>
		<!-- The grid itself handles keys; focus roves among its cells. -->
		<table
			role="grid"
			aria-label="Needle map: students and skills"
			aria-rowcount={ids.length + 1}
			aria-colcount={columns.length + 1}
			bind:this={map}
			{onkeydown}
			{onclick}
			{onfocusin}
			{onmouseover}
		>
			<colgroup>
				<col style:width="{WIDTHS.student}px" />
				{#each columns as column (column.kind === 'skill' ? column.skill.id : -column.domainId)}
					<col style:width="{widthOf(column)}px" />
				{/each}
			</colgroup>
			<MapHeads {columns} {domains} students={ids.length} {onfold} />
			<tbody>
				{#if drawn.above}<tr aria-hidden="true"><td style:height="{drawn.above}px"></td></tr>{/if}
				{#each visible as index (ids[index])}
					{@const id = ids[index]}
					<MapRow
						student={rows.at(id) ?? null}
						{id}
						{index}
						{columns}
						range={cells.of(index)}
						isCurrent={id === studentId}
						{skillId}
						{isShown}
						{ground}
						{tiled}
						isPicked={ticked.has(id)}
						onpick={(isPicked) => pick(id, isPicked)}
					/>
				{/each}
				{#if drawn.below}<tr aria-hidden="true"><td style:height="{drawn.below}px"></td></tr>{/if}
			</tbody>
		</table>
	</div>
</div>
<MapFoot {rows} bind:isPrinting={drawn.isPrinting} onretry={askForRows} />

<style>
	.map {
		position: relative;
		/* As far as it must be scrolled to be seen beside the panel. */
		width: calc(var(--width) + var(--beside, 0px));
	}
	@media screen and (max-width: 900px) {
		.scroller {
			overflow-x: auto;
		}
		.map {
			width: var(--width);
		}
	}
	.pictures {
		position: absolute;
	}
	table {
		width: var(--width);
		border-collapse: separate;
		border-spacing: 0;
		table-layout: fixed;
	}
	td {
		border: 0;
		padding: 0;
	}
	@page {
		size: landscape;
		margin: 10mm;
	}
	@media print {
		.map {
			zoom: var(--page-zoom);
		}
	}
</style>
