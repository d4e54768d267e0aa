<!-- The pages of a leg as one line of links. <Views label="Pages on gaps" views={[{ path: '/gaps', name: 'Map' }]} /> -->
<script lang="ts">
	import { page } from '$app/state';
	import { keepingScope } from './address';

	interface Props {
		label: string;
		views: { path: string; name: string }[];
		/** What of the address goes along, beside scope and student. */
		keep?: Record<string, string | null>;
	}
	let { label, views, keep }: Props = $props();
</script>

<nav aria-label={label} class="no-print">
	{#each views as { path, name } (path)}
		<a href={keepingScope(path, keep)} aria-current={page.url.pathname === path ? 'page' : undefined}>{name}</a>
	{/each}
</nav>

<style>
	nav {
		display: flex;
		flex-wrap: wrap;
		gap: 4px 20px;
		margin: -6px 0 10px;
	}
	a {
		padding: 2px 0;
		text-decoration: none;
	}
	a:hover {
		text-decoration: underline;
	}
	[aria-current] {
		color: var(--ink);
		font-weight: 650;
	}
</style>
