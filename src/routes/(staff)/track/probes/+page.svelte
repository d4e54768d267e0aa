<script lang="ts">
	import { enhance } from '$app/forms';
	import { sayDate, sayDay } from '$lib/core/calendar';
	import { LEVEL_CHECK_ITEMS } from '$lib/core/screening';
	import { fullName, number, plural, sayChance } from '$lib/core/words';
	import ActionButton from '$lib/ui/form/ActionButton.svelte';
	import { keepingScope, setState, withState } from '$lib/ui/shell/address';
	import Notice from '$lib/ui/shell/Notice.svelte';
	import Pager from '$lib/ui/table/Pager.svelte';
	import Table from '$lib/ui/table/Table.svelte';
	import TrackViews from '$lib/ui/track/TrackViews.svelte';

	let { data, form } = $props();
	const { page } = $derived(data);
	type Start = NonNullable<typeof page.starting>;
	type Line = (typeof page.days)[number]['groups'][number]['lines'][number];

	const GOALS = [10, 11, 12, 13, 14, 15, 16];
	const DAYS = ['any day', 'Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday'];
	const sayState = ({ right, questions, due }: Line) =>
		[
			right.length ? `${right.join(' and ')} of ${questions} right` : '',
			due ? (right.length ? 'one to take' : 'to take') : ''
		]
			.filter(Boolean)
			.join(', ') || 'none this week';
	let source = $state<'hand' | 'cut' | 'norm'>('hand');
	const sayGoal = ({ right, aWeek, chance }: Start['lines'][number]['goals']['hand']) =>
		`${right}: ${number(aWeek, 1)} more a week, ${sayChance(chance)} likely`;
	/** What probes on a skill can carry, in a sentence. */
	function sayCarried({ carries }: Start): string {
		if (!carries) return 'There are no questions for this skill yet, so there can be no probes on it.';
		const { questions, ofFocus, aWeek, weeks, reliability, standardError } = carries;
		const form = `${aWeek === 2 ? 'Two probes a week' : 'A probe a week'} of ${questions} questions, ${ofFocus} of them on the focus.`;
		const forms =
			weeks >= 12
				? 'No question comes twice in twelve weeks.'
				: `The questions there are carry ${plural(weeks, 'week')} without a repeat; after that some come again.`;
		return `${form} ${forms} One probe alone tells members of a group apart with a reliability of ${number(reliability, 2)} (its error is ${number(standardError, 1)} logits); several together tell more.`;
	}
</script>

<svelte:head><title>Probes this week · Track · Orderly Compass</title></svelte:head>

<div class="page-head">
	<h1>Probes this week in {data.scope.inWords}</h1>
	<span class="soft"
		>{page.due} of {page.running} still to take; {plural(page.without, 'student')}
		{page.without === 1 ? 'has' : 'have'} none.</span
	>
</div>
<TrackViews />

