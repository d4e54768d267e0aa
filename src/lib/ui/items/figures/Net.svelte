<!-- A flat pattern of squares. -->
<script lang="ts">
	import type { Drawing } from './figures';

	let { figure, words }: Drawing<'net'> = $props();
	const CELL = 34;
	const rows = $derived(Math.max(...figure.cells.map(([, y]) => y)) + 1);
</script>

<svg viewBox="0 0 220 {rows * CELL + 8}" style:max-width="240px" role="img" aria-label={words}>
	{#each figure.cells as [x, y] (`${x} ${y}`)}
		<rect class="outline pale" x={x * CELL + 4} y={y * CELL + 4} width={CELL} height={CELL} />
	{/each}
</svg>
