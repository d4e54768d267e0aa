<!-- A table of values. -->
<script lang="ts">
	import type { FigureOf } from './figures';

	let { figure }: { figure: FigureOf<'table'> } = $props();
</script>

<table>
	<thead
		><tr
			>{#each figure.head as cell (cell)}<th scope="col">{cell}</th>{/each}</tr
		></thead
	>
	<tbody>
		{#each figure.rows as row (row[0])}
			<tr
				>{#each row as cell, i (i)}{#if i === 0}<th scope="row">{cell}</th>{:else}<td>{cell}</td>{/if}{/each}</tr
			>
		{/each}
	</tbody>
</table>

<style>
	table {
		background: var(--sheet);
		max-width: 100%;
		/* Larger type is for words to read: on a phone a table keeps its columns in view. */
		font-size: min(1em, max(15px, 5vw));
	}
	th,
	td {
		border: 1px solid var(--rule);
		padding: 6px min(12px, 2vw);
		overflow-wrap: anywhere;
	}
</style>
