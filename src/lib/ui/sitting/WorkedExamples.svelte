<!-- Worked examples before a set, a step at a time. <WorkedExamples {examples} ondone={…} /> -->
<script lang="ts">
	import type { Figure as FigureSpec } from '$lib/core/items';
	import Figure from '../items/Figure.svelte';

	interface Props {
		examples: { stemHtml: string; figure?: FigureSpec; stepsHtml: string[]; stepsFigure?: FigureSpec }[];
		ondone: () => void;
	}
	let { examples, ondone }: Props = $props();
	let at = $state(0);
	let shown = $state(0);
	const example = $derived(examples[at]);
	const isWhole = $derived(shown >= example.stepsHtml.length);

	function goOn() {
		if (!isWhole) shown++;
		else if (at + 1 < examples.length) [at, shown] = [at + 1, 0];
		else ondone();
	}
</script>

<p class="soft">Look at one first{examples.length > 1 ? `: ${at + 1} of ${examples.length}` : ''}</p>
<!-- eslint-disable svelte/no-at-html-tags -- escaped on the server -->
<h1 class="stem">{@html example.stemHtml}</h1>
{#if example.figure}<Figure figure={example.figure} />{/if}
<div class="steps" aria-live="polite">
	{#each example.stepsHtml.slice(0, shown) as step, i (i)}<p>{@html step}</p>{/each}
</div>
<!-- eslint-enable svelte/no-at-html-tags -->
{#if isWhole && example.stepsFigure}<Figure figure={example.stepsFigure} />{/if}
<button class="primary" onclick={goOn}
	>{!isWhole
		? shown
			? 'And then?'
			: 'How is it done?'
		: at + 1 < examples.length
			? 'Next example'
			: 'Now you'}</button
>
{#if !isWhole}<p class="skip"><button class="plain" onclick={ondone}>I know how, go on</button></p>{/if}

<style>
	.stem {
		font-size: 1.1em;
		font-weight: 500;
		line-height: 1.4;
		margin: 10px 0;
	}
	.steps {
		display: grid;
		gap: 8px;
		margin: 12px 0;
	}
	.primary {
		width: 100%;
		min-height: 52px;
		font-size: 1em;
		margin-top: 12px;
	}
	.skip {
		text-align: center;
		margin-top: 10px;
	}
	.skip button {
		min-height: 44px;
		font-size: 0.85em;
	}
</style>
