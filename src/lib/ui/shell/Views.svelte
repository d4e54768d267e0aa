<!-- The pages of a leg as one line of links. <Views label="Pages on gaps" views={[{ path: '/gaps', name: 'Map' }]} /> -->
<script lang="ts">
	import { page } from '$app/state';
	import { keepingScope } from './address';

	interface Props {
		label: string;
		/** `holds` are beginnings of addresses of single things that belong to a page. */
		views: { path: string; name: string; holds?: string[] }[];
		/** What of the address goes along, beside scope and student. */
		keep?: Record<string, string | null>;
	}
	let { label, views, keep }: Props = $props();

	function current({ path, holds = [] }: Props['views'][number]) {
		const here = page.url.pathname;
		if (here === path) return 'page';
		return holds.some((beginning) => here.startsWith(beginning)) ? 'true' : undefined;
	}
</script>

<nav aria-label={label} class="no-print">
	{#each views as view (view.path)}
		<a href={keepingScope(view.path, keep)} aria-current={current(view)}>{view.name}</a>
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
