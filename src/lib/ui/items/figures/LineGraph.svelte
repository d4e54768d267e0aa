<!-- A line graph over time. -->
<script lang="ts">
	import { range, type Drawing } from './figures';

	let { figure, words }: Drawing<'line graph'> = $props();
	const top = $derived(Math.ceil((Math.max(...figure.values) + 1) / figure.step) * figure.step);
	const x = (i: number) => 44 + (i * 270) / (figure.labels.length - 1);
	const y = (value: number) => 150 - (value / top) * 118;
	const path = $derived(figure.values.map((value, i) => `${i ? 'L' : 'M'}${x(i)} ${y(value)}`).join(''));
</script>

<svg viewBox="0 0 340 180" role="img" aria-label={words}>
	{#each range(top + 1) as value (value)}
		<line class="faint" x1="40" x2="320" y1={y(value)} y2={y(value)} />
		{#if value % figure.step === 0}<text x="34" y={y(value) + 4} text-anchor="end">{value}</text>{/if}
	{/each}
	{#each figure.labels as label, i (label)}
		<line class="faint" x1={x(i)} x2={x(i)} y1="32" y2="150" />
		<text x={x(i)} y="168" text-anchor="middle">{label.replace(/\.m\.$/, '').replace(' noon', '')}</text>
	{/each}
	<path class="outline medium" d={path} />
	{#each figure.values as value, i (i)}<circle cx={x(i)} cy={y(value)} r="3.5" />{/each}
	<text x="4" y="12">{figure.unit}</text>
</svg>
