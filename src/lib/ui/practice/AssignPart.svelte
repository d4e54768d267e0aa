<!-- One part of the page on which practice is assigned: its name at the left, what is chosen beside it. -->
<script lang="ts">
	import type { Snippet } from 'svelte';

	let { name, children }: { name: string; children: Snippet } = $props();
</script>

<section aria-label={name}>
	<h2>{name}</h2>
	<div>{@render children()}</div>
</section>

<style>
	section {
		display: grid;
		grid-template-columns: 92px minmax(0, 1fr);
		gap: 4px 16px;
		padding: 10px 0;
		border-top: 1px solid var(--rule);
	}
	h2 {
		padding-top: 4px;
	}
	div {
		display: grid;
		gap: 8px;
		align-content: start;
	}
	@media (max-width: 700px) {
		section {
			grid-template-columns: minmax(0, 1fr);
		}
	}
</style>
