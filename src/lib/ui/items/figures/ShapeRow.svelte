<!-- Shapes in a row. -->
<script lang="ts">
	import type { Drawing } from './figures';

	let { figure, words }: Drawing<'row'> = $props();
	const paths: Record<string, string> = {
		circle: 'M15 4a11 11 0 1 0 .01 0z',
		square: 'M5 5h20v20H5z',
		triangle: 'M15 4L27 25H3z',
		star: 'M15 3l3.5 8 8.5.8-6.4 5.7 1.9 8.5L15 21.6 7.5 26l1.9-8.5L3 11.8l8.5-.8z'
	};
</script>

<svg
	viewBox="0 0 {(figure.shapes.length + 1) * 36} 32"
	style:max-width="{(figure.shapes.length + 1) * 44}px"
	role="img"
	aria-label={words}
>
	{#each figure.shapes as shape, i (i)}
		<path
			class={shape === 'square' || shape === 'star' ? 'fill outline' : 'outline'}
			d={paths[shape]}
			transform="translate({i * 36} 1)"
		/>
	{/each}
	<text x={figure.shapes.length * 36 + 6} y="22">?</text>
</svg>
