<script lang="ts">
	let { tier }: { tier: number } = $props();
	// One path: the map makes some hundred of these as it is scrolled.
	const bars = $derived(Array.from({ length: tier }, (_, i) => `M${5 * i} 1h3v10h-3z`).join(''));
</script>

<span title="Tier {tier}">
	<svg width="14" height="12" viewBox="0 0 14 12" aria-hidden="true">
		<path d={bars} />
	</svg>
	<span class="visually-hidden">Tier {tier}</span>
</span>

<style>
	path {
		fill: var(--ink);
	}
</style>
