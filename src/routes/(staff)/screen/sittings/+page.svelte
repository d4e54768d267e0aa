<script lang="ts">
	import { keepValues } from '$lib/ui/form/keepValues';
	import ActionButton from '$lib/ui/form/ActionButton.svelte';
	import { fullName, plural } from '$lib/core/words';
	import { enhance } from '$app/forms';
	import { page } from '$app/state';
	import { addDays, sayInstant, schoolDayFrom } from '$lib/core/calendar';
	import { SCREENING_STATUSES, STILL_TO_FINISH, TO_FINISH } from '$lib/core/screening';
	import ClassBoard from '$lib/ui/screen/ClassBoard.svelte';
	import FlaggedSittings from '$lib/ui/screen/FlaggedSittings.svelte';
	import NoteForm from '$lib/ui/screen/NoteForm.svelte';
	import ScreenHead from '$lib/ui/screen/ScreenHead.svelte';
	import { sayPlace } from '$lib/ui/screen/sittingRows';
	import { sayAccommodation } from '$lib/core/screening';
	import ActionBar from '$lib/ui/shell/ActionBar.svelte';
	import { keepingScope, setState, withState } from '$lib/ui/shell/address';
	import { Rows } from '$lib/ui/table/rows.svelte';
	import StudentTable from '$lib/ui/table/StudentTable.svelte';
	import Notice from '$lib/ui/shell/Notice.svelte';

	let { data, form } = $props();

	let selected = $state<number[]>([]);
	let noting = $state<'excused' | 'make-up' | 'accommodate' | null>(null);

	const status = $derived(page.url.searchParams.get('status') ?? 'all');
	const board = $derived(data.board);
	const rows = new Rows(() => ({ ids: board?.ids ?? [], first: board?.rows ?? [] }));
	const chosen = $derived(rows.ids.filter((id) => selected.includes(id)));
	const columns = $derived([
		{ label: 'Class' },
		{ label: 'Status' },
		{ label: 'How far, and why' },
		{ label: data.window?.measure ? 'Given' : 'Last answer' },
		{ label: 'Accommodations' },
		{ label: 'Action' }
	]);
	const sayTime = (at: string) => sayInstant(new Date(at), data.school.timeZone);
</script>

<svelte:head><title>Sittings · Orderly Compass</title></svelte:head>

{#if !data.window || !board}
	<h1>Sittings</h1>
	<p>No screening window is planned yet. <a href={keepingScope('/screen/windows')}>Windows of the year</a></p>
{:else}
	<ScreenHead window={data.window} windows={data.windows} today={data.today}>
		{board.toFinish ? `${board.toFinish} of ${board.size} still to finish` : `all ${board.size} finished`}
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
			{#if board.toSit}
				<a class="button" href={keepingScope('/screen/reminders', { window: data.window!.id })}
					>Reminders for the {board.toSit} still to sit</a
				>
			{/if}
		{/snippet}
	</ScreenHead>

	{#if board.flagged && data.can.screen}
		<FlaggedSittings
			windowId={data.window.id}
			count={board.flagged}
			rows={board.flaggedRows}
			domains={board.domains}
			open={status === 'needs another look'}
		/>
	{/if}
	{#if board.tallies.length > 1}<div class="board"><ClassBoard tallies={board.tallies} /></div>{/if}

	<StudentTable {rows} {columns} says="Sittings" height={31} bind:selected>
		{#snippet cells(row)}
			<td>{row.className}</td>
			<td class:soft={!TO_FINISH.has(row.status)}>{row.status}</td>
			<td>{sayPlace(row)}</td>
			<td class="soft when">{row.lastAt ? sayTime(row.lastAt) : ''}</td>
			<td>{sayAccommodation(row.accommodation)}</td>
			<td>
				{#if data.window!.measure && data.can.give}
					<a
						href={keepingScope('/screen/give', { window: data.window!.id, to: row.id, student: null })}
						aria-label="{row.status === 'finished' ? 'See what was given to' : 'Give to'} {fullName(row)}"
						>{row.status === 'finished' ? 'See' : 'Give'}</a
					>
				{:else if data.can.screen && row.status === 'under way' && row.sitting?.answered}
					<ActionButton
						action="?/end"
						fields={{ sitting: row.sitting.id }}
						label="End the sitting of {fullName(row)} and score it"
						look="plain small">End and score</ActionButton
					>
				{/if}
			</td>
		{/snippet}
		{#snippet empty()}
			Nobody in {data.scope.inWords} is “{status}”. <a href={withState({ status: null })}>Show everyone</a>
		{/snippet}
	</StudentTable>

	{#if chosen.length}
		<ActionBar says="{plural(chosen.length, 'student')} selected">
			{#if data.can.noteAbsences}
				<form method="POST" action="?/note" use:enhance={keepValues}>
					<input type="hidden" name="window" value={data.window.id} />
					<input type="hidden" name="students" value={chosen.join(',')} />
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
			ids={chosen}
			students={chosen.flatMap((id) => rows.at(id) ?? [])}
			windowId={data.window.id}
			day={schoolDayFrom(
				addDays(data.today > data.window.closesOn ? data.today : data.window.closesOn, 7),
				data.school.calendar
			)}
			onclose={() => (noting = null)}
		/>
	{/if}
{/if}
<Notice outcome={form} />

<style>
	.board {
		margin-bottom: 16px;
	}
	.when {
		white-space: nowrap;
	}
	form {
		display: flex;
		gap: 8px;
	}
</style>
