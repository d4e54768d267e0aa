<script lang="ts">
	import { enhance } from '$app/forms';
	import { addDays, sayDay, sayMeeting, sayWholeDate } from '$lib/core/calendar';
	import { plural } from '$lib/core/words';
	import { keepValues } from '$lib/ui/form/keepValues';
	import SetupViews from '$lib/ui/setup/SetupViews.svelte';
	import Notice from '$lib/ui/shell/Notice.svelte';
	import { keepingScope } from '$lib/ui/shell/address';
	import Table from '$lib/ui/table/Table.svelte';

	let { form } = $props();
	const read = $derived(form && 'step' in form && form.step === 'check' ? form : null);
	const isDone = $derived(form && 'step' in form && form.step === 'brought');
	let text = $state('');
	$effect(() => {
		if (isDone) text = '';
	});
	/** Group by group, as they may be looked at. */
	const EXAMPLE = [
		'Number\tTier\tFrom\tUntil\tGroup\tFocus\tAdult\tDays\tTime\tMinutes\tWhat was done\tWhat came of it',
		'S10012\t2\t2026-09-14\t\tThirds\tEquivalent fractions\tT. Marlow\tMon Wed Fri\t9:15\t30\t\t',
		'S10040\t3\t2025-10-06\t2025-12-18\t\t\t\t\t\t\tNumber talks, one to one\tWent on in tier 2'
	].join('\n');
</script>

<svelte:head><title>Interventions so far · Orderly Compass</title></svelte:head>

<SetupViews />
<div class="page-head">
	<h1>Interventions so far</h1>
	<span class="soft">for a school that begins in the middle of its year</span>
</div>

{#if form && 'problem' in form}<p class="problem" role="alert">{form.problem}</p>{/if}

{#if !read}
	<form method="POST" action="?/read" use:enhance={keepValues} enctype="multipart/form-data" class="list">
		<p id="how">
			One line a student and intervention; the first line names the columns. <strong>Number</strong> (or name),
			<strong>tier</strong> and <strong>from</strong> are needed. Without “until” it goes on: the student is in that
			tier from then, and where a <strong>group</strong> is named with its focus, adult, days and time, the group goes on
			here from today. With a day that is past it is kept as what was before. Everything is shown before anything is stored.
		</p>
		<label for="text">Interventions</label>
		<textarea
			id="text"
			name="text"
			rows="12"
			maxlength="400000"
			bind:value={text}
			aria-describedby="how"
			spellcheck="false"></textarea>
		<details>
			<summary>An example</summary>
			<pre>{EXAMPLE}</pre>
		</details>
		<label for="file">or a file (CSV, XLSX)</label>
		<input id="file" name="file" type="file" accept=".csv,.tsv,.txt,.xlsx" />
		<button class="primary">Look at it</button>
	</form>
{:else}
	{@const { tiers, groups, past, bad } = read.plan}
	<form method="POST" action="?/bring" use:enhance={keepValues} class="one-line bring">
		<input type="hidden" name="text" value={read.text} />
		<button class="primary" disabled={!read.says}>Bring in {read.says || 'nothing'}</button>
		<a href={keepingScope('/setup/interventions')} data-sveltekit-reload>Start again</a>
	</form>
	{#if read.unread.length}
		<p class="soft">Not read: the {read.unread.length === 1 ? 'column' : 'columns'} {read.unread.join(', ')}.</p>
	{/if}
	{#if bad.length}
		<h2>Left out, or not as the line says: {plural(bad.length, 'line')}</h2>
		<ul class="bad">
			{#each bad as { line, says } (line)}<li>Line {line}: {says}.</li>{/each}
		</ul>
	{/if}
	{#if groups.length}
		<h2>Groups that go on here from today</h2>
		<Table
			says="Groups"
			columns={[
				{ label: 'Group' },
				{ label: 'Tier', isNumber: true },
				{ label: 'Focus' },
				{ label: 'Adult' },
				{ label: 'Meets' },
				{ label: 'Until' },
				{ label: 'Students' }
			]}
			rows={groups}
			key={({ name }) => name}
			airy
		>
			{#snippet cells(group)}
				<th scope="row">{group.name}</th>
				<td class="number">{group.tier}</td>
				<td>{group.skill}</td>
				<td>{group.adult}</td>
				<td
					>{sayMeeting(group.time)}, {group.time.minutes} min{#if group.slotId === null}<span class="soft"
							>, a new meeting time</span
						>{/if}</td
				>
				<td>{group.endsOn ? sayDay(group.endsOn) : 'end of the cycle'}</td>
				<td>{group.students.map(({ name }) => name).join(', ')}</td>
			{/snippet}
		</Table>
	{/if}
	{#if tiers.length}
		<h2>Students who are in a tier from then on</h2>
		<Table
			says="Tiers"
			columns={[{ label: 'Student' }, { label: 'Tier', isNumber: true }, { label: 'Since' }]}
			rows={tiers}
			key={({ studentId }) => studentId}
			narrow
		>
			{#snippet cells(one)}
				<th scope="row">{one.name}</th>
				<td class="number">{one.tier}</td>
				<td>{sayWholeDate(one.from)}</td>
			{/snippet}
		</Table>
	{/if}
	{#if past.length}
		<h2>What was before</h2>
		<Table
			says="Interventions of the past"
			columns={[
				{ label: 'Student' },
				{ label: 'Tier', isNumber: true },
				{ label: 'From' },
				{ label: 'To' },
				{ label: 'What was done' },
				{ label: 'What came of it' }
			]}
			rows={past}
			key={({ studentId, from, did }) => `${studentId} ${from} ${did}`}
		>
			{#snippet cells(one)}
				<th scope="row">{one.name}</th>
				<td class="number">{one.tier}</td>
				<td>{sayWholeDate(one.from)}</td>
				<td>{sayWholeDate(addDays(one.until, -1))}</td>
				<td>{one.did}</td>
				<td>{one.came}</td>
			{/snippet}
		</Table>
	{/if}
{/if}
<Notice outcome={form && 'done' in form ? form : null} />

<style>
	.list {
		display: grid;
		grid-template-columns: minmax(0, 1fr);
		gap: 6px;
		max-width: 52rem;
		margin-top: 12px;
	}
	.list button {
		justify-self: start;
	}
	pre {
		overflow-x: auto;
		white-space: pre;
	}
	h2 {
		margin: 20px 0 6px;
	}
	.bring,
	.problem {
		margin: 12px 0;
	}
	.bad {
		margin: 6px 0 12px;
		padding-left: 1.2em;
	}
</style>
