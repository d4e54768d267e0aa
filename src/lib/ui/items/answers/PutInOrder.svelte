<!-- Putting options in order, each moved up or down by a button. -->
<script lang="ts">
	import ArrowDown from '@lucide/svelte/icons/arrow-down';
	import ArrowUp from '@lucide/svelte/icons/arrow-up';
	import { inWords } from '$lib/core/items';
	import type { Answering } from './answering';

	type Props = Answering<'order'> & { optionsHtml: string[]; answer: number[] | null };
	let { response, optionsHtml, answer = $bindable(), disabled = false }: Props = $props();

	const order = $derived(answer ?? optionsHtml.map((_, i) => i));

	function move(from: number, step: number) {
		const next = [...order];
		[next[from], next[from + step]] = [next[from + step], next[from]];
		answer = next;
	}
</script>

<p class="soft">Move them into order: {response.direction}, from the top.</p>
<ol>
	{#each order as index, place (index)}
		<li>
			<!-- eslint-disable-next-line svelte/no-at-html-tags -- escaped on the server -->
			<span>{@html optionsHtml[index]}</span>
			<button
				type="button"
				disabled={disabled || place === 0}
				aria-label="Move number {place + 1} up: {inWords(response.options[index])}"
				onclick={() => move(place, -1)}><ArrowUp size={20} aria-hidden="true" /></button
			>
			<button
				type="button"
				disabled={disabled || place === order.length - 1}
				aria-label="Move number {place + 1} down: {inWords(response.options[index])}"
				onclick={() => move(place, 1)}><ArrowDown size={20} aria-hidden="true" /></button
			>
		</li>
	{/each}
</ol>
{#if answer === null}
	<button type="button" {disabled} onclick={() => (answer = order)}>They are in order already</button>
{/if}

<style>
	ol {
		list-style: none;
		margin: 8px 0;
		padding: 0;
		display: grid;
		gap: 8px;
	}
	li {
		display: flex;
		align-items: center;
		gap: 8px;
		padding: 4px 4px 4px 14px;
		background: var(--sheet);
		border: 1px solid var(--rule-strong);
		border-radius: var(--corner);
	}
	span {
		flex: 1;
	}
	li button {
		min-width: 44px;
		min-height: 44px;
	}
</style>
