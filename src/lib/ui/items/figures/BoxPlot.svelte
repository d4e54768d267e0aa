<!-- A box plot over a scale. -->
<script lang="ts">
	import { range, type Drawing } from './figures';

	let { figure, words }: Drawing<'box plot'> = $props();
	const x = (value: number) => 16 + ((value - figure.from) / (figure.to - figure.from)) * 288;
	const ticks = $derived(
		range(Math.round((figure.to - figure.from) / figure.step) + 1).map((i) => figure.from + i * figure.step)
	);
	const every = $derived(ticks.length > 16 ? 5 : 2);
</script>

<svg viewBox="0 0 320 96" role="img" aria-label={words}>
	<line class="medium" x1={x(figure.five[0])} x2={x(figure.five[4])} y1="30" y2="30" />
	<rect class="pale outline" x={x(figure.five[1])} y="14" width={x(figure.five[3]) - x(figure.five[1])} height="32" />
	{#each figure.five as value, i (i)}
		<line
			class={i === 2 ? 'thick' : 'medium'}
			x1={x(value)}
			x2={x(value)}
			y1={i === 0 || i === 4 ? 22 : 14}
			y2={i === 0 || i === 4 ? 38 : 46}
		/>
	{/each}
	<line x1="10" x2="310" y1="66" y2="66" />
	{#each ticks as value (value)}
		<line x1={x(value)} x2={x(value)} y1="62" y2="70" />
		{#if value % every === 0}<text x={x(value)} y="86" text-anchor="middle">{value}</text>{/if}
	{/each}
</svg>
