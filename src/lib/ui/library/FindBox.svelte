<!-- A box that finds skills, standards and wrong ideas as one types. Without scripts it is a plain form. -->
<script lang="ts">
	import { onDestroy } from 'svelte';
	import type { Hit } from '$lib/core/finding';
	import { keepingScope } from '../shell/address';
	import { Search } from '../form/search.svelte';

	let { typed, hits }: { typed: string; hits: Hit[] | null } = $props();

	// svelte-ignore state_referenced_locally
	let text = $state(typed);
	const search = new Search<Hit>('/library/find');
	onDestroy(() => search.stop());
	const shown = $derived(text.trim() ? (search.found ?? hits) : null);
</script>

<form action="/library" role="search" aria-label="In the library">
	<label for="q">Find a skill by any word, code, standard or wrong idea</label>
	<input
		id="q"
		name="q"
		type="search"
		bind:value={text}
		oninput={() => search.ask(text)}
		maxlength="120"
		autocomplete="off"
		placeholder="times tables"
	/>
</form>

<div aria-live="polite">
	{#if search.failed}
		<p class="problem">The library could not be asked. What you see is from before; try again in a moment.</p>
	{/if}
	{#if shown && shown.length === 0}
		<p>
			Nothing here is called “{text.trim()}”. Browse the grid below by domain and grade; every skill there takes your
			own material or a link.
		</p>
	{:else if shown}
		<p class="visually-hidden">{shown.length} found</p>
		<ol>
			{#each shown as hit (hit.kind + hit.code + hit.title)}
				<li>
					{#if hit.kind === 'skill'}
						<a href={keepingScope(`/library/${encodeURIComponent(hit.code)}`)}>{hit.title}</a>
						<span class="soft">{hit.code} · {hit.sits}</span>
					{:else}
						<span>{hit.code ? `${hit.code}: ` : ''}{hit.title}</span>
						<span class="soft">{hit.sits}</span>
						<span class="leads">
							{#each hit.skills as skill (skill.code)}
								<a href={keepingScope(`/library/${encodeURIComponent(skill.code)}`)}>{skill.name}</a>
							{:else}
								<span class="soft">no skill is linked to it yet</span>
							{/each}
						</span>
						{#if hit.idea}
							<!-- eslint-disable svelte/no-at-html-tags -- escaped on the server -->
							<span class="idea"
								>For example, “{@html hit.idea.questionHtml}” answered {@html hit.idea.answerHtml}.
								<span class="soft">Try: {hit.idea.attempt}</span></span
							>
							<!-- eslint-enable svelte/no-at-html-tags -->
						{/if}
					{/if}
				</li>
			{/each}
		</ol>
	{/if}
</div>

<style>
	form {
		display: grid;
		gap: 4px;
		margin-top: 10px;
		max-width: 560px;
	}
	ol {
		list-style: none;
		margin: 8px 0 0;
		padding: 0;
		max-width: 860px;
		background: var(--sheet);
		border: 1px solid var(--rule);
	}
	li {
		display: flex;
		flex-wrap: wrap;
		gap: 2px 12px;
		align-items: baseline;
		padding: 6px 12px;
		border-bottom: 1px solid var(--rule);
	}
	li:last-child {
		border-bottom: 0;
	}
	.soft {
		font-size: 0.9rem;
	}
	.idea {
		width: 100%;
		font-size: 0.9rem;
	}
	.leads {
		display: flex;
		flex-wrap: wrap;
		gap: 0 10px;
		font-size: 0.9rem;
	}
</style>
