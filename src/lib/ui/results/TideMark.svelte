<!--
	How a question went, as a mark on a line: right stands above it (full height at the first try, half and hollow later), a
	miss hangs below. Told by shape and place, so that it reads in gray and on paper. <TideMark outcome="later" />
-->
<script lang="ts">
	import type { Outcome } from '$lib/core/results';

	let { outcome }: { outcome: Outcome } = $props();
</script>

<svg width="40" height="34" viewBox="0 0 40 34" aria-hidden="true">
	<line x1="1" x2="39" y1="19.5" y2="19.5" />
	{#if outcome === 'first try'}<rect class="first" x="11" y="2" width="18" height="17" />
	{:else if outcome === 'later'}<rect class="later" x="11" y="9.75" width="18" height="8.5" />
	{:else if outcome === 'missed'}<path class="missed" d="M11 20h18l-9 11z" />{/if}
</svg>

<style>
	svg {
		display: block;
	}
	line {
		stroke: var(--rule-strong);
	}
	.first {
		fill: var(--verdigris);
	}
	.later {
		fill: var(--sheet);
		stroke: var(--verdigris);
		stroke-width: 1.5;
	}
	.missed {
		fill: var(--gap-ink);
	}
	@media print {
		.first,
		.missed {
			print-color-adjust: exact;
		}
	}
</style>
