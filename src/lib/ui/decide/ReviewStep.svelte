<!--
	One student in a review: since last time, growth, what was delivered, where the student stands, the advice with its error rates
	and what would change it; and the decision, or what was decided. For a projector as for a laptop.
	<ReviewStep {step} canDecide hasNext onrecorded={next} />
-->
<script lang="ts">
	import { sayDate, sayDay } from '$lib/core/calendar';
	import { fullName, number, plural } from '$lib/core/words';
	import ActionButton from '../form/ActionButton.svelte';
	import Needle from '../glyphs/Needle.svelte';
	import { sayStanding } from '$lib/core/mastery';
	import TierBars from '../glyphs/TierBars.svelte';
	import { keepingScope } from '../shell/address';
	import { saySessions } from '$lib/core/timetable';
	import { seriesChartOptions } from '../track/seriesChart';
	import SeriesChart from '../track/SeriesChart.svelte';
	import { sayErrorRates, sayLevels, sayNext, sayPhases, sayReason, saySeries } from '$lib/core/growth';
	import { sayChart, SERIES_KEY, seriesContent } from '../track/seriesContent';
	import { sayAnswer, sayLetter } from '../sheets/sayLetter';
	import DecisionPanel from './DecisionPanel.svelte';
	import type { ShownStep, ShownTask, ShownVerdict } from './shownStep';

	interface Props {
		step: ShownStep;
		today: string;
		canDecide: boolean;
		hasNext?: boolean;
		onrecorded?: () => void;
	}
	let { step, today, canDecide, hasNext, onrecorded }: Props = $props();

	const { student, review, group, focus, asked, sessions, recommendation, around, level, last } = $derived(step);
	const plan = $derived(asked?.plan ?? null);
	const skillName = (id: number) => step.skillNames[id] ?? '';
	const says = $derived(
		plan?.reading
			? saySeries(plan.reading, { questions: plan.questions, right: plan.goal.right, goalOn: plan.goalOn })
			: []
	);
	const rates = $derived(sayErrorRates(recommendation));
	const changes = $derived(sayNext(step.next, recommendation.advice));
	const lastTasks = $derived(step.tasks.filter(({ reviewId }) => reviewId === null || reviewId === last?.id));
	/** A verdict as sentences. */
	const sinceThen = ({ verdict, newTier, effectiveOn, change, note }: ShownVerdict): string[] => [
		`${verdict}, tier ${newTier} from ${sayDate(effectiveOn ?? '')}${change ? `: ${change}` : ''}.`,
		note
	];
	const sayTask = ({ who, what, doneAt, dueOn }: ShownTask): string =>
		`${who}: ${what}, ${doneAt ? 'done' : `not done yet, by ${sayDay(dueOn)}`}.`;
	const ownTasks = $derived(step.tasks.filter(({ reviewId }) => reviewId === review.id));
</script>

