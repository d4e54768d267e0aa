<script lang="ts">
	import Figure from '$lib/ui/items/Figure.svelte';
	import PaperAnswer from '$lib/ui/items/PaperAnswer.svelte';
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
<ol>
	{#each data.samples as sample, i (i)}
		<li>
			<!-- eslint-disable svelte/no-at-html-tags -- escaped on the server -->
			<p class="stem">{@html sample.stemHtml}</p>
			{#if sample.figure}<Figure figure={sample.figure} />{/if}
			<PaperAnswer response={sample.response} optionsHtml={sample.optionsHtml} leftHtml={sample.leftHtml} />
			{#if data.withKey}
				<p><strong>Key: {@html sample.keyHtml}</strong></p>
				{#each sample.solutionHtml as step, s (s)}<p class="soft">{@html step}</p>{/each}
				{#if sample.solutionFigure}<Figure figure={sample.solutionFigure} />{/if}
			{/if}
			<!-- eslint-enable svelte/no-at-html-tags -->
		</li>
	{/each}
</ol>

<style>
	.bar {
		display: flex;
		justify-content: space-between;
	}
	ol {
		max-width: 720px;
		padding-left: 28px;
	}
	li {
		padding: 10px 0 18px 6px;
		break-inside: avoid;
	}
	.stem {
		font: 500 1.1rem/1.4 var(--head);
		margin-bottom: 8px;
	}
	@media print {
		li {
			font-size: 14px;
		}
	}
</style>
