<!--
	Accepts an answer that was judged as not right from all who are asked its question: says for how many first, and asks why.
	<AcceptAnswer answers={[{ id, answerHtml: '3/4', students: 4 }]} />
-->
<script lang="ts">
	import type { SubmitFunction } from '@sveltejs/kit';
	import { enhance } from '$app/forms';
	import { plural } from '$lib/core/words';

	interface Props {
		/** Answers that were judged as not right: the id of one that says it, what it says, and how many students here gave it. */
		answers: { id: string; answerHtml: string; students: number }[];
	}
	let { answers }: Props = $props();
	let isOpen = $state(false);
	/** The id of the one that is right; of the first, until another is picked that is still there. */
	let picked = $state<string>();
	const chosen = $derived(answers.find(({ id }) => id === picked) ?? answers[0]);
	/** Once it is accepted there is nothing left to say here. */
	const thenClosed: SubmitFunction =
		() =>
		async ({ update, result }) => {
			await update();
			if (result.type === 'success') isOpen = false;
		};
</script>

<details class="no-print" bind:open={isOpen}>
	<summary>{answers.length > 1 ? 'Accept one of these answers for all' : 'Accept this answer for all'}</summary>
	<form method="POST" action="?/accept" use:enhance={thenClosed}>
		<!-- eslint-disable svelte/no-at-html-tags -- escaped on the server -->
		{#if answers.length > 1}
			<fieldset>
				<legend>Which</legend>
				{#each answers as { id, answerHtml } (id)}
					<label
						><input type="radio" name="answer" value={id} checked={id === chosen.id} onchange={() => (picked = id)} />
						{@html answerHtml}</label
					>
				{/each}
			</fieldset>
		{:else}
			<input type="hidden" name="answer" value={chosen.id} />
		{/if}
		<!-- eslint-enable svelte/no-at-html-tags -->
		<label>Why it is right <input name="why" required maxlength="300" placeholder="The question allows both" /></label>
		<p class="soft">
			It counts as right for {plural(chosen.students, 'student')} here who answered so, for whoever else was asked this question,
			and from now on; standings and scores follow. It stands in the log with your reason, and can be undone.
		</p>
		<button>Accept it for all</button>
	</form>
</details>

<style>
	details {
		margin-top: 2px;
	}
	form {
		display: grid;
		gap: 8px;
		justify-items: start;
		padding: 6px 0 6px 12px;
	}
	fieldset {
		display: flex;
		flex-wrap: wrap;
		gap: 4px 16px;
		border: 0;
		margin: 0;
		padding: 0;
	}
	p {
		margin: 0;
		max-width: 52ch;
	}
</style>
