<!-- A whole cut into equal parts, some of them shaded. -->
<script lang="ts">
	import { range, type Drawing } from './figures';

	let { figure, words }: Drawing<'grid'> = $props();
	const width = 312;
	const height = $derived(figure.rows === 1 ? 44 : Math.min(220, (width / figure.columns) * figure.rows));
	const [wide, high] = $derived([
		figure.rows === 1 ? width : Math.min(width, (height / figure.rows) * figure.columns),
		height
	]);
</script>

<svg viewBox="0 0 320 {high + 8}" role="img" aria-label={words}>
	{#each range(figure.rows * figure.columns) as i (i)}
		<rect
			class={i < figure.shaded ? 'fill outline' : 'outline'}
			x={4 + ((i % figure.columns) * wide) / figure.columns}
			y={4 + (Math.floor(i / figure.columns) * high) / figure.rows}
			width={wide / figure.columns}
			height={high / figure.rows}
		/>
	{/each}
</svg>
