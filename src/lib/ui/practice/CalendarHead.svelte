<!-- The days over a calendar: of a week with their names, of a month their numbers, and the month where it begins. -->
<script lang="ts">
	import { sayDate, sayDay, weekday, type SchoolDate } from '$lib/core/calendar';

	interface Props {
		days: SchoolDate[];
		today: SchoolDate;
	}
	let { days, today }: Props = $props();
	const isMonth = $derived(days.length > 7);
	const monthAt = (day: SchoolDate, i: number) => (i === 0 || day.endsWith('-01') ? sayDay(day).split(' ')[0] : '');
</script>

<div class="head" class:month={isMonth} aria-hidden="true">
	<span></span>
	<div class="days">
		{#each days as day, i (day)}
			<span class:now={day === today} class:monday={weekday(day) === 1}
				>{#if isMonth}<small>{monthAt(day, i)}</small>{Number(day.slice(8))}{:else}{sayDate(day)}{/if}</span
			>
		{/each}
	</div>
</div>

<style>
	.head {
		display: grid;
		grid-template-columns: 190px minmax(0, 1fr);
		min-width: 560px;
		position: sticky;
		top: 0;
		z-index: 2;
		background: var(--paper);
		font-size: 13px;
	}
	.month {
		min-width: 980px;
	}
	.days {
		display: grid;
		grid-template-columns: repeat(var(--days), minmax(0, 1fr));
	}
	.days > span {
		padding: 4px 2px;
		white-space: nowrap;
		color: var(--ink-soft);
		border-left: 1px solid transparent;
	}
	small {
		display: block;
		min-height: 1.2em;
	}
	.days > .monday {
		border-left-color: var(--rule);
	}
	.days > .now {
		color: var(--verdigris);
		font-weight: 650;
	}
	@media (max-width: 700px) {
		.head {
			grid-template-columns: 110px minmax(0, 1fr);
		}
	}
</style>
