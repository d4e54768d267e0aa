<script lang="ts">
	import { enhance } from '$app/forms';
	import { plural } from '$lib/core/words';
	import { keepValues } from '$lib/ui/form/keepValues';
	import SetupViews from '$lib/ui/setup/SetupViews.svelte';
	import SignInCards from '$lib/ui/setup/SignInCards.svelte';
	import Notice from '$lib/ui/shell/Notice.svelte';
	import { setState } from '$lib/ui/shell/address';

	let { data, form } = $props();
	const sheet = $derived(form && 'sheet' in form ? form.sheet : null);
	/** Those without a PIN, until somebody chooses others. */
	let chosen = $derived(data.students.filter(({ hasPin }) => !hasPin).map(({ id }) => id));
	/** Whose PINs work no more once new ones are made. */
	const replaced = $derived(data.students.filter(({ id, hasPin }) => hasPin && chosen.includes(id)).length);
	const isAll = $derived(data.students.length > 0 && chosen.length === data.students.length);
	let perPage = $state<6 | 12>(12);
</script>

<svelte:head><title>Sign-in cards · Orderly Compass</title></svelte:head>

<div class="no-print">
	{#if data.staff.role === 'coordinator'}<SetupViews />{/if}
	<div class="page-head">
		<h1>Sign-in cards</h1>
		{#if data.shown}
			<label>
				Class
				<select onchange={(event) => setState({ class: event.currentTarget.value })}>
					{#each data.classes as { id, name, withoutPin } (id)}
						<option value={id} selected={id === data.shown.id}
							>{name}{withoutPin ? `, ${withoutPin} without PIN` : ''}</option
						>
					{/each}
				</select>
			</label>
		{/if}
	</div>
	{#if !data.shown}<p>There is no class yet.</p>
	{:else if data.students.length === 0}<p>Nobody is in {data.shown.name} yet.</p>
	{:else}
		<p class="soft">
			A PIN is shown only when it is made, here and on paper. Whoever loses a card gets a new PIN; the old one works no
			more.
		</p>
		<form method="POST" action="?/cards" use:enhance={keepValues}>
			<input type="hidden" name="class" value={data.shown.id} />
			<fieldset>
				<legend>Cards for {plural(chosen.length, 'student')} of {data.shown.name}</legend>
				<button type="button" class="plain" onclick={() => (chosen = isAll ? [] : data.students.map(({ id }) => id))}
					>{isAll ? 'Nobody' : `All ${data.students.length}`}</button
				>
				<div class="names">
					{#each data.students as student (student.id)}
						<label
							><input type="checkbox" name="students" value={student.id} bind:group={chosen} />
							{student.preferredName ?? student.givenName}
							{student.familyName}{#if !student.hasPin}<span class="soft">, no PIN</span>{/if}</label
						>
					{/each}
				</div>
			</fieldset>
			<div class="one-line">
				<button class="primary" name="pins" value="new" disabled={chosen.length === 0}
					>Make {plural(chosen.length, 'new PIN')} and cards</button
				>
				<button name="pins" value="none" disabled={chosen.length === 0}>Cards without PINs</button>
				{#if replaced}<span class="soft"
						>{plural(replaced, 'student')} {replaced === 1 ? 'has' : 'have'} a PIN, which then works no more.</span
					>{/if}
			</div>
		</form>
	{/if}
</div>

{#if sheet}
	<div class="page-head no-print sheet-head">
		<h2>{plural(sheet.cards.length, 'card')} for {sheet.className}</h2>
		<select bind:value={perPage} aria-label="Cards a page">
			<option value={12}>12 a page</option>
			<option value={6}>6 a page</option>
		</select>
		<button class="primary" onclick={() => print()}>Print</button>
	</div>
	<SignInCards {sheet} schoolName={data.school.name} {perPage} />
{/if}
<Notice outcome={form && 'problem' in form ? form : null} />

<style>
	fieldset {
		margin: 10px 0;
		border: 1px solid var(--rule);
	}
	.names {
		display: grid;
		grid-template-columns: repeat(auto-fill, minmax(15rem, 1fr));
		gap: 4px 16px;
	}
	.sheet-head {
		margin: 20px 0 10px;
	}
</style>
