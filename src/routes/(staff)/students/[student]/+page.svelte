<script lang="ts">
	import ActionButton from '$lib/ui/form/ActionButton.svelte';
	import { enhance } from '$app/forms';
	import { fullName, plural } from '$lib/core/words';
	import { sayReason } from '$lib/core/growth';
	import MeasureRead from '$lib/ui/track/MeasureRead.svelte';
	import SeriesRead from '$lib/ui/track/SeriesRead.svelte';
	import { addDays, sayDate, sayDay, sayWholeDate } from '$lib/core/calendar';
	import ThroughTime from '$lib/ui/charts/ThroughTime.svelte';
	import DomainStandings from '$lib/ui/students/DomainStandings.svelte';
	import { sayStanding } from '$lib/core/mastery';
	import TierBars from '$lib/ui/glyphs/TierBars.svelte';
	import { keepingScope } from '$lib/ui/shell/address';
	import { legState } from '$lib/ui/shell/legState.svelte';
	import Notice from '$lib/ui/shell/Notice.svelte';
	import { sayAnswer, sayLetter } from '$lib/ui/sheets/sayLetter';
	import SupportLine from '$lib/ui/students/SupportLine.svelte';
	import { walkByKey } from '$lib/ui/students/walkByKey';

	let { data, form } = $props();

	const { student } = $derived(data);
	const name = $derived(fullName(student));
	const latest = $derived(data.overall.at(-1) ?? null);
	const pageOf = (id: number) => keepingScope(`/students/${id}`, { student: null });

	/** A day of the past: with its year where another could be meant. */
	const sayPast = (day: string) => (day > addDays(data.school.today, -300) ? sayDay(day) : sayWholeDate(day));
	// Here the page itself walks through the roster.
	$effect(() => {
		legState.order = [];
		const stop = walkByKey(data.walk, pageOf);
		return () => {
			legState.order = undefined;
			stop();
		};
	});
</script>

<svelte:head><title>{name} · Orderly Compass</title></svelte:head>

