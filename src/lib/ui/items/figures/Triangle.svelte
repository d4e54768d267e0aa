<!-- A triangle with its base and height. -->
<script lang="ts">
	import type { Drawing } from './figures';

	let { figure, words }: Drawing<'triangle'> = $props();
	const scale = $derived(Math.min(220 / figure.base, 110 / figure.height));
	const [wide, high] = $derived([figure.base * scale, figure.height * scale]);
</script>

<svg viewBox="0 0 320 150" role="img" aria-label={words}>
	<path class="outline pale" d="M20 {high + 8}h{wide}L{20 + wide * 0.36} 8z" />
	<line class="dashed" x1={20 + wide * 0.36} x2={20 + wide * 0.36} y1="8" y2={high + 8} />
	<text x={20 + wide / 2} y={high + 26} text-anchor="middle">{figure.base} {figure.unit}</text>
	<text x={wide < 90 ? 28 + wide : 26 + wide * 0.36} y={high / 2 + 12}>{figure.height} {figure.unit}</text>
</svg>
