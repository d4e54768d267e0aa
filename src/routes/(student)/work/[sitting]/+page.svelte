<script lang="ts">
	import { onMount, tick } from 'svelte';
	import { check, isReadable, type Answer } from '$lib/core/items';
	import AnswerField from '$lib/ui/items/AnswerField.svelte';
	import { askAgain } from '$lib/ui/items/answers/answering';
	import { AnswerQueue } from '$lib/ui/items/answerQueue.svelte';
	import Figure from '$lib/ui/items/Figure.svelte';

	let { data } = $props();

	let queue = $state<AnswerQueue | null>(null);
	// svelte-ignore state_referenced_locally
	let done = $state(new Set(data.items.filter((place) => place.done).map(({ position }) => position)));
	// svelte-ignore state_referenced_locally
	let right = $state(data.items.filter((place) => place.correct).length);
	let answer = $state<Answer | null>(null);
	let attempt = $state(1);
	let feedback = $state<'right' | 'try again' | 'shown' | 'unreadable' | null>(null);
	let shownAt = 0;
	let heading = $state<HTMLElement>();

	const place = $derived(data.items.find(({ position }) => !done.has(position)) ?? null);
	let held = $state<(typeof data.items)[number] | null>(null);
	/** The question on the page: it stays while its feedback is read. */
	const current = $derived(held ?? place);
	const finished = $derived(current === null);

	onMount(() => {
		queue = new AnswerQueue(data.sitting.id);
		// Answers that never reached the server are still on this device.
		for (const waiting of queue.waiting) done = new Set([...done, waiting.position]);
		shownAt = performance.now();
		return () => queue?.stop();
	});

	function submit() {
		if (!current || answer === null || feedback === 'right' || feedback === 'shown') return;
		const { item, position } = current;
		if (!isReadable(item, answer)) {
			feedback = 'unreadable';
			return;
		}
		const judged = item.practice ? check(item, answer) : null;
		queue?.add({
			position,
			attempt,
			response: $state.snapshot(answer),
			milliseconds: Math.min(86_400_000, Math.round(performance.now() - shownAt))
		});
		// Held before it counts as done, or the next question would take its place under its feedback.
		if (judged) held = current;
		done = new Set([...done, position]);
		if (!judged) return next();
		if (judged.correct && attempt === 1) right++;
		feedback = judged.correct ? 'right' : attempt === 1 ? 'try again' : 'shown';
		attempt++;
	}

	async function next() {
		held = null;
		answer = null;
		attempt = 1;
		feedback = null;
		shownAt = performance.now();
		await tick();
		heading?.focus();
	}
</script>

<svelte:head
	><title
		>{finished ? 'Done' : `Question ${done.size + (held ? 0 : 1)} of ${data.sitting.itemCount}`} · Orderly Compass</title
	></svelte:head
>

{#if queue?.offline}
	<p class="away" role="status">
		The school’s server cannot be reached. Your answers are kept on this device and will be sent when it is back. You
		can go on.
	</p>
{:else if queue?.refused}
	<p class="away" role="alert">{queue.refused}</p>
{/if}

{#if finished}
	<h1>All done</h1>
	{#if data.sitting.kind === 'practice'}
		<p>You got <strong>{right} of {data.sitting.itemCount}</strong> right at the first try.</p>
	{:else}
		<p>Thank you. Your answers help your teacher see what to do next.</p>
	{/if}
	<p class="end"><a class="button primary" href="/today">Back to my page</a></p>
{:else if current}
	{@const number = current.position + 1}
	<p class="where" bind:this={heading} tabindex="-1">Question {number} of {data.sitting.itemCount}</p>
	<svg class="progress" width="100%" height="6" aria-hidden="true"
		><rect width="100%" height="6" /><rect
			class="part"
			width="{(100 * (number - 1)) / data.sitting.itemCount}%"
			height="6"
		/></svg
	>

	<form
		onsubmit={(event) => {
			event.preventDefault();
			submit();
		}}
	>
		<!-- eslint-disable-next-line svelte/no-at-html-tags -- escaped on the server -->
		<h1 class="stem">{@html current.item.stemHtml}</h1>
		{#if current.item.figure}<Figure figure={current.item.figure} />{/if}
		{#key current.position}
			<AnswerField
				response={current.item.response}
				optionsHtml={current.item.optionsHtml}
				leftHtml={current.item.leftHtml}
				bind:answer
				disabled={feedback === 'right' || feedback === 'shown'}
				onenter={submit}
			/>
		{/key}

		<div class="feedback" aria-live="polite">
			{#if feedback === 'unreadable'}
				<p>{askAgain(current.item.response.kind)}</p>
			{:else if feedback === 'right'}
				<p><strong>Right.</strong></p>
			{:else if feedback === 'try again' && current.item.practice}
				<!-- eslint-disable-next-line svelte/no-at-html-tags -- escaped on the server -->
				<p><strong>Not yet.</strong> {@html current.item.hintHtml}</p>
			{:else if feedback === 'shown' && current.item.practice}
				<p><strong>Here is how:</strong></p>
				<!-- eslint-disable-next-line svelte/no-at-html-tags -- escaped on the server -->
				{#each current.item.solutionHtml as step, i (i)}<p>{@html step}</p>{/each}
				{#if current.item.solutionFigure}<Figure figure={current.item.solutionFigure} />{/if}
			{/if}
		</div>

		{#if feedback === 'right' || feedback === 'shown'}
			<button type="button" class="primary go" onclick={next}>Next</button>
		{:else}
			<button class="primary go" disabled={answer === null}
				>{feedback === 'try again' ? 'Try again' : data.sitting.kind === 'practice' ? 'Check' : 'Next'}</button
			>
		{/if}
	</form>
{/if}

<style>
	.where {
		font-size: 0.85em;
		color: var(--ink-soft);
		outline: none;
	}
	.progress {
		display: block;
		margin: 4px 0 16px;
	}
	.progress rect {
		fill: var(--rule);
	}
	.progress .part {
		fill: var(--verdigris);
	}
	form {
		display: grid;
		gap: 16px;
	}
	.stem {
		font-size: 1.15rem;
		font-size: 21px;
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
	.away {
		background: var(--sheet);
		border-left: 4px solid var(--slipping-ink);
		padding: 10px 14px;
		margin-bottom: 14px;
		font-size: 0.9em;
	}
	.end {
		margin-top: 24px;
	}
	.end a {
		min-height: 52px;
	}
</style>
