<script lang="ts">
	import { onMount } from 'svelte';
	import { factStates, OPERATION_NAMES } from '$lib/core/fluency';
	import { seededRandom } from '$lib/core/random';
	import { plural } from '$lib/core/words';
	import { SendQueue } from '$lib/ui/sendQueue.svelte';
	import Away from '$lib/ui/sitting/Away.svelte';
	import FactGrid from '$lib/ui/sitting/FactGrid.svelte';
	import { FactRun, type QueuedFact } from '$lib/ui/sitting/factRun.svelte';

	let { data } = $props();

	let queue = $state<SendQueue<QueuedFact> | null>(null);
	// svelte-ignore state_referenced_locally
	const { before, during, grade } = data;
	// svelte-ignore state_referenced_locally
	const { operation, minutes, isEnded, id } = data.run;
	const run = new FactRun(
		{ operation, minutes, grade, before, during, isEnded },
		seededRandom(id * 1_000 + during.length),
		() => performance.now(),
		(one) => queue?.add(one)
	);
	let share = $state(0);
	const name = OPERATION_NAMES[operation];
	const states = $derived(factStates(operation, run.all, grade));
	const fluentBefore = factStates(operation, before, grade);
	const gained = $derived(states.filter((state, i) => state === 'fluent' && fluentBefore[i] !== 'fluent').length);

	onMount(() => {
		queue = new SendQueue({ key: `facts of run ${id}`, path: `/api/facts/${id}/answers` });
		run.resume(queue.waiting);
		const timer = setInterval(() => (share = run.share()), 250);
		return () => {
			clearInterval(timer);
			queue?.stop();
		};
	});

	function press(event: KeyboardEvent) {
		if (event.ctrlKey || event.metaKey || event.altKey) return;
		if (/^\d$/.test(event.key)) run.type(Number(event.key));
		else if (event.key === 'Backspace') run.takeBack();
		else return;
		event.preventDefault();
	}
</script>

<svelte:head><title>Facts: {name} · Orderly Compass</title></svelte:head>
<svelte:window onkeydown={press} />

<Away {queue} meanwhile="You can go on." />

{#if run.stage === 'ready'}
	<h1>Facts: {name}</h1>
	<p>
		{minutes === 1 ? 'One minute' : 'Two minutes'}. Type each answer; it counts at once. Answer what you know, as it
		comes to you.
	</p>
	<button class="primary go" disabled={!queue} onclick={() => run.begin()}
		>{during.length ? 'Go on' : 'Start the time'}</button
	>
{:else if run.stage === 'over'}
	<h1>Time is up</h1>
	<p>
		<strong>{run.right} of {run.tries.length}</strong> right at the first try.
		{#if gained}{plural(gained, 'fact is', 'facts are')} new by heart.{/if}
	</p>
	<h2>Your facts</h2>
	<FactGrid {operation} {states} caption="Your facts: {name}" />
	<p class="end"><a class="button primary" href="/today">Back to my page</a></p>
{:else}
	<h1 class="visually-hidden">Facts: {name}</h1>
	<svg class="time" width="100%" height="6" aria-hidden="true"
		><rect width="100%" height="6" /><rect class="part" width="{100 * share}%" height="6" /></svg
	>
	<div class="fact" aria-live="assertive">
		<p>{run.asked.text}</p>
		{#if run.stage === 'shown'}
			<p class="shown">= <strong>{run.asked.answer}</strong></p>
		{/if}
	</div>
	<output class="typed" aria-label="Your answer">{run.typed || ' '}</output>
	<p class="soft" role="status">{run.stage === 'shown' ? 'Type it once, then go on.' : ' '}</p>
	<div class="pad" role="group" aria-label="Digits">
		{#each [1, 2, 3, 4, 5, 6, 7, 8, 9] as digit (digit)}
			<button type="button" onclick={() => run.type(digit)}>{digit}</button>
		{/each}
		<button type="button" class="plain" onclick={() => run.takeBack()} aria-label="Take a digit back">⌫</button>
		<button type="button" onclick={() => run.type(0)}>0</button>
	</div>
{/if}

<style>
	h1 + p {
		margin-top: 8px;
	}
	.go,
	.end a {
		min-height: 52px;
		margin-top: 20px;
	}
	h2 {
		margin: 20px 0 8px;
	}
	.time {
		display: block;
		margin: 4px 0 12px;
	}
	.time rect {
		fill: var(--rule);
	}
	.time .part {
		fill: var(--verdigris);
	}
	.fact {
		display: flex;
		justify-content: center;
		gap: 14px;
		font: 500 2.4em/1.3 var(--head);
	}
	.typed {
		display: block;
		margin: 6px auto 0;
		width: 5em;
		min-height: 1.5em;
		text-align: center;
		font-size: 1.8em;
		border-bottom: 2px solid var(--ink);
	}
	.soft {
		text-align: center;
		min-height: 1.5em;
		white-space: pre;
	}
	.pad {
		display: grid;
		grid-template-columns: repeat(3, 1fr);
		gap: 8px;
		max-width: 330px;
		margin: 8px auto 0;
	}
	.pad button {
		min-height: 60px;
		font-size: 1.3em;
	}
</style>
