<!--
	What can be agreed beside verdict and group: the tier, when to look again, the group's focus, the goal, who does what, what the
	family is told, and a note.
	<DecisionMore {decision} {step} />
-->
<script lang="ts">
	import { addDays, sayDay } from '$lib/core/calendar';
	import type { ShownStep } from './shownStep';
	import type { Decision } from './decision.svelte';

	/** Tasks that one verdict can give out. */
	const MOST_TASKS = 4;

	let { decision, step }: { decision: Decision; step: ShownStep } = $props();
	const skillName = (id: number) => step.skillNames[id] ?? '';
	const { soonest, latest } = $derived(step.form.dates);
	const isOften = $derived(decision.nextReviewOn !== '' && decision.nextReviewOn < soonest);
	const isLate = $derived(decision.nextReviewOn > latest);
	/** What a group could work on instead: what is lacking underneath, then what builds on it. */
	const focuses = $derived([...(step.around?.lacking ?? []), ...(step.around?.builtOn.map(({ id }) => id) ?? [])]);
</script>

<div class="grid">
	<label
		>Tier from then on
		<select bind:value={decision.tier}>
			{#each [1, 2, 3] as const as one (one)}<option value={one}
					>tier {one}{one === step.student.tier ? ' (as now)' : ''}</option
				>{/each}
		</select>
	</label>
	{#if decision.verdict !== 'exit'}
		<label
			>Look again on <input type="date" name="nextReviewOn" bind:value={decision.nextReviewOn} required />
			{#if isOften || isLate}<span class="soft"
					>{isLate ? 'later' : 'sooner'} than the school’s rule: {sayDay(soonest)} to {sayDay(latest)}</span
				>{/if}</label
		>
	{/if}
	{#if step.form.own && decision.group === 'stays' && focuses.length}
		<label
			>The group works on
			<select name="focus" bind:value={decision.focus}>
				<option value={0}>{step.focus?.name} (as now)</option>
				{#each focuses as id (id)}<option value={id}>{skillName(id)}, for all in it</option>{/each}
			</select>
		</label>
	{/if}
	{#if step.asked}
		<label
			>Goal, right of {step.asked.plan.questions}
			<input
				type="number"
				name="goalCorrect"
				min="1"
				max={step.asked.plan.questions}
				bind:value={decision.goalCorrect}
				required
			/></label
		>
		<label>Goal’s day <input type="date" name="goalOn" bind:value={decision.goalOn} required /></label>
	{/if}
	{#if decision.verdict !== 'adjust'}
		<label>Done in another way <input name="change" bind:value={decision.change} maxlength="120" /></label>
	{/if}
</div>
{#each decision.tasks as task, i (i)}
	<div class="task">
		<label>Task {i + 1} <input name="taskWhat" bind:value={task.what} maxlength="200" required /></label>
		<label
			>Who
			<select name="taskWho" bind:value={task.who}>
				{#each step.form.adults as { id, displayName } (id)}<option value={id}>{displayName}</option>{/each}
			</select></label
		>
		<label>Until <input type="date" name="taskDue" bind:value={task.due} required /></label>
		<button type="button" class="plain" onclick={() => decision.tasks.splice(i, 1)}>Remove task {i + 1}</button>
	</div>
{/each}
{#if decision.tasks.length < MOST_TASKS}
	<button
		type="button"
		class="small"
		onclick={() =>
			decision.tasks.push({ what: '', who: step.form.adults[0].id, due: addDays(decision.effectiveOn, 7) })}
		>Add a task</button
	>
{/if}
<label class="text"
	>What the family is told <textarea name="familyTold" rows="2" maxlength="1000" bind:value={decision.familyTold}
	></textarea></label
>
<label class="text">Note <textarea name="note" rows="2" maxlength="2000"></textarea></label>

<style>
	.grid,
	.task {
		display: flex;
		flex-wrap: wrap;
		gap: 8px 16px;
		align-items: end;
		margin-bottom: 8px;
	}
	.grid label,
	.task label {
		display: grid;
	}
	.task label:first-child {
		flex: 1 1 240px;
	}
	input[type='number'] {
		width: 90px;
	}
	.text {
		display: grid;
		margin-top: 8px;
	}
</style>
