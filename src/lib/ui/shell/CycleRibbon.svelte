<!-- The legs of the cycle: the name opens a leg, what waits there opens the list that is counted. -->
<script lang="ts">
	import { page } from '$app/state';
	import { keepingScope } from './address';

	interface LegView {
		leg: string;
		name: string;
		waits: string;
		/** Path and query of the list that is counted. */
		list: string;
	}
	let { legs }: { legs: LegView[] } = $props();
</script>

<nav aria-label="Legs of the cycle" class="no-print">
	{#each legs as { leg, name, waits, list } (leg)}
		{@const isHere = page.url.pathname.startsWith(`/${leg}`)}
		<div class:here={isHere}>
			<a class="name" href={keepingScope(`/${leg}`)} aria-current={isHere ? 'page' : undefined}>{name}</a>
			<a class="waits" href={keepingScope(list)}><span class="visually-hidden">{name}: </span>{waits}</a>
		</div>
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
	div {
		display: grid;
		padding: 2px 6px 0;
		min-width: 128px;
		border-bottom: 3px solid transparent;
	}
	@media (max-width: 900px) {
		nav {
			display: grid;
			grid-template-columns: repeat(auto-fit, minmax(104px, 1fr));
			padding: 0 6px;
		}
		div {
			min-width: 0;
		}
	}
	a {
		min-height: 24px;
		padding: 2px 10px;
		color: var(--ink);
		text-decoration: none;
		line-height: 20px;
	}
	a:hover {
		background: var(--sheet);
	}
	.name {
		font-weight: 650;
	}
	.waits {
		font-size: 0.85rem;
		color: var(--ink-soft);
		font-variant-numeric: tabular-nums;
	}
	.waits:hover {
		text-decoration: underline;
	}
	.here {
		border-bottom-color: var(--verdigris);
	}
	.here .name {
		color: var(--verdigris);
	}
</style>
