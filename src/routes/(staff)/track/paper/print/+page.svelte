<script lang="ts">
	import { fullName, plural } from '$lib/core/words';
	import PaperQuestions from '$lib/ui/items/PaperQuestions.svelte';
	import { keepingScope, setState } from '$lib/ui/shell/address';

	let { data } = $props();
	const { page } = $derived(data);
	const whose = $derived(page.group?.name ?? fullName(page.lines[0].student));
	const given = $derived(page.letters.find(({ letter }) => letter === page.letter)!.given);
</script>

<svelte:head><title>{page.skill}, form {page.letter} · Orderly Compass</title></svelte:head>

<div class="bar no-print">
	<a
		href={keepingScope('/track/paper', {
			group: page.asked.groupId,
			of: page.asked.studentId,
			on: page.asked.on,
			form: page.letter
		})}>Enter results for {whose}</a
	>
	<label
		>Form <select value={page.letter} onchange={({ currentTarget: { value } }) => setState({ form: value })}
			>{#each page.letters as { letter, given: had } (letter)}<option value={letter}
					>{letter}{had ? `, given to ${had}` : ''}</option
				>{/each}</select
		></label
	>
	<label
		><input
			type="checkbox"
			checked={data.withKey}
			onchange={({ currentTarget: { checked } }) => setState({ key: checked ? null : 'off' })}
		/> answers on a sheet of their own</label
	>
	<button class="primary" onclick={() => print()}>Print {plural(page.lines.length, 'sheet')}</button>
	<p class="soft">
		One sheet each, with the name on it.
		{#if given}Form {page.letter} was given to {plural(given, 'student')} before.{:else if page.met}{plural(
				page.met,
				'question'
			)} of {page.questions.length} some of them have met: this skill has no others left.{:else}Nobody here has met a
			question of it.{/if}
		{#if page.others}{plural(page.others, 'student')} of the group
			{page.others === 1 ? 'has' : 'have'} probes of another kind; theirs are given at a device.{/if}
	</p>
</div>

<h1 class="visually-hidden">{page.skill}, form {page.letter}, for {whose}</h1>
{#each page.lines as { student, planId }, n (planId)}
	<section class:next={n > 0} aria-label={fullName(student)}>
		<h2>{page.skill} <span class="letter">{page.letter}</span></h2>
		<p class="soft">{fullName(student)}, {student.className}</p>
		<PaperQuestions questions={page.questions} />
	</section>
{/each}
{#if data.withKey}
	<section class="next" aria-label="Answers">
		<h2>Answers: {page.skill}, form {page.letter}</h2>
		<PaperQuestions questions={page.questions} as="keys" />
	</section>
{/if}

<style>
	.bar {
		display: flex;
		flex-wrap: wrap;
		gap: 6px 20px;
		align-items: center;
		margin-bottom: 12px;
	}
	.letter {
		border: 1px solid var(--ink);
		border-radius: var(--corner);
		padding: 0 8px;
		margin-left: 8px;
	}
	.next {
		border-top: 1px solid var(--rule);
		margin-top: 16px;
		padding-top: 16px;
	}
	@media print {
		.next {
			break-before: page;
			border: 0;
			margin: 0;
			padding: 0;
		}
	}
</style>
