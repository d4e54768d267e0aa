<!-- What can be done with the selected students: says how many, stays in view. -->
<script lang="ts">
	import type { Snippet } from 'svelte';

	let { says, children }: { says: string; children: Snippet } = $props();
</script>

<div class="bar no-print" role="region" aria-label="Actions for the selection">
	<strong>{says}</strong>
	{@render children()}
</div>

<style>
	.bar {
		position: fixed;
		inset: auto 0 0;
		z-index: 10;
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: 10px;
		padding: 10px 24px;
		background: var(--sheet);
		border-top: 1px solid var(--rule-strong);
		box-shadow: var(--float);
	}
	@media (max-width: 900px) {
		.bar {
			padding: 8px 12px;
		}
	}
	/* What lies at the end of the page can be scrolled out from under it. */
	:global(body):has(.bar) {
		padding-bottom: 130px;
		scroll-padding-bottom: 130px;
	}
	/* The selected student's panel stays whole beside it. */
	:global(.body:has(> aside)) .bar {
		right: 340px;
	}
</style>
