<!-- Where a student answers on paper. -->
<script lang="ts">
	import type { ResponseSpec } from '$lib/core/items';
	import NumberLine from './NumberLine.svelte';

	interface Props {
		response: ResponseSpec;
		/** The options' texts, escaped on the server. */
		optionsHtml: string[];
	}
	let { response, optionsHtml }: Props = $props();
</script>

<!-- eslint-disable svelte/no-at-html-tags -- escaped on the server -->
{#if response.kind === 'choice' || response.kind === 'several'}
	{#if response.kind === 'several'}<p class="soft">Mark every one that is right.</p>{/if}
	<ul>
		{#each optionsHtml as option, i (i)}<li><span class="box {response.kind}"></span> {@html option}</li>{/each}
	</ul>
{:else if response.kind === 'order'}
	<p class="row">
		{#each optionsHtml as option, i (i)}<span>{@html option}</span>{/each}
	</p>
	<p class="soft">In order, {response.direction}:</p>
	<p class="row">
		{#each optionsHtml as _, i (i)}<span class="blank"></span>{/each}
	</p>
{:else if response.kind === 'line'}
	<div class="line"><NumberLine line={response} /></div>
{:else if response.kind === 'fraction'}
	<p class="fraction"><span></span><span></span></p>
{:else}
	<p class="row"><span class="blank wide"></span>{response.unit ?? ''}</p>
{/if}

<!-- eslint-enable svelte/no-at-html-tags -->

<style>
	ul {
		list-style: none;
		margin: 0;
		padding: 0;
		display: grid;
		gap: 6px;
	}
	li {
		display: flex;
		gap: 10px;
		align-items: center;
	}
	.box {
		width: 14px;
		height: 14px;
		border: 1px solid var(--ink);
	}
	.choice {
		border-radius: 50%;
	}
	.row {
		display: flex;
		flex-wrap: wrap;
		gap: 12px 28px;
		align-items: end;
	}
	.blank {
		width: 84px;
		height: 34px;
		border-bottom: 1px solid var(--ink);
	}
	.wide {
		width: 180px;
	}
	.fraction {
		display: inline-grid;
		width: 64px;
	}
	.fraction span {
		height: 34px;
	}
	.fraction span:first-child {
		border-bottom: 1.5px solid var(--ink);
	}
	.line {
		max-width: 520px;
	}
</style>
