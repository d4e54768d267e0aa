<!-- When students see a set, when it is due, what happens then, and whether others follow week by week. -->
<script lang="ts">
	import { sayDate, type SchoolDate } from '$lib/core/calendar';
	import AssignPart from './AssignPart.svelte';
	import type { NewSet } from './newSet.svelte';
	import { sayAfterDue } from './saySet';

	interface Props {
		set: NewSet;
		data: {
			meetings: SchoolDate[];
			startsAt: string | null;
			endOfWeek: SchoolDate;
			cycle: { endsOn: SchoolDate } | null;
			school: { today: SchoolDate };
		};
	}
	let { set, data }: Props = $props();
	const today = $derived(data.school.today);
	const next = $derived(data.meetings.find((day) => day > today));

	function due(day: SchoolDate, at = '') {
		set.dueOn = day;
		set.dueAt = at;
	}
</script>

<AssignPart name="When">
	<p class="row">
		<label>opens <input type="date" required min={today} bind:value={set.opensOn} /></label>
		<input type="time" aria-label="Time from which students see it" bind:value={set.opensAt} />
		<label>due <input type="date" min={set.opensOn} bind:value={set.dueOn} /></label>
		<input type="time" aria-label="Time when it is due" disabled={!set.dueOn} bind:value={set.dueAt} />
	</p>
	<p class="row">
		{#if data.meetings[0] === today}<button class="plain" onclick={() => due(today)}>today’s session</button>{/if}
		{#if next}<button class="plain" onclick={() => due(next, data.startsAt ?? '')}
				>by the next meeting, {sayDate(next)}</button
			>{/if}
		<button class="plain" onclick={() => due(data.endOfWeek)}>this week</button>
		<button class="plain" onclick={() => due('')}>never due</button>
		<label
			>weekly <select bind:value={set.weeks}>
				<option value={1}>once</option>
				{#each Array.from({ length: set.mostWeeks - 1 }, (_, i) => i + 2) as weeks (weeks)}
					<option value={weeks}>{weeks} weeks, other questions each</option>
				{/each}
			</select></label
		>
	</p>
	<p class="soft">
		{sayAfterDue(set.dates)}
		<label><input type="checkbox" disabled={!set.dueOn} bind:checked={set.closes} /> closes then</label>
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
