<!-- A scatter plot, with a line of fit where there is one. -->
<script lang="ts">
	import { range, type Drawing } from './figures';

	let { figure, words }: Drawing<'scatter'> = $props();
	const x = (value: number) => 40 + (value / figure.across.to) * 260;
	const y = (value: number) => 196 - (value / figure.up.to) * 164;
	const ticks = ({ to, step }: { to: number; step: number }) => range(Math.floor(to / step) + 1).map((i) => i * step);
</script>

<svg viewBox="0 0 320 236" role="img" aria-label={words}>
	{#each ticks(figure.across) as value (value)}
		<line class="faint" x1={x(value)} x2={x(value)} y1="32" y2="196" />
		<text x={x(value)} y="212" text-anchor="middle">{value}</text>
	{/each}
	{#each ticks(figure.up) as value (value)}
		<line class="faint" x1="40" x2="300" y1={y(value)} y2={y(value)} />
		<text x="34" y={y(value) + 4} text-anchor="end">{value}</text>
	{/each}
	<path class="outline" d="M40 28V196H304" />
	{#if figure.fit}
		<line
			class="medium accent"
			x1={x(figure.fit[0])}
			y1={y(figure.fit[1])}
			x2={x(figure.fit[2])}
			y2={y(figure.fit[3])}
		/>
	{/if}
	{#each figure.points as [across, up], i (i)}<circle cx={x(across)} cy={y(up)} r="4" />{/each}
	<text x="170" y="230" text-anchor="middle">{figure.across.name}</text>
	<text x="4" y="12">{figure.up.name}</text>
</svg>
