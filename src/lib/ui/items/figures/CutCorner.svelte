<!-- A rectangle with one corner cut away. -->
<script lang="ts">
	import type { Drawing } from './figures';

	let { figure, words }: Drawing<'corner'> = $props();
	const s = $derived(Math.min(230 / figure.width, 112 / figure.height));
	const [left, right] = $derived([(figure.width - figure.cutWidth) * s, figure.width * s]);
	const [cut, bottom] = $derived([figure.cutHeight * s, figure.height * s]);
</script>

<svg viewBox="0 0 320 160" role="img" aria-label={words}>
	<path class="outline pale" d="M34 18h{left}v{cut}H{34 + right}V{18 + bottom}H34z" />
	<text x={34 + right / 2} y={bottom + 34} text-anchor="middle">{figure.width} {figure.unit}</text>
	<text x="28" y={22 + bottom / 2} text-anchor="end">{figure.height}</text>
	<text x={34 + (left + right) / 2} y={cut + 12} text-anchor="middle">{figure.cutWidth}</text>
	<text x={38 + left} y={16 + cut / 2}>{figure.cutHeight}</text>
</svg>
