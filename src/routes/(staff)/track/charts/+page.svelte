<script lang="ts">
	import { sayDay } from '$lib/core/calendar';
	import { fullName, number, plural, sayChance } from '$lib/core/words';
	import TierBars from '$lib/ui/glyphs/TierBars.svelte';
	import { withState } from '$lib/ui/shell/address';
	import Pager from '$lib/ui/table/Pager.svelte';
	import { seriesChartOptions } from '$lib/ui/track/seriesChart';
	import SeriesChart from '$lib/ui/track/SeriesChart.svelte';
	import { sayChart, SERIES_KEY, seriesContent } from '$lib/ui/track/seriesContent';
	import SeriesRead from '$lib/ui/track/SeriesRead.svelte';
	import TrackViews from '$lib/ui/track/TrackViews.svelte';

	let { data } = $props();
	const { page } = $derived(data);
	const skillName = (id: number) => page.skillNames[id] ?? '';
	type Charted = (typeof page.charts)[number];
	const sayNow = ({ reading, questions, goalOn }: Charted) => {
		if (!reading) return 'no probe yet';
		const now = reading.levels[reading.levels.length - 1];
		return `now about ${number(now.value)} of ${questions}, goal ${sayChance(reading.chanceOfGoal)} likely by ${sayDay(goalOn)}`;
	};
</script>

<svelte:head><title>Charts · Track · Orderly Compass</title></svelte:head>

<div class="page-head">
	<h1>Growth in {data.scope.inWords}</h1>
	<span class="soft">{plural(page.part.total, 'student')} with weekly probes, {page.without} without.</span>
</div>
<TrackViews />

{#if page.chosen}
	{@const { plan, recommendation, next, practiced, marks, pooled } = page.chosen}
	<section class="chosen" aria-labelledby="chosen">
		<h2 id="chosen">
			{fullName(plan.student)}: {skillName(plan.skillId)}
			<span class="soft of">{plan.student.className} · <TierBars tier={plan.student.tier} /></span>
		</h2>
		<SeriesRead {plan} {recommendation} {next} {practiced} {marks} {pooled} sessions={plan.sessions} {skillName} />
	</section>
{:else if page.isWithout}
	<p>The selected student has no weekly probes.</p>
{/if}

{#if page.charts.length === 0}
	<p>Nobody in this scope has weekly probes. They start with a group, or under Probes this week.</p>
{:else}
	<p class="soft">{SERIES_KEY}</p>
	<ul class="many">
		{#each page.charts as plan (plan.id)}
			<li data-student={plan.studentId} class:current={plan.id === page.chosen?.plan.id}>
				<h3>
					<a href={withState({ student: plan.studentId, plan: plan.id })}>{fullName(plan.student)}</a>
					<span class="soft">{skillName(plan.skillId)}</span>
				</h3>
				<SeriesChart
					options={(hasWords) => seriesChartOptions(seriesContent(plan, skillName), hasWords)}
					size="small"
					says={sayChart(plan)}
				/>
				<p class="soft">{sayNow(plan)}</p>
			</li>
		{/each}
	</ul>
	<Pager {...page.part} name="charts" />
{/if}

<style>
	.chosen {
		background: var(--sheet);
		border: 1px solid var(--rule);
		border-radius: var(--corner);
		padding: 12px 16px 4px;
		margin: 8px 0 16px;
	}
	.of {
		font-family: inherit;
		font-size: 0.95rem;
		font-weight: 400;
		margin-left: 8px;
	}
	.many {
		list-style: none;
		margin: 0 0 12px;
		padding: 0;
		display: grid;
		grid-template-columns: repeat(auto-fill, minmax(250px, 1fr));
		gap: 12px;
	}
	.many li {
		background: var(--sheet);
		border: 1px solid var(--rule);
		border-radius: var(--corner);
		padding: 8px 10px;
		break-inside: avoid;
	}
	.many .current {
		border-color: var(--verdigris);
	}
	h3 {
		font-size: 1rem;
		margin: 0;
	}
	h3 span {
		font-weight: 400;
	}
	.many p {
		margin: 0;
		font-size: 0.9rem;
	}
</style>
