<script lang="ts">
	import { onMount } from 'svelte';
	import { sayDate, sayInstant } from '$lib/core/calendar';
	import { plural } from '$lib/core/words';
	import ActionButton from '$lib/ui/form/ActionButton.svelte';
	import Notice from '$lib/ui/shell/Notice.svelte';

	let { data, form } = $props();
	type Told = (typeof data.now)[number];
	/** Those that were new when the page was opened stay marked while it is read. */
	// svelte-ignore state_referenced_locally
	const fresh = new Set(data.now.filter(({ isSeen }) => !isSeen).map(({ id }) => id));

	onMount(async () => {
		if (fresh.size === 0) return;
		const body = new FormData();
		for (const id of fresh) body.append('notices', String(id));
		// Where it fails they are new the next time as well.
		await fetch('?/seen', { method: 'POST', body, headers: { 'x-sveltekit-action': 'true' } }).catch(() => {});
	});
</script>

<svelte:head><title>Notices · Orderly Compass</title></svelte:head>

{#snippet list(notices: Told[], kind: 'now' | 'later' | 'done')}
	<ul>
		{#each notices as { id, says, because, action, since, laterUntil, doneBy } (id)}
			<li class:soft={kind !== 'now'}>
				<p class="says">
					{says}
					{#if kind === 'now' && fresh.has(id)}<span class="new">new</span>{/if}
				</p>
				<p class="because">
					{because}
					<span class="soft"
						>Since {sayInstant(since, data.school.timeZone)}{laterUntil && kind === 'later'
							? `; told again on ${sayDate(laterUntil)}`
							: doneBy
								? `; ${doneBy} was done with it`
								: ''}.</span
					>
				</p>
				<div class="steps">
					<a class="button small" class:primary={kind === 'now'} href={action.path}>{action.says}</a>
					{#if kind === 'now'}
						<ActionButton action="?/later" fields={{ notice: id }} label="In a week: {says}" look="small"
							>In a week</ActionButton
						>
						<ActionButton action="?/done" fields={{ notice: id }} label="Done: {says}" look="small">Done</ActionButton>
					{:else if kind === 'later'}
						<ActionButton action="?/now" fields={{ notice: id }} label="Now: {says}" look="small">Now</ActionButton>
					{:else}
						<ActionButton action="?/undone" fields={{ notice: id }} label="Not done: {says}" look="small"
							>Not done</ActionButton
						>
					{/if}
				</div>
			</li>
		{/each}
	</ul>
{/snippet}

<div class="page-head">
	<h1>Notices</h1>
	<span class="soft"
		>What the program saw that a person should know; each goes by itself once it is not so any more.</span
	>
</div>
{#if !data.isTold}
	<p>There is nothing yet that class teachers and interventionists are told here.</p>
{:else if data.now.length === 0}
	<p>Nothing to see to{data.later.length ? ' today' : ''}.</p>
{:else}
	{@render list(data.now, 'now')}
{/if}
{#if data.later.length}
	<h2>Later</h2>
	{@render list(data.later, 'later')}
{/if}
{#if data.done.length}
	<h2>Done with, and still so</h2>
	<p class="soft">{plural(data.done.length, 'notice')} that would come again if it got worse.</p>
	{@render list(data.done, 'done')}
{/if}
<Notice outcome={form} />

<style>
	.page-head {
		margin-bottom: 12px;
	}
	ul {
		list-style: none;
		padding: 0;
		max-width: 90ch;
	}
	li {
		padding: 10px 0;
		border-top: 1px solid var(--rule);
	}
	.says {
		font-weight: 600;
	}
	.because {
		margin: 2px 0 6px;
	}
	.new {
		margin-left: 6px;
		padding: 0 6px;
		border: 1px solid var(--verdigris);
		border-radius: var(--corner);
		font-size: 0.8rem;
		font-weight: 400;
		color: var(--verdigris);
	}
	.steps {
		display: flex;
		gap: 8px;
	}
	h2 {
		margin: 20px 0 4px;
	}
</style>
