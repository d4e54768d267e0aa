<!-- A series in a row of a table: probes as dots, the level with its band. <SeriesSpark {reading} weeks={10} /> -->
<script lang="ts">
	import { SPARK, sparkPath, type SparkReading } from './sparkPath';

	let { reading, weeks }: { reading: SparkReading; weeks: number } = $props();
	const { dots, level, band } = $derived(sparkPath(reading, weeks));
	const last = $derived(reading.probes[reading.probes.length - 1]);
</script>

<svg {...SPARK} viewBox="0 0 {SPARK.width} {SPARK.height}" aria-hidden="true">
	<line x1="0" x2={SPARK.width} y1={SPARK.height - 0.5} y2={SPARK.height - 0.5} />
	<polygon points={band} />
	<polyline points={level} />
	{#each dots as { x, y }, i (i)}<circle cx={x} cy={y} r="2" />{/each}
</svg>
<span class="visually-hidden">{reading.probes.map(({ right }) => right).join(', ')} of {last.of}</span>

<style>
	svg {
		display: block;
	}
	line {
		stroke: var(--rule);
	}
	polygon {
		fill: #d3e8e4;
	}
	polyline {
		fill: none;
		stroke: var(--verdigris);
		stroke-width: 1.5;
	}
	circle {
		fill: var(--ink);
	}
</style>
