<!--
	One series of weekly probes in full: what it says, its chart, what the rules advise and how sure that is, and the table behind
	it, in which each probe leads to its very questions.
	<SeriesRead {plan} {recommendation} {next} practiced={31} skillName={nameOf} />
-->
<script lang="ts">
	import { sayDate } from '$lib/core/calendar';
	import {
		type AdviceFrom,
		type Level,
		type LevelMarks,
		type Recommendation,
		type RobustLine,
		sayErrorRates,
		sayLevels,
		sayNext,
		sayPhases,
		sayReason,
		saySeries
	} from '$lib/core/growth';
	import { type Sessions, saySessions } from '$lib/core/timetable';
	import { number, plural } from '$lib/core/words';
	import { keepingScope } from '../shell/address';
	import Table from '../table/Table.svelte';
	import { seriesChartOptions } from './seriesChart';
	import SeriesChart from './SeriesChart.svelte';
	import { sayChart, SERIES_KEY, seriesContent, type ShownSeries } from './seriesContent';

	interface Plan extends ShownSeries {
		studentId: number;
		ofFocus: number;
		aWeek: number;
		baseline: number | null;
		rate: RobustLine | null;
		levels: Level[];
		taken: { sittingId: number; number: number; on: string; right: number }[];
	}
	interface Props {
		plan: Plan;
		sessions: Sessions | null;
		/** Minutes of practice since the series began. */
		practiced: number;
		skillName: (id: number) => string;
		recommendation?: Recommendation;
		/** What the levels of the focus's domain are compared with. */
		marks?: LevelMarks;
		/** The series of the school from which it is taken how students grow; null as shipped. */
		pooled?: number | null;
		/** What the advice will be after the next probe. */
		next?: AdviceFrom[];
	}
	let { plan, sessions, practiced, skillName, recommendation, marks, pooled = null, next = [] }: Props = $props();
	const { reading, questions, ofFocus, aWeek } = $derived(plan);
	const says = $derived(
		reading
			? saySeries(reading, { questions, right: plan.goal.right, goalOn: plan.goalOn })
			: ['No probe was taken yet.']
	);
	const rates = $derived(recommendation ? sayErrorRates(recommendation) : null);
	const rest = $derived(questions - ofFocus);
	const changes = $derived(recommendation && sayNext(next, recommendation.advice));
</script>

{#each says as sentence (sentence)}<p>{sentence}</p>{/each}
<p class="soft">
	{aWeek === 2
		? 'Two probes a week'
		: aWeek === 1
			? 'A probe a week'
			: 'Watched after an exit: a probe every second week'} of {questions} questions{rest
		? `, ${ofFocus} of the focus and ${rest} of what comes before it`
		: ''}.
	{plan.baseline === null
		? 'The baseline is the median of the first three.'
		: `Baseline ${number(plan.baseline, 1)}, the median of the first three.`}
	{#if plan.rate}Rate of improvement so far {number(plan.rate.slope, 1)} questions a week{plan.rate.interval
			? ` (80%: ${number(plan.rate.interval[0], 1)} to ${number(plan.rate.interval[1], 1)})`
			: ''}.{/if}
	{#if sessions}{saySessions(sessions)}{/if}
	{practiced ? `${plural(practiced, 'minute')} of practice since the first week.` : 'No practice since the first week.'}
</p>
{#each sayPhases(plan.phases, skillName) as sentence (sentence)}<p class="soft">{sentence}</p>{/each}
{#if marks}<p>{sayLevels(plan.levels, marks).join(' ')}</p>{/if}
<SeriesChart
	options={(hasWords) => seriesChartOptions(seriesContent(plan, skillName), hasWords)}
	says={sayChart(plan)}
	key={SERIES_KEY}
/>
{#if recommendation}
	<div class="advice">
		<h3>Advice: {recommendation.advice}</h3>
		<ul>
			{#each recommendation.reasons as reason (reason.is)}<li>{sayReason(reason)}</li>{/each}
		</ul>
		{#if rates}<p class="soft">{rates}</p>{/if}
		<p class="soft">
			How students grow from week to week is taken {pooled
				? `from ${pooled} series of this school`
				: 'as shipped (made up) until the school has 30 series of its own'}.
		</p>
		{#if changes}<p>{changes}</p>{/if}
	</div>
{/if}
{#if reading}
	<details class="no-print">
		<summary>The probes as a table</summary>
		<Table
			says="Probes of this series"
			columns={[
				{ label: 'Probe' },
				{ label: 'Taken' },
				{ label: 'Right', isNumber: true },
				{ label: 'By itself, 80%' },
				{ label: 'Level then, 80%' },
				{ label: 'Questions' }
			]}
			rows={plan.taken.map((probe, i) => ({ ...probe, read: reading.probes[i], level: reading.levels[i] }))}
			key={({ number: nth }) => nth}
		>
			{#snippet cells(probe)}
				<th scope="row">{probe.number}</th>
				<td>{sayDate(probe.on)}</td>
				<td class="number">{probe.right} of {probe.read.of}</td>
				<td>{number(probe.read.alone.lower)} to {number(probe.read.alone.upper)}</td>
				<td>{number(probe.level.lower)} to {number(probe.level.upper)}</td>
				<td
					><a href={keepingScope(`/students/${plan.studentId}/answers`, { sitting: probe.sittingId })}
						>Questions and answers</a
					></td
				>
			{/snippet}
		</Table>
	</details>
{/if}

<style>
	.advice {
		margin: 4px 0 10px;
	}
	.advice ul {
		margin: 2px 0;
		padding-left: 20px;
	}
	details {
		margin-bottom: 10px;
	}
</style>
