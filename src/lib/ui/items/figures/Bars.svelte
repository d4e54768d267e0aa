<!-- A bar graph. -->
<script lang="ts">
	import { range, type Drawing } from './figures';

	let { figure, words }: Drawing<'bars'> = $props();
	const top = $derived(Math.ceil(Math.max(...figure.values) / figure.step / 2) * 2 * figure.step);
	const y = (value: number) => 150 - (value / top) * 130;
</script>

<svg viewBox="0 0 320 180" role="img" aria-label={words}>
	{#each range(Math.round(top / figure.step) + 1) as i (i)}
		<line class="faint" x1="36" x2="316" y1={y(i * figure.step)} y2={y(i * figure.step)} />
		{#if i % 2 === 0}<text x="30" y={y(i * figure.step) + 4} text-anchor="end">{i * figure.step}</text>{/if}
	{/each}
	{#each figure.values as value, i (i)}
		<rect class="fill" x={52 + i * 68} width="40" y={y(value)} height={150 - y(value)} />
		<text x={72 + i * 68} y="168" text-anchor="middle">{figure.labels[i]}</text>
	{/each}
</svg>
