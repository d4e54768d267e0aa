<!-- A grid with points and lines; where it can be answered on, a tap gives the nearest grid point. -->
<script lang="ts">
	import { range, type FigureOf } from './figures/figures';

	interface Props {
		plane: FigureOf<'plane'>;
		words: string;
		onplace?: (x: number, y: number) => void;
	}
	let { plane, words, onplace }: Props = $props();

	const SIZE = 260;
	const EDGE = 20;
	const count = $derived(plane.to - plane.from);
	const cell = $derived(SIZE / count);
	const x = (value: number) => EDGE + (value - plane.from) * cell;
	const y = (value: number) => EDGE + (plane.to - value) * cell;
	const every = $derived(count > 13 ? 2 : 1);

	function place(event: PointerEvent) {
		const box = (event.currentTarget as Element).getBoundingClientRect();
		const scale = (SIZE + 2 * EDGE) / box.width;
		const clamp = (value: number) => Math.min(plane.to, Math.max(plane.from, Math.round(value)));
		onplace?.(
			clamp(plane.from + ((event.clientX - box.left) * scale - EDGE) / cell),
			clamp(plane.to - ((event.clientY - box.top) * scale - EDGE) / cell)
		);
	}
</script>

<svg
	viewBox="0 0 {SIZE + 2 * EDGE} {SIZE + 2 * EDGE}"
	class:open={onplace}
	role="img"
	aria-label={words}
	onpointerdown={onplace ? place : undefined}
>
	{#each range(count + 1) as i (i)}
		<path class="rule" d="M{x(plane.from + i)} {EDGE}V{EDGE + SIZE}M{EDGE} {y(plane.from + i)}H{EDGE + SIZE}" />
	{/each}
	<path
		class="axis"
		d="M{x(Math.max(0, plane.from))} {EDGE}V{EDGE + SIZE}M{EDGE} {y(Math.max(0, plane.from))}H{EDGE + SIZE}"
	/>
	{#each range(count + 1) as i (i)}
		{@const value = plane.from + i}
		{#if value % every === 0 && value !== 0}
			<text x={x(value)} y={y(Math.max(0, plane.from)) + 13} text-anchor="middle"
				>{value < 0 ? `−${-value}` : value}</text
			>
			<text x={x(Math.max(0, plane.from)) - 4} y={y(value) + 4} text-anchor="end"
				>{value < 0 ? `−${-value}` : value}</text
			>
		{/if}
	{/each}
	<text x={EDGE + SIZE + 5} y={y(Math.max(0, plane.from)) + 4} class="name">x</text>
	<text x={x(Math.max(0, plane.from))} y="13" class="name" text-anchor="middle">y</text>
	{#each plane.segments ?? [] as [x1, y1, x2, y2], i (i)}
		<line class="line" x1={x(x1)} y1={y(y1)} x2={x(x2)} y2={y(y2)} />
	{/each}
	{#each plane.points as point (`${point.label} ${point.x} ${point.y}`)}
		<circle cx={x(point.x)} cy={y(point.y)} r="5" />
		<text class="label" x={x(point.x) + 7} y={y(point.y) - 7}>{point.label}</text>
	{/each}
</svg>

<style>
	svg {
		display: block;
		width: min(100%, 330px);
		background: var(--sheet);
		color: var(--ink);
		font: 10.5px var(--text);
	}
	.open {
		cursor: crosshair;
		touch-action: manipulation;
		margin-bottom: 10px;
	}
	.rule {
		stroke: var(--rule);
		fill: none;
	}
	.axis {
		stroke: var(--ink);
		stroke-width: 1.6;
		fill: none;
	}
	.line {
		stroke: var(--verdigris);
		stroke-width: 2;
	}
	.name {
		font-style: italic;
	}
	.label {
		font-weight: 700;
		font-size: 13px;
	}
	text {
		fill: var(--ink);
		paint-order: stroke;
		stroke: var(--sheet);
		stroke-width: 2.5px;
	}
	circle {
		fill: var(--verdigris);
	}
</style>
