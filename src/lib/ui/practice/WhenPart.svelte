<!-- When students see a set, when it is due, what happens then, and whether others follow week by week. -->
<script lang="ts">
	import { sayDate, type SchoolCalendar, type SchoolDate } from '$lib/core/calendar';
	import { weeksLater } from '$lib/core/practice';
	import AssignPart from './AssignPart.svelte';
	import type { NewSet } from './newSet.svelte';
	import { sayAfterDue } from './saySet';

	interface Props {
		newSet: NewSet;
		data: {
			meetings: SchoolDate[];
			startsAt: string | null;
			endOfWeek: SchoolDate;
			cycle: { endsOn: SchoolDate } | null;
			school: { today: SchoolDate; calendar: SchoolCalendar };
		};
	}
	let { newSet, data }: Props = $props();
	const today = $derived(data.school.today);
	const next = $derived(data.meetings.find((day) => day > today));
	const weeks = $derived(newSet.plan.weeks);
	/** When each set of a plan of weeks opens and is due. */
	const laidOut = $derived(
		weeks > 1 && newSet.opensOn
			? Array.from({ length: weeks }, (_, week) =>
					week === 0
						? newSet.dates
						: weeksLater(newSet.dates, week, {
								calendar: data.school.calendar,
								meetings: newSet.onMeetings ? data.meetings : []
							})
				)
			: []
	);

	function due(day: SchoolDate, at = '') {
		newSet.dueOn = day;
		newSet.dueAt = at;
	}
</script>

<AssignPart name="When">
	<p class="row">
		<label>opens <input type="date" required min={today} bind:value={newSet.opensOn} /></label>
		<input type="time" aria-label="Time from which students see it" bind:value={newSet.opensAt} />
		<label>due <input type="date" min={newSet.opensOn} bind:value={newSet.dueOn} /></label>
		<input type="time" aria-label="Time when it is due" disabled={!newSet.dueOn} bind:value={newSet.dueAt} />
	</p>
	<p class="row">
		{#if data.meetings[0] === today}<button class="plain" onclick={() => due(today)}>today’s session</button>{/if}
		{#if next}<button class="plain" onclick={() => due(next, data.startsAt ?? '')}
				>by the next meeting, {sayDate(next)}</button
			>{/if}
		<button class="plain" onclick={() => due(data.endOfWeek)}>this week</button>
		<button class="plain" onclick={() => due('')}>never due</button>
		{#if newSet.sets > 1}
			<label
				>the {newSet.sets} sets
				<select bind:value={newSet.weeks}>
					<option value={1}>all at once</option>
					{#if newSet.sets <= newSet.mostWeeks}<option value={2}>one a week</option>{/if}
				</select></label
			>
		{:else}
			<label
				>weekly <select bind:value={newSet.weeks}>
					<option value={1}>once</option>
					{#each Array.from({ length: newSet.mostWeeks - 1 }, (_, i) => i + 2) as weeks (weeks)}
						<option value={weeks}>{weeks} weeks, other questions each</option>
					{/each}
				</select></label
			>
		{/if}
	</p>
	{#if laidOut.length}
		<ol class="weeks">
			{#each laidOut as { opensOn, dueOn }, i (i)}
				<li>opens {sayDate(opensOn)}{dueOn ? `, due ${sayDate(dueOn)}` : ''}</li>
			{/each}
		</ol>
		{#if data.meetings.length}
			<p>
				<label
					><input type="checkbox" bind:checked={newSet.onMeetings} /> after the first week by the group’s meeting days</label
				>
			</p>
		{/if}
	{/if}
	<p class="soft">
		{sayAfterDue(newSet.dates)}
		<label><input type="checkbox" disabled={!newSet.dueOn} bind:checked={newSet.closes} /> closes then</label>
	</p>
</AssignPart>

<style>
	.row {
		display: flex;
		flex-wrap: wrap;
		gap: 6px 14px;
		align-items: center;
	}
	.weeks {
		display: flex;
		flex-wrap: wrap;
		gap: 2px 34px;
		margin: 0;
		padding-left: 22px;
	}
	.row button {
		padding: 0 2px;
	}
</style>
