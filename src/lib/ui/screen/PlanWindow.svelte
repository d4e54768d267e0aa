<!-- Plans a screening window: what, how, when and for whom. -->
<script lang="ts">
	import { plural } from '$lib/core/words';
	import { enhance } from '$app/forms';
	import { FLUENCY_MEASURES } from '$lib/core/fluency';
	import { termSaid, yearOf, type PlannedYear } from '$lib/core/measurement';
	import Dialog from '../shell/Dialog.svelte';

	interface Props {
		today: string;
		subjects: string[];
		modes: readonly string[];
		years: PlannedYear[];
		classes: { id: number; name: string; grade: number }[];
		onclose: () => void;
	}
	let { today, subjects, modes, years, classes, onclose }: Props = $props();

	// svelte-ignore state_referenced_locally
	let chosen = $state(classes.map(({ id }) => id));
	let mode = $state('adaptive');
	// svelte-ignore state_referenced_locally
	let opensOn = $state(today);
	/** That of the day on which it opens, until somebody says another. */
	let term = $derived(termSaid(opensOn, yearOf(opensOn, years)));
	const grades = $derived([...new Set(classes.map(({ grade }) => grade))]);
	const about: Record<string, string> = {
		adaptive:
			'Each question is chosen by the answers before it. About 32 questions and 35 minutes, on one day or several.',
		'fixed form': 'The same 24 questions for everybody of a grade. About 25 minutes.',
		'teacher-given':
			'A teacher or helper gives it to one student at a time: one minute, marked on screen. Students see nothing of it.',
		'imported score': 'Nothing for students to do: scores are brought in as a file.'
	};

	function toggleGrade(grade: number, on: boolean) {
		const ids = classes.filter((one) => one.grade === grade).map(({ id }) => id);
		chosen = on ? [...new Set([...chosen, ...ids])] : chosen.filter((id) => !ids.includes(id));
	}
</script>

<Dialog title="Plan a screening window" {onclose}>
	<form
		method="POST"
		action="?/plan"
		use:enhance={() =>
			async ({ update }) => {
				onclose();
				await update();
			}}
	>
		<label for="name">Name</label>
		<input id="name" name="name" required maxlength="80" placeholder="Spring screening" />
		<label for="mode">How</label>
		<select id="mode" name="mode" bind:value={mode}
			>{#each modes as one (one)}<option>{one}</option>{/each}</select
		>
		<p class="soft">{about[mode]}</p>
		<div class="pair">
			<div>
				{#if mode === 'teacher-given'}
					<input type="hidden" name="subject" value={subjects[0]} />
					<label for="measure">Measure</label>
					<select id="measure" name="measure"
						>{#each FLUENCY_MEASURES as measure (measure)}<option>{measure}</option>{/each}</select
					>
				{:else}
					<label for="subject">Subject</label>
					<select id="subject" name="subject"
						>{#each subjects as subject (subject)}<option>{subject}</option>{/each}</select
					>
				{/if}
			</div>
			<div>
				<label for="term">Term whose benchmarks count</label>
				<select id="term" name="term" bind:value={term}
					><option value={1}>1</option><option value={2}>2</option><option value={3}>3</option></select
				>
			</div>
		</div>
		<div class="pair">
			<div>
				<label for="opensOn">Opens</label>
				<input id="opensOn" name="opensOn" type="date" required bind:value={opensOn} />
			</div>
			<div>
				<label for="closesOn">Closes</label>
				<input id="closesOn" name="closesOn" type="date" required defaultValue={today} />
			</div>
		</div>
		{#if classes.length === 0}
			<p>There are no classes yet. Once Setup has classes of grades with skills, a window can ask them.</p>
		{/if}
		<fieldset hidden={classes.length === 0}>
			<legend>Who: {chosen.length} of {classes.length} classes</legend>
			{#each grades as grade (grade)}
				{@const own = classes.filter((one) => one.grade === grade)}
				<div class="grade">
					<label
						><input
							type="checkbox"
							checked={own.every(({ id }) => chosen.includes(id))}
							onchange={(event) => toggleGrade(grade, event.currentTarget.checked)}
						/> <strong>Grade {grade}</strong></label
					>
					{#each own as one (one.id)}
						<label><input type="checkbox" name="classes" value={one.id} bind:group={chosen} /> {one.name}</label>
					{/each}
				</div>
			{/each}
		</fieldset>
		{#if mode === 'adaptive' || mode === 'fixed form'}
			<p class="soft">
				All students of these classes see the diagnostic on their page from the first day through the last.
			</p>
		{/if}
		<button class="primary" disabled={chosen.length === 0}
			>Plan the window for {plural(chosen.length, 'class', 'classes')}</button
		>
	</form>
</Dialog>

<style>
	form {
		display: grid;
		gap: 6px;
		min-width: min(480px, 84vw);
	}
	.pair {
		display: grid;
		grid-template-columns: 1fr 1fr;
		gap: 12px;
	}
	.pair div {
		display: grid;
		gap: 6px;
	}
	fieldset {
		border: 1px solid var(--rule);
		border-radius: var(--corner);
		padding: 6px 12px;
	}
	.grade {
		display: flex;
		gap: 18px;
	}
	.grade label {
		min-width: 96px;
	}
	button {
		margin-top: 8px;
	}
</style>
