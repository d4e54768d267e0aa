<script lang="ts">
	import { enhance } from '$app/forms';
	import { sayDate, sayWholeDate } from '$lib/core/calendar';
	import { plural } from '$lib/core/words';
	import PracticeViews from '$lib/ui/practice/PracticeViews.svelte';
	import SetCalendar from '$lib/ui/practice/SetCalendar.svelte';
	import SetFilters from '$lib/ui/practice/SetFilters.svelte';
	import ActionBar from '$lib/ui/shell/ActionBar.svelte';
	import { keepingScope, setState, withState } from '$lib/ui/shell/address';
	import Notice from '$lib/ui/shell/Notice.svelte';
	import Pager from '$lib/ui/table/Pager.svelte';

	let { data, form } = $props();
	type Bar = (typeof data.lanes)[number]['bars'][number];
	let chosen = $state<{ bar: Bar; to: { opensOn: string; dueOn: string | null } } | null>(null);
	let moving = $state<HTMLFormElement>();

	const LANES = { group: 'by group', class: 'by class', student: 'by student' };
	const isMoved = $derived(
		chosen !== null && (chosen.to.opensOn !== chosen.bar.opensOn || chosen.to.dueOn !== chosen.bar.dueOn)
	);
	const laneOf = (bar: Bar) => data.lanes.find(({ bars }) => bars.includes(bar))?.name ?? 'one student';
	const says = $derived.by(() => {
		if (!chosen) return '';
		const { bar, to } = chosen;
		const who = bar.studentId === null ? plural(bar.students, 'student') : laneOf(bar);
		const when = `opens ${sayDate(to.opensOn)}, ${to.dueOn ? `due ${sayDate(to.dueOn)}` : 'never due'}`;
		return `${isMoved ? 'Move ' : ''}“${bar.title}” for ${who}: ${when}.`;
	});
	const canMove = $derived(chosen !== null && data.can.practice && chosen.bar.isTheirs);
</script>

<svelte:head><title>Calendar · Practice · Orderly Compass</title></svelte:head>

<div class="page-head">
	<h1>Practice in {data.scope.inWords}</h1>
	<span class="soft">{sayWholeDate(data.days[0])} to {sayWholeDate(data.days[data.days.length - 1])}</span>
</div>
<PracticeViews />

<div class="one-line tools no-print">
	<a href={withState({ day: data.before })} data-sveltekit-noscroll>Earlier</a>
	<a href={withState({ day: null })} data-sveltekit-noscroll>Today</a>
	<a href={withState({ day: data.after })} data-sveltekit-noscroll>Later</a>
	<label
		>Days <select value={data.view} onchange={(event) => setState({ view: event.currentTarget.value })}>
			<option value="week">a week</option>
			<option value="month">a month</option>
		</select></label
	>
	<label
		>Lanes <select value={data.by} onchange={(event) => setState({ by: event.currentTarget.value, students: null })}>
			{#each Object.entries(LANES) as [by, name] (by)}<option value={by}>{name}</option>{/each}
		</select></label
	>
	<SetFilters asked={data.asked} choices={data.choices} />
</div>

{#if data.lanes.length === 0}
	<p>
		{data.by === 'group'
			? 'No group has anybody of these students in it, and no set is open in these days.'
			: 'Nobody is in this scope.'}
	</p>
{:else}
	<SetCalendar
		days={data.days}
		today={data.school.today}
		daysOff={data.daysOff}
		lanes={data.lanes}
		canMove={data.can.practice}
		bind:chosen
		keep={() => moving?.requestSubmit()}
	/>
{/if}
<Pager {...data.part} name="lanes" />
<p class="soft no-print">
	A bar lasts from the day a set opens to the day it is due. Drag it, or its right end; with the keyboard, arrows left
	and right move it, with Shift its due date only, and Enter keeps it.
</p>

{#if chosen}
	{@const { bar, to } = chosen}
	<ActionBar {says}>
		<a href={keepingScope(`/practice/${bar.setId}`)}>Open the set</a>
		{#if canMove}
			<form
				method="POST"
				action="?/move"
				class="one-line"
				bind:this={moving}
				use:enhance={() =>
					async ({ update, result }) => {
						await update();
						if (result.type === 'success') chosen = null;
					}}
			>
				<input type="hidden" name="set" value={bar.setId} />
				{#if bar.studentId !== null}
					<input type="hidden" name="student" value={bar.studentId} />
					<input type="hidden" name="opensOn" value={to.opensOn} />
				{:else}
					<label
						>Opens <input
							name="opensOn"
							type="date"
							required
							value={to.opensOn}
							onchange={(event) => (chosen = { bar, to: { ...to, opensOn: event.currentTarget.value || to.opensOn } })}
						/></label
					>
				{/if}
				{#if to.dueOn === null}
					<input type="hidden" name="dueOn" value="" />
				{:else}
					<label
						>Due <input
							name="dueOn"
							type="date"
							required
							min={to.opensOn}
							value={to.dueOn}
							onchange={(event) => (chosen = { bar, to: { ...to, dueOn: event.currentTarget.value || to.dueOn } })}
						/></label
					>
				{/if}
				<button class="primary" disabled={!isMoved}>Move it</button>
			</form>
		{:else}
			<span class="soft">Assigned by a colleague: theirs to move.</span>
		{/if}
		<button class="plain" onclick={() => (chosen = null)}>{isMoved ? 'As it was' : 'Close'}</button>
	</ActionBar>
{/if}
<Notice outcome={form} />

<style>
	.tools {
		margin-bottom: 10px;
	}
</style>
