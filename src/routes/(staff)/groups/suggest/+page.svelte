<script lang="ts">
	import { goto } from '$app/navigation';
	import DraftBoard from '$lib/ui/groups/DraftBoard.svelte';
	import GroupViews from '$lib/ui/groups/GroupViews.svelte';
	import { keepingScope } from '$lib/ui/shell/address';
	import Notice from '$lib/ui/shell/Notice.svelte';
	import { page } from '$app/state';

	let { data, form } = $props();

	const outcome = $derived(
		form && 'problem' in form ? { problem: form.problem } : form && 'done' in form ? { done: form.done } : null
	);
</script>

<svelte:head><title>Suggested groups · Orderly Compass</title></svelte:head>

<GroupViews />
{#if !data.board}
	<h1>Suggested groups</h1>
	<p>
		Nobody is chosen. Select students on <a href={keepingScope('/gaps')}>Gaps</a> or
		<a href={keepingScope('/screen', { status: 'below' })}>Screen</a>, then ask for suggested groups.
	</p>
{:else}
	{#key page.url.search}
		<DraftBoard
			data={{ ...data.board, can: data.can }}
			onadopted={(adoption) => goto(keepingScope('/groups', { adopted: adoption }), { invalidateAll: true })}
		/>
	{/key}
{/if}
<Notice {outcome} />
