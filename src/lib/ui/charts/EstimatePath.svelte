<!--
	How a score came about: the estimate with its error after each answer, and each question at its difficulty, filled
	when it was answered right. The dashed line is the cut score. The table beside it says the same in numbers.
-->
<script lang="ts">
	interface Props {
		/** Before any answer. */
		prior: { points: number; error: number };
		steps: { points: number; error: number; difficulty: number; correct: boolean }[];
		cut: number;
	}
	let { prior, steps, cut }: Props = $props();

	const WIDTH = 900;
	const HEIGHT = 240;
	const LEFT = 44;
	const BOTTOM = 22;

	const path = $derived([prior, ...steps]);
	const low = $derived(
		Math.floor(
			Math.min(cut, ...steps.map(({ difficulty }) => difficulty), ...path.map((p) => p.points - p.error)) / 20
		) * 20
	);
	const high = $derived(
		Math.ceil(
			Math.max(cut, ...steps.map(({ difficulty }) => difficulty), ...path.map((p) => p.points + p.error)) / 20
		) * 20
	);
	const ticks = $derived(
		Array.from({ length: Math.floor((high - low) / 20) + 1 }, (_, i) => low + 20 * i).filter(
			(_, i, all) => all.length < 9 || i % 2 === 0
		)
	);
	const x = (step: number) => LEFT + (step / Math.max(1, steps.length)) * (WIDTH - LEFT - 10);
	const y = (points: number) => 8 + ((high - points) / (high - low)) * (HEIGHT - 8 - BOTTOM);
	const band = $derived(
		[
			...path.map(({ points, error }, i) => `${x(i)},${y(points + error)}`),
			...path.map(({ points, error }, i) => `${x(i)},${y(points - error)}`).reverse()
		].join(' ')
	);
	const line = $derived(path.map(({ points }, i) => `${x(i)},${y(points)}`).join(' '));
	const last = $derived(path[path.length - 1]);
</script>

<svg
	viewBox="0 0 {WIDTH} {HEIGHT}"
	role="img"
	aria-label="The score after each of {steps.length} answers: from {Math.round(prior.points)} ± {Math.round(
		prior.error
	)} before the first to {Math.round(last.points)} ± {Math.round(last.error)} after the last"
>
	{#each ticks as tick (tick)}
		<line class="grid" x1={LEFT} x2={WIDTH} y1={y(tick)} y2={y(tick)} />
		<text x={LEFT - 6} y={y(tick) + 4} text-anchor="end">{tick}</text>
	{/each}
	<polygon points={band} />
	<polyline points={line} />
	<line class="cut" x1={LEFT} x2={WIDTH} y1={y(cut)} y2={y(cut)} />
	{#each steps as step, i (i)}
		<circle cx={x(i + 1)} cy={y(step.difficulty)} r="4" class:right={step.correct} />
	{/each}
	{#each steps as _, i (i)}
		{#if (i + 1) % 5 === 0 || i === 0}<text x={x(i + 1)} y={HEIGHT - 4} text-anchor="middle">{i + 1}</text>{/if}
	{/each}
</svg>

<style>
	svg {
		display: block;
		width: 100%;
		max-width: 980px;
		background: var(--sheet);
		border: 1px solid var(--rule);
	}
	.grid {
		stroke: var(--rule);
	}
	text {
		font-size: 12px;
		fill: var(--ink-soft);
	}
	polygon {
		fill: #b9cfd0;
		opacity: 0.6;
	}
	polyline {
		fill: none;
		stroke: var(--ink);
		stroke-width: 1.5;
	}
	.cut {
		stroke: var(--ink);
		stroke-width: 1.2;
		stroke-dasharray: 3 3;
	}
	circle {
		fill: var(--sheet);
		stroke: var(--forming-ink);
		stroke-width: 1.5;
	}
	.right {
		fill: var(--forming-ink);
	}
</style>
