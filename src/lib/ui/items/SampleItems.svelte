<!-- Sample questions to page through, with key, solution, and what wrong answers tell; one can fill the screen. -->
<script lang="ts" module>
	import type { Figure as FigureSpec, ResponseSpec } from '$lib/core/items';

	/** Texts come as HTML, escaped on the server. */
	export interface Sample {
		stemHtml: string;
		figure?: FigureSpec;
		response: ResponseSpec;
		optionsHtml: string[];
		leftHtml: string[];
		key: unknown;
		keyHtml: string;
		hintHtml: string;
		solutionHtml: string[];
		solutionFigure?: FigureSpec;
		misconceptions: { answerHtml: string; shows: string; attempt: string }[];
	}
</script>

<script lang="ts">
	import AnswerField from './AnswerField.svelte';
	import Figure from './Figure.svelte';
	import ModelDialog from './ModelDialog.svelte';

	let { samples }: { samples: Sample[] } = $props();
	let at = $state(0);
	let modeling = $state(false);
	const shown = $derived(samples[at]);

	function turn(by: number) {
		at = (at + samples.length + by) % samples.length;
	}
</script>

<div class="sample" aria-live="polite">
	{@render question()}
	<!-- eslint-disable svelte/no-at-html-tags -- escaped on the server -->
	<p>
		<strong>Key:</strong>
		{@html shown.keyHtml}
	</p>
	<details>
		<summary>Solution, hint, and what wrong answers tell</summary>
		{#each shown.solutionHtml as step, i (i)}<p>{@html step}</p>{/each}
		{#if shown.solutionFigure}<Figure figure={shown.solutionFigure} />{/if}
		<p class="soft">Hint: {@html shown.hintHtml}</p>
		{#each shown.misconceptions as one, i (i)}<p>
				{@html one.answerHtml}: <span class="soft">{one.shows} {one.attempt}</span>
			</p>{/each}
	</details>
	<!-- eslint-enable svelte/no-at-html-tags -->
</div>
{@render pager()}

{#if modeling}<ModelDialog shown={samples[at]} onclose={() => (modeling = false)}>{@render pager()}</ModelDialog>{/if}

{#snippet question()}
	<!-- eslint-disable-next-line svelte/no-at-html-tags -- escaped on the server -->
	<p class="stem">{@html shown.stemHtml}</p>
	{#if shown.figure}<Figure figure={shown.figure} />{/if}
	{#key shown}<div inert>
			<AnswerField response={shown.response} optionsHtml={shown.optionsHtml} leftHtml={shown.leftHtml} answer={null} />
		</div>{/key}
{/snippet}

{#snippet pager()}
	<p class="pager no-print">
		{#if samples.length > 1}
			<button onclick={() => turn(-1)}>Previous</button>
			<span>{at + 1} of {samples.length}</span>
			<button onclick={() => turn(1)}>Next</button>
		{/if}
		{#if !modeling}<button class="plain" onclick={() => (modeling = true)}>Fill the screen</button>{/if}
	</p>
{/snippet}

<style>
	.sample {
		display: grid;
		gap: 12px;
		padding: 14px 0;
		border-top: 1px solid var(--rule);
		min-height: 300px;
		align-content: start;
	}
	@media print {
		.sample {
			min-height: 0;
			border: 0;
			padding: 4px 0;
		}
	}
	.stem {
		font: 500 1.15em/1.4 var(--head);
	}
	.pager {
		display: flex;
		gap: 12px;
		align-items: center;
		margin-top: 12px;
	}
</style>
