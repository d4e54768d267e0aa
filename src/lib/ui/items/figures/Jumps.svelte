<!-- Jumps on an open number line. -->
<script lang="ts">
	import type { Drawing } from './figures';

	let { figure, words }: Drawing<'jumps'> = $props();
	const gap = $derived(280 / Math.max(1, figure.jumps.length));
	const x = (i: number) => 20 + i * gap;
</script>

<svg viewBox="0 0 320 76" role="img" aria-label={words}>
	<line x1="6" x2="314" y1="50" y2="50" />
	{#each figure.stops as stop, i (i)}
		<line x1={x(i)} x2={x(i)} y1="45" y2="55" />
		<text x={x(i)} y="70" text-anchor="middle">{stop}</text>
	{/each}
	{#each figure.jumps as jump, i (i)}
		<path class="outline accent" d="M{x(i)} 46Q{x(i) + gap / 2} {14} {x(i + 1)} 46" />
		<text x={x(i) + gap / 2} y="22" text-anchor="middle">{jump}</text>
	{/each}
</svg>