<header>
	<h1>{fullName(student)}</h1>
	<TierBars tier={student.tier} />
	<span class="soft"
		>{student.className}, grade {student.grade} ·
		{#if group}{group.name}{#if focus}, on {focus.name}{/if}, since {sayDay(group.startsOn)}{:else}in no group{/if}</span
	>
	<span class="links no-print">
		<a href={keepingScope(`/students/${student.id}/sheet`, { student: null })}>Sheets</a>
		<a href={keepingScope(`/students/${student.id}`, { student: null })}>All about {student.givenName}</a>
	</span>
</header>
{#if last}
	<p class="since">
		<strong>Since last time:</strong>
		{sinceThen(last).join(' ')}
		<span class="soft">{lastTasks.map(sayTask).join(' ')}</span>
	</p>
{:else}
	<p class="since soft">
		Nothing was decided on {student.givenName} before. {lastTasks.map(sayTask).join(' ')}
	</p>
{/if}

{#if step.letter}
	<p class="since">
		<strong>Family:</strong>
		{sayDay(step.letter.sentOn)}, {sayLetter(step.letter)}; {sayAnswer(step.letter)}.
	</p>
{/if}

{#if plan}
	<div class="chart">
		<SeriesChart
			options={(hasWords) => seriesChartOptions(seriesContent(plan, skillName), hasWords)}
			size="medium"
			says={sayChart(plan)}
			key={SERIES_KEY}
		/>
	</div>
{/if}
<div class="columns">
	<section>
		<h2>Growth and what was delivered</h2>
		{#if plan}
			{#each says as sentence (sentence)}<p>{sentence}</p>{:else}<p>No probe was taken yet.</p>{/each}
			{#if plan.rate}<p class="soft">
					{number(plan.rate.slope, 1)} questions a week so far{plan.rate.interval
						? `, between ${number(plan.rate.interval[0], 1)} and ${number(plan.rate.interval[1], 1)} (80%)`
						: ''}.
				</p>{/if}
		{:else}<p>No weekly probes run{step.measures.length ? '' : ', so growth cannot be told'}.</p>{/if}
		{#each step.measures as measure (measure.id)}<p>{measure.says.join(' ')}</p>{/each}
		{#if sessions}
			<p>
				{saySessions(sessions)}
				{#if group?.minutes}{sessions.attended * group.minutes} of {sessions.planned * group.minutes} minutes.{/if}
			</p>
		{:else}<p>No sessions are planned.</p>{/if}
		{#if asked}<p>{plural(asked.practiced, 'minute')} of practice since the probes began.</p>{/if}
		{#each sayPhases(plan?.phases ?? [], skillName) as sentence (sentence)}<p>{sentence}</p>{/each}
	</section>
	<section>
		<h2>Where {student.givenName} stands</h2>
		{#if focus && around}
			<p>
				<span class="needle"><Needle state={around.now?.standing ?? 'unseen'} size={16} /></span>
				{focus.name}: {sayStanding(around.now ?? undefined, today)}.
			</p>
			{#if around.lacking.length}<p>Lacking underneath: {around.lacking.map(skillName).join(', ')}.</p>
			{:else}<p>Nothing is known to be lacking underneath.</p>{/if}
			{#if around.builtOn.length}
				<p>
					Builds on it: {around.builtOn
						.map(({ id, now, isReady }) => `${skillName(id)} (${isReady ? 'ready next' : (now?.standing ?? 'unseen')})`)
						.join(', ')}.
				</p>
			{/if}
			{#if plan?.levels.length && asked}
				<p>{sayLevels(plan.levels, asked.marks).join(' ')}</p>
			{:else if level}
				<p>
					{level.domain}: {level.points} points, give or take {level.error}, on {sayDay(level.takenOn)}; the cut of
					grade {student.grade}
					was {level.cut}.
				</p>
			{:else}<p class="soft">No score in its domain yet.</p>{/if}
		{:else}<p class="soft">There is no focus to look at.</p>{/if}
		{#each step.notes as note (note.id)}
			<p class="soft">{sayDay(note.on)}, {note.by}: {note.text}</p>
		{/each}
	</section>
	<section>
		<h2>Advice: {recommendation.advice}</h2>
		{#each recommendation.reasons as reason (reason.is)}<p>{sayReason(reason)}</p>{/each}
		{#if rates}<p class="soft">{rates}</p>{/if}
		{#if changes}<p>{changes}</p>{/if}
	</section>
</div>

{#if review.verdict}
	<section class="decided" aria-label="Decided">
		<p>
			<strong>{review.verdict}</strong>, tier {review.newTier} from {sayDate(review.effectiveOn ?? '')}{review.change
				? `: ${review.change}`
				: ''}. Recorded by {review.decidedBy}; the advice was {review.advice}{review.against
				? `. Why not as advised: ${review.against}`
				: ''}.
		</p>
		{#if review.note}<p>{review.note}</p>{/if}
		{#if review.familyTold}<p>The family is told: {review.familyTold}</p>{/if}
		{#each ownTasks as task (task.id)}<p class="soft">
				{task.who}: {task.what}, by {sayDate(task.dueOn)}{task.doneAt ? ', done' : ''}.
			</p>{/each}
		{#if canDecide}
			<ActionButton action="?/undo" fields={{ review: review.id }} label="Undo {review.verdict} for {fullName(student)}"
				>Undo the decision</ActionButton
			>
		{/if}
	</section>
{:else if canDecide}
	{#key review.id}<DecisionPanel {step} {hasNext} {onrecorded} />{/key}
{:else}
	<p class="decided soft">Nothing is decided yet. A specialist or coordinator records the decision.</p>
{/if}

<style>
	header {
		display: flex;
		flex-wrap: wrap;
		gap: 4px 14px;
		align-items: baseline;
	}
	.links {
		display: flex;
		gap: 14px;
		margin-left: auto;
	}
	.since {
		margin: 6px 0 8px;
	}
	.needle {
		display: inline-block;
		vertical-align: -3px;
	}
	.chart {
		padding: 4px 12px 0;
		background: var(--sheet);
		border: 1px solid var(--rule);
		border-radius: var(--corner);
	}
	.columns {
		display: grid;
		grid-template-columns: repeat(3, minmax(0, 1fr));
		gap: 8px 28px;
		margin-top: 12px;
	}
	.columns p {
		margin: 3px 0;
	}
	.decided {
		display: grid;
		gap: 4px;
		justify-items: start;
		margin-top: 16px;
		padding: 10px 16px;
		background: var(--sheet);
		border: 1px solid var(--rule-strong);
		border-radius: var(--corner);
	}
	@media (max-width: 1000px) {
		.columns {
			grid-template-columns: minmax(0, 1fr);
		}
	}
</style>
