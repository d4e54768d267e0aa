<!-- Another question of the kind with how it is done, beside one that is to be tried again. <LikeThis {like} /> -->
<script lang="ts">
	import Figure from '../items/Figure.svelte';
	import type { SecondHelp } from '../items/answerQueue.svelte';

	let { like }: { like: NonNullable<SecondHelp['like']> } = $props();
</script>

<section aria-label="One like it">
	<!-- eslint-disable svelte/no-at-html-tags -- escaped on the server -->
	<p><strong>One like it:</strong> {@html like.stemHtml}</p>
	{#if like.figure}<Figure figure={like.figure} />{/if}
	{#each like.stepsHtml as step, i (i)}<p>{@html step}</p>{/each}
	<!-- eslint-enable svelte/no-at-html-tags -->
	{#if like.stepsFigure}<Figure figure={like.stepsFigure} />{/if}
</section>

<style>
	section {
		display: grid;
		grid-template-columns: minmax(0, 1fr);
		gap: 6px;
		padding: 8px 14px;
		border-left: 4px solid var(--rule-strong);
		background: var(--sheet);
		font-size: 0.92em;
	}
</style>
