<script lang="ts">
	import { enhance } from '$app/forms';
	import { page } from '$app/state';
	import { addDays, sayInstant } from '$lib/core/calendar';
	import { SCREENING_STATUSES, TO_FINISH, TO_SIT } from '$lib/core/screening';
	import ClassBoard from '$lib/ui/screen/ClassBoard.svelte';
	import FlaggedSittings from '$lib/ui/screen/FlaggedSittings.svelte';
	import NoteForm from '$lib/ui/screen/NoteForm.svelte';
	import ScreenHead from '$lib/ui/screen/ScreenHead.svelte';
	import {
		arrangeSittings,
		sayAccommodation,
		sayPlace,
		STILL_TO_FINISH,
		tallyByClass
	} from '$lib/ui/screen/sittingRows';
	import ActionBar from '$lib/ui/shell/ActionBar.svelte';
	import { keepingScope, setState, withState } from '$lib/ui/shell/address';
	import { countBy } from '$lib/ui/table/countBy';
	import Notice from '$lib/ui/shell/Notice.svelte';

	let { data, form } = $props();

	let selected = $state<number[]>([]);
	let noting = $state<'excused' | 'make-up' | 'accommodate' | null>(null);

	const status = $derived(page.url.searchParams.get('status') ?? 'all');
	const counts = $derived(countBy(data.rows, (row) => row.status));
	const flagged = $derived(data.rows.filter((row) => row.status === 'needs another look'));
	const tallies = $derived(tallyByClass(data.rows));
	const shown = $derived(arrangeSittings(data.rows, status));
	const chosen = $derived(data.rows.filter((row) => selected.includes(row.id)));
	const missing = $derived(data.rows.filter((row) => TO_SIT.has(row.status)));
	const toFinish = $derived(data.rows.filter((row) => TO_FINISH.has(row.status)).length);
	const studentId = $derived(Number(page.url.searchParams.get('student')));
	const sayTime = (at: string) => sayInstant(new Date(at), data.school.timeZone);
</script>

<svelte:head><title>Sittings · Orderly Compass</title></svelte:head>

{#if !data.window}
	<h1>Sittings</h1>
	<p>No screening window is planned yet. <a href={keepingScope('/screen/windows')}>Windows of the year</a></p>
{:else}
	<ScreenHead window={data.window} windows={data.windows} today={data.today}>
		{toFinish ? `${toFinish} of ${data.rows.length} still to finish` : `all ${data.rows.length} finished`}
		{#snippet tools()}
			<label>
				Show
				<select
					onchange={(event) =>
						setState({ status: event.currentTarget.value === 'all' ? null : event.currentTarget.value })}
				>
					<option value="all">everyone</option>
					<option value={STILL_TO_FINISH} selected={status === STILL_TO_FINISH}>all still to finish</option>
					{#each SCREENING_STATUSES as name (name)}
						<option value={name} selected={status === name}>{name}</option>
					{/each}
				</select>
			</label>
			<button onclick={() => (selected = shown.map(({ id }) => id))}>Select all {shown.length} shown</button>
			{#if missing.length}
				<a class="button" href={keepingScope('/screen/reminders', { window: data.window!.id })}
					>Reminders for the {missing.length} still to sit</a
				>
			{/if}
		{/snippet}
	</ScreenHead>

	{#if flagged.length && data.can.screen}
		<FlaggedSittings
			windowId={data.window.id}
			rows={flagged}
			domains={data.domains}
			open={status === 'needs another look'}
		/>
	{/if}
	{#if tallies.length > 1}<ClassBoard {tallies} />{/if}

	<div class="wide-table">
		<table class="roster">
			<thead>
				<tr>
					<th><span class="visually-hidden">Select</span></th>
					<th>Student</th>
					<th>Class</th>
					<th>Status</th>
					<th>How far, and why</th>
					<th>{data.window.measure ? 'Given' : 'Last answer'}</th>
					<th>Accommodations</th>
					<th></th>
				</tr>
			</thead>
			<tbody>
				{#each shown as row (row.id)}
					<tr data-student={row.id} class:current={row.id === studentId}>
						<td
							><input
								type="checkbox"
								value={row.id}
								bind:group={selected}
								aria-label="Select {row.givenName} {row.familyName}"
							/></td
						>
						<th scope="row"><a href={withState({ student: row.id })}>{row.givenName} {row.familyName}</a></th>
						<td>{row.className}</td>
						<td class:soft={!TO_FINISH.has(row.status)}>{row.status}</td>
						<td>{sayPlace(row)}</td>
						<td class="soft when">{row.lastAt ? sayTime(row.lastAt) : ''}</td>
						<td>{sayAccommodation(row.accommodation)}</td>
						<td>
							{#if data.window.measure && data.can.give}
								<a
									href={keepingScope('/screen/give', { window: data.window.id, to: row.id, student: null })}
									aria-label="{row.status === 'finished'
										? 'See what was given to'
										: 'Give to'} {row.givenName} {row.familyName}">{row.status === 'finished' ? 'See' : 'Give'}</a
								>
							{:else if data.can.screen && row.status === 'under way' && row.sitting?.answered}
								<form method="POST" action="?/end" use:enhance>
									<input type="hidden" name="sitting" value={row.sitting.id} />
									<button
										class="plain small"
										aria-label="End the sitting of {row.givenName} {row.familyName} and score it">End and score</button
									>
								</form>
							{/if}
						</td>
					</tr>
				{:else}
					<tr
						><td colspan="8" class="soft"
							>Nobody in {data.scope.inWords} is “{status}”: {#each counts as [name, count], i (name)}{i
									? ', '
									: ''}{count}
								{name}{/each}. <a href={withState({ status: null })}>Show everyone</a></td
						></tr
					>
				{/each}
			</tbody>
		</table>
	</div>

	{#if chosen.length}
		<ActionBar says="{chosen.length} {chosen.length === 1 ? 'student' : 'students'} selected">
			{#if data.can.noteAbsences}
				<form
					method="POST"
					action="?/note"
					use:enhance={() =>
						({ update }) =>
							update({ reset: false })}
				>
					<input type="hidden" name="window" value={data.window.id} />
					<input type="hidden" name="students" value={chosen.map(({ id }) => id).join(',')} />
					<button name="kind" value="absent">Note as absent</button>
					<button name="kind" value="nothing">Take note away</button>
				</form>
			{/if}
			{#if data.can.screen}
				<button onclick={() => (noting = 'excused')}>Excuse …</button>
				<button onclick={() => (noting = 'make-up')}>Let make up …</button>
				<button onclick={() => (noting = 'accommodate')}>Accommodations …</button>
			{/if}
			<button class="plain" onclick={() => (selected = [])}>Clear</button>
		</ActionBar>
	{/if}
	{#if noting && chosen.length}
		<NoteForm
			what={noting}
			students={chosen}
			windowId={data.window.id}
			day={addDays(data.today > data.window.closesOn ? data.today : data.window.closesOn, 7)}
			onclose={() => (noting = null)}
		/>
	{/if}
{/if}
<Notice outcome={form} />

<style>
	.small {
		min-height: 26px;
		padding-block: 0;
	}
	.small,
	.when {
		white-space: nowrap;
	}
	form {
		display: flex;
		gap: 8px;
	}
</style>
