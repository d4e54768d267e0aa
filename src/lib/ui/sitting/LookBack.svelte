<!-- A look back at questions that were not told at once: what was answered, whether it was right, and how it is done. -->
<script lang="ts">
	import type { Figure as FigureSpec } from '$lib/core/items';
	import Figure from '../items/Figure.svelte';

	interface Props {
		questions: {
			position: number;
			right: boolean;
			givenHtml: string;
			stemHtml: string;
			figure?: FigureSpec;
			stepsHtml: string[];
			stepsFigure?: FigureSpec;
		}[];
		/** Right at the first try among those that were told at once. */
		told: number;
		/** Whether it is told how many were right. */
		isScored: boolean;
	}
	let { questions, told, isScored }: Props = $props();
	const right = $derived(questions.filter((one) => one.right).length);
</script>

{#if isScored}<p>
		{told ? `${told} right at the first try, and of` : 'Of'} the {questions.length === 1
			? 'one question'
			: `${questions.length} questions`} without help you got <strong>{right} of {questions.length}</strong> right.
	</p>{/if}
<!-- eslint-disable svelte/no-at-html-tags -- escaped on the server -->
<ol>
	{#each questions as one (one.position)}
		<li>
			<p class="stem">{@html one.stemHtml}</p>
			{#if one.figure}<Figure figure={one.figure} />{/if}
			<p>
				<strong>{one.right ? 'Right' : 'Not yet'}:</strong> you answered {@html one.givenHtml}.
			</p>
			{#if !one.right && one.stepsHtml.length}
				<details>
					<summary>Here is how</summary>
					{#each one.stepsHtml as step, i (i)}<p>{@html step}</p>{/each}
					{#if one.stepsFigure}<Figure figure={one.stepsFigure} />{/if}
				</details>
			{/if}
		</li>
	{/each}
</ol>

<!-- eslint-enable svelte/no-at-html-tags -->
<style>
	ol {
		padding-left: 1.4em;
		display: grid;
		gap: 16px;
	}
	.stem {
		font-family: var(--head);
	}
	summary {
		min-height: 44px;
		display: flex;
		align-items: center;
		color: var(--verdigris);
		cursor: pointer;
	}
</style>