<div class="head">
	<div>
		<h1>{name}</h1>
		<p class="soft">
			{[student.className, ...data.sections].join(', ')}, grade {student.grade} · <TierBars tier={student.tier} />
			{#if latest}· {latest.points} points, give or take {latest.error} ({latest.window}){:else}· no score yet{/if}
		</p>
		{#if data.letter}<p class="soft">
				Family: {sayDay(data.letter.sentOn)}, {sayLetter(data.letter)}; {sayAnswer(data.letter)}.
			</p>{/if}
		{#each data.uncounted as { window, status } (window)}
			<p class="soft">{window}: {status}; until then its answers count for nothing here.</p>
		{/each}
	</div>
	<p class="links no-print">
		{#if data.walk && data.walk.size > 1}
			<a href={pageOf(data.walk.before)} aria-label="The student before">←</a>
			<span class="soft">{data.walk.place} of {data.walk.size} in {data.scope.inWords}</span>
			<a href={pageOf(data.walk.after)} aria-label="The next student">→</a>
		{/if}
		<a href={keepingScope(`/students/${student.id}/answers`, { student: null })}>Answers</a>
		<a href={keepingScope(`/students/${student.id}/sheet`, { student: null })}>Sheets</a>
		<a href={keepingScope('/screen/report', { scope: `list:${student.id}`, for: 'family' })}>Report for the family</a>
		{#if data.can.setUp}<a href="/students/{student.id}/file.zip" data-sveltekit-reload>Everything kept (ZIP)</a>{/if}
		<button onclick={() => window.print()}>Print</button>
	</p>
</div>

<div class="columns">
	<section>
		<h2>Next steps</h2>
		<ol>
			{#each data.steps as step (step.id)}
				<li>
					<strong>{step.shortName}</strong>: {step.statement}.
					<span class="soft">{sayStanding(step.now, data.school.today)}.</span>
					<span class="no-print">
						{#if data.can.practice}<a
								href={keepingScope('/practice/new', { for: `student:${student.id}`, skill: step.id })}>Practice</a
							>{/if}
						{#if step.now.inferred && data.can.check}<a
								href={keepingScope('/gaps/check', { students: student.id, skill: step.id })}>Check it first</a
							>{/if}
					</span>
				</li>
			{:else}
				<li class="soft">Nothing that is ready to be learned next is known to be lacking.</li>
			{/each}
		</ol>
	</section>
	<section>
		<h2>Standings through time</h2>
		<ThroughTime moments={data.through} />
	</section>
</div>

{#if data.probes.length}
	<section>
		<h2>Weekly probes</h2>
		{#each data.probes as plan (plan.id)}
			<h3>{plan.skill}</h3>
			<SeriesRead
				{plan}
				sessions={plan.sessions}
				practiced={plan.practiced}
				skillName={(id) => data.skillNames[id] ?? ''}
			/>
		{/each}
	</section>
{/if}

{#each data.measures as series (series.id)}
	<section><MeasureRead {series} isTitled /></section>
{/each}

<section>
	<h2>Support through time</h2>
	{#if data.tiers.length || data.groups.length || data.verdicts.length}
		<div class="line">
			<SupportLine tiers={data.tiers} groups={data.groups} verdicts={data.verdicts} today={data.school.today} />
		</div>
	{:else}<p class="soft">No support beyond the class so far.</p>{/if}
</section>

<DomainStandings studentId={student.id} domains={data.domains} />

<div class="columns">
	<section>
		<h2>What the rule advises</h2>
		{#each data.reviews as review (review.id)}
			<p>
				<strong>{review.advice}</strong>
				<span class="soft"
					>at the review {review.groupName ? `of ${review.groupName} ` : ''}on {sayDate(review.dueOn)}</span
				>
			</p>
			<ul>
				{#each review.reasons as reason (reason.is)}<li>{sayReason(reason)}</li>{/each}
			</ul>
		{:else}
			<p class="soft">No review is planned, so nothing is advised.</p>
		{/each}
	</section>
	<section>
		<h2>Practice lately</h2>
		<ul class="plain">
			{#each data.results as result (result.setId)}
				<li>
					{result.title}: {result.doneOnly
						? result.finishedAt
							? 'done'
							: 'under way'
						: `${result.correct} of ${result.answered} right at first try`}{result.finishedAt
						? ''
						: `, ${result.itemCount - result.answered} to go`}
				</li>
			{:else}
				<li class="soft">No practice was done yet.</li>
			{/each}
		</ul>
	</section>
</div>

<div class="columns">
	<section>
		<h2>Groups, tiers and verdicts</h2>
		<ul class="plain">
			{#each data.groups as group (`${group.id} ${group.fromOn}`)}
				<li>
					{sayPast(group.fromOn)} to {group.untilOn ? sayPast(addDays(group.untilOn, -1)) : 'now'}:
					<a href={keepingScope(`/groups/${group.id}`)}>{group.name}</a>
					<span class="soft"
						>on {group.focus}{group.helps ? ', helping' : ''}{group.sessions
							? `; ${group.sessions.attended} of ${plural(group.sessions.planned, 'planned session')} attended`
							: ''}</span
					>
				</li>
			{:else}
				<li class="soft">In no group so far.</li>
			{/each}
			{#each data.tiers as tier, i (i)}
				<li>{sayPast(tier.fromOn)} to {tier.untilOn ? sayPast(addDays(tier.untilOn, -1)) : 'now'}: tier {tier.tier}</li>
			{/each}
			{#each data.support as one, i (i)}
				<li>
					{sayPast(one.fromOn)} to {sayPast(addDays(one.untilOn, -1))}: {one.did}, tier {one.tier}
					<span class="soft">{one.came}{one.came ? '; ' : ''}before it was kept here</span>
				</li>
			{/each}
			{#each data.verdicts as verdict (verdict.id)}
				<li>
					{verdict.effectiveOn ? sayPast(verdict.effectiveOn) : ''}: {verdict.verdict}, {verdict.groupName ??
						'in no group'}
					{#if verdict.note}<span class="soft">{verdict.note}</span>{/if}
				</li>
			{/each}
		</ul>
	</section>
	<section class="no-print">
		<h2>Notes</h2>
		{#if data.can.note}
			<form method="POST" action="?/note" use:enhance>
				<input type="hidden" name="student" value={student.id} />
				<textarea name="text" rows="2" maxlength="2000" required aria-label="Note of {name}"></textarea>
				<button>Keep note</button>
			</form>
		{/if}
		<ul class="plain">
			{#each data.notes as note (note.id)}
				<li>
					{sayDate(note.on)}, {note.by}: {note.text}
					{#if note.by === data.me}
						<ActionButton
							action="?/removeNote"
							fields={{ note: note.id }}
							label="Take back the note of {sayDay(note.on)}"
							look="plain">Take back</ActionButton
						>
					{/if}
				</li>
			{:else}
				<li class="soft">No notes yet. Notes are for staff; they are not printed.</li>
			{/each}
		</ul>
	</section>
</div>
{#if data.late.length}
	<section class="no-print" id="late" aria-labelledby="late-answers">
		<h2 id="late-answers">Answers that came too late</h2>
		<p class="soft">
			A device kept them while it could not reach the school’s server. By its clock they were given in time; they came
			after the work was closed, and count for nothing.
		</p>
		<ul class="plain">
			{#each data.late as answer, i (i)}
				<li>
					<!-- eslint-disable-next-line svelte/no-at-html-tags -- made by mathHtml, which escapes -->
					{answer.skill}: {@html answer.stemHtml} <strong>{@html answer.givenHtml}</strong>
					<span class="soft"
						>{answer.correct ? 'right' : 'not right'}; given {answer.answeredAt} by the device, came {answer.receivedAt};
						{answer.closedBy}</span
					>
				</li>
			{/each}
		</ul>
	</section>
{/if}
<Notice outcome={form} />

<style>
	.line {
		overflow-x: auto;
	}
	.head {
		display: flex;
		flex-wrap: wrap;
		justify-content: space-between;
		gap: 8px 24px;
	}
	.links {
		display: flex;
		flex-wrap: wrap;
		gap: 12px;
		align-items: center;
	}
	.columns {
		display: grid;
		grid-template-columns: repeat(auto-fit, minmax(340px, 1fr));
		gap: 8px 40px;
		margin: 14px 0;
	}
	@media print {
		.columns {
			gap: 0 24px;
			margin: 6px 0;
			grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
		}
	}
	ol {
		margin: 4px 0 0;
		padding-left: 20px;
		display: grid;
		gap: 4px;
	}
	.plain {
		list-style: none;
		margin: 0;
		padding: 0;
	}
	form {
		display: grid;
		gap: 6px;
		justify-items: start;
	}
	textarea {
		width: 100%;
	}
</style>
