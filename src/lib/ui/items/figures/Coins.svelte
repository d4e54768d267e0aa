<!-- Coins with their names and values. -->
<script lang="ts">
	import { coinNames } from '$lib/core/items';
	import type { Drawing } from './figures';

	let { figure, words }: Drawing<'coins'> = $props();
	const A_ROW = 6;
	const radius: Record<number, number> = { 1: 19, 5: 21, 10: 17, 25: 24 };
</script>

<svg viewBox="0 0 330 {Math.ceil(figure.cents.length / A_ROW) * 56}" role="img" aria-label={words}>
	{#each figure.cents as cents, i (i)}
		{@const [x, y] = [28 + (i % A_ROW) * 54, 28 + Math.floor(i / A_ROW) * 56]}
		<circle class={cents === 1 ? 'fill outline' : 'pale outline'} cx={x} cy={y} r={radius[cents]} />
		<text {x} y={y + 3} text-anchor="middle">{coinNames[cents]}</text>
	{/each}
</svg>

<style>
	text {
		font-size: 10px;
	}
</style>
