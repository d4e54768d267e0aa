<script lang="ts">
	let { tier }: { tier: number } = $props();
</script>

<span title="Tier {tier}">
	<svg width="14" height="12" viewBox="0 0 14 12" aria-hidden="true">
		{#each { length: tier }, i (i)}<rect x={i * 5} y="1" width="3" height="10" />{/each}
	</svg>
	<span class="visually-hidden">Tier {tier}</span>
</span>

<style>
	rect {
		fill: var(--ink);
	}
</style>
