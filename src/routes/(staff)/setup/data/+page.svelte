<script lang="ts">
	import { enhance } from '$app/forms';
	import { sayWholeDate, schoolDateOf } from '$lib/core/calendar';
	import { fullName, plural } from '$lib/core/words';
	import { keepValues } from '$lib/ui/form/keepValues';
	import SetupViews from '$lib/ui/setup/SetupViews.svelte';
	import ActionBar from '$lib/ui/shell/ActionBar.svelte';
	import { withState } from '$lib/ui/shell/address';
	import Dialog from '$lib/ui/shell/Dialog.svelte';
	import Notice from '$lib/ui/shell/Notice.svelte';
	import Pager from '$lib/ui/table/Pager.svelte';
	import SelectShown from '$lib/ui/table/SelectShown.svelte';
	import Table from '$lib/ui/table/Table.svelte';

	let { data, form } = $props();
	let chosen = $state<number[]>([]);
	/** What erasing would take, while it is looked at. */
	let closed = $state.raw<unknown>(null);
	const look = $derived(form && 'look' in form && form.look && form !== closed ? form.look : null);
	const selected = $derived(data.students.filter(({ id }) => chosen.includes(id)));
	const sayMonths = (months: number) =>
		months === 0
			? 'until somebody erases them'
			: months % 12 === 0
				? `for ${plural(months / 12, 'year')}, then say so`
				: `for ${plural(months, 'month')}, then say so`;
	const sayCounts = (counts: Record<string, number>) =>
		Object.entries(counts)
			.filter(([, count]) => count > 0)
			.map(([name, count]) => `${count} ${name}`)
			.join(', ') || 'nothing but the name';
</script>

<svelte:head><title>Data · Orderly Compass</title></svelte:head>

