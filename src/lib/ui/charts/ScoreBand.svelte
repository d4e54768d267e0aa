<!-- A score with its error band on an axis shared by the column, and the benchmark line. All in one unit. -->
<script lang="ts">
	interface Props {
		score: { points: number; error: number };
		cut: number | null;
		from: number;
		to: number;
	}
	let { score, cut, from, to }: Props = $props();
	const WIDTH = 150;
	const x = (points: number) => Math.max(2, Math.min(WIDTH - 2, ((points - from) / (to - from)) * WIDTH));
</script>

<svg width={WIDTH} height="20" viewBox="0 0 {WIDTH} 20" aria-hidden="true">
	<line class="axis" x1="0" x2={WIDTH} y1="10" y2="10" />
	{#if cut !== null}<line class="cut" x1={x(cut)} x2={x(cut)} y1="1" y2="19" />{/if}
	<rect
		class="band"
		x={x(score.points - score.error)}
		width={Math.max(2, x(score.points + score.error) - x(score.points - score.error))}
		y="6.5"
		height="7"
		rx="2"
	/>
	<circle cx={x(score.points)} cy="10" r="3" />
</svg>

<style>
	svg {
		display: block;
	}
	.axis {
		stroke: var(--rule);
	}
	.cut {
		stroke: var(--ink);
		stroke-width: 1.2;
		stroke-dasharray: 2 2;
	}
	.band {
		fill: #b9cfd0;
	}
	circle {
		fill: var(--ink);
	}
</style>
