<script lang="ts">
	import { onMount, tick } from 'svelte';
	import { invalidateAll } from '$app/navigation';
	import { navigating } from '$app/state';
	import Away from '$lib/ui/sitting/Away.svelte';
	import AllDone from '$lib/ui/sitting/AllDone.svelte';
	import Lesson from '$lib/ui/sitting/Lesson.svelte';
	import WorkedExamples from '$lib/ui/sitting/WorkedExamples.svelte';
	import { AnswerQueue, type Progress } from '$lib/ui/items/answerQueue.svelte';
	import { loadParts } from '$lib/ui/items/itemParts';
	import QuestionForm from '$lib/ui/sitting/QuestionForm.svelte';
	import Supports from '$lib/ui/sitting/Supports.svelte';
	import { SittingState } from '$lib/ui/sitting/sittingState.svelte';

	let { data } = $props();

	/** Null until the page has come alive. */
	let queue = $state<AnswerQueue | null>(null);
	// svelte-ignore state_referenced_locally
	const sitting = new SittingState(
		{ ...data, adaptive: data.sitting.adaptive, untilRight: data.sitting.untilRight },
		() => performance.now()
	);
	// svelte-ignore state_referenced_locally
	let larger = $state(data.largerType);
	let heading = $state<HTMLElement>();
	/** Worked examples come first, until the student goes on to the questions. */
	// svelte-ignore state_referenced_locally
	let examples = $state(data.examples);
	/** So does a lesson; once anything was answered it is a link above the questions. */
	// svelte-ignore state_referenced_locally
	let isLessonSeen = $state(data.items.some(({ done }) => done));
	/** What comes after, and a look back, are read once the last answer is stored; whoever leaves already is not kept by that. */
	let isRead = $state(false);
	$effect(() => {
		if (!sitting.isFinished || isRead || !queue || queue.waiting.length || !data.isPractice || navigating.to) return;
		isRead = true;
		void invalidateAll();
	});
	/** Whether all questions were told at once, so that the page itself knows how many were right. */
	const isCounted = $derived(data.items.every(({ item }) => item.practice));

	const isOneByOne = $derived(data.sitting.isOneByOne);
	const current = $derived(sitting.current);
	/** Why nothing can be answered any more. */
	const closed = $derived(queue?.closed || data.closed);
	const total = $derived(data.sitting.itemCount);
	const where = $derived(
		sitting.isWarmUp
			? 'Practice question: it does not count'
			: data.sitting.adaptive
				? `Question ${sitting.number} of at most ${total}`
				: data.sitting.untilRight !== null
					? `${sitting.right} of ${data.sitting.untilRight} right; question ${sitting.number} of at most ${total}`
					: `Question ${sitting.number} of ${total}`
	);

	onMount(() => {
		queue = new AnswerQueue(
			data.sitting.id,
			isOneByOne ? { next: comesNext } : { solutions: sitting.learn, helps: sitting.takeHelps }
		);
		sitting.queue = queue;
		void sitting.resume(queue.waiting);
		return () => queue?.stop();
	});

	/** Shows what the server says comes next once it can be drawn; what cannot be loaded now is tried again on the page. */
	async function comesNext(progress: Progress) {
		if (progress.next) await loadParts([progress.next.item]).catch(() => undefined);
		sitting.goOn(progress);
	}

	async function skipWarmUp() {
		sitting.skipWarmUp();
		await tick();
		heading?.focus();
	}
</script>

<svelte:head><title>{closed ? 'Closed' : sitting.isFinished ? 'Done' : where} · Orderly Compass</title></svelte:head>

<Away {queue} meanwhile={data.sitting.adaptive ? 'The next question comes then.' : 'You can go on.'} />

<div class:larger>
	{#if closed}
		<h1>Closed</h1>
		<p role="status">{closed}</p>
		<p class="end"><a class="button primary" href="/today">Back to my page</a></p>
	{:else if data.left}
		<h1>Waiting for your teacher</h1>
		<p role="status">
			This set is done in one go, and you stopped after {data.left.answered}
			{data.left.of === null ? '' : `of ${data.left.of} `}questions. They are kept. Ask your teacher to let you go on.
		</p>
		<p class="end"><a class="button primary" href="/today">Back to my page</a></p>
	{:else if sitting.isFinished}
		<AllDone
			isPractice={data.isPractice}
			counted={isCounted ? { right: sitting.right, of: sitting.answered } : null}
			told={sitting.right}
			isScored={!data.isDoneOnly}
			lookBack={data.lookBack}
			isToldLater={data.feedback === 'after the due date'}
			review={data.review}
		/>
	{:else if sitting.enough}
		<h1>Enough for today</h1>
		<p>You have answered {sitting.answered} questions. They are kept. You can go on tomorrow.</p>
		<p class="end"><a class="button primary" href="/today">Back to my page</a></p>
	{:else if data.lesson && !isLessonSeen}
		<Lesson lesson={data.lesson} ondone={() => (isLessonSeen = true)} />
	{:else if examples.length}
		<WorkedExamples {examples} ondone={() => (examples = [])} />
	{:else if current}
		<p class="where" bind:this={heading} tabindex="-1">{where}</p>
		<svg class="progress" width="100%" height="6" aria-hidden="true"
			><rect width="100%" height="6" /><rect
				class="part"
				width="{sitting.isWarmUp
					? 0
					: data.sitting.untilRight !== null
						? (100 * sitting.right) / data.sitting.untilRight
						: (100 * (sitting.number - 1)) / total}%"
				height="6"
			/></svg
		>
		{#if data.lesson}
			<button class="plain" onclick={() => (isLessonSeen = false)}>Look at “{data.lesson.title}” again</button>
		{/if}
		{#if sitting.hasRushed}
			<p class="slow-down" role="status">
				<strong>Take your time.</strong> Read the question once more before you answer.
			</p>
		{/if}
		{#if data.isInOneGo && sitting.answered === 0}
			<p class="aside-note">Do this in one go: you cannot leave it and come back by yourself.</p>
		{/if}
		<Supports sittingId={data.sitting.id} text={current.spoken} readsAloud={data.readAloud} bind:larger />

		<QuestionForm
			{sitting}
			isReady={queue !== null}
			isOffline={queue?.offline ?? false}
			hasSolutions={data.solutions}
			{isOneByOne}
			onnext={() => heading?.focus()}
		/>
		{#if sitting.isWarmUp}
			<p class="aside">
				<button class="plain" disabled={!queue} onclick={skipWarmUp}>Skip the practice questions</button>
			</p>
		{:else if isOneByOne}
			<p class="aside"><a href="/today">Stop for now</a></p>
		{/if}
	{:else}
		<p class="where waiting" bind:this={heading} tabindex="-1" role="status">The next question is coming …</p>
	{/if}
</div>

<style>
	h1 + p {
		margin-top: 8px;
	}
	.where {
		font-size: 0.85em;
		color: var(--ink-soft);
		outline: none;
	}
	.waiting {
		/* Nothing is said of a wait under a second. */
		animation: appear 0s 1s both;
	}
	@keyframes appear {
		from {
			visibility: hidden;
		}
	}
	.larger {
		font-size: 25px;
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
	.aside {
		margin-top: 18px;
		text-align: center;
	}
	.aside a,
	.aside button {
		display: inline-flex;
		align-items: center;
		min-height: 44px;
		font-size: 0.85em;
	}
	.slow-down {
		border-left: 4px solid var(--verdigris);
		padding: 6px 14px;
		margin-bottom: 12px;
		font-size: 0.9em;
	}
	.end {
		margin-top: 24px;
	}
	.end a {
		min-height: 52px;
	}
</style>