<SetupViews />
<h1>What the school keeps</h1>
<div class="parts">
	<section aria-labelledby="out">
		<h2 id="out">Everything of the school</h2>
		<p>
			One ZIP with a table for each kind of thing, as CSV and as JSON, and what every column means. It names students
			and staff: keep it where such lists are kept. What is kept of one student is on the student’s page, or below for
			who has left.
		</p>
		<p><a class="button" href="/setup/data/archive.zip" data-sveltekit-reload>Fetch the archive</a></p>
	</section>
	<section aria-labelledby="long">
		<h2 id="long">How long</h2>
		<form method="POST" action="?/keep" class="one-line" use:enhance={keepValues}>
			<label for="months">Students who have left are kept</label>
			<select id="months" name="months">
				{#each data.choices as months (months)}<option value={months} selected={months === (data.months ?? 0)}
						>{sayMonths(months)}</option
					>{/each}
			</select>
			<button>Keep</button>
		</form>
		<p class="soft">Nobody is erased by itself: a notice says when it is time.</p>
	</section>
</div>

<h2>Students who have left</h2>
<p class="one-line">
	<a href={withState({ over: null, from: null })} aria-current={data.onlyOver ? undefined : 'true'}
		>All {data.counts.left}</a
	>
	{#if data.months}<a href={withState({ over: 'yes', from: null })} aria-current={data.onlyOver ? 'true' : undefined}
			>Kept long enough: {data.counts.over}</a
		>{/if}
</p>
<Table
	says="Students who have left"
	columns={[
		{ label: 'Select', isSilent: true },
		{ label: 'Student' },
		{ label: 'Number' },
		{ label: 'Left on' },
		{ label: 'What can be done', isSilent: true }
	]}
	rows={data.students}
	key={({ id }) => id}
	narrow
>
	{#snippet cells(student)}
		<td><input type="checkbox" value={student.id} bind:group={chosen} aria-label="Select {fullName(student)}" /></td>
		<th scope="row">{fullName(student)}</th>
		<td>{student.number ?? ''}</td>
		<td
			>{student.leftOn ? sayWholeDate(student.leftOn) : 'never in a class'}{#if student.isOver}<span class="soft"
					>, kept long enough</span
				>{/if}</td
		>
		<td
			><a href="/students/{student.id}/file.zip" data-sveltekit-reload aria-label="File of {fullName(student)}">File</a
			></td
		>
	{/snippet}
	{#snippet empty()}{data.onlyOver ? 'Nobody has been kept long enough.' : 'Nobody has left.'}{/snippet}
</Table>
<Pager {...data.part} name="from" />
<SelectShown ids={data.students.map(({ id }) => id)} bind:chosen />

<h2>Erased</h2>
{#if data.erased.length === 0}
	<p class="soft">Nobody was erased.</p>
{:else}
	<p>
		{plural(data.counts.erased, 'student')}; what there was of them stands as counts.
		<a href="/setup/data/erased.csv" data-sveltekit-reload>List of numbers (CSV)</a>, to be kept with backups: after one
		is restored, <code>npm run erase:again</code> erases them again.
	</p>
	<Table
		says="Students who were erased"
		columns={[{ label: 'Number here' }, { label: 'Why' }, { label: 'There was' }, { label: 'By' }, { label: 'When' }]}
		rows={data.erased}
		key={({ studentId }) => studentId}
		narrow
	>
		{#snippet cells(one)}
			<th scope="row">{one.studentId}</th>
			<td>{one.why}</td>
			<td>{sayCounts(one.counts)}</td>
			<td>{one.by}</td>
			<td>{sayWholeDate(schoolDateOf(one.at, data.school.timeZone))}</td>
		{/snippet}
	</Table>
{/if}

{#if selected.length}
	<ActionBar says="{plural(selected.length, 'student')} selected">
		<form method="POST" action="?/look" use:enhance={keepValues}>
			{#each selected as { id } (id)}<input type="hidden" name="students" value={id} />{/each}
			<button>See what erasing takes</button>
		</form>
	</ActionBar>
{/if}
{#if look}
	<Dialog title="Erase {plural(look.students.length, 'student')} for good" onclose={() => (closed = form)}>
		<form
			method="POST"
			action="?/erase"
			class="erase"
			use:enhance={() =>
				async ({ update }) => {
					await update();
					chosen = [];
				}}
		>
			<p>{look.students.map((student) => fullName(student)).join(', ')}</p>
			<p>
				<strong>What goes:</strong> the names, and {sayCounts(look.counts)}, with everything else that is about them
				alone.
			</p>
			<p>
				<strong>What stays:</strong> these counts without a person; notes on sessions, which are of the group; and backups,
				until they are replaced. Rosters that were brought within the last 14 days still name them.
			</p>
			{#each look.students as { id } (id)}<input type="hidden" name="students" value={id} />{/each}
			<label for="why">Why</label>
			<select id="why" name="why">
				<option value="asked for">it was asked for</option>
				<option value="kept long enough">they were kept long enough</option>
			</select>
			<label class="sure"><input type="checkbox" name="sure" value="yes" required /> This cannot be taken back</label>
			<button class="danger">Erase {plural(look.students.length, 'student')}</button>
		</form>
	</Dialog>
{/if}
<Notice outcome={form && 'look' in form ? null : form} />

<style>
	.parts {
		display: grid;
		grid-template-columns: repeat(auto-fit, minmax(min(100%, 420px), 1fr));
		gap: 12px 32px;
		margin: 8px 0 16px;
	}
	.parts p {
		margin: 6px 0;
		max-width: 70ch;
	}
	h2 {
		margin-top: 16px;
	}
	.parts h2 {
		margin-top: 0;
	}
	.one-line {
		margin: 6px 0;
	}
	.erase {
		display: grid;
		gap: 10px;
		justify-items: start;
	}
	.sure {
		display: flex;
		gap: 8px;
		align-items: center;
	}
	.danger {
		color: var(--alarm);
		border-color: var(--alarm);
	}
</style>
