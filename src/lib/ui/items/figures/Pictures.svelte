<!-- A picture graph: signs that stand for several. -->
<script lang="ts">
	import { range, type Drawing } from './figures';

	let { figure, words }: Drawing<'pictures'> = $props();
	const height = $derived(figure.labels.length * 32 + 30);
</script>

<svg viewBox="0 0 340 {height}" role="img" aria-label={words}>
	{#each figure.labels as label, row (label)}
		<text x="4" y={row * 32 + 22}>{label}</text>
		{#each range(figure.counts[row]) as i (i)}
			<circle class="fill outline" cx={96 + i * 24} cy={row * 32 + 17} r="9" />
		{/each}
		<line class="faint" x1="0" x2="340" y1={row * 32 + 32} y2={row * 32 + 32} />
	{/each}
	<circle class="fill outline" cx="96" cy={height - 13} r="9" />
	<text x="112" y={height - 9}>= {figure.each} {figure.unit}</text>
</svg>
