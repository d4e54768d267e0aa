<!--
	A table with a row a thing, all of it drawn: heads stay in view, wide ones scroll beside the panel, on paper all is there.
	For students by the hundred there is StudentTable.

	<Table says="Domains" columns={[{ label: 'Domain' }, { label: 'Right', isNumber: true }]} rows={domains} key={({ id }) => id}>
		{#snippet cells(domain)}<th scope="row">{domain.name}</th><td class="number">{domain.right}</td>{/snippet}
	</Table>
-->
<script lang="ts" generics="Row">
	import type { Snippet } from 'svelte';
	import type { ClassValue, HTMLAttributes } from 'svelte/elements';
	import type { Column } from './columns';
	import Heading from './Heading.svelte';

	interface Props {
		/** What the table is called. */
		says: string;
		/** Those that are not wanted may be false. */
		columns: (Column | false)[];
		rows: readonly Row[];
		key: (row: Row, index: number) => string | number;
		/** The cells of a row: a `th scope="row"`, then `td`. */
		cells: Snippet<[Row, number]>;
		/** Of a row, as `data-student`; `class` marks it. */
		attributes?: (row: Row) => Omit<HTMLAttributes<HTMLTableRowElement>, 'class'> & {
			class?: ClassValue;
			'data-student'?: number;
		};
		/** Said where there are no rows. */
		empty?: Snippet;
		/** What rows are sorted by now. */
		sort?: string;
		/** Rows as high as what they hold, with air; else as low as rows of students. */
		airy?: boolean;
		/** As wide as what it holds, not as the page. */
		narrow?: boolean;
	}
	let { says, columns, rows, key, cells, attributes, empty, sort, airy = false, narrow = false }: Props = $props();
	const shown = $derived(columns.filter((column) => column !== false));
</script>

<div class="wide-table">
	<table class="roster" class:airy class:narrow aria-label={says}>
		<thead>
			<tr>
				{#each shown as column, i (i)}<Heading {column} {sort} />{/each}
			</tr>
		</thead>
		<tbody>
			{#each rows as row, i (key(row, i))}
				<tr {...attributes?.(row)}>{@render cells(row, i)}</tr>
			{:else}
				{#if empty}<tr><td colspan={shown.length} class="soft">{@render empty()}</td></tr>{/if}
			{/each}
		</tbody>
	</table>
</div>

<style>
	.airy :global(:is(th, td)) {
		padding-block: 4px;
	}
	.narrow {
		width: auto;
	}
</style>
