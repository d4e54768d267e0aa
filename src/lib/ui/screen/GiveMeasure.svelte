<!-- A measure while it is given to one student: what to say, the clock, the sheet to mark, and its score to save. -->
<script lang="ts">
	import { onMount } from 'svelte';
	import { enhance } from '$app/forms';
	import { LEAST_SECONDS, MEASURES, type FluencyMeasure } from '$lib/core/fluency';
	import { MeasureMarking } from './measureMarking.svelte';
	import MarkingSheet from './MarkingSheet.svelte';

	interface Props {
		/** Under which the device keeps it until it is saved. */
		key: string;
		sheet: { places: { text: string; key: string | null; part: number }[]; aRow: number | null };
		measure: FluencyMeasure;
		/** What it is given for, and its sheet there: the fields of the form, beside those of what was marked. */
		givenFor: { window: number; sheet: number } | { series: number; sheet: number };
		student: { id: number; givenName: string };
		/** Called once the server has stored it. */
		onsaved: () => void;
	}
	let { key, sheet, measure, givenFor, student, onsaved }: Props = $props();

	// svelte-ignore state_referenced_locally
	const marking = new MeasureMarking(key, sheet.places.length);
	let problem = $state('');
	onMount(() => () => marking.leave());

	const { unit, units } = $derived(MEASURES[measure]);
	const stage = $derived(marking.sheet.stage);
	const directions: Record<FluencyMeasure, { say: string; rules: string }> = {
		'reading aloud': {
			say: 'When I say “go”, read this aloud from the top. If a word stops you, I will tell it to you. Read as well as you can.',
			rules:
				'Missed: a word read wrongly, left out, or told after three seconds. Not missed: a word put right by the student, a repeated word, an accent.'
		},
		'number fluency': {
			say: 'When I say “go”, tell me the answers, row by row. If one stops you, say “next”. Give as many as you can.',
			rules: 'Missed: a wrong answer, a skipped one, or none after three seconds. Not missed: an answer put right.'
		}
	};
	const asks = $derived(
		{
			ready: 'Start the clock with the first ' + unit + '.',
			'under way': `Tap each ${unit} that is missed. Tap it again if it was right after all.`,
			'last reached': `Time. Tap the last ${unit} that was reached.`,
			done: `Taps still mark ${units} up to the last one. L on the keyboard, or “Other last ${unit}”, moves the end.`
		}[stage]
	);
	let moving = $state(false);
	function tap(place: number) {
		if (moving) {
			marking.reach(place);
			moving = false;
		} else marking.tap(place);
	}
</script>

<details open={stage === 'ready'}>
	<summary>What to say, and what counts as missed</summary>
	<p>“{directions[measure].say}”</p>
	<p class="soft">{directions[measure].rules}</p>
</details>

<div class="desk">
	<span class="clock" role="timer" aria-label="Seconds left"
		>{stage === 'ready' || stage === 'under way'
			? Math.ceil(marking.secondsLeft)
			: Math.round(marking.sheet.seconds)}<span class="soft"
			>{stage === 'ready' || stage === 'under way' ? ' s left' : ' s taken'}</span
		></span
	>
	<p class="asks" role="status">{moving ? `Tap the last ${unit} that was reached.` : asks}</p>
	{#if stage === 'ready'}
		<button class="primary" onclick={() => marking.start()}>Start</button>
	{:else}
		{#if stage === 'under way'}
			<button onclick={() => marking.stop(true)}>Came to the end</button>
			<button onclick={() => marking.stop()}>Stop now</button>
		{:else if stage === 'last reached'}
			<button onclick={() => marking.reachNothing()}>Not one {unit}</button>
		{:else}
			<button aria-pressed={moving} onclick={() => (moving = !moving)}>Other last {unit}</button>
		{/if}
		<button disabled={!marking.sheet.marks.length} onclick={() => marking.takeBack()}>Take back</button>
		<button class="plain" onclick={() => marking.clear()}>Start over</button>
	{/if}
</div>

{#if marking.marked && marking.marked.seconds < LEAST_SECONDS}
	<p class="problem">
		Stopped after {marking.marked.seconds} seconds: too short to say anything of a pace. Start over when {student.givenName}
		is ready.
	</p>
{:else if marking.score && marking.marked}
	{@const score = marking.score}
	<form
		method="POST"
		action="?/save"
		use:enhance={({ cancel }) => {
			problem = '';
			if (!navigator.onLine) {
				problem = 'There is no connection. The marks are kept on this device; save again when there is one.';
				return cancel();
			}
			return async ({ result, update }) => {
				if (result.type === 'error') {
					problem = 'It could not be saved. The marks are kept on this device; try again.';
					return;
				}
				if (result.type === 'success') marking.clear();
				await update({ reset: false });
				if (result.type === 'success') onsaved();
			};
		}}
	>
		<input type="hidden" name="id" value={marking.id} />
		{#each Object.entries(givenFor) as [name, value] (name)}<input type="hidden" {name} {value} />{/each}
		<input type="hidden" name="student" value={student.id} />
		<input type="hidden" name="seconds" value={marking.marked.seconds} />
		<input type="hidden" name="reached" value={marking.marked.reached} />
		<input type="hidden" name="missed" value={marking.marked.missed.join(',')} />
		<p>
			<strong>{Math.round(score.correctPerMinute)}</strong> correct {units} a minute
			<span class="soft"
				>± {Math.round(score.standardError)}: {score.correct} of {score.attempted} right in {marking.marked.seconds} seconds{score.accuracy ===
				null
					? ''
					: `, ${Math.round(100 * score.accuracy)}% accurate`}</span
			>
		</p>
		<button class="primary">Save for {student.givenName}</button>
	</form>
{/if}
{#if problem}<p class="problem" role="alert">{problem}</p>{/if}

<MarkingSheet
	places={sheet.places}
	aRow={sheet.aRow}
	sheet={marking.sheet}
	marking={{
		ontap: tap,
		onreach: (place) => marking.reach(place),
		ontakeback: () => marking.takeBack()
	}}
/>

<style>
	details p {
		margin-top: 6px;
		max-width: 46em;
	}
	.desk,
	form {
		display: flex;
		flex-wrap: wrap;
		gap: 8px 14px;
		align-items: center;
	}
	.desk {
		position: sticky;
		top: var(--bars);
		z-index: 4;
		background: var(--paper);
		padding-block: 6px;
	}
	.clock {
		font-size: 1.7rem;
		font-variant-numeric: tabular-nums;
		min-width: 130px;
	}
	.clock .soft {
		font-size: 1rem;
	}
	.asks {
		flex: 1 1 300px;
		font-weight: 500;
	}
	strong {
		font-size: 1.5rem;
	}
</style>
