<!-- Results class by class on one measure: distribution, bands, and movement since the window before. -->
<script lang="ts">
	import type { Column } from '../table/columns';
	import Table from '$lib/ui/table/Table.svelte';
	import type { ScoreSummary } from '$lib/core/screening';
	import { number, signed } from '$lib/core/words';
	import DotHistogram from '../charts/DotHistogram.svelte';
	import { keepingScope, withState } from '../shell/address';

	/** A grade or a class. */
	interface Part extends ScoreSummary {
		/** The scope that it is. */
		key: string;
		label: string;
		isGrade: boolean;
		size: number;
		/** Null where its grades have different ones. */
		cut: number | null;
		scores: number[];
	}
	interface Props {
		parts: Part[];
		measure: number;
		/** What scores are counted in. */
		unit: string;
		/** What the measure is called. */
		name: string;
		axis: { from: number; to: number };
		/** The window before, when there is one. */
		earlier: { name: string } | null;
	}
	let { parts, measure, unit, name, axis, earlier }: Props = $props();

	const numbers = (...labels: string[]): Column[] => labels.map((label) => ({ label, isNumber: true }));
	const columns = $derived<(Column | false)[]>([
		{ label: 'Class' },
		...numbers('Scored'),
		{ label: name, head: scale },
		...numbers('Median', 'Below', 'Near the line', 'Above'),
		...(earlier ? numbers(`Since ${earlier.name.split(' ')[0].toLowerCase()}`, 'Risen', 'Fallen') : []),
		measure > 0 && { label: 'Next' }
	]);
</script>

{#snippet scale()}
	<span class="axis soft"><span>{axis.from}</span><span>{name}, one dot a student</span><span>{axis.to}</span></span>
{/snippet}

<Table says="Grades and classes" {columns} rows={parts} key={({ key }) => key}>
	{#snippet cells({ key, label, isGrade, size, cut, scores, ...summary })}
		<th scope="row" class:class-of-grade={!isGrade}><a href={withState({ scope: key, student: null })}>{label}</a></th>
		<td class="number">{summary.scored}<span class="soft">/{size}</span></td>
		<td>
			{#if summary.quartiles}
				<DotHistogram
					{scores}
					{cut}
					from={axis.from}
					to={axis.to}
					says="{summary.scored} scores, median {number(summary.quartiles.median)}, half of them from {number(
						summary.quartiles.lower
					)} to {number(summary.quartiles.upper)}"
				/>
			{:else}<span class="soft">no scores yet</span>{/if}
		</td>
		<td class="number">{summary.quartiles ? number(summary.quartiles.median) : ''}</td>
		{#each ['below', 'near', 'above'] as const as band (band)}
			<td class="number">
				{#if summary.bands[band]}<a href={withState({ scope: key, status: band, student: null })}
						>{summary.bands[band]}</a
					>{:else}<span class="soft">0</span>{/if}
			</td>
		{/each}
		{#if earlier}
			<td class="number">
				{#if summary.change}{signed(summary.change.mean)}
					<span class="soft">± {number(summary.change.standardError)}</span>{:else}<span class="soft">none</span>{/if}
			</td>
			<td class="number">{summary.moved.up}</td>
			<td class="number">{summary.moved.down}</td>
		{/if}
		{#if measure}<td>
				{#if !isGrade}<a href={keepingScope('/gaps/progression', { scope: key, domain: measure })}
						>who is ready for what</a
					>{/if}
			</td>{/if}
	{/snippet}
</Table>
{#if parts.every(({ isGrade }) => isGrade)}
	<p class="soft note">A grade opens to its classes.</p>
{/if}
{#if earlier}
	<p class="soft note">
		Since {earlier.name}: mean change in {unit} with its standard error, and how many have risen or fallen beyond the error
		of both scores (reliable change, 90%).
	</p>
{/if}

<style>
	td,
	th {
		padding-block: 2px;
		white-space: nowrap;
	}
	.class-of-grade {
		padding-left: 20px;
	}
	.axis {
		display: flex;
		width: 260px;
		justify-content: space-between;
		font-weight: 400;
		font-size: 0.8rem;
	}
	.note {
		font-size: 0.85rem;
		margin: 4px 0 14px;
	}
</style>
