<!--
	Students by something: a row a student whose name stays in view, one tab stop for all of its links.

	<StudentGrid says="Students by skills" {rows} {head} {name} {cells} />
-->
<script lang="ts" generics="Row extends { id: number }">
	import type { Snippet } from 'svelte';
	import { oneTabStop } from '../table/oneTabStop';

	interface Props {
		/** What the table is called. */
		says: string;
		rows: Row[];
		/** Heads of all columns but the first. */
		head: Snippet;
		/** Who a row is of. */
		name: Snippet<[Row]>;
		cells: Snippet<[Row]>;
		/** A last row, with its head. */
		foot?: Snippet;
	}
	let { says, rows, head, name, cells, foot }: Props = $props();
</script>

<div class="wide-table">
	<table aria-label={says}>
		<thead>
			<tr><th scope="col">Student</th>{@render head()}</tr>
		</thead>
		<tbody {@attach oneTabStop}>
			{#each rows as row (row.id)}
				<tr data-student={row.id}>
					<th scope="row">{@render name(row)}</th>
					{@render cells(row)}
				</tr>
			{/each}
		</tbody>
		{#if foot}<tfoot><tr>{@render foot()}</tr></tfoot>{/if}
	</table>
</div>

<style>
	table {
		border-collapse: collapse;
		font-variant-numeric: tabular-nums;
	}
	table :global(:is(th, td)) {
		padding: 0 8px;
		border-bottom: 1px solid var(--rule);
		text-align: left;
		white-space: nowrap;
	}
	table :global(thead th) {
		padding-block: 2px;
		font-size: 13px;
		vertical-align: bottom;
		color: var(--ink-soft);
	}
	table :global(.number) {
		text-align: right;
	}
	tbody tr {
		height: 29px;
	}
	tbody th {
		position: sticky;
		left: 0;
		background: var(--paper);
		font-weight: 400;
		padding-left: 0;
	}
	tbody th :global(a) {
		color: var(--ink);
		font-weight: 600;
		text-decoration: none;
	}
	tbody th :global(a:hover) {
		text-decoration: underline;
	}
</style>
