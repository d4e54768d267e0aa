<!--
	What the family was sent: when, how, in which language, by whom, and how they answered.
	<FamilyLetters {letters} today={data.school.today} language="es" canNote />
-->
<script lang="ts">
	import { enhance } from '$app/forms';
	import { page } from '$app/state';
	import { sayDate } from '$lib/core/calendar';
	import type { FamilyLanguage } from '$lib/core/sheets';
	import ActionButton from '../form/ActionButton.svelte';
	import Table from '../table/Table.svelte';
	import { sayAnswer, sayLanguage, sayLetter, type ShownLetter } from './sayLetter';

	interface Props {
		letters: ShownLetter[];
		today: string;
		/** Of the sheet that is shown. */
		language: FamilyLanguage;
		canNote: boolean;
	}
	let { letters, today, language, canNote }: Props = $props();
	const query = $derived(page.url.searchParams.toString());
	const answersTo = ({ asksConsent }: ShownLetter): NonNullable<ShownLetter['answer']>[] =>
		asksConsent ? ['agrees', 'declines'] : ['read'];
</script>

<section class="no-print" aria-labelledby="letters">
	<h2 id="letters">What the family was sent</h2>
	<Table
		says="What the family was sent"
		columns={[
			{ label: 'Sent' },
			{ label: 'How' },
			{ label: 'Answer' },
			canNote && { label: 'Note the answer', isSilent: true }
		]}
		rows={letters}
		key={({ id }) => id}
		narrow
	>
		{#snippet cells(letter)}
			<th scope="row">{sayDate(letter.sentOn)}</th>
			<td>{sayLetter(letter)}</td>
			<td>{sayAnswer(letter)}</td>
			{#if canNote}
				<td class="buttons">
					{#if !letter.answer}
						{#each answersTo(letter) as answer (answer)}
							<ActionButton
								action="?/answer&{query}"
								fields={{ letter: letter.id, answer }}
								label="{{ read: 'Has read', agrees: 'Agrees to', declines: 'Does not agree to' }[
									answer
								]} the letter of {sayDate(letter.sentOn)}"
								look="small">{{ read: 'Has read it', agrees: 'Agrees', declines: 'Does not' }[answer]}</ActionButton
							>
						{/each}
					{/if}
					<ActionButton
						action="?/takeBackLetter&{query}"
						fields={{ letter: letter.id }}
						label="Take back the letter of {sayDate(letter.sentOn)}"
						look="plain small">Take back</ActionButton
					>
				</td>
			{/if}
		{/snippet}
		{#snippet empty()}Nothing was noted yet.{/snippet}
	</Table>
	{#if canNote}
		<form method="POST" action="?/letter&{query}" aria-label="Note what was sent" use:enhance>
			<input type="hidden" name="language" value={language} />
			<label
				>Given
				<select name="way">
					<option value="paper">on paper</option>
					<option value="mail">by mail</option>
					<option value="talk">in a talk</option>
				</select></label
			>
			<label>on <input type="date" name="sentOn" defaultValue={today} max={today} required /></label>
			<label><input type="checkbox" name="asksConsent" value="yes" /> asks the family to agree</label>
			<button>Note that it was sent in {sayLanguage(language)}</button>
		</form>
	{/if}
</section>

<style>
	section {
		margin-top: 16px;
		max-width: 900px;
	}
	.buttons {
		white-space: nowrap;
	}
	form {
		display: flex;
		flex-wrap: wrap;
		gap: 8px 16px;
		align-items: center;
		margin-top: 8px;
	}
</style>
