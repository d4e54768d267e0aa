<script lang="ts">
	import { enhance } from '$app/forms';
	import { sayDate, schoolDateOf } from '$lib/core/calendar';
	import { plural } from '$lib/core/words';
	import { keepValues } from '$lib/ui/form/keepValues';
	import { keepingScope } from '$lib/ui/shell/address';
	import ActionBar from '$lib/ui/shell/ActionBar.svelte';
	import Notice from '$lib/ui/shell/Notice.svelte';
	import SelectShown from '$lib/ui/table/SelectShown.svelte';
	import Table from '$lib/ui/table/Table.svelte';

	let { data, form } = $props();
	const set = $derived(data.set);
	const canChange = $derived(data.can.practice && !set.isWithdrawn);

	let chosen = $state<number[]>([]);
	const selected = $derived(data.students.filter(({ id }) => chosen.includes(id)));
	const excused = $derived(selected.filter(({ state }) => state === 'excused'));
	const needed = $derived(selected.filter(({ state }) => state === 'not begun' || state === 'under way'));
	/** Until when those selected have time. */
	let until = $derived(data.moreTime);
	let opensOn = $derived(set.opensOn);
	let dueOn = $derived(set.dueOn);

	const count = (states: string[]) => data.students.filter(({ state }) => states.includes(state)).length;
	const facts = $derived(
		[
			`${count(['finished', 'finished late'])} of ${data.students.length - count(['excused'])} finished`,
			`${count(['under way'])} under way`,
			`${count(['not begun'])} not begun`,
			...(count(['excused']) ? [`${count(['excused'])} excused`] : [])
		].join(', ')
	);
	/** What a form does ends with nobody selected. */
	const thenNobody =
		() =>
		async ({ update }: { update: () => Promise<void> }) => {
			await update();
			chosen = [];
		};
</script>

<svelte:head><title>{data.skill.shortName} · Practice · Orderly Compass</title></svelte:head>

{#snippet ids(students: { id: number }[])}
	<input type="hidden" name="students" value={students.map(({ id }) => id).join(',')} />
{/snippet}

<p class="no-print"><a href={keepingScope('/practice')}>All sets</a></p>
<div class="page-head">
	<h1>{data.skill.shortName}</h1>
	<span class="soft">{plural(set.itemCount, 'question')}, {facts}</span>
</div>
<p>
	<a href={keepingScope(`/library/${data.skill.code}`)}>{data.skill.code}</a>: {data.skill.statement}.
	<span class="soft"
		>{data.groupName ? `For ${data.groupName}, by` : 'By'}
		{set.createdBy}, {sayDate(schoolDateOf(set.createdAt, data.school.timeZone))}</span
	>
</p>

{#if set.isWithdrawn}
	<p class="attention">This set was taken back: it is on no student’s page. What was answered stays and counts.</p>
{:else if canChange && set.isTheirs}
	<form method="POST" action="?/dates" class="one-line dates no-print" use:enhance={keepValues}>
		<label>Students see it from <input name="opensOn" type="date" required bind:value={opensOn} /></label>
		<label>due <input name="dueOn" type="date" required min={opensOn} bind:value={dueOn} /></label>
		<button disabled={opensOn === set.opensOn && dueOn === set.dueOn}>Keep for all</button>
		<span class="soft">It stays open after that day; what comes later is marked late.</span>
	</form>
{:else}
	<p class="soft">Students see it from {sayDate(set.opensOn)}; due {sayDate(set.dueOn)}.</p>
{/if}

<Table
	says="Students with this set"
	columns={[
		canChange && { label: 'Select', isSilent: true },
		{ label: 'Student' },
		{ label: 'Class' },
		{ label: 'How far' },
		{ label: 'Right at the first try' },
		{ label: 'Due' }
	]}
	rows={data.students}
	key={({ id }) => id}
	attributes={({ id }) => ({ 'data-student': id })}
>
	{#snippet cells(student)}
		{#if canChange}<td
				><input type="checkbox" value={student.id} bind:group={chosen} aria-label="Select {student.name}" /></td
			>{/if}
		<th scope="row"><a href={keepingScope(`/students/${student.id}`)}>{student.name}</a></th>
		<td>{student.className}</td>
		<td
			>{student.state === 'under way'
				? `${student.answered} of ${set.itemCount} answered`
				: student.state}{#if student.isLate}<strong>, late</strong>{/if}</td
		>
		<td>{student.answered ? `${student.right} of ${student.answered}` : ''}</td>
		<td
			>{sayDate(student.dueOn)}{#if student.hasOwnDue}<span class="soft">, own</span>{/if}</td
		>
	{/snippet}
</Table>
{#if canChange}<SelectShown ids={data.students.map(({ id }) => id)} bind:chosen />{/if}

{#if selected.length}
	<ActionBar says="{plural(selected.length, 'student')} selected">
		<form method="POST" action="?/due" class="one-line" use:enhance={thenNobody}>
			{@render ids(selected)}
			<label>Due <input name="dueOn" type="date" required min={set.opensOn} bind:value={until} /></label>
			<button class="primary">Due {sayDate(until)} for {plural(selected.length, 'student')}</button>
		</form>
		{#if needed.length}
			<form method="POST" action="?/excuse" use:enhance={thenNobody}>
				{@render ids(needed)}
				<button>Excuse {plural(needed.length, 'student')}</button>
			</form>
		{/if}
		{#if excused.length}
			<form method="POST" action="?/giveAgain" use:enhance={thenNobody}>
				{@render ids(excused)}
				<button>Give it to {plural(excused.length, 'student')} again</button>
			</form>
		{/if}
		<button class="plain" onclick={() => (chosen = [])}>Clear</button>
	</ActionBar>
{/if}
<Notice outcome={form} />

<style>
	.dates {
		margin: 10px 0;
	}
</style>
