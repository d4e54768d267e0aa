<!--
	Questions on paper, numbered, each with room for its answer; or their keys.
	<PaperQuestions questions={sheet.questions} />
	<PaperQuestions questions={sheet.questions} as="keys" />
	<PaperQuestions {questions}>{#snippet after(i)}{solutions[i]}{/snippet}</PaperQuestions>
-->
<script lang="ts">
	import type { Snippet } from 'svelte';
	import type { Item, ResponseSpec } from '$lib/core/items';
	import Figure from './Figure.svelte';
	import PaperAnswer from './PaperAnswer.svelte';

	interface PaperQuestion {
		/** Escaped on the server, as all that ends in Html. */
		stemHtml: string;
		keyHtml: string;
		optionsHtml: string[];
		leftHtml: string[];
		figure?: Item['figure'];
		response: ResponseSpec;
	}
	interface Props {
		questions: PaperQuestion[];
		as?: 'questions' | 'keys';
		/** What follows a question, by its place. */
		after?: Snippet<[number]>;
	}
	let { questions, as = 'questions', after }: Props = $props();
</script>

<!-- eslint-disable svelte/no-at-html-tags -- escaped on the server -->
{#if as === 'keys'}
	<ol class="key">
		{#each questions as question, i (i)}<li>{@html question.keyHtml}</li>{/each}
	</ol>
{:else}
	<ol>
		{#each questions as question, i (i)}
			<li>
				<p class="stem">{@html question.stemHtml}</p>
				{#if question.figure}<Figure figure={question.figure} />{/if}
				<PaperAnswer response={question.response} optionsHtml={question.optionsHtml} leftHtml={question.leftHtml} />
				{@render after?.(i)}
			</li>
		{/each}
	</ol>
{/if}

<!-- eslint-enable svelte/no-at-html-tags -->
<style>
	ol {
		max-width: 720px;
		padding-left: 28px;
	}
	li {
		padding: 10px 0 18px 6px;
		break-inside: avoid;
	}
	.key {
		columns: 2;
	}
	.key li {
		padding: 2px 0 2px 6px;
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
