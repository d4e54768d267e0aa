<!-- Base-ten blocks: flats, rods and cubes. -->
<script lang="ts">
	import { range, type Drawing } from './figures';

	let { figure, words }: Drawing<'blocks'> = $props();
	const CELL = 5;
	const rodsFrom = $derived(figure.hundreds * 58);
	const onesFrom = $derived(rodsFrom + figure.tens * 11 + 8);
	const width = $derived(Math.max(160, onesFrom + 30));
</script>

<svg viewBox="0 0 {width} 56" style:max-width="{Math.min(430, width * 1.6)}px" role="img" aria-label={words}>
	{#each range(figure.hundreds) as flat (flat)}
		<g transform="translate({flat * 58 + 2} 3)">
			<rect class="pale" width="50" height="50" />
			{#each range(11) as i (i)}<path class="grid" d="M{i * CELL} 0V50M0 {i * CELL}H50" />{/each}
		</g>
	{/each}
	{#each range(figure.tens) as rod (rod)}
		<g transform="translate({rodsFrom + rod * 11 + 2} 3)">
			<rect class="pale" width={CELL} height="50" />
			{#each range(11) as i (i)}<path class="grid" d="M0 {i * CELL}H{CELL}" />{/each}
			<path class="grid" d="M0 0V50M{CELL} 0V50" />
		</g>
	{/each}
	{#each range(figure.ones) as one (one)}
		<rect class="cube" x={onesFrom + (one % 2) * 9 + 2} y={3 + Math.floor(one / 2) * 10} width={CELL} height={CELL} />
	{/each}
</svg>

<style>
	.grid,
	.cube {
		fill: var(--verdigris-wash);
		stroke: var(--ink);
		stroke-width: 0.5;
	}
</style>
