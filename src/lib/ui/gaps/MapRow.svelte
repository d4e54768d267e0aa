<!-- A row of the needle map: who it is, and the cells that are made so far. -->
<script lang="ts">
	import { fullName } from '$lib/core/words';
	import type { Cell } from '$lib/core/mastery';
	import TierBars from '../glyphs/TierBars.svelte';
	import { withState } from '../shell/address';
	import { cellsHtml } from './cellsHtml';
	import { SEGMENT, WIDTHS, type ColumnRange } from './columnWindow';
	import type { MapColumn } from './columns';
	import { cellsOf, type MapStudent } from './map';

	interface Props {
		/** Null until the row has come. */
		student: MapStudent | null;
		id: number;
		/** Its place among all rows. */
		index: number;
		columns: MapColumn[];
		/** Columns whose cells are made; null for none. */
		range: ColumnRange | null;
		isCurrent: boolean;
		/** The skill whose cell is chosen. */
		skillId: number;
		isShown: (cell: Cell) => boolean;
		ground: boolean;
		/** Whether needles are shown as tiles, so that cells need no picture of their own. */
		tiled: boolean;
		isPicked: boolean;
		onpick: (isPicked: boolean) => void;
	}
	let { student, id, index, columns, range, isCurrent, skillId, isShown, ground, tiled, isPicked, onpick }: Props =
		$props();

	const from = $derived(range?.from ?? columns.length);
	const until = $derived(range?.until ?? columns.length);
	const cells = $derived(student && cellsOf(student));
	const segments = $derived(Array.from({ length: Math.ceil((until - from) / SEGMENT) }, (_, i) => from + SEGMENT * i));
	const name = $derived(student ? fullName(student) : '');
</script>

<tr data-student={id} class:current={isCurrent} class:tiled aria-rowindex={index + 2}>
	<th class="student" scope="row" style:width="{WIDTHS.student}px">
		<span>
			<input
				type="checkbox"
				checked={isPicked}
				onchange={(event) => onpick(event.currentTarget.checked)}
				tabindex="-1"
				aria-label="Select {name}"
			/>
			{#if student}
				<a href={withState({ student: id, cell: null })} tabindex="-1">{name}</a>
				<span class="soft">{student.className}</span>
				<TierBars tier={student.tier} inColumn />
			{:else}<span class="soft coming">…</span>{/if}
		</span>
	</th>
	{#if from > 0}<td colspan={from} aria-hidden="true"></td>{/if}
	{#each cells ? segments : [] as first (first)}
		<!-- eslint-disable-next-line svelte/no-at-html-tags -- cellsHtml escapes every text -->
		{@html cellsHtml(columns.slice(first, Math.min(first + SEGMENT, until)), first, {
			cells: cells!,
			row: index,
			chosenSkillId: isCurrent ? skillId : null,
			isShown,
			ground
		})}
	{/each}
	{#if cells && range && until < columns.length}<td colspan={columns.length - until} aria-hidden="true"></td>{/if}
</tr>

<style>
	th,
	td,
	tr :global(td) {
		border: 0;
		padding: 0;
	}
	/* What the bars and the heads cover above, and the action bar below. */
	tr,
	tr :global(td) {
		scroll-margin: 302px 0 64px 260px;
	}
	.student {
		position: sticky;
		left: 0;
		z-index: 3;
		background: var(--paper);
		text-align: left;
		font-weight: 400;
		padding-right: 6px;
	}
	.student > span {
		display: flex;
		align-items: center;
		gap: 7px;
		height: 24px;
		white-space: nowrap;
	}
	.student a {
		color: var(--ink);
		text-decoration: none;
		overflow: hidden;
		text-overflow: ellipsis;
		max-width: 150px;
	}
	.student .soft {
		margin-left: auto;
		font-size: 0.85rem;
	}
	.current .student,
	.current :global(td) {
		background-color: var(--verdigris-wash);
	}
	tr :global(td[role='gridcell']) {
		height: 24px;
		padding: 2px 1px;
		cursor: pointer;
	}
	/* From the sheet of needles; the window onto it is the cell's content box. */
	tr :global(.needle) {
		background-image: url('/needles.svg');
		background-repeat: no-repeat;
		background-origin: content-box;
		background-clip: content-box;
		print-color-adjust: exact;
	}
	.current :global(.needle) {
		background-clip: content-box, border-box;
	}
	@media screen {
		.tiled :global(.needle) {
			background-image: none;
			background-clip: border-box;
		}
		.tiled :global(td svg) {
			visibility: hidden;
		}
	}
	tr :global(td:focus-visible) {
		outline-offset: -2px;
	}
	tr :global(.chosen) {
		box-shadow: inset 0 0 0 2px var(--ink);
		border-radius: 4px;
	}
	tr :global(td svg) {
		display: block;
	}
	tr :global(td.first) {
		padding-left: 10px;
	}
	tr :global(td.fold) {
		padding: 2px 6px 2px 10px;
	}
	tr :global(.rest) {
		fill: var(--rule);
	}
	tr :global(rect.secure) {
		fill: var(--secure-ink);
	}
	tr :global(rect.gap) {
		fill: var(--gap-ink);
	}
	@media print {
		.student {
			position: static;
		}
	}
</style>
