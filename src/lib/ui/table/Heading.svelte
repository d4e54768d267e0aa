<!-- The head of a table's column, which sorts by the address where the column can. <Heading {column} {sort} /> -->
<script lang="ts">
	import { withState } from '../shell/address';
	import type { Column } from './columns';

	interface Props {
		column: Column;
		/** What rows are sorted by now. */
		sort?: string;
	}
	let { column, sort }: Props = $props();
	const { label, title, head } = $derived(column);
</script>

<th
	scope="col"
	class:number={column.isNumber}
	class:no-print={column.isSilent}
	class:upright={column.isUpright}
	aria-sort={column.sort !== undefined && column.sort === sort ? 'ascending' : undefined}
>
	{#if head}{@render head()}{:else if column.sort !== undefined}<a href={withState({ sort: column.sort })} {title}
			>{label}</a
		>{:else}<span class:visually-hidden={column.isSilent} {title}>{label}</span>{/if}
</th>

<style>
	.upright {
		vertical-align: bottom;
	}
	.upright span {
		writing-mode: vertical-rl;
		transform: rotate(180deg);
		max-height: 158px;
		overflow: hidden;
		font-weight: 400;
		font-size: 0.85rem;
	}
	a {
		color: var(--ink);
		text-decoration: none;
	}
	a:hover {
		text-decoration: underline;
	}
	[aria-sort] a::after {
		content: ' ↑';
		color: var(--verdigris);
	}
</style>
