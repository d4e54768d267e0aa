<script lang="ts">
	import { page } from '$app/state';
	import { keepingScope } from './address';

	interface LegView {
		leg: string;
		name: string;
		waits: string;
	}
	let { legs }: { legs: LegView[] } = $props();
</script>

<nav aria-label="Legs of the cycle" class="no-print">
	{#each legs as { leg, name, waits } (leg)}
		<a href={keepingScope(`/${leg}`)} aria-current={page.url.pathname.startsWith(`/${leg}`) ? 'page' : undefined}>
			<strong>{name}</strong>
			<span>{waits}</span>
		</a>
	{/each}
</nav>

<style>
	nav {
		display: flex;
		gap: 4px;
		padding: 0 16px;
		border-bottom: 1px solid var(--rule);
		background: var(--paper);
	}
	a {
		display: grid;
		padding: 6px 16px 5px;
		min-width: 128px;
		color: var(--ink);
		text-decoration: none;
		border-bottom: 3px solid transparent;
		line-height: 1.3;
	}
	a:hover {
		background: var(--sheet);
	}
	strong {
		font-weight: 650;
	}
	span {
		font-size: 0.85rem;
		color: var(--ink-soft);
		font-variant-numeric: tabular-nums;
	}
	[aria-current] {
		border-bottom-color: var(--verdigris);
	}
	[aria-current] strong {
		color: var(--verdigris);
	}
</style>
