<!-- An angle, on a protractor or free. -->
<script lang="ts">
	import { range, type Drawing } from './figures';

	let { figure, words }: Drawing<'turn'> = $props();
	const ray = (degrees: number, length: number) => {
		const angle = (-degrees * Math.PI) / 180;
		return { x: 160 + length * Math.cos(angle), y: 160 + length * Math.sin(angle) };
	};
	const end = $derived(ray(figure.degrees, figure.protractor ? 148 : 120));
</script>

<svg viewBox="0 0 320 172" role="img" aria-label={words}>
	{#if figure.protractor}
		<path class="outline" d="M20 160A140 140 0 0 1 300 160Z" />
		{#each range(19) as i (i)}
			{@const [outer, inner, far, near] = [ray(i * 10, 140), ray(i * 10, 133), ray(i * 10, 122), ray(i * 10, 100)]}
			<line x1={outer.x} y1={outer.y} x2={inner.x} y2={inner.y} />
			<text class="scale" x={near.x} y={near.y + 3} text-anchor="middle">{i * 10}</text>
			<text class="scale" x={far.x} y={far.y + 3} text-anchor="middle">{180 - i * 10}</text>
		{/each}
	{/if}
	<line class="medium accent" x1="160" y1="160" x2={figure.protractor ? 308 : 280} y2="160" />
	<line class="medium accent" x1="160" y1="160" x2={end.x} y2={end.y} />
	<circle cx="160" cy="160" r="3" />
</svg>

<style>
	.scale {
		font-size: 8.5px;
	}
</style>
