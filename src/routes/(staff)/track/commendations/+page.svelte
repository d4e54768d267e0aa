<script lang="ts">
	import { enhance } from '$app/forms';
	import { sayInstant } from '$lib/core/calendar';
	import { fullName, plural } from '$lib/core/words';
	import ActionButton from '$lib/ui/form/ActionButton.svelte';
	import { keepingScope } from '$lib/ui/shell/address';
	import Notice from '$lib/ui/shell/Notice.svelte';
	import Table from '$lib/ui/table/Table.svelte';
	import TrackViews from '$lib/ui/track/TrackViews.svelte';

	let { data, form } = $props();
	const { page } = $derived(data);
</script>

<svelte:head><title>Commendations · Track · Orderly Compass</title></svelte:head>

<div class="page-head">
	<h1>Commendations in {data.scope.inWords}</h1>
	<span class="soft"
		>{plural(page.proposed.length, 'proposal')} this week, {page.given.length} given in five weeks.</span
	>
</div>
<TrackViews />
<p class="soft">
	For effort and for growth, each against nothing but the student’s own weeks before, never against others. You give it
	in your own words; it stands on the student’s page for two weeks and can be printed as a card.
</p>

{#if page.tooMany}
	<p>
		{page.tooMany} students are too many for one look. Choose a class, a grade or your caseload at the top.
	</p>
{:else}
	<section>
		<h2>Proposed this week</h2>
		<Table
			says="Proposed this week"
			columns={[{ label: 'Student' }, { label: 'For' }, { label: 'Why' }, { label: 'Your sentence' }]}
			rows={page.proposed}
			key={({ student, is, about }) => `${student.id} ${is} ${about}`}
			attributes={({ student }) => ({ 'data-student': student.id })}
			airy
		>
			{#snippet cells({ student, kind, is, about, why })}
				<th scope="row"
					><a href={keepingScope(`/students/${student.id}`, { student: null })}>{fullName(student)}</a>
					<span class="soft">{student.className}</span></th
				>
				<td>{kind}</td>
				<td class="wide">{why}</td>
				<td>
					<form method="POST" action="?/give" use:enhance>
						<input type="hidden" name="student" value={student.id} />
						<input type="hidden" name="is" value={is} />
						<input type="hidden" name="about" value={about} />
						<input
							name="sentence"
							aria-label="Your sentence to {fullName(student)}"
							placeholder="I saw how you …"
							maxlength="300"
							required
						/>
						<button>Give</button>
					</form>
				</td>
			{/snippet}
			{#snippet empty()}Nothing stands out this week. Proposals come as students work.{/snippet}
		</Table>
	</section>
	{#if page.given.length}
		<section>
			<h2>Given</h2>
			<p>
				<a
					class="button"
					href={keepingScope('/track/commendations/cards', {
						cards: page.given
							.slice(0, 60)
							.map(({ id }) => id)
							.join(',')
					})}>Print {plural(Math.min(60, page.given.length), 'card')}</a
				>
			</p>
			<Table
				says="Commendations given"
				columns={[
					{ label: 'Student' },
					{ label: 'For' },
					{ label: 'In whose words' },
					{ label: 'When' },
					{ label: 'What can be done', isSilent: true }
				]}
				rows={page.given}
				key={({ id }) => id}
				attributes={({ student }) => ({ 'data-student': student.id })}
				airy
			>
				{#snippet cells({ id, student, kind, said, sentence, givenBy, givenAt })}
					<th scope="row">{fullName(student)} <span class="soft">{student.className}</span></th>
					<td class="wide">{kind}<br /><span class="soft">{said}</span></td>
					<td class="wide">“{sentence}” <span class="soft">{givenBy}</span></td>
					<td>{sayInstant(givenAt, data.school.timeZone)}</td>
					<td class="deeds">
						<a
							href={keepingScope('/track/commendations/cards', { cards: id })}
							aria-label="Card for {fullName(student)}">Card</a
						>
						<a href="/track/commendations/{id}/badge.jwt" aria-label="Badge of {fullName(student)}">Badge</a>
						<ActionButton
							action="?/takeBack"
							fields={{ commendation: id }}
							label="Take back from {fullName(student)}"
							look="plain small">Take back</ActionButton
						>
					</td>
				{/snippet}
			</Table>
			<p class="soft">
				A badge is an Open Badges 3.0 credential, signed with the school’s key. It tells the student by a salted hash of
				their name.
			</p>
		</section>
	{/if}
{/if}
<Notice outcome={form} />

<style>
	section {
		margin-top: 16px;
	}
	.deeds > :global(*) {
		margin-right: 14px;
		padding: 4px 0;
	}
	td form {
		display: flex;
		gap: 8px;
	}
	td input {
		width: 18em;
		min-width: 8em;
	}
</style>
