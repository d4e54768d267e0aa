<!-- A series of probes as it is drawn on sheets: dots, the level with its band, what may come, and the goal as a dashed line. -->
<script lang="ts">
	import type { SheetPart } from '$lib/core/sheets';

	let { series }: { series: NonNullable<SheetPart['series']> } = $props();
	const { reading, questions, goal, weeks } = $derived(series);

	const WIDTH = 640;
	const HEIGHT = 130;
	const last = $derived(Math.max(weeks, reading.probes[reading.probes.length - 1].week + 1));
	const x = (week: number) => 28 + (week / last) * (WIDTH - 90);
	const y = (right: number) => HEIGHT - 14 - (right / questions) * (HEIGHT - 26);
	interface At {
		week: number;
		lower: number;
		upper: number;
	}
	const band = (points: At[]) =>
		[
			...points.map(({ week, upper }) => `${x(week)},${y(upper)}`),
			...points.map(({ week, lower }) => `${x(week)},${y(lower)}`).reverse()
		].join(' ');
	const levels = $derived(reading.levels.map((level, i) => ({ week: reading.probes[i].week, ...level })));
</script>

<svg
	viewBox="0 0 {WIDTH} {HEIGHT}"
	role="img"
	aria-label="Probes: {reading.probes.map(({ right }) => right).join(', ')} of {questions}; goal {goal}."
>
	{#each [0, questions / 2, questions] as right (right)}
		<line class="rule" x1={x(0)} x2={x(last)} y1={y(right)} y2={y(right)} />
		<text x="22" y={y(right) + 4} text-anchor="end">{right}</text>
	{/each}
	<polygon class="ahead" points={band([levels[levels.length - 1], ...reading.ahead])} />
	<polygon class="band" points={band(levels)} />
	<line class="goal" x1={x(0)} x2={x(last)} y1={y(goal)} y2={y(goal)} />
	<text x={x(last) + 6} y={y(goal) + 4}>goal {goal}</text>
	<polyline class="level" points={levels.map(({ week, value }) => `${x(week)},${y(value)}`).join(' ')} />
	{#each reading.probes as { week, right }, i (i)}<circle cx={x(week)} cy={y(right)} r="3" />{/each}
</svg>

<style>
	svg {
		width: 100%;
		max-width: 640px;
	}
	text {
		font-size: 11px;
		fill: var(--ink-soft);
	}
	.rule {
		stroke: var(--rule);
	}
	.goal {
		stroke: var(--ink-soft);
		stroke-dasharray: 4 3;
	}
	.band {
		fill: var(--secure-ground);
	}
	.ahead {
		fill: var(--forming-ground);
	}
	.level {
		fill: none;
		stroke: var(--verdigris);
		stroke-width: 1.6;
	}
	circle {
		fill: var(--ink);
	}
</style>
