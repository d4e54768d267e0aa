<!-- A measure that an adult gives week by week: its chart, and what it says in words. <MeasureRead {series} /> -->
<script lang="ts">
	import { sayDay } from '$lib/core/calendar';
	import { type FluencyMeasure, type MeasureReading, MEASURES } from '$lib/core/fluency';
	import { number } from '$lib/core/words';
	import { measureChartOptions } from './measureChart';
	import SeriesChart from './SeriesChart.svelte';

	interface Props {
		series: {
			measure: FluencyMeasure;
			goalOn: string;
			reading: MeasureReading;
			says: string[];
			equivalence: string;
		};
		/** Whether it says what it is, where nothing above does. */
		isTitled?: boolean;
	}
	let { series, isTitled = false }: Props = $props();
	const { reading, measure, goalOn, says, equivalence } = $derived(series);
	const { units } = $derived(MEASURES[measure]);
	const values = $derived(reading.points.map(({ correctPerMinute }) => number(correctPerMinute)).join(', '));
</script>

{#if isTitled}<h2>{measure[0].toUpperCase()}{measure.slice(1)}, week by week</h2>{/if}
<SeriesChart
	options={(hasWords) => measureChartOptions(reading, sayDay(goalOn), units, hasWords)}
	size="medium"
	says="Correct {units} a minute: {values || 'nothing yet'}."
/>
<p class="soft">
	Dots: correct a minute, each with its own error. Green: the robust line. Gray: one more giving, in 80 of 100 cases.
	Dashes: to the goal.
</p>
{#each says as sentence (sentence)}<p>{sentence}</p>{/each}
<p class="soft">{equivalence}</p>

<style>
	p {
		margin: 0;
		max-width: 56em;
	}
</style>
