<!-- When students see a set, when it is due, what happens then, and whether others follow week by week. -->
<script lang="ts">
	import { sayDate, type SchoolDate } from '$lib/core/calendar';
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
			school: { today: SchoolDate };
		};
	}
	let { newSet, data }: Props = $props();
	const today = $derived(data.school.today);
	const next = $derived(data.meetings.find((day) => day > today));

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
	.row button {
		padding: 0 2px;
	}
</style>