<div class="two">
	<div>
		{#each page.days as { day, groups } (day)}
			<section>
				<h2>{day ? sayDate(day) : 'Any day this week'}</h2>
				<Table
					says="Probes {day ? `of ${sayDate(day)}` : 'of any day'}"
					columns={[
						{ label: 'Group' },
						{ label: 'Student' },
						{ label: 'Skill' },
						{ label: 'This week' },
						{ label: 'Missed before' }
					]}
					rows={groups.flatMap((group) => group.lines.map((line, i) => ({ ...line, group, isFirst: i === 0 })))}
					key={({ planId }) => planId}
					attributes={({ student, isFirst }) => ({ 'data-student': student.id, class: { begins: isFirst } })}
				>
					{#snippet cells(line)}
						<td
							>{#if line.isFirst}{#if line.group.id}<a href={keepingScope(`/groups/${line.group.id}`)}
										>{line.group.name}</a
									>{:else}{line.group.name}{/if}
								<span class="soft">{line.group.due} to take</span>
								{#if line.group.id && data.can.probe}<a
										class="no-print on-paper"
										href={keepingScope('/track/paper', { group: line.group.id })}
										aria-label="On paper: {line.group.name}">On paper</a
									>{/if}{/if}</td
						>
						<th scope="row"
							><a href={keepingScope('/track/charts', { student: line.student.id, plan: line.planId })}
								>{fullName(line.student)}</a
							> <span class="soft">{line.student.className}</span></th
						>
						<td>{page.skillNames[line.skillId]}</td>
						<td
							>{sayState(line)}{#if !line.group.id && line.due && data.can.probe}
								<a
									class="no-print"
									href={keepingScope('/track/paper', { of: line.student.id })}
									aria-label="On paper: {fullName(line.student)}">On paper</a
								>{/if}</td
						>
						<td
							>{#if line.mayMakeUp}<span>may be made up now</span>{#if data.can.probe}
									<ActionButton
										action="?/makeUp"
										fields={{ plan: line.planId, student: line.student.id, number: 0 }}
										label="Take back making up for {fullName(line.student)}"
										look="plain small">Take back</ActionButton
									>{/if}
							{:else if line.missed && data.can.probe}<ActionButton
									action="?/makeUp"
									fields={{ plan: line.planId, student: line.student.id, number: line.missed }}
									label="Let {fullName(line.student)} make up the probe of the week before"
									look="plain small">Let make up last week’s</ActionButton
								>{:else if line.missed}last week’s{/if}</td
						>
					{/snippet}
				</Table>
			</section>
		{:else}
			<p>No weekly probes run in this scope. They start beside, for a group on its focus.</p>
		{/each}
		<Pager {...page.part} name="plans" />
		{#if page.levels.length}
			<section>
				<h2>Level checks to take</h2>
				<p class="soft">
					{LEVEL_CHECK_ITEMS} questions on a whole domain, in the middle and at the end of weekly probes: whether the work
					carries over. One is sure to about half a year; from one to the next a change of about a year can be told, not of
					a month.
				</p>
				<Table
					says="Level checks to take"
					columns={[{ label: 'Student' }, { label: 'Domain' }, { label: 'So far' }, { label: 'Until' }]}
					rows={page.levels}
					key={({ planId, place }) => `${planId} ${place}`}
					attributes={({ student }) => ({ 'data-student': student.id })}
				>
					{#snippet cells({ student, domain, place, answered, closesOn })}
						<th scope="row"
							><a href={keepingScope(`/students/${student.id}`, { student: null })}>{fullName(student)}</a>
							<span class="soft">{student.className}</span></th
						>
						<td>{domain} <span class="soft">{place === 'middle' ? 'middle' : 'end'}</span></td>
						<td>{answered ? `${answered} of ${LEVEL_CHECK_ITEMS} answered` : 'not begun'}</td>
						<td>{closesOn ? sayDate(closesOn) : 'begun, can be finished'}</td>
					{/snippet}
				</Table>
				<Pager {...page.levelPart} name="levels" />
			</section>
		{/if}
	</div>

	{#if data.can.probe}
		<section class="start no-print">
			<h2>Start weekly probes</h2>
			{#each page.free as group (group.id)}
				<p>
					<a href={withState({ group: group.id })} aria-current={page.starting?.id === group.id ? 'true' : undefined}
						>{group.name}</a
					>
					<span class="soft">{plural(group.students, 'student')} without</span>
				</p>
			{:else}
				<p class="soft">Every group member in scope has weekly probes on the focus. New groups appear here.</p>
			{/each}
		</section>
	{/if}
</div>

{#if data.can.probe && page.starting}
	{@const start = page.starting}
	<section class="begin no-print" aria-labelledby="begin">
		<h2 id="begin">Weekly probes for {start.name}, on {start.skill}</h2>
		<p class="soft">{sayCarried(start)}</p>
		{#if start.carries}
			<form method="POST" action="?/start" use:enhance>
				{#each start.lines as { student } (student.id)}<input type="hidden" name="students" value={student.id} />{/each}
				<input type="hidden" name="skill" value={start.skillId} />
				<input type="hidden" name="group" value={start.id} />
				<Table
					says="Goals"
					columns={[
						{ label: 'Student' },
						{ label: 'Right now', isNumber: true },
						{ label: 'By hand' },
						{ label: 'By the cut' },
						{ label: 'By the norm' }
					]}
					rows={start.lines}
					key={({ student }) => student.id}
				>
					{#snippet cells({ student, questions, goals })}
						<th scope="row">{fullName(student)}</th>
						<td class="number">about {number(goals.hand.now)} of {questions}</td>
						{#each ['hand', 'cut', 'norm'] as const as way (way)}
							<td class:soft={way !== source}>{sayGoal(goals[way])}</td>
						{/each}
					{/snippet}
				</Table>
				<fieldset>
					<legend>The goal is</legend>
					<label><input type="radio" name="source" value="hand" bind:group={source} /> so many right:</label>
					<label
						><select
							name="goalCorrect"
							aria-label="Right of 16"
							value={String(start.asked.byHand)}
							onchange={({ currentTarget: { value } }) => setState({ goal: value })}
							>{#each GOALS as goal (goal)}<option value={String(goal)}>{goal} of 16</option>{/each}</select
						></label
					>
					<label
						><input type="radio" name="source" value="cut" bind:group={source} /> the grade’s cut score at that day</label
					>
					<label
						><input type="radio" name="source" value="norm" bind:group={source} /> the growth of the (made-up) norm, times</label
					>
					<select
						name="ambition"
						aria-label="Times the norm’s growth"
						value={String(start.asked.ambition)}
						onchange={({ currentTarget: { value } }) => setState({ ambition: value })}
						><option>2</option><option>4</option></select
					>
				</fieldset>
				{#if start.levels.days.length}
					<label
						><input type="checkbox" name="levels" value="yes" checked /> and {LEVEL_CHECK_ITEMS} questions on all of {start
							.levels.domain},
						{start.levels.days
							.map(({ opensOn, closesOn }) => `${sayDay(opensOn)} to ${sayDay(closesOn)}`)
							.join(', and ')}: whether the work carries over</label
					>
				{/if}
				<p class="one-line">
					<label
						>by <input
							type="date"
							name="goalOn"
							value={start.asked.goalOn}
							onchange={({ currentTarget: { value } }) => value && setState({ goalOn: value })}
							required
						/></label
					>
					<label
						>given on <select name="onDay" value={String(start.onDay ?? 0)}
							>{#each DAYS as day, i (day)}<option value={String(i)}>{day}</option>{/each}</select
						></label
					>
					<button class="primary">Start for {plural(start.lines.length, 'student')}</button>
				</p>
				<p class="soft">
					How likely a goal is follows from what the answers say of the student so far, and from how students are taken
					to grow until their own probes tell.
				</p>
			</form>
		{/if}
	</section>
{/if}
<Notice outcome={form} />

<style>
	.two {
		display: grid;
		grid-template-columns: minmax(0, 3fr) minmax(0, 1fr);
		gap: 28px;
		align-items: start;
	}
	.begin form {
		display: grid;
		gap: 8px;
		justify-items: start;
	}
	fieldset {
		border: 0;
		margin: 0;
		padding: 0;
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: 4px 14px;
	}
	.on-paper {
		white-space: nowrap;
	}
	.start p {
		margin: 0;
	}
	section + section {
		margin-top: 20px;
	}
	@media (max-width: 1100px) {
		.two {
			grid-template-columns: minmax(0, 1fr);
		}
	}
</style>
