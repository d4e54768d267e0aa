<script lang="ts">
	interface Props {
		tier: number;
		/** Where bars stand in a column: as wide for one as for three. */
		inColumn?: boolean;
	}
	let { tier, inColumn = false }: Props = $props();
	const width = $derived(5 * (inColumn ? 3 : tier) - 1);
	// One path: the map makes some hundred of these as it is scrolled.
	const bars = $derived(Array.from({ length: tier }, (_, i) => `M${5 * i} 1h3v10h-3z`).join(''));
</script>

<span title="Tier {tier}">
	<svg {width} height="12" viewBox="0 0 {width} 12" aria-hidden="true">
		<path d={bars} />
	</svg>
	<span class="visually-hidden">Tier {tier}</span>
</span>

<style>
	path {
		fill: var(--ink);
	}
</style>
