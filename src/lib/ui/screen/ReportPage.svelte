<!-- One page about one student's screening: scores in plain words, each domain, and what comes next. -->
<script lang="ts">
	import { sayBand, sayChange, sayLevel, sayPercentile, type Audience } from '$lib/core/screening';
	import ScoreBand from '../charts/ScoreBand.svelte';
	import { sayDate } from '../shell/dates';
	import { bandOf, changeOf, OVERALL, pointsAxis, type ScreenRow } from './rows';

	interface Domain {
		id: number;
		name: string;
		score: { points: number; error: number } | null;
		before: { points: number; error: number } | null;
		level: { grade: number; term: number } | null;
		secure: string[];
		ready: string[];
		gaps: string[];
	}
	interface Props {
		report: Omit<ScreenRow, 'domains'> & {
			percentile: number | null;
			localPercentile: number | null;
			domains: Domain[];
		};
		window: { name: string; subject: string; term: number };
		earlier: { name: string } | null;
		school: string;
		today: string;
		audience: Audience;
		/** Lists every skill, on a second page where it needs one. */
		longer: boolean;
	}
	let { report, window, earlier, school, today, audience, longer }: Props = $props();

	const SHORT = 3;
	const staff = $derived(audience === 'staff');
	const overall = $derived(report.scores[OVERALL]);
	const band = $derived(bandOf(report, OVERALL));
	const change = $derived(changeOf(report, OVERALL));
	const axis = $derived.by(() => {
		const ends = [OVERALL, ...report.domains.map(({ id }) => id)].map((id) => pointsAxis([report], id));
		return { from: Math.min(...ends.map(({ from }) => from)), to: Math.max(...ends.map(({ to }) => to)) };
	});
	const listed = (names: string[]) =>
		longer || names.length <= SHORT
			? names.join(', ')
			: `${names.slice(0, SHORT).join(', ')} and ${names.length - SHORT} more`;
</script>

<article>
	<header>
		<div>
			<h2>{report.givenName} {report.familyName}</h2>
			<p>{report.className}, grade {report.grade} · {school}</p>
		</div>
		<p class="right">{window.name}<br /><span class="soft">printed {sayDate(today)}</span></p>
	</header>

	{#if !overall || !band}
		<p>
			There is no score in {window.name} yet{staff ? `: ${report.status}` : ''}.
			{staff ? 'Nothing is said of the student from it.' : 'We will tell you when there is.'}
		</p>
	{:else}
		<section>
			<h3>{window.subject} overall</h3>
			<p class="score">
				<strong>{Math.round(overall.points)} points</strong>
				<span class="soft"
					>{staff
						? `± ${Math.round(overall.error)} (one standard error); cut score ${report.cut}`
						: `give or take ${Math.round(overall.error)}`}</span
				>
			</p>
			<p>
				{sayBand(band, audience)}
				{#if change && earlier}{sayChange(change, earlier.name, audience)}{/if}
			</p>
			<p>
				{#if report.percentile !== null}{sayPercentile(
						report.percentile,
						staff
							? `students of grade ${report.grade} in term ${window.term} (shipped norms)`
							: `students of the same grade`
					)}{/if}
				{#if staff && report.localPercentile !== null}{sayPercentile(
						report.localPercentile,
						`of the grade at this school`
					)}{/if}
			</p>
		</section>

		<section>
			<h3>By domain</h3>
			<table>
				<thead>
					<tr>
						<th>Domain</th>
						<th>
							<span class="axis soft"
								><span>{axis.from}</span><span>{staff ? 'points, ± 1 error' : 'points'}</span><span>{axis.to}</span
								></span
							>
						</th>
						<th>Level</th>
						<th>{staff ? 'Secure' : 'Knows well'}</th>
						<th>{staff ? 'Ready next' : 'Learns next'}</th>
						<th>{staff ? 'Gap' : 'Still hard'}</th>
					</tr>
				</thead>
				<tbody>
					{#each report.domains as domain (domain.id)}
						<tr>
							<th scope="row">{domain.name}</th>
							<td>
								{#if domain.score}
									<ScoreBand score={domain.score} cut={report.cut} from={axis.from} to={axis.to} />
									<span class="soft number"
										>{Math.round(domain.score.points)}{staff ? ` ± ${Math.round(domain.score.error)}` : ''}</span
									>
								{:else}<span class="soft">not asked</span>{/if}
							</td>
							<td>{domain.level ? sayLevel(domain.level, audience) : ''}</td>
							<td>{listed(domain.secure) || '–'}</td>
							<td>{listed(domain.ready) || '–'}</td>
							<td>{listed(domain.gaps) || '–'}</td>
						</tr>
					{/each}
				</tbody>
			</table>
		</section>
		<p class="soft foot">
			{#if staff}
				The dashed line is the cut score of the grade. Secure and gap rest on at least two answers on a skill; ready
				next follows from them and, where there are none, from the score of the domain.
			{:else}
				The dashed line is what we look for at this time of the year. A score from one day is never exact: the bar shows
				how far it can be off. Please ask us about anything on this page.
			{/if}
		</p>
	{/if}
</article>

<style>
	article {
		background: var(--sheet);
		border: 1px solid var(--rule);
		padding: 24px 30px;
		max-width: 980px;
		margin-top: 14px;
		break-after: page;
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
	table {
		width: 100%;
	}
	td,
	th {
		vertical-align: top;
		padding: 5px 8px 5px 0;
		text-align: left;
	}
	tbody th {
		font-weight: 500;
		max-width: 150px;
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
	@media print {
		article {
			border: 0;
			padding: 0;
			font-size: 0.86rem;
		}
	}
</style>
