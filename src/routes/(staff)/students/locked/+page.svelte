<script lang="ts">
	import { fullName } from '$lib/core/words';
	import LetIn from '$lib/ui/shell/LetIn.svelte';
	import Notice from '$lib/ui/shell/Notice.svelte';

	let { data, form } = $props();
</script>

<svelte:head><title>Locked out · Orderly Compass</title></svelte:head>

<h1>Locked out</h1>
{#if data.locked.length}
	<p class="soft">After eight wrong PINs in a day nobody can try further until tomorrow, unless you let them.</p>
	<ul>
		{#each data.locked as student (student.id)}
			<li>
				<span>{fullName(student)} <span class="soft">{student.className}</span></span>
				<LetIn students={[student]} />
			</li>
		{/each}
	</ul>
{:else}
	<p>
		Nobody is locked out. A student is after eight wrong PINs in a day, until tomorrow or until you let them try again.
	</p>
{/if}
<Notice outcome={form} />

<style>
	ul {
		list-style: none;
		padding: 0;
		max-width: 32rem;
	}
	li {
		display: flex;
		justify-content: space-between;
		align-items: center;
		padding: 6px 0;
		border-top: 1px solid var(--rule);
	}
</style>
