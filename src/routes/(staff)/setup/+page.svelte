<script lang="ts">
	import Check from '@lucide/svelte/icons/check';
	import { keepingScope } from '$lib/ui/shell/address';
	import SetupViews from '$lib/ui/setup/SetupViews.svelte';

	let { data } = $props();
	const needed = $derived(data.steps.filter(({ isNeeded }) => isNeeded));
	const more = $derived(data.steps.filter(({ isNeeded }) => !isNeeded));
	const open = $derived(needed.filter(({ isDone }) => !isDone).length);
	/** The first that is needed and missing. */
	const next = $derived(needed.find(({ isDone }) => !isDone)?.says);
</script>

<svelte:head><title>Setup · Orderly Compass</title></svelte:head>

{#snippet list(steps: typeof data.steps)}
	<ol>
		{#each steps as { says, fact, isDone, path } (says)}
			<li class:done={isDone} class:next={says === next}>
				<span class="mark"
					>{#if isDone}<Check size={18} aria-label="done" />{:else}<span class="visually-hidden">missing</span
						>{/if}</span
				>
				<a href={keepingScope(path)}>{says}</a>
				<span class="soft">{fact}</span>
			</li>
		{/each}
	</ol>
{/snippet}

<SetupViews />
<h1>{open ? 'What is missing before students can be screened' : 'Students can be screened'}</h1>
<p class="soft">
	{open
		? `${needed.length - open} of ${needed.length} are there. Each line leads to its place, and is ticked once it is so.`
		: 'Everything that a first screening needs is there.'}
</p>
{@render list(needed)}
<h2>And for the work after it</h2>
{@render list(more)}

<style>
	ol {
		max-width: 56rem;
		margin: 12px 0 24px;
		padding: 0;
		list-style: none;
		background: var(--sheet);
		border-block: 1px solid var(--rule);
	}
	li {
		display: grid;
		grid-template-columns: 28px 14rem 1fr;
		align-items: baseline;
		padding: 7px 10px;
		border-left: 3px solid transparent;
	}
	li + li {
		border-top: 1px solid var(--rule);
	}
	li.next {
		border-left-color: var(--verdigris);
	}
	.mark {
		height: 18px;
		color: var(--verdigris);
	}
	a {
		font-weight: 500;
	}
	.done a {
		color: var(--ink);
	}
	@media (max-width: 700px) {
		li {
			grid-template-columns: 28px 1fr;
		}
		li .soft {
			grid-column: 2;
		}
	}
</style>
