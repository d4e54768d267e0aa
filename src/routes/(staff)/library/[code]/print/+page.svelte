<script lang="ts">
	import Figure from '$lib/ui/items/Figure.svelte';
	import PaperQuestions from '$lib/ui/items/PaperQuestions.svelte';
	import { keepingScope } from '$lib/ui/shell/address';

	let { data } = $props();
</script>

<svelte:head><title>{data.skill.shortName}, to print · Orderly Compass</title></svelte:head>

<p class="bar no-print">
	<a href={keepingScope(`/library/${data.skill.code}`)}>Back to {data.skill.shortName}</a>
	<button class="primary" onclick={() => print()}>Print</button>
</p>
<h1>{data.skill.shortName}</h1>
<p class="soft">Name ______________________________ {data.withKey ? 'With key and solutions' : ''}</p>
<PaperQuestions questions={data.samples}>
	{#snippet after(i)}
		{@const sample = data.samples[i]}
		{#if data.withKey}
			<!-- eslint-disable svelte/no-at-html-tags -- escaped on the server -->
			<p><strong>Key: {@html sample.keyHtml}</strong></p>
			{#each sample.solutionHtml as step, s (s)}<p class="soft">{@html step}</p>{/each}
			<!-- eslint-enable svelte/no-at-html-tags -->
			{#if sample.solutionFigure}<Figure figure={sample.solutionFigure} />{/if}
		{/if}
	{/snippet}
</PaperQuestions>

<style>
	.bar {
		display: flex;
		justify-content: space-between;
	}
</style>
