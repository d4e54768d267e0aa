<!-- A histogram: bars over intervals, without gaps. -->
<script lang="ts">
	import { range, type Drawing } from './figures';

	let { figure, words }: Drawing<'histogram'> = $props();
	const top = $derived(Math.ceil((Math.max(...figure.counts) + 1) / 2) * 2);
	const y = (count: number) => 150 - (count / top) * 122;
	const width = $derived(264 / figure.counts.length);
</script>

<svg viewBox="0 0 320 195" role="img" aria-label={words}>
	{#each range(top + 1) as count (count)}
		<line class="faint" x1="36" x2="310" y1={y(count)} y2={y(count)} />
		{#if count % 2 === 0}<text x="30" y={y(count) + 4} text-anchor="end">{count}</text>{/if}
	{/each}
	{#each figure.counts as count, i (i)}
		<rect class="fill outline" x={40 + i * width} {width} y={y(count)} height={150 - y(count)} />
	{/each}
	{#each range(figure.counts.length + 1) as i (i)}
		<text x={40 + i * width} y="166" text-anchor="middle">{figure.from + i * figure.width}</text>
	{/each}
	<text x="172" y="186" text-anchor="middle">minutes</text>
	<text x="4" y="10">{figure.unit}</text>
</svg>
