<script lang="ts">
	import { enhance } from '$app/forms';
	import { sayInstant } from '$lib/core/calendar';
	import { plural, sayGrade } from '$lib/core/words';
	import ActionButton from '$lib/ui/form/ActionButton.svelte';
	import { keepValues } from '$lib/ui/form/keepValues';
	import ClassForms from '$lib/ui/setup/ClassForms.svelte';
	import SayOfForm from '$lib/ui/setup/SayOfForm.svelte';
	import SetupViews from '$lib/ui/setup/SetupViews.svelte';
	import StudentRecordForm from '$lib/ui/setup/StudentRecordForm.svelte';
	import ActionBar from '$lib/ui/shell/ActionBar.svelte';
	import Dialog from '$lib/ui/shell/Dialog.svelte';
	import Notice from '$lib/ui/shell/Notice.svelte';
	import SelectShown from '$lib/ui/table/SelectShown.svelte';
	import Table from '$lib/ui/table/Table.svelte';
	import { keepingScope } from '$lib/ui/shell/address';

	let { data, form } = $props();
	type Student = (typeof data.students)[number];

	let chosen = $state<number[]>([]);
	const selected = $derived(data.students.filter(({ id }) => chosen.includes(id)));
	/** The class or section to move them to. */
	let to = $state('');
	const intoSection = $derived(data.sections.some(({ id }) => String(id) === to));
	/** From when a move holds. */
	let on = $derived(data.today);
	let editing = $state<Student | null>(null);
	let isSaying = $state(false);
	const problem = $derived((form && 'problem' in form && form.problem) || null);
	const hasEnded = $derived(data.own.endedOn !== null && data.own.endedOn <= data.today);
	/** What a student is known by. */
	const shown = ({ preferredName, givenName, familyName }: Student) => `${preferredName ?? givenName} ${familyName}`;
</script>

<svelte:head><title>{data.own.name} · Setup · Orderly Compass</title></svelte:head>

<SetupViews />
<div class="page-head">
	<h1>{data.own.name}</h1>
	<span class="soft">{sayGrade(data.own.grade)}, {plural(data.students.length, 'student')}, code {data.own.code}</span>
	<a href={keepingScope('/setup/add', { into: data.own.name })}>Add students</a>
	<a href={keepingScope('/setup/cards', { class: data.own.id })}>Sign-in cards</a>
	<a href={keepingScope('/setup/classes')}>All classes</a>
</div>

<div class="forms">
	<ClassForms own={data.own} people={data.people} noun="class" />
	<form method="POST" action="?/hours" use:enhance={keepValues} class="one-line">
		<input type="hidden" name="class" value={data.own.id} />
		<label
			>Students sign in on school days from <input type="time" name="from" value={data.own.hours?.from ?? ''} /></label
		>
		<label>to <input type="time" name="until" value={data.own.hours?.until ?? ''} /></label>
		<button>Keep</button>
		<span class="soft">{data.own.hours ? 'Empty both for at any time.' : 'Now at any time.'}</span>
	</form>
	{#if hasEnded}
		<p class="soft">This class has ended.</p>
	{:else if data.others.length}
		<form method="POST" action="?/merge" use:enhance class="one-line">
			<input type="hidden" name="class" value={data.own.id} />
			<label
				>Merge into
				<select name="into" required>
					<option value="" disabled selected>another class …</option>
					{#each data.others as { id, name } (id)}<option value={id}>{name}</option>{/each}
				</select></label
			>
			<button>Move all {plural(data.students.length, 'student')} today and end {data.own.name}</button>
		</form>
	{/if}
</div>

<Table
	says="Students of {data.own.name}"
	columns={[
		{ label: 'Select', isSilent: true },
		{ label: 'Family name' },
		{ label: 'Given name' },
		{ label: 'Known as' },
		{ label: 'Number' },
		{ label: 'Grade' },
		{ label: 'Born' },
		{ label: 'Said of them' },
		...(data.sections.length ? [{ label: 'Sections' }] : []),
		{ label: 'Signs in' },
		{ label: 'What can be done', isSilent: true }
	]}
	rows={data.students}
	key={({ id }) => id}
>
	{#snippet cells(student)}
		<td><input type="checkbox" value={student.id} bind:group={chosen} aria-label="Select {shown(student)}" /></td>
		<th scope="row">{student.familyName}</th>
		<td>{student.givenName}</td>
		<td>{student.preferredName ?? ''}</td>
		<td>{student.number ?? ''}</td>
		<td>{sayGrade(student.grade)}</td>
		<td>{student.birthDate ?? ''}</td>
		<td>{student.said.map(({ name, value }) => `${name}: ${value}`).join(', ')}</td>
		{#if data.sections.length}<td>{student.sections.map(({ name }) => name).join(', ')}</td>{/if}
		<td
			>{student.lastSignIn
				? sayInstant(student.lastSignIn, data.school.timeZone)
				: student.hasPin
					? 'not yet'
					: 'has no PIN'}</td
		>
		<td
			><button class="small" onclick={() => (editing = student)} aria-label="Change {shown(student)}">Change</button
			></td
		>
	{/snippet}
	{#snippet empty()}Nobody is in this class. Add students, or move them here from another class.{/snippet}
</Table>
<SelectShown ids={data.students.map(({ id }) => id)} bind:chosen />

{#if selected.length}
	<ActionBar says="{plural(selected.length, 'student')} selected">
		<form
			method="POST"
			action={intoSection ? '?/join' : '?/move'}
			class="one-line"
			use:enhance={() =>
				async ({ update }) => {
					await update();
					[chosen, to] = [[], ''];
				}}
		>
			{#each selected as { id } (id)}<input type="hidden" name="students" value={id} />{/each}
			<select name="to" required aria-label="Where to" bind:value={to}>
				<option value="" disabled>Move to …</option>
				<optgroup label="Another class">
					{#each data.others as { id, name } (id)}<option value={String(id)}>{name}</option>{/each}
				</optgroup>
				{#if data.sections.length}
					<optgroup label="A section, beside this class">
						{#each data.sections as { id, name } (id)}<option value={String(id)}>{name}</option>{/each}
					</optgroup>
				{/if}
			</select>
			<label>from <input name="on" type="date" required min={data.today} bind:value={on} /></label>
			<button>{intoSection ? 'Add' : 'Move'} {plural(selected.length, 'student')}</button>
		</form>
		<ActionButton
			action="?/move"
			fields={{ students: selected.map(({ id }) => id), to: '', on }}
			label="{selected.length === 1 ? 'Leaves' : 'They leave'} the school from that day"
			>{selected.length === 1 ? 'Leaves' : 'They leave'} the school</ActionButton
		>
		<button onclick={() => (isSaying = true)}>Say of them …</button>
		<button class="plain" onclick={() => (chosen = [])}>Clear</button>
	</ActionBar>
{/if}

{#if editing}
	<Dialog title="Change {shown(editing)}" onclose={() => (editing = null)}>
		<StudentRecordForm student={editing} {problem} ondone={() => (editing = null)} />
	</Dialog>
{/if}
{#if isSaying}
	<Dialog title="Said of {plural(selected.length, 'student')}" onclose={() => (isSaying = false)}>
		<SayOfForm students={selected} known={data.said} {problem} ondone={() => (isSaying = false)} />
	</Dialog>
{/if}
<Notice outcome={form} />

<style>
	.forms {
		display: grid;
		gap: 10px;
		margin: 12px 0;
	}
</style>
