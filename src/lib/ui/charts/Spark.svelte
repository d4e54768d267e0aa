<!-- A row of probe results as small bars. -->
<script lang="ts">
	import { PROBE_ITEMS } from '$lib/core/growth';
	let { values }: { values: number[] } = $props();
</script>

<svg width={Math.max(1, values.length) * 9} height="20" aria-hidden="true">
	{#each values as value, i (i)}
		<rect class="all" x={i * 9} y="0" width="6" height="20" />
		<rect x={i * 9} y={20 - (value / PROBE_ITEMS) * 20} width="6" height={(value / PROBE_ITEMS) * 20} />
	{/each}
</svg>

<style>
	svg {
		display: block;
	}
	rect {
		fill: var(--ink);
	}
	.all {
		fill: #ece6d8;
	}
</style>
