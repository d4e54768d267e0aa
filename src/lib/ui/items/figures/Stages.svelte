<!-- A growing pattern of squares, step by step. -->
<script lang="ts">
	import { range, type Drawing } from './figures';

	let { figure, words }: Drawing<'stages'> = $props();
	const CELL = 14;
	const starts = $derived(
		figure.stages.map((_, i) =>
			figure.stages.slice(0, i).reduce((sum, columns) => sum + columns.length * CELL + 40, 20)
		)
	);
	const width = $derived(starts[starts.length - 1] + figure.stages[figure.stages.length - 1].length * CELL + 46);
	const tallest = $derived(Math.max(...figure.stages.flat()));
</script>

<svg
	viewBox="0 0 {width} {tallest * CELL + 26}"
	style:max-width="{Math.min(430, width * 1.4)}px"
	role="img"
	aria-label={words}
>
	{#each figure.stages as columns, stage (stage)}
		{#each columns as count, column (column)}
			{#each range(count) as i (i)}
				<rect
					class="fill outline"
					x={starts[stage] + column * CELL}
					y={(tallest - 1 - i) * CELL + 2}
					width={CELL}
					height={CELL}
				/>
			{/each}
		{/each}
		<text x={starts[stage] + (columns.length * CELL) / 2} y={tallest * CELL + 18} text-anchor="middle"
			>Step {stage + 1}</text
		>
	{/each}
</svg>
