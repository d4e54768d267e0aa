<!--
	Students by the sets of a period: what was right at the first try, as counts; under the line hangs a mark, in words and
	shape. A cell leads to the set where its column is a skill; where it is a set, its head does: there may be dozens.
	<ThroughGrid {rows} {columns} says="Students by skills" />
-->
<script lang="ts">
	import { sayDate } from '$lib/core/calendar';
	import { keepingScope } from '../shell/address';
	import StudentGrid from './StudentGrid.svelte';

	interface Count {
		right: number;
		answered: number;
		isUnder?: boolean;
	}
	/** The first of several runs, and when the first and the last were begun. */
	type First = Omit<Count, 'isUnder'> & { runs: number; from: string; to: string };
	interface Props {
		says: string;
		/** A skill or a set each; a set has where it leads. */
		columns: { key: number; name: string; more: string; path?: string }[];
		rows: {
			id: number;
			name: string;
			className: string;
			/** What came of the last run; by skill also of the first, where there are several. Null for none. */
			cells: (Count | (Count & { setId: number; before?: First }) | null)[];
		}[];
	}
	let { says, columns, rows }: Props = $props();
	type Row = Props['rows'][number];
	/** `3/5 ▾`, with the mark of what is under the line. */
	const share = ({ right, answered, isUnder }: Count) => `${right}/${answered}${isUnder ? ' ▾' : ''}`;
</script>

<StudentGrid {says} {rows} {head} {name} {cells} />

{#snippet head()}
	{#each columns as { key, name, more, path } (key)}<th scope="col" class="column" title="{name}, {more}"
			>{#if path}<a href={keepingScope(path, { student: null })}>{name}</a>{:else}{name}{/if}<br /><span class="soft"
				>{more}</span
			></th
		>{/each}
{/snippet}

{#snippet name({ id, name: called, className }: Row)}
	<a href={keepingScope(`/students/${id}/answers`, { student: null })}>{called}</a>
	<span class="soft">{className}</span>
{/snippet}

{#snippet cells({ id, cells: own }: Row)}
	{#each own as cell, i (columns[i].key)}
		{#if cell === null}<td></td>
		{:else if 'setId' in cell}
			{@const { before, setId } = cell}
			<td class="run" class:under={cell.isUnder}
				><a
					href={keepingScope(`/practice/${setId}/results`, { student: id })}
					title={before && `${before.runs} runs, ${sayDate(before.from)} to ${sayDate(before.to)}`}
					>{before ? `${before.right}/${before.answered} → ` : ''}{share(cell)}</a
				></td
			>
		{:else}<td class="run" class:under={cell.isUnder}>{share(cell)}</td>{/if}
	{/each}
{/snippet}

<style>
	.column {
		max-width: 150px;
		overflow: hidden;
		text-overflow: ellipsis;
	}
	.column a {
		display: inline-block;
		min-width: 24px;
		min-height: 24px;
		color: inherit;
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
</style>
