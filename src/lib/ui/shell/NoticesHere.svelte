<!-- The newest notice that belongs to this page, with what can be done; the others are counted. -->
<script lang="ts">
	import { plural } from '$lib/core/words';
	import { keepingScope } from './address';

	let { notices }: { notices: { says: string; action: { says: string; path: string } }[] } = $props();
	const first = $derived(notices[0]);
</script>

{#if first}
	<aside class="no-print" aria-label="Notices of this page">
		<span>{first.says}</span>
		<a href={first.action.path}>{first.action.says}</a>
		<a class="soft" href={keepingScope('/notices')}
			>{notices.length > 1 ? `${plural(notices.length - 1, 'more notice')}` : 'Notices'}</a
		>
	</aside>
{/if}

<style>
	aside {
		display: flex;
		flex-wrap: wrap;
		align-items: baseline;
		gap: 4px 14px;
		width: fit-content;
		margin-bottom: 10px;
		padding: 4px 10px;
		border-left: 3px solid var(--verdigris);
		background: var(--sheet);
	}
</style>
