<!-- A question that fills the screen, its solution a step at a time: to be modeled with students. <ModelDialog shown={sample} onclose={…} /> -->
<script lang="ts">
	import type { Snippet } from 'svelte';
	import Dialog from '../shell/Dialog.svelte';
	import AnswerField from './AnswerField.svelte';
	import Figure from './Figure.svelte';
	import type { Sample } from './SampleItems.svelte';

	interface Props {
		shown: Sample;
		onclose: () => void;
		/** Below it, as what leads to another. */
		children?: Snippet;
	}
	let { shown, onclose, children }: Props = $props();
	/** Of the question that is shown; none of another. */
	let stepsShown = $derived(shown ? 0 : 0);
</script>

<Dialog title="Model it together" wide {onclose}>
	<div class="model">
		<!-- eslint-disable svelte/no-at-html-tags -- escaped on the server -->
		<p class="stem">{@html shown.stemHtml}</p>
		{#if shown.figure}<Figure figure={shown.figure} />{/if}
		{#key shown}<div inert>
				<AnswerField
					response={shown.response}
					optionsHtml={shown.optionsHtml}
					leftHtml={shown.leftHtml}
					answer={null}
				/>
			</div>{/key}
		{#each shown.solutionHtml.slice(0, stepsShown) as step, i (i)}<p>{@html step}</p>{/each}
		<!-- eslint-enable svelte/no-at-html-tags -->
		{#if shown.solutionFigure && stepsShown === shown.solutionHtml.length}<Figure figure={shown.solutionFigure} />{/if}
		{#if stepsShown < shown.solutionHtml.length}
			<button onclick={() => stepsShown++}
				>{stepsShown ? 'Show the next step' : 'Show the first step'} of {shown.solutionHtml.length}</button
			>
		{/if}
	</div>
	{@render children?.()}
</Dialog>

<style>
	.stem {
		font: 500 1.15em/1.4 var(--head);
	}
	.model {
		display: grid;
		gap: 20px;
		align-content: start;
		justify-items: start;
		min-height: 62vh;
		font-size: 1.6rem;
	}
	.model > :global(div) {
		width: min(100%, 820px);
	}
</style>
