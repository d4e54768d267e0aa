<!-- The week of those who run groups: a row a person and day would be long, so a column a day and a lane a person. -->
<script lang="ts">
	import TierBars from '../glyphs/TierBars.svelte';
	import { timeOf } from '$lib/core/timetable';
	import { keepingScope } from '../shell/address';
	import { hourMarks, hoursOf, placeOf } from './weekPlan';

	interface Slot {
		id: number;
		staffId: number;
		days: number[];
		startsAt: string;
		minutes: number;
		room: string;
		/** Whether a group meets then, one may see it or not. */
		isHeld: boolean;
		group?: { id: number; name: string; tier: 2 | 3; students: number; isPaused: boolean };
	}
	let { slots, people }: { slots: Slot[]; people: { id: number; displayName: string }[] } = $props();

	const DAYS = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday'];
	const HOUR = 92;
	const hours = $derived(hoursOf(slots));
	const height = $derived(((hours.until - hours.from) / 60) * HOUR);
	const shortName = (name: string) => name.split(' ').at(-1)!;
</script>

<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
<div class="week" role="region" aria-label="Meeting times through the week" tabindex="0">
	<div class="axis" style:height="{height}px" aria-hidden="true">
		{#each hourMarks(hours) as mark (mark)}<span style:top="{((mark - hours.from) / 60) * HOUR}px">{timeOf(mark)}</span
			>{/each}
	</div>
	{#each DAYS as day, d (day)}
		<section aria-label={day}>
			<h2>{day}</h2>
			<div class="lanes" style:grid-template-columns="repeat({people.length}, 1fr)">
				{#each people as { id, displayName } (id)}
					<span class="lane" title={displayName}>{shortName(displayName)}</span>
				{/each}
			</div>
			<div class="day" style:height="{height}px" style:background-size="100% {HOUR}px">
				{#each people as person, p (person.id)}
					{#each slots.filter((slot) => slot.staffId === person.id && slot.days.includes(d + 1)) as slot (slot.id)}
						{@const { start, length } = placeOf(slot, hours)}
						<svelte:element
							this={slot.group ? 'a' : 'div'}
							href={slot.group ? keepingScope(`/groups/${slot.group.id}`) : undefined}
							class="slot"
							class:free={!slot.isHeld}
							class:other={slot.isHeld && !slot.group}
							style:top="{start * height}px"
							style:height="{length * height - 2}px"
							style:left="{(100 * p) / people.length}%"
							style:width="calc({100 / people.length}% - 3px)"
							title="{slot.startsAt}, {slot.minutes} min, {person.displayName}, {slot.room}: {slot.group
								? `${slot.group.name}, ${slot.group.students} students`
								: slot.isHeld
									? 'a group of other classes'
									: 'free'}"
						>
							<span class="when">{slot.startsAt}</span>
							{#if slot.group}<TierBars tier={slot.group.tier} /><span class="name"
									>{slot.group.isPaused ? 'paused: ' : ''}{slot.group.name.replace(/ \d\d:\d\d$/, '')}</span
								>{:else}{slot.isHeld ? 'other classes' : 'free'}{/if}
						</svelte:element>
					{/each}
				{/each}
			</div>
		</section>
	{/each}
</div>

<style>
	.week {
		display: grid;
		grid-template-columns: 44px repeat(5, minmax(200px, 1fr));
		gap: 0 10px;
		overflow-x: auto;
		background: var(--sheet);
		border: 1px solid var(--rule);
		padding: 8px 10px 12px;
	}
	.axis {
		position: relative;
		margin-top: 44px;
		font-size: 0.85rem;
		color: var(--ink-soft);
		font-variant-numeric: tabular-nums lining-nums;
	}
	.axis span {
		position: absolute;
		transform: translateY(-50%);
	}
	h2 {
		font-size: 1.05rem;
		height: 22px;
	}
	.lanes {
		display: grid;
		height: 22px;
		font-size: 0.85rem;
		color: var(--ink-soft);
	}
	.lane {
		overflow: hidden;
		text-overflow: ellipsis;
		white-space: nowrap;
	}
	.day {
		position: relative;
		border-bottom: 1px solid var(--rule);
		background-image: linear-gradient(var(--rule) 1px, transparent 1px);
	}
	.slot {
		position: absolute;
		overflow: hidden;
		padding: 1px 4px;
		font-size: 0.8rem;
		line-height: 1.1;
		hyphens: auto;
		overflow-wrap: anywhere;
		color: var(--ink);
		text-decoration: none;
		background: var(--verdigris-wash);
		border: 1px solid var(--verdigris);
		border-radius: var(--corner);
	}
	a.slot:hover {
		background: var(--sheet);
	}
	.free {
		color: var(--ink-soft);
		background: var(--sheet);
		border: 1px dashed var(--rule-strong);
	}
	.other {
		color: var(--ink-soft);
		background: none;
		border-color: var(--rule);
	}
	.when {
		font-variant-numeric: tabular-nums lining-nums;
		color: var(--ink-soft);
		margin-right: 3px;
	}
	.name {
		display: -webkit-box;
		overflow: hidden;
		-webkit-box-orient: vertical;
		-webkit-line-clamp: 2;
		line-clamp: 2;
	}
</style>
