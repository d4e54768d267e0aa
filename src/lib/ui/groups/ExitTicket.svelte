<!-- The questions of an exit ticket with their keys. Texts come as HTML, escaped on the server. -->
<script lang="ts">
	import type { Figure as FigureSpec } from '$lib/core/items';
	import Figure from '../items/Figure.svelte';

	let { ticket }: { ticket: { stemHtml: string; figure?: FigureSpec; keyHtml: string }[] } = $props();
</script>

{#each ticket as { stemHtml, figure, keyHtml }, i (i)}
	<!-- eslint-disable svelte/no-at-html-tags -- escaped on the server -->
	<p>
		{@html stemHtml}
		{#if figure}<Figure {figure} />{/if}
		<span class="soft">Key: {@html keyHtml}</span>
	</p>
	<!-- eslint-enable svelte/no-at-html-tags -->
{/each}

<style>
	p {
		border-left: 2px solid var(--rule);
		padding-left: 10px;
		margin-top: 6px;
	}
</style>
