<!-- The question on the page: its answer, what is told of it, and the way on. -->
<script lang="ts">
	import { tick } from 'svelte';
	import { NOT_YET } from '$lib/core/items';
	import AnswerField from '../items/AnswerField.svelte';
	import { askAgain } from '../items/answers/answering';
	import Figure from '../items/Figure.svelte';
	import LikeThis from './LikeThis.svelte';
	import type { SittingState } from './sittingState.svelte';

	interface Props {
		sitting: SittingState;
		/** Whether the page has come alive. */
		isReady: boolean;
		/** Whether the school's server is away. */
		isOffline: boolean;
		/** Whether it is shown how a question is done. */
		hasSolutions: boolean;
		isOneByOne: boolean;
		/** Once the next question stands there. */
		onnext: () => void;
	}
	let { sitting, isReady, isOffline, hasSolutions, isOneByOne, onnext }: Props = $props();
	const current = $derived(sitting.current!);

	async function submit() {
		if (await sitting.submit()) await next();
	}

	async function next() {
		sitting.next();
		await tick();
		onnext();
	}

	async function sayNotYet() {
		sitting.sayNotYet();
		await tick();
		onnext();
	}
</script>

<form
	aria-busy={!isReady || sitting.judging}
	onsubmit={(event) => {
		event.preventDefault();
		submit();
	}}
>
	<!-- eslint-disable-next-line svelte/no-at-html-tags -- escaped on the server -->
	<h1 class="stem">{@html current.item.stemHtml}</h1>
	{#if current.item.figure}<Figure figure={current.item.figure} />{/if}
	{#key current}
		<AnswerField
			response={current.item.response}
			optionsHtml={current.item.optionsHtml}
			leftHtml={current.item.leftHtml}
			bind:answer={sitting.answer}
			disabled={sitting.feedback === 'right' || sitting.feedback === 'shown'}
			onenter={submit}
		/>
	{/key}

	<div class="feedback" aria-live="polite">
		{#if sitting.feedback === 'unreadable'}
			<p>{askAgain(current.item.response, sitting.answer)}</p>
		{:else if sitting.feedback === 'right'}
			<p><strong>Right.</strong></p>
		{:else if sitting.feedback === 'try again' && current.item.practice}
			<!-- eslint-disable-next-line svelte/no-at-html-tags -- escaped on the server -->
			<p><strong>Not yet.</strong> {@html current.item.hintHtml}</p>
			{#if current.item.hintHtml && sitting.help}
				{#if sitting.help.says}<p>{sitting.help.says}</p>{/if}
				{#if sitting.help.like && sitting.isExampleShown}
					<LikeThis like={sitting.help.like} />
				{:else if sitting.help.like}
					<button type="button" class="plain more" onclick={() => (sitting.isExampleShown = true)}>One more hint</button
					>
				{/if}
			{/if}
			<p class="soft">Change your answer, then try again.</p>
		{:else if sitting.feedback === 'shown' && current.item.practice}
			{#if !hasSolutions && !sitting.isWarmUp}
				<p><strong>Not quite.</strong> Go on with the next.</p>
			{:else if sitting.isWarmUp}
				<p><strong>Not quite.</strong> It was only for practice. Go on.</p>
			{:else if sitting.solution}
				<p><strong>Here is how:</strong></p>
				<!-- eslint-disable-next-line svelte/no-at-html-tags -- escaped on the server -->
				{#each sitting.solution.solutionHtml as step, i (i)}<p>{@html step}</p>{/each}
				{#if sitting.solution.solutionFigure}<Figure figure={sitting.solution.solutionFigure} />{/if}
			{:else}
				<p>
					<strong>Not quite.</strong>
					{isOffline
						? 'How it is done is shown when the school’s server is back. You can go on.'
						: 'Here is how, in a moment …'}
				</p>
			{/if}
		{/if}
	</div>

	{#if sitting.feedback === 'right' || sitting.feedback === 'shown'}
		<button type="button" class="primary go" onclick={next}>Next</button>
	{:else}
		<button class="primary go" disabled={sitting.answer === null || sitting.judging || sitting.isUnchanged}
			>{sitting.feedback === 'try again' ? 'Try again' : current.item.practice ? 'Check' : 'Next'}</button
		>
		{#if isOneByOne || !current.item.practice}
			<button type="button" class="not-yet" disabled={!isReady || sitting.judging} onclick={sayNotYet}>{NOT_YET}</button
			>
		{/if}
	{/if}
</form>

<style>
	form {
		display: grid;
		/* As narrow as the phone, whatever a question would like. */
		grid-template-columns: minmax(0, 1fr);
		gap: 16px;
	}
	.stem {
		font-size: 1.1em;
		font-weight: 500;
		line-height: 1.4;
	}
	.feedback {
		min-height: 1.5em;
		display: grid;
		gap: 6px;
	}
	.go {
		min-height: 52px;
		font-size: 1em;
	}
	.more {
		justify-self: start;
		min-height: 44px;
	}
	.not-yet {
		min-height: 48px;
		font-size: 0.95em;
	}
</style>
