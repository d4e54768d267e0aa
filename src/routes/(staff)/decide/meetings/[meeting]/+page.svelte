<script lang="ts">
	import { goto } from '$app/navigation';
	import { sayDate } from '$lib/core/calendar';
	import Agenda from '$lib/ui/decide/Agenda.svelte';
	import DecideViews from '$lib/ui/decide/DecideViews.svelte';
	import ReviewStep from '$lib/ui/decide/ReviewStep.svelte';
	import { keepingScope, withState } from '$lib/ui/shell/address';
	import { legState } from '$lib/ui/shell/legState.svelte';
	import Notice from '$lib/ui/shell/Notice.svelte';
	import { walkByKey } from '$lib/ui/students/walkByKey';

	let { data, form } = $props();
	const { page } = $derived(data);
	const { meeting, steps, place } = $derived(page);
	const there = $derived(page.invited.filter(({ wasThere }) => wasThere));
	const stepAt = (wanted: number) => withState({ step: wanted || null });
	const around = $derived({
		before: place > 1 ? place - 1 : steps.length,
		after: place < steps.length ? place + 1 : 1,
		size: place ? steps.length : 0
	});
	/** The next step that has no verdict yet, from 1; 0 for none. */
	const nextOpen = $derived.by(() => {
		const open = steps.flatMap(({ isDecided }, i) => (isDecided || i + 1 === place ? [] : i + 1));
		return open.find((one) => one > place) ?? open[0] ?? 0;
	});

	// Here the page itself walks through the agenda.
	$effect(() => {
		legState.order = [];
		const stop = walkByKey(around, stepAt);
		return () => {
			legState.order = undefined;
			stop();
		};
	});
</script>

<svelte:head><title>Review meeting {sayDate(meeting.on)} · Orderly Compass</title></svelte:head>

<div class="bar">
	<span
		><svelte:element this={place ? 'strong' : 'h1'} class="title">Review meeting, {sayDate(meeting.on)}</svelte:element
		>{meeting.note ? ` · ${meeting.note}` : ''}
		<span class="soft"
			>· {there.map(({ name }) => name).join(', ') || 'nobody noted'} · {meeting.decided} of {meeting.reviews} decided</span
		></span
	>
	{#if place}
		<span class="walk no-print">
			<a href={stepAt(around.before)} aria-label="The student before">←</a>
			{place} of {steps.length}
			<a href={stepAt(around.after)} aria-label="The next student">→</a>
			<span class="soft">J K</span>
			<a class="button small" href={stepAt(0)}>Agenda</a>
		</span>
	{/if}
</div>

{#if page.step}
	<ReviewStep
		step={page.step}
		today={data.school.today}
		canDecide={data.can.decide && !meeting.isCalledOff}
		hasNext={nextOpen > 0}
		onrecorded={() => goto(stepAt(nextOpen), { noScroll: false })}
	/>
{:else}
	<DecideViews />
	{#if meeting.isCalledOff}<p><strong>This meeting is called off.</strong> The reviews on its agenda stay due.</p>{/if}
	<Agenda
		{steps}
		hidden={page.hidden}
		invited={page.invited}
		adults={page.adults}
		canDecide={data.can.decide && !meeting.isCalledOff}
		{stepAt}
		first={nextOpen || 1}
		sheet={keepingScope(`/decide/meetings/${meeting.id}/sheet`)}
	/>
{/if}
<Notice outcome={form} />

<style>
	.bar {
		display: flex;
		flex-wrap: wrap;
		gap: 4px 20px;
		justify-content: space-between;
		align-items: center;
		margin-bottom: 8px;
		padding-bottom: 6px;
		border-bottom: 1px solid var(--rule);
	}
	h1.title {
		display: inline;
	}
	.walk {
		display: flex;
		gap: 10px;
		align-items: center;
	}
	.walk a:not(.button) {
		min-width: 24px;
		text-align: center;
	}
</style>
