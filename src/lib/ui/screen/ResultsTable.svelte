<!-- Results of a screening window: every student, overall and by domain in points with the error band and the line. -->
<script lang="ts">
	import ScoreBand from '../charts/ScoreBand.svelte';
	import TierBars from '../glyphs/TierBars.svelte';
	import { keepingScope, withState } from '../shell/address';
	import { bandOf, bandWords, changeOf, OVERALL, sayAccuracy, type ScreenRow, type SortKey } from './rows';

	interface Props {
		windowId: number;
		/** What scores are counted in. */
		unit: string;
		rows: ScreenRow[];
		domains: { id: number; name: string }[];
		axis: { from: number; to: number };
		/** The measure whose bands and changes are shown. */
		measure: number;
		sort: SortKey;
		/** What the rows are narrowed to, in words. */
		show: string;
		scopeInWords: string;
		/** Student whose row is marked. */
		studentId: number;
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
		studentId,
		selected = $bindable()
	}: Props = $props();

	const isGiven = $derived(unit !== 'points');
	const measures = $derived([{ id: OVERALL, name: isGiven ? 'Correct a minute' : 'Overall' }, ...domains]);
	const classes = $derived(new Set(rows.map(({ classId }) => classId)).size);
	const shortName = (name: string) => name.split(/[ ,]/)[0];
	const signed = (points: number) => `${points > 0 ? '+' : ''}${Math.round(points)}`.replace('-', '−');
</script>

{#snippet head(key: SortKey, label: string, title?: string)}
	<a href={withState({ sort: key })} {title}>{label}</a>
{/snippet}

<div class="wide-table">
	<table class="roster">
		<thead>
			<tr>
				<th><span class="visually-hidden">Select</span></th>
				<th aria-sort={sort === 'name' ? 'ascending' : undefined}>{@render head('name', 'Student')}</th>
				{#if classes > 1}<th aria-sort={sort === 'class' ? 'ascending' : undefined}>{@render head('class', 'Class')}</th
					>{/if}
				<th aria-sort={sort === 'tier' ? 'ascending' : undefined}>{@render head('tier', 'Tier')}</th>
				<th aria-sort={sort === 'status' ? 'ascending' : undefined}>{@render head('status', 'Status')}</th>
				<th>
					<span class="axis soft"
						><span>{axis.from}</span><span>{shortName(measures.find(({ id }) => id === measure)!.name)}</span><span
							>{axis.to}</span
						></span
					>
				</th>
				<th class="number" aria-sort={sort === 'change' ? 'ascending' : undefined}
					>{@render head('change', 'Change')}</th
				>
				{#each measures as { id, name } (id)}
					<th class="number" aria-sort={sort === String(id) ? 'ascending' : undefined}
						>{@render head(String(id), shortName(name), name)}</th
					>
				{/each}
				{#if isGiven}
					<th class="number">Accuracy</th>
					<th>Given by</th>
				{/if}
			</tr>
		</thead>
		<tbody>
			{#each rows as row (row.id)}
				{@const score = row.scores[measure]}
				{@const band = bandOf(row, measure)}
				{@const change = changeOf(row, measure)}
				<tr data-student={row.id} class:current={row.id === studentId}>
					<td
						><input
							type="checkbox"
							value={row.id}
							bind:group={selected}
							aria-label="Select {row.givenName} {row.familyName}"
						/></td
					>
					<th scope="row"><a href={withState({ student: row.id })}>{row.givenName} {row.familyName}</a></th>
					{#if classes > 1}<td>{row.className}</td>{/if}
					<td><TierBars tier={row.tier} /></td>
					<td class:soft={row.status === 'finished'}>
						{row.status}{row.status === 'under way' ? `, ${row.answered} answered` : ''}
					</td>
					<td>
						{#if score}<ScoreBand {score} cut={row.cut} from={axis.from} to={axis.to} /><span class="visually-hidden"
								>{band && bandWords[band]}</span
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
							>{row.given?.by ?? ''}{row.given && row.cut === null
								? `, sheet of grade ${row.given.sheetGrade}`
								: ''}</td
						>
					{/if}
				</tr>
			{:else}
				<tr
					><td colspan={9 + measures.length} class="soft"
						>Nobody in {scopeInWords} is “{show}”.
						<a href={withState({ status: null, tier: null, moved: null, roster: null })}>Show everyone</a></td
					></tr
				>
			{/each}
		</tbody>
	</table>
</div>
<p class="soft note no-print">
	{unit[0].toUpperCase() + unit.slice(1)} ± one standard error; the dashed line is the cut score of the grade. * changed beyond
	the error of both scores.
</p>

<style>
	thead a {
		color: var(--ink);
		text-decoration: none;
	}
	thead a:hover {
		text-decoration: underline;
	}
	[aria-sort] a::after {
		content: ' ↑';
		color: var(--verdigris);
	}
	td,
	th {
		white-space: nowrap;
	}
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
