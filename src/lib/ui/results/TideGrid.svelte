<!--
	Students by questions: each a mark on a line that leads to the question with what was answered. One tab stop, arrows within.
	<TideGrid {rows} {columns} line={80} chosen={…} hasGrounds />
-->
<script lang="ts">
	import type { Outcome, Score } from '$lib/core/results';
	import { number } from '$lib/core/words';
	import { page } from '$app/state';
	import { keepingScope, withState } from '../shell/address';
	import { sayCell, sayTime } from './sayOutcome';
	import StudentGrid from './StudentGrid.svelte';
	import TideMark from './TideMark.svelte';

	interface Props {
		columns: { position: number; stem: string | null; answered: number; right: number }[];
		rows: {
			id: number;
			name: string;
			state: string;
			isLate: boolean;
			hasRushed: boolean;
			score: Score;
			expected: number;
			/** By the place of their question. */
			cells: { outcome: Outcome; tries: number; hints: number; seconds: number }[];
		}[];
		chosen: { position: number; student: { id: number } | null } | null;
		/** Whether cells have a ground by how they went. */
		hasGrounds: boolean;
		/** Whether it is told how many were right; else only counts that it is done. */
		isScored: boolean;
	}
	let { columns, rows, chosen, hasGrounds, isScored }: Props = $props();
	type Row = Props['rows'][number];
	/** This page with other state, without its path: it stands in every cell. */
	const here = (state: Parameters<typeof withState>[0]) => withState(state).slice(page.url.pathname.length);
	const isChosen = (studentId: number | null, position: number) =>
		chosen?.position === position && (chosen.student?.id ?? null) === studentId;
	/** Whether some had harder or easier questions than others. */
	const isUneven = $derived(
		new Set(rows.filter(({ score }) => score.asked).map(({ expected }) => number(expected, 1))).size > 1
	);
</script>

<!-- Choosing a mark stays where one is. -->
<div class:grounds={hasGrounds} data-sveltekit-noscroll>
	<StudentGrid says="Students by questions" {rows} {head} {name} {cells} {foot} />
</div>

{#snippet head()}
	{#each columns as { position, stem, right, answered } (position)}
		<th scope="col" class="place">
			{#if stem !== null && answered}
				<a
					href={here({ question: position, student: null })}
					aria-current={isChosen(null, position) ? 'true' : undefined}
					title={stem}
					aria-label="Question {position + 1}, right at the first try for {right} of {answered}: {stem}"
					>{position + 1}</a
				>
			{:else}
				{position + 1}
			{/if}
		</th>
	{/each}
	{#if isScored}<th scope="col">First try</th>{/if}
	<th scope="col">Later</th>
	<th scope="col">Time</th>
	<th scope="col">Hints</th>
	{#if isUneven}<th scope="col" title="Right of these questions by who gets 7 of 10 usual ones">As hard as</th>{/if}
{/snippet}

{#snippet name(row: Row)}
	<a href={keepingScope(`/students/${row.id}`)} data-sveltekit-noscroll="off">{row.name}</a>
	{#if row.state !== 'finished'}<span class="soft">{row.state}</span>{/if}{#if row.isLate}<strong>, late</strong>{/if}
	{#if row.hasRushed}<span class="soft" title="Three answers in a row within two seconds each, not all right"
			>rushed</span
		>{/if}
{/snippet}

{#snippet cells(row: Row)}
	{#each columns as { position } (position)}
		{@const cell = row.cells[position]}
		<td class="cell" class:missed={cell?.outcome === 'missed'} class:right={cell?.outcome === 'first try'}>
			{#if cell && cell.outcome !== 'unanswered'}
				<a
					href={here({ student: row.id, question: position })}
					aria-current={isChosen(row.id, position) ? 'true' : undefined}
					title="{row.name}, question {position + 1}: {sayCell(cell)}"><TideMark outcome={cell.outcome} /></a
				>
			{:else if cell}
				<TideMark outcome="unanswered" />
			{/if}
		</td>
	{/each}
	{#if isScored}<td class="number">{row.score.answered ? `${row.score.right} of ${row.score.answered}` : ''}</td>{/if}
	<td class="number">{row.score.later || ''}</td>
	<td class="number">{row.score.answered ? sayTime(row.score.milliseconds) : ''}</td>
	<td class="number">{row.score.hinted || ''}</td>
	{#if isUneven}<td class="number">{row.score.asked ? `${number(row.expected, 1)} of ${row.score.asked}` : ''}</td>{/if}
{/snippet}

{#snippet foot()}
	<th scope="row" class="sum">Right at the first try</th>
	{#each columns as { position, right, answered } (position)}
		<td class="foot">{answered ? `${right}/${answered}` : ''}</td>
	{/each}
{/snippet}

<style>
	.place,
	.cell {
		width: 44px;
		padding: 0 2px;
		text-align: center;
	}
	.place a,
	.cell a {
		display: inline-block;
		min-width: 26px;
		min-height: 26px;
		border-radius: var(--corner);
		text-decoration: none;
	}
	.place a {
		line-height: 26px;
		font-weight: 650;
		text-decoration: underline;
	}
	.cell a:hover {
		background: var(--sheet);
	}
	[aria-current] {
		box-shadow: inset 0 0 0 2px var(--verdigris);
	}
	.foot {
		text-align: center;
		font-size: 12px;
		color: var(--ink-soft);
		padding: 2px;
	}
	.sum {
		padding-left: 0;
		font-weight: 400;
		font-size: 13px;
		color: var(--ink-soft);
	}
	.grounds .missed {
		background: var(--gap-ground);
	}
	.grounds .right {
		background: var(--secure-ground);
	}
</style>
