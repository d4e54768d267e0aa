<!-- Two lines that cross, or a line across two parallel ones, with labels of their angles. -->
<script lang="ts">
	import type { FigureOf } from './figures';

	let { figure, words }: { figure: FigureOf<'crossing' | 'parallels'>; words: string } = $props();

	const slope = $derived((figure.degrees * Math.PI) / 180);
	const crossings = $derived(
		figure.kind === 'crossing'
			? [{ x: 160, y: 75, labels: figure.labels }]
			: [
					{ x: 160 + 40 / Math.tan(slope), y: 55, labels: figure.upper },
					{ x: 160 - 40 / Math.tan(slope), y: 135, labels: figure.lower }
				]
	);
	/** Where the label of an angle stands: in the middle of its opening. */
	function place(x: number, y: number, i: number) {
		const middle = [slope / 2, (slope + Math.PI) / 2, slope / 2 + Math.PI, (slope + Math.PI) / 2 + Math.PI][i];
		const far = i % 2 ? 20 : 34;
		return { x: x + far * Math.cos(middle), y: y - far * Math.sin(middle) + 4 };
	}
	const height = $derived(figure.kind === 'crossing' ? 150 : 190);
	const reach = $derived((height / 2 - 8) / Math.sin(slope));
</script>

<svg viewBox="0 0 320 {height}" role="img" aria-label={words}>
	{#each crossings as { x, y, labels } (y)}
		<line class="medium" x1="40" x2="280" y1={y} y2={y} />
		{#each labels as label, i (i)}{#if label}<text class="label" {...place(x, y, i)} text-anchor="middle">{label}</text
				>{/if}{/each}
	{/each}
	<line
		class="medium"
		x1={160 - reach * Math.cos(slope)}
		y1={height / 2 + reach * Math.sin(slope)}
		x2={160 + reach * Math.cos(slope)}
		y2={height / 2 - reach * Math.sin(slope)}
	/>
</svg>
