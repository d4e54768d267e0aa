<!-- A pencil along a ruler. -->
<script lang="ts">
	import { range, type Drawing } from './figures';

	let { figure, words }: Drawing<'ruler'> = $props();
	const length = $derived((figure.to - figure.from) * 20 - 14);
</script>

<svg viewBox="0 0 320 90" role="img" aria-label={words}>
	<path class="fill" d="M{10 + figure.from * 20} 18h{length}l14 9 -14 9h-{length}z" />
	<rect class="outline" x="4" y="46" width="312" height="36" />
	{#each range(16) as i (i)}
		<line x1={10 + i * 20} x2={10 + i * 20} y1="46" y2="58" />
		<text x={10 + i * 20} y="74" text-anchor="middle">{i}</text>
	{/each}
</svg>
