<!-- A scale to read: a jug, a thermometer, or a kitchen scale. Every second mark is labeled, or every fifth of many. -->
<script lang="ts">
	import { range, type Drawing } from './figures';

	let { figure, words }: Drawing<'scale'> = $props();
	const marks = $derived(Math.round(figure.to / figure.step));
	const share = $derived(figure.value / figure.to);
	const height = (part: number) => 200 - part * 180;
	/** Degrees on the round scale, from lower left clockwise. */
	const at = (part: number, radius: number) => {
		const angle = ((part * 270 - 225) * Math.PI) / 180;
		return { x: 110 + radius * Math.cos(angle), y: 110 + radius * Math.sin(angle) };
	};
	const pointer = $derived(at(share, 74));
</script>

{#if figure.of === 'weights'}
	<svg class="small" viewBox="0 0 220 220" role="img" aria-label={words}>
		<circle class="outline" cx="110" cy="110" r="104" />
		{#each range(marks + 1) as i (i)}
			{@const [outer, inner, label] = [at(i / marks, 98), at(i / marks, i % 2 ? 90 : 84), at(i / marks, 66)]}
			<line x1={outer.x} y1={outer.y} x2={inner.x} y2={inner.y} />
			{#if i % 2 === 0}<text x={label.x} y={label.y + 4} text-anchor="middle">{i * figure.step}</text>{/if}
		{/each}
		<line class="medium accent" x1="110" y1="110" x2={pointer.x} y2={pointer.y} />
		<circle cx="110" cy="110" r="5" />
		<text x="110" y="166" text-anchor="middle">{figure.unit}</text>
	</svg>
{:else}
	<svg class="small" viewBox="0 0 170 216" role="img" aria-label={words}>
		<rect class="fill" x="40" width="70" y={height(share)} height={200 - height(share)} />
		<path class="outline" d="M40 8V200H110V8" />
		{#each range(marks + 1) as i (i)}
			<line x1={i % 2 ? 96 : 88} x2="110" y1={height(i / marks)} y2={height(i / marks)} />
			{#if i % 2 === 0}<text x="116" y={height(i / marks) + 4}>{i * figure.step}</text>{/if}
		{/each}
		<line class="medium" x1="40" x2="110" y1={height(share)} y2={height(share)} />
	</svg>
{/if}
