<!-- A box with its lengths, or built of cubes. -->
<script lang="ts">
	import { range, type Drawing } from './figures';

	let { figure, words }: Drawing<'box'> = $props();
	const unit = $derived(
		Math.min(26, 170 / (figure.length + figure.width * 0.5), 120 / (figure.height + figure.width * 0.5))
	);
	const [dx, dy] = $derived([unit * 0.5, unit * 0.5]);
	/** A point of the box: along, back, and up from its lower front left corner. */
	const at = (x: number, y: number, z: number) =>
		`${20 + x * unit + y * dx} ${figure.height * unit + figure.width * dy + 10 - z * unit - y * dy}`;
	const { length, width, height } = $derived(figure);
	const lines = $derived([
		...range(length + 1).map((x) => `M${at(x, 0, 0)}L${at(x, 0, height)}L${at(x, width, height)}`),
		...range(height + 1).map((z) => `M${at(0, 0, z)}L${at(length, 0, z)}L${at(length, width, z)}`),
		...range(width + 1).map((y) => `M${at(0, y, height)}L${at(length, y, height)}L${at(length, y, 0)}`)
	]);
	const outline = $derived(
		`M${at(0, 0, 0)}L${at(length, 0, 0)}L${at(length, width, 0)}L${at(length, width, height)}L${at(0, width, height)}L${at(0, 0, height)}z`
	);
	const edges = $derived(
		`M${at(0, 0, height)}L${at(length, 0, height)}L${at(length, 0, 0)}M${at(length, 0, height)}L${at(length, width, height)}`
	);
</script>

<svg viewBox="0 0 300 {height * unit + width * dy + 36}" role="img" aria-label={words}>
	<path class="outline pale" d={outline} />
	{#if figure.cubes}<path class="outline" d={lines.join('')} />
	{:else}
		<path class="outline" d={edges} />
		<text x={20 + (length * unit) / 2} y={height * unit + width * dy + 28} text-anchor="middle"
			>{length} {figure.unit}</text
		>
		<text x={28 + length * unit + (width * dx) / 2 + 8} y={height * unit + width * dy * 0.5 + 18}
			>{width} {figure.unit}</text
		>
		<text x={28 + length * unit + width * dx} y={(height * unit) / 2 + 10}>{height} {figure.unit}</text>
	{/if}
</svg>
