<!-- What can be done to a set for the students selected: another due date, something otherwise, not at all, once more. -->
<script lang="ts">
	import { enhance } from '$app/forms';
	import { sayDate, type SchoolDate } from '$lib/core/calendar';
	import { plural } from '$lib/core/words';
	import ActionBar from '../shell/ActionBar.svelte';
	import ForSome from './ForSome.svelte';

	interface Props {
		selected: {
			id: number;
			state: string;
			isTurnedIn: boolean;
			isTaskDone: boolean;
			isLeft: boolean;
			attempt: number;
		}[];
		/** Whether an adult leads something beside the set. */
		hasTask: boolean;
		dates: { opensOn: SchoolDate };
		/** Until when those who are given more time have it, unless somebody says otherwise. */
		moreTime: SchoolDate;
		/** Whether its due date has passed: who gets it once more has until then, too. */
		isOver: boolean;
		/** Selects nobody. */
		clear: () => void;
	}
	let { selected, dates, hasTask, moreTime, isOver, clear }: Props = $props();

	const among = (...states: string[]) => selected.filter(({ state }) => states.includes(state));
	const excused = $derived(among('excused', 'marked done'));
	const underWay = $derived(among('under way'));
	const needed = $derived(among('not begun', 'under way'));
	const notBegun = $derived(among('not begun').filter(({ attempt }) => attempt === 1));
	const finished = $derived(among('finished', 'finished late'));
	const begun = $derived(among('under way', 'finished', 'finished late'));
	const turnedIn = $derived(selected.filter(({ isTurnedIn }) => isTurnedIn));
	const toDo = $derived(selected.filter(({ isTaskDone }) => !isTaskDone));
	const left = $derived(selected.filter(({ isLeft }) => isLeft));
	let until = $derived(moreTime);
	/** Whether what else can be otherwise for those selected is shown. */
	let isOpen = $state(false);
	/** What a form does ends with nobody selected. */
	const thenNobody =
		() =>
		async ({ update }: { update: () => Promise<void> }) => {
			await update();
			clear();
		};
</script>

{#snippet ids(students: { id: number }[])}
	<input type="hidden" name="students" value={students.map(({ id }) => id).join(',')} />
{/snippet}

{#snippet questions(says: string)}
	<select name="questions" aria-label={says}>
		<option value="other">with other questions</option>
		<option value="same">with the same questions</option>
	</select>
{/snippet}

{#snippet forThese(action: string, students: { id: number }[], says: string)}
	{#if students.length}
		<form method="POST" action="?/{action}" use:enhance={thenNobody}>
			{@render ids(students)}
			<button>{says}</button>
		</form>
	{/if}
{/snippet}

<ActionBar says="{plural(selected.length, 'student')} selected">
	<form method="POST" action="?/some" class="one-line" use:enhance={thenNobody}>
		{@render ids(selected)}
		<label>Due <input name="dueOn" type="date" required min={dates.opensOn} bind:value={until} /></label>
		<button class="primary">Due {sayDate(until)} for {plural(selected.length, 'student')}</button>
	</form>
	<button aria-expanded={isOpen} onclick={() => (isOpen = !isOpen)}>Otherwise for them</button>
	{@render forThese('excuse', needed, `Excuse ${plural(needed.length, 'student')}`)}
	{@render forThese('markDone', needed, `Counts as done for ${plural(needed.length, 'student')}`)}
	{@render forThese('take', notBegun, `Take it from ${plural(notBegun.length, 'student')}`)}
	{@render forThese('taskDone', hasTask ? toDo : [], `Task done with ${plural(toDo.length, 'student')}`)}
	{#if finished.length}
		<form method="POST" action="?/again" class="one-line" use:enhance={thenNobody}>
			{@render ids(finished)}
			{#if isOver}<input type="hidden" name="dueOn" value={until} />{/if}
			<button>Give it to {plural(finished.length, 'student')} once more{isOver ? `, due ${sayDate(until)}` : ''}</button
			>
			{@render questions('Questions of the run to come')}
		</form>
	{/if}
	{#if begun.length}
		<form method="POST" action="?/anew" class="one-line" use:enhance={thenNobody}>
			{@render ids(begun)}
			{#if isOver}<input type="hidden" name="dueOn" value={until} />{/if}
			<button>Let {plural(begun.length, 'student')} begin anew{isOver ? `, due ${sayDate(until)}` : ''}</button>
			{@render questions('Questions when they begin anew')}
		</form>
		<span class="soft"
			>Anew: what they answered is kept aside and counts for nothing{finished.length
				? '; once more: it counts'
				: ''}.</span
		>
	{/if}
	{@render forThese('goOn', left, `Let ${plural(left.length, 'student')} go on`)}
	{@render forThese('turnIn', underWay, `Turn in for ${plural(underWay.length, 'student')}`)}
	{@render forThese('reopen', turnedIn, `Open again for ${plural(turnedIn.length, 'student')}`)}
	{@render forThese('need', excused, `On the page of ${plural(excused.length, 'student')} again`)}
	<button class="plain" onclick={clear}>Clear</button>
	{#if isOpen}
		<form method="POST" action="?/some" class="one-line wide" use:enhance={thenNobody}>
			{@render ids(selected)}
			<ForSome />
			<button class="primary">Keep for {plural(selected.length, 'student')}</button>
			{#if selected.some(({ state }) => state !== 'not begun')}
				<span class="soft">Who has begun keeps their questions.</span>
			{/if}
		</form>
	{/if}
</ActionBar>

<style>
	.wide {
		flex-basis: 100%;
	}
</style>
