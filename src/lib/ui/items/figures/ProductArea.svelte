<!-- A product as a rectangle cut by the parts of its factors; the parts are drawn nearer in size than they are. -->
<script lang="ts">
	import { formatNumber } from '$lib/core/items';
	import type { Drawing } from './figures';

	let { figure, words }: Drawing<'product'> = $props();

	/** Where each part begins and how long it is drawn, when all share a length. */
	function lay(parts: number[], length: number): { part: number; at: number; size: number }[] {
		const sizes = parts.map((part) => Math.sqrt(part) + 1.2);
		const sum = sizes.reduce((a, b) => a + b);
		return parts.map((part, i) => ({
			part,
			at: (sizes.slice(0, i).reduce((a, b) => a + b, 0) / sum) * length,
			size: (sizes[i] / sum) * length
		}));
	}
	const across = $derived(lay(figure.columns, 250));
	const down = $derived(lay(figure.rows, figure.rows.length > 1 ? 110 : 64));
	const height = $derived(figure.rows.length > 1 ? 110 : 64);
</script>

<svg viewBox="0 0 310 {height + 34}" role="img" aria-label={words}>
	{#each across as { part, at, size } (part)}<text x={46 + at + size / 2} y="16" text-anchor="middle"
			>{formatNumber(part)}</text
		>{/each}
	{#each down as row, i (i)}
		<text x="36" y={28 + row.at + row.size / 2} text-anchor="end">{formatNumber(row.part)}</text>
		{#each across as column, j (j)}
			<rect
				class={(i + j) % 2 ? 'outline' : 'pale outline'}
				x={46 + column.at}
				y={24 + row.at}
				width={column.size}
				height={row.size}
			/>
		{/each}
	{/each}
</svg>
