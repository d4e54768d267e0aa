<script lang="ts">
	import { onMount } from 'svelte';
	import { plural } from '$lib/core/words';
	import QuestionForm from '$lib/ui/sitting/QuestionForm.svelte';
	import { SittingState } from '$lib/ui/sitting/sittingState.svelte';
	import { keepingScope } from '$lib/ui/shell/address';

	let { data } = $props();
	/** Begins anew when it is tried again. */
	function begin() {
		const state = new SittingState({ adaptive: false, warmUp: [], items: data.items, enough: false }, () =>
			performance.now()
		);
		state.learn(data.solutions);
		return state;
	}
	let sitting = $state.raw(begin());
	let isReady = $state(false);
	onMount(() => void (isReady = true));
	let heading = $state<HTMLElement>();
</script>

<svelte:head><title>{data.title} as a student · Practice · Orderly Compass</title></svelte:head>

<p class="one-line">
	<strong>As a student meets it.</strong>
	<span class="soft">Sample questions; nothing you do here is stored.</span>
	<a href={keepingScope('/practice')}>All sets</a>
</p>
<div class="student">
	{#if sitting.isFinished}
		<h1>All done</h1>
		<p>
			{data.items.some(({ item }) => item.practice)
				? `${sitting.right} of ${plural(data.items.length, 'question')} right at the first try.`
				: `${plural(sitting.answered, 'question')} answered.`}
			{data.items.some(({ item }) => !item.practice)
				? 'Questions without help are told of only to students who did the set.'
				: ''}
		</p>
		<button onclick={() => (sitting = begin())}>Once more</button>
	{:else if sitting.current}
		<p class="where soft" bind:this={heading} tabindex="-1">Question {sitting.number} of {data.items.length}</p>
		<QuestionForm
			{sitting}
			{isReady}
			isOffline={false}
			hasSolutions={data.hasSolutions}
			isOneByOne={false}
			onnext={() => heading?.focus()}
		/>
	{/if}
</div>

<style>
	.student {
		max-width: 600px;
		margin-top: 16px;
		padding: 16px 20px 24px;
		font-size: 19px;
		background: var(--paper);
		border: 1px solid var(--rule-strong);
		border-radius: var(--corner);
	}
	.where {
		outline: none;
		margin-bottom: 10px;
	}
</style>
