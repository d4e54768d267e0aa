<!-- Tally marks in bundles of five, a row for each label. -->
<script lang="ts">
	import { range, type Drawing } from './figures';

	let { figure, words }: Drawing<'tallies'> = $props();

	/** Where a mark stands: four upright, the fifth across them. */
	const mark = (i: number) => {
		const left = 70 + Math.floor(i / 5) * 44;
		return i % 5 === 4
			? { x1: left - 4, x2: left + 28, y1: 20, y2: 4 }
			: { x1: left + (i % 5) * 8, x2: left + (i % 5) * 8, y1: 2, y2: 22 };
	};
</script>

<svg viewBox="0 0 260 {figure.labels.length * 34}" role="img" aria-label={words}>
	{#each figure.labels as label, row (label)}
		<g transform="translate(0 {row * 34 + 5})">
			<text x="4" y="17">{label}</text>
			{#each range(figure.counts[row]) as i (i)}<line class="medium" {...mark(i)} />{/each}
			<line class="faint" x1="0" x2="260" y1="27" y2="27" />
		</g>
	{/each}
</svg>
