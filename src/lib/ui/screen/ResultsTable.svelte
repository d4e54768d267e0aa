<!-- Results of a screening window: every student, overall and by domain in points with the error band and the line. -->
<script lang="ts">
	import { bandOf, bandWords, changeOf, OVERALL, sayAccuracy, type ScreenRow } from '$lib/core/screening';
	import { signed } from '$lib/core/words';
	import ScoreBand from '../charts/ScoreBand.svelte';
	import TierBars from '../glyphs/TierBars.svelte';
	import { keepingScope, withState } from '../shell/address';
	import type { Rows } from '../table/rows.svelte';
	import StudentTable from '../table/StudentTable.svelte';

	interface Props {
		windowId: number;
		/** What scores are counted in. */
		unit: string;
		rows: Rows<ScreenRow>;
		domains: { id: number; name: string }[];
		axis: { from: number; to: number };
		/** The measure whose bands and changes are shown. */
		measure: number;
		sort: string;
		/** What the rows are narrowed to, in words. */
		show: string;
		scopeInWords: string;
		/** Of the scope. */
		classes: number;
		/** Ids of students that are ticked. */
		selected: number[];
	}
	let {
		windowId,
		unit,
		rows,
		domains,
		axis,
		measure,
		sort,
		show,
		scopeInWords,
		classes,
		selected = $bindable()
	}: Props = $props();

	const isGiven = $derived(unit !== 'points');
	const measures = $derived([{ id: OVERALL, name: isGiven ? 'Correct a minute' : 'Overall' }, ...domains]);
	const shortName = (name: string) => name.split(/[ ,]/)[0];
	const columns = $derived([
		...(classes > 1 ? [{ label: 'Class', sort: 'class' }] : []),
		{ label: 'Tier', sort: 'tier' },
		{ label: 'Status', sort: 'status' },
		{ label: 'Score', head: band },
		{ label: 'Change', sort: 'change', isNumber: true },
		...measures.map(({ id, name }) => ({ label: shortName(name), title: name, sort: String(id), isNumber: true })),
		...(isGiven ? [{ label: 'Accuracy', isNumber: true }, { label: 'Given by' }] : [])
	]);
</script>

{#snippet band()}
	<span class="axis soft"
		><span>{axis.from}</span><span>{shortName(measures.find(({ id }) => id === measure)!.name)}</span><span
			>{axis.to}</span
		></span
	>
{/snippet}

<StudentTable {rows} {columns} {sort} says="Results" height={31} bind:selected>
	{#snippet cells(row)}
		{@const score = row.scores[measure]}
		{@const bandNow = bandOf(row, measure)}
		{@const change = changeOf(row, measure)}
		{#if classes > 1}<td>{row.className}</td>{/if}
		<td><TierBars tier={row.tier} /></td>
		<td class:soft={row.status === 'finished'}>
			{row.status}{row.status === 'under way' ? `, ${row.answered} answered` : ''}
		</td>
		<td>
			{#if score}<ScoreBand {score} cut={row.cut} from={axis.from} to={axis.to} /><span class="visually-hidden"
					>{bandNow && bandWords[bandNow]}</span
				>{/if}
		</td>
		<td class="number">
			{#if change}<span class:soft={!change.reliable} title={change.reliable ? 'beyond error' : 'within error'}
					>{signed(change.points)}{change.reliable ? ' *' : ''}</span
				>{/if}
		</td>
		{#each measures as { id } (id)}
			{@const own = row.scores[id]}
			<td class="number">
				{#if !own}<span class="soft">none</span>
				{:else if id === OVERALL}<a
						class="score"
						title="Why this score"
						href={keepingScope('/screen/score', { window: windowId, of: row.id })}>{Math.round(own.points)}</a
					>
					<span class="soft">± {Math.round(own.error)}</span>
				{:else}<a
						title="± {Math.round(own.error)}"
						class="score"
						href={keepingScope('/gaps/progression', {
							scope: `class:${row.classId}`,
							domain: id,
							window: windowId,
							student: row.id
						})}>{Math.round(own.points)}</a
					>{#if id === measure}<span class="soft">&nbsp;± {Math.round(own.error)}</span>{/if}{/if}
			</td>
		{/each}
		{#if isGiven}
			<td class="number">{sayAccuracy(row.given)}</td>
			<td class="soft"
				>{row.given?.by ?? ''}{row.given && row.cut === null ? `, sheet of grade ${row.given.sheetGrade}` : ''}</td
			>
		{/if}
	{/snippet}
	{#snippet empty()}
		Nobody in {scopeInWords} is “{show}”.
		<a href={withState({ status: null, tier: null, moved: null, roster: null })}>Show everyone</a>
	{/snippet}
</StudentTable>
<p class="soft note no-print">
	{unit[0].toUpperCase() + unit.slice(1)} ± one standard error; the dashed line is the cut score of the grade. * changed beyond
	the error of both scores.
</p>

<style>
	.axis {
		display: flex;
		width: 150px;
		justify-content: space-between;
		font-weight: 400;
		font-size: 0.8rem;
	}
	.score {
		color: var(--ink);
	}
	.note {
		font-size: 0.85rem;
		margin-top: 4px;
	}
</style>
