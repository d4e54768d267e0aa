<!-- A row of probe results as small bars out of 8. -->
<script lang="ts">
	let { values }: { values: number[] } = $props();
</script>

<svg width={Math.max(1, values.length) * 9} height="20" aria-hidden="true">
	{#each values as value, i (i)}
		<rect class="all" x={i * 9} y="0" width="6" height="20" />
		<rect x={i * 9} y={20 - (value / 8) * 20} width="6" height={(value / 8) * 20} />
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
