<!--
	A sheet as it lies on paper. <SheetPaper sheet={data.sheet} />
	With `part`, each part that an adult may word has that below it, on the screen only.
-->
<script lang="ts">
	import type { Snippet } from 'svelte';
	import type { Sheet, SheetPart } from '$lib/core/sheets';
	import SeriesDrawing from './SeriesDrawing.svelte';

	let { sheet, part }: { sheet: Sheet; part?: Snippet<[SheetPart]> } = $props();
</script>

<article class="paper" lang={sheet.language}>
	<header>
		<div>
			<h1>{sheet.title}</h1>
			<p class="soft">{sheet.about}</p>
		</div>
		<p class="soft printed">{sheet.printed}</p>
	</header>
	{#each sheet.parts as one (one.key)}
		<section>
			<h2>{one.heading}</h2>
			{#if one.series}<SeriesDrawing series={one.series} />{/if}
			{#each one.lines as line, i (i)}<p>{line}</p>{/each}
			{#if one.table}
				<div class="wide-table">
					<table aria-label={one.heading}>
						<thead
							><tr
								>{#each one.table.columns as column (column)}<th scope="col">{column}</th>{/each}</tr
							></thead
						>
						<tbody>
							{#each one.table.rows as row, i (i)}
								<tr
									>{#each row as cell, column (column)}{#if column === 0}<th scope="row">{cell}</th>{:else}<td
												>{cell}</td
											>{/if}{/each}</tr
								>
							{/each}
						</tbody>
					</table>
				</div>
			{/if}
			{@render part?.(one)}
		</section>
	{/each}
	<footer class="soft">{sheet.foot}</footer>
</article>

<style>
	.paper {
		max-width: 900px;
		padding: 24px 28px;
		background: var(--sheet);
		border: 1px solid var(--rule);
		border-radius: var(--corner);
	}
	header {
		display: flex;
		flex-wrap: wrap;
		gap: 4px 20px;
		justify-content: space-between;
		padding-bottom: 8px;
		border-bottom: 2px solid var(--ink);
	}
	.printed {
		text-align: right;
		max-width: 260px;
	}
	section {
		margin-top: 12px;
		break-inside: avoid;
	}
	section p {
		margin: 3px 0;
	}
	table {
		border-collapse: collapse;
		width: 100%;
		font-variant-numeric: tabular-nums;
	}
	th,
	td {
		padding: 4px 12px 4px 0;
		text-align: left;
		vertical-align: top;
		font-weight: 400;
		border-bottom: 1px solid var(--rule);
	}
	thead th,
	th[scope='row'] {
		font-weight: 600;
	}
	footer {
		margin-top: 14px;
		font-size: 0.9rem;
	}
	@media print {
		.paper {
			max-width: none;
			padding: 0;
			border: 0;
		}
	}
</style>
