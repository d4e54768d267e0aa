<!-- Results of a screening window: every student, overall and by domain in points with the error band and the line. -->
<script lang="ts">
	import ScoreBand from '../charts/ScoreBand.svelte';
	import TierBars from '../glyphs/TierBars.svelte';
	import { withState } from '../shell/address';
	import { bandWords, type ScreenRow } from './rows';

	interface Props {
		rows: ScreenRow[];
		domains: { id: number; name: string }[];
		axis: { from: number; to: number };
		/** `overall`, `name`, or a domain id. */
		sort: string;
		/** What the rows are narrowed to, in words. */
		show: string;
		scopeLabel: string;
		/** Student whose row is marked. */
		studentId: number;
		/** Ids of students that are ticked. */
		selected: number[];
	}
	let { rows, domains, axis, sort, show, scopeLabel, studentId, selected = $bindable() }: Props = $props();
</script>

<table>
	<thead>
		<tr>
			<th><span class="visually-hidden">Select</span></th>
			<th aria-sort={sort === 'name' ? 'ascending' : undefined}><a href={withState({ sort: 'name' })}>Student</a></th>
			<th>Class</th>
			<th>Tier</th>
			<th>Status</th>
			<th class="number" aria-sort={sort === 'overall' ? 'ascending' : undefined}
				><a href={withState({ sort: null })}>Overall</a></th
			>
			<th>
				<span class="axis soft"
					><span>{axis.from}</span><span>points, ± 1 error; dashes: the line</span><span>{axis.to}</span></span
				>
			</th>
			{#each domains as domain (domain.id)}
				<th class="number" aria-sort={sort === String(domain.id) ? 'ascending' : undefined}>
					<a href={withState({ sort: domain.id })} title={domain.name}>{domain.name.split(/[ ,]/)[0]}</a>
				</th>
			{/each}
		</tr>
	</thead>
	<tbody>
		{#each rows as row (row.id)}
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
				<td>{row.className}</td>
				<td><TierBars tier={row.tier} /></td>
				<td class:soft={row.status === 'finished'}>
					{row.status}{row.status === 'under way' ? `, ${row.answered} answered` : ''}
				</td>
				{#if row.overall}
					<td class="number"
						>{Math.round(row.overall.points)} <span class="soft">± {Math.round(row.overall.error)}</span></td
					>
					<td
						><ScoreBand score={row.overall} cut={row.cut} from={axis.from} to={axis.to} /><span class="visually-hidden"
							>{row.band && bandWords[row.band]}</span
						></td
					>
				{:else}
					<td class="number soft">none</td>
					<td></td>
				{/if}
				{#each domains as domain (domain.id)}
					{@const score = row.domains[domain.id]}
					<td class="number">
						{#if score}{Math.round(score.points)} <span class="soft">± {Math.round(score.error)}</span>{:else}<span
								class="soft">none</span
							>{/if}
					</td>
				{/each}
			</tr>
		{:else}
			<tr
				><td colspan={7 + domains.length} class="soft"
					>Nobody in {scopeLabel} is “{show}”. <a href={withState({ status: null })}>Show everyone</a></td
				></tr
			>
		{/each}
	</tbody>
</table>

<style>
	table {
		width: 100%;
		background: var(--sheet);
	}
	thead th {
		position: sticky;
		top: 100px;
		background: var(--sheet);
		z-index: 5;
		box-shadow: 0 1px 0 var(--rule);
	}
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
	tbody th {
		font-weight: 400;
	}
	tbody th a {
		color: var(--ink);
		text-decoration: none;
		font-weight: 500;
	}
	tbody th a:hover {
		color: var(--verdigris);
		text-decoration: underline;
	}
	td,
	th {
		white-space: nowrap;
		padding-block: 2px;
	}
	.number {
		text-align: right;
	}
	.axis {
		display: flex;
		width: 150px;
		justify-content: space-between;
		font-weight: 400;
		font-size: 0.8rem;
	}
	.axis span:nth-child(2) {
		display: none;
	}
	tr.current {
		background: var(--verdigris-wash);
	}
</style>
