<!--
	Students by the sets of a period: what was right at the first try, as counts; under the line hangs a mark, in words and
	shape. <ThroughGrid {rows} {columns} says="Students by skills" />
-->
<script lang="ts">
	import { sayDate } from '$lib/core/calendar';
	import { keepingScope } from '../shell/address';
	import StudentGrid from './StudentGrid.svelte';

	interface Told {
		setId: number;
		right: number;
		answered: number;
		isUnder: boolean;
		on: string;
	}
	interface Props {
		says: string;
		/** A skill or a set each. */
		columns: { key: number; name: string; more: string }[];
		rows: {
			id: number;
			name: string;
			className: string;
			/** By column: from the first run to the last, the same where there is one; null for none. */
			cells: ({ runs: number; first: Told; last: Told } | null)[];
		}[];
	}
	let { says, columns, rows }: Props = $props();
	type Row = Props['rows'][number];
	const share = ({ right, answered }: Told) => `${right}/${answered}`;
	const sayRun = (run: Told) =>
		`${run.right} of ${run.answered}${run.isUnder ? ', under the line' : ''}, ${sayDate(run.on)}`;
	const sayCell = ({ runs, first, last }: NonNullable<Props['rows'][number]['cells'][number]>) =>
		runs > 1 ? `${runs} runs, first ${sayRun(first)}; last ${sayRun(last)}` : sayRun(last);
</script>

<StudentGrid {says} {rows} {head} {name} {cells} />

{#snippet head()}
	{#each columns as { key, name, more } (key)}<th scope="col" class="column" title="{name}, {more}"
			>{name}<br /><span class="soft">{more}</span></th
		>{/each}
{/snippet}

{#snippet name({ id, name: called, className }: Row)}
	<a href={keepingScope(`/students/${id}/answers`, { student: null })}>{called}</a>
	<span class="soft">{className}</span>
{/snippet}

{#snippet cells({ id, name: called, cells: own }: Row)}
	{#each own as cell, i (columns[i].key)}
		<td class="run" class:under={cell?.last.isUnder}>
			{#if cell}
				<a
					href={keepingScope(`/practice/${cell.last.setId}/results`, { student: id })}
					title={sayCell(cell)}
					aria-label="{called}, {columns[i].name}: {sayCell(cell)}"
					>{#if cell.runs > 1}<span class="soft">{share(cell.first)} →</span>
					{/if}{share(cell.last)}{#if cell.last.isUnder}<span aria-hidden="true">▾</span>{/if}</a
				>
			{/if}
		</td>
	{/each}
{/snippet}

<style>
	.column {
		max-width: 150px;
		overflow: hidden;
		text-overflow: ellipsis;
	}
	.run {
		padding-block: 3px;
	}
	.run a {
		display: inline-flex;
		gap: 4px;
		align-items: center;
		min-height: 24px;
		min-width: 24px;
		color: inherit;
		text-decoration: none;
	}
	.run a:hover {
		text-decoration: underline;
	}
	.under {
		background: var(--gap-ground);
		color: var(--gap-ink);
	}
	.under .soft {
		color: inherit;
	}
</style>
