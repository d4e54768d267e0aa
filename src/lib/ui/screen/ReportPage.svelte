<!-- One page about one student's screening: scores in plain words, each domain, and what comes next. -->
<script lang="ts">
	import type { Column } from '../table/columns';
	import Table from '$lib/ui/table/Table.svelte';
	import type { ReportText } from '$lib/core/screening';
	import ScoreBand from '../charts/ScoreBand.svelte';

	interface Props {
		report: ReportText;
		school: string;
		/** When it is printed, in words. */
		printed: string;
	}
	let { report, school, printed }: Props = $props();

	const columns = $derived.by((): Column[] => {
		const { domain, axis, level, secure, ready, gaps } = report.headings;
		return [
			{ label: domain },
			{ label: axis, head: scale },
			...[level, secure, ready, gaps].map((label) => ({ label }))
		];
	});
</script>

{#snippet scale()}
	<span class="axis soft"
		><span>{report.axis.from}</span><span>{report.headings.axis}</span><span>{report.axis.to}</span></span
	>
{/snippet}

<article>
	<header>
		<div>
			<h2>{report.name}</h2>
			<p>{report.place} · {school}</p>
		</div>
		<p class="right">{report.window}<br /><span class="soft">printed {printed}</span></p>
	</header>

	{#if report.none}
		<p>{report.none}</p>
	{:else}
		<section>
			<h3>{report.overall.heading}</h3>
			<p class="score"><strong>{report.overall.score}</strong> <span class="soft">{report.overall.error}</span></p>
			<p>{report.overall.sentences.join(' ')}</p>
		</section>

		<section>
			<h3>By domain</h3>
			<Table says={report.headings.domain} {columns} rows={report.domains} key={({ id }) => id} airy>
				{#snippet cells(domain)}
					<th scope="row">{domain.name}</th>
					<td>
						{#if domain.score}
							<ScoreBand score={domain.score} cut={report.cut} from={report.axis.from} to={report.axis.to} />
						{/if}
						<span class="soft number">{domain.says}</span>
					</td>
					<td>{domain.level}</td>
					<td>{domain.secure}</td>
					<td>{domain.ready}</td>
					<td>{domain.gaps}</td>
				{/snippet}
			</Table>
		</section>
		<p class="soft foot">{report.foot}</p>
	{/if}
</article>

<style>
	article {
		background: var(--sheet);
		border: 1px solid var(--rule);
		padding: 24px 30px;
		max-width: 980px;
		margin-top: 14px;
	}
	header {
		display: flex;
		justify-content: space-between;
		border-bottom: 2px solid var(--ink);
		padding-bottom: 8px;
	}
	.right {
		text-align: right;
	}
	h2 {
		font-size: 1.5rem;
	}
	h3 {
		margin: 14px 0 4px;
	}
	.score {
		font-size: 1.15rem;
	}
	section p {
		max-width: 70ch;
	}
	td,
	th {
		vertical-align: top;
		padding: 5px 8px 5px 0;
		text-align: left;
	}
	.axis {
		display: flex;
		width: 150px;
		justify-content: space-between;
		font-weight: 400;
		font-size: 0.8rem;
	}
	.foot {
		margin-top: 12px;
		font-size: 0.85rem;
		max-width: 90ch;
	}
	article:not(:last-of-type) {
		break-after: page;
	}
	@media print {
		article {
			border: 0;
			padding: 0;
			font-size: 0.86rem;
		}
	}
</style>
