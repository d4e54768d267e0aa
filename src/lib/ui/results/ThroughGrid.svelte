<!--
	Students by the sets of a period: what was right at the first try, as counts; under the line hangs a mark, in words and
	shape. <ThroughGrid {rows} {columns} says="Students by skills" />
-->
<script lang="ts">
	import { sayDate } from '$lib/core/calendar';
	import { keepingScope } from '../shell/address';
	import { oneTabStop } from '../table/oneTabStop';

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
	const share = ({ right, answered }: Told) => `${right}/${answered}`;
	const sayRun = (run: Told) =>
		`${run.right} of ${run.answered}${run.isUnder ? ', under the line' : ''}, ${sayDate(run.on)}`;
	const sayCell = ({ runs, first, last }: NonNullable<Props['rows'][number]['cells'][number]>) =>
		runs > 1 ? `${runs} runs, first ${sayRun(first)}; last ${sayRun(last)}` : sayRun(last);
</script>

<div class="wide-table">
	<table aria-label={says}>
		<thead>
			<tr>
				<th scope="col">Student</th>
				{#each columns as { key, name, more } (key)}<th scope="col" title="{name}, {more}"
						>{name}<br /><span class="soft">{more}</span></th
					>{/each}
			</tr>
		</thead>
		<tbody {@attach oneTabStop}>
			{#each rows as { id, name, className, cells } (id)}
				<tr data-student={id}>
					<th scope="row"
						><a href={keepingScope(`/students/${id}/answers`, { student: null })}>{name}</a>
						<span class="soft">{className}</span></th
					>
					{#each cells as cell, i (columns[i].key)}
						<td class:under={cell?.last.isUnder}>
							{#if cell}
								<a
									href={keepingScope(`/practice/${cell.last.setId}/results`, { student: id })}
									title={sayCell(cell)}
									aria-label="{name}, {columns[i].name}: {sayCell(cell)}"
									>{#if cell.runs > 1}<span class="soft">{share(cell.first)} →</span>
									{/if}{share(cell.last)}{#if cell.last.isUnder}<span aria-hidden="true">▾</span>{/if}</a
								>
							{/if}
						</td>
					{/each}
				</tr>
			{/each}
		</tbody>
	</table>
</div>

<style>
	table {
		border-collapse: collapse;
		font-variant-numeric: tabular-nums;
	}
	th,
	td {
		padding: 3px 10px;
		border-bottom: 1px solid var(--rule);
		text-align: left;
		white-space: nowrap;
	}
	thead th {
		max-width: 150px;
		overflow: hidden;
		text-overflow: ellipsis;
		font-size: 13px;
		font-weight: 600;
		vertical-align: bottom;
	}
	tbody th {
		position: sticky;
		left: 0;
		background: var(--paper);
		font-weight: 400;
		padding-left: 0;
	}
	tbody th a {
		color: var(--ink);
		font-weight: 600;
		text-decoration: none;
	}
	tbody th a:hover {
		text-decoration: underline;
	}
	td a {
		display: inline-flex;
		gap: 4px;
		align-items: center;
		min-height: 24px;
		min-width: 24px;
		color: inherit;
		text-decoration: none;
	}
	td a:hover {
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
