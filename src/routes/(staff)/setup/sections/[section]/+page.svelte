<script lang="ts">
	import { enhance } from '$app/forms';
	import { plural, sayGrade } from '$lib/core/words';
	import ClassForms from '$lib/ui/setup/ClassForms.svelte';
	import SetupViews from '$lib/ui/setup/SetupViews.svelte';
	import ActionBar from '$lib/ui/shell/ActionBar.svelte';
	import Notice from '$lib/ui/shell/Notice.svelte';
	import SelectShown from '$lib/ui/table/SelectShown.svelte';
	import Table from '$lib/ui/table/Table.svelte';
	import { keepingScope } from '$lib/ui/shell/address';

	let { data, form } = $props();
	type Student = (typeof data.students)[number];

	let chosen = $state<number[]>([]);
	const selected = $derived(data.students.filter(({ id }) => chosen.includes(id)));
	/** From when students join or leave. */
	let on = $derived(data.today);
	const hasEnded = $derived(data.own.endedOn !== null && data.own.endedOn <= data.today);
	/** What a student is known by. */
	const shown = ({ preferredName, givenName, familyName }: Student) => `${preferredName ?? givenName} ${familyName}`;
</script>

<svelte:head><title>{data.own.name} · Setup · Orderly Compass</title></svelte:head>

<SetupViews />
<div class="page-head">
	<h1>{data.own.name}</h1>
	<span class="soft"
		>section, {sayGrade(data.own.grade)}, {plural(data.students.length, 'student')}, code {data.own.code}</span
	>
	<a href={keepingScope('/groups/timetable')}>When it releases nobody</a>
	<a href={keepingScope('/setup/classes')}>All classes</a>
</div>

<div class="forms">
	<ClassForms own={data.own} people={data.people} noun="section" />
	{#if hasEnded}
		<p class="soft">This section has ended: nobody is in it any more.</p>
	{:else if data.classes.length}
		<form method="POST" action="?/joinClass" use:enhance class="one-line">
			<input type="hidden" name="section" value={data.own.id} />
			<label
				>Add everybody of
				<select name="class" required>
					<option value="" disabled selected>a class …</option>
					{#each data.classes as { id, name, size } (id)}<option value={id}>{name}, {size}</option>{/each}
				</select></label
			>
			<label>from <input name="on" type="date" required min={data.today} value={data.today} /></label>
			<button>Add them</button>
			<span class="soft">Single students: choose them on their class’s page.</span>
		</form>
	{/if}
</div>

<Table
	says="Students of {data.own.name}"
	columns={[
		{ label: 'Select', isSilent: true },
		{ label: 'Family name' },
		{ label: 'Given name' },
		{ label: 'Class' },
		{ label: 'Grade' },
		{ label: 'Number' }
	]}
	rows={data.students}
	key={({ id }) => id}
>
	{#snippet cells(student)}
		<td><input type="checkbox" value={student.id} bind:group={chosen} aria-label="Select {shown(student)}" /></td>
		<th scope="row">{student.familyName}</th>
		<td>{student.preferredName ?? student.givenName}</td>
		<td><a href={keepingScope(`/setup/classes/${student.classId}`)}>{student.className}</a></td>
		<td>{sayGrade(student.grade)}</td>
		<td>{student.number ?? ''}</td>
	{/snippet}
	{#snippet empty()}Nobody is in this section. Its students stay in their classes.{/snippet}
</Table>
<SelectShown ids={data.students.map(({ id }) => id)} bind:chosen />

{#if selected.length}
	<ActionBar says="{plural(selected.length, 'student')} selected">
		<form
			method="POST"
			action="?/leave"
			class="one-line"
			use:enhance={() =>
				async ({ update }) => {
					await update();
					chosen = [];
				}}
		>
			<input type="hidden" name="to" value={data.own.id} />
			{#each selected as { id } (id)}<input type="hidden" name="students" value={id} />{/each}
			<label>From <input name="on" type="date" required min={data.today} bind:value={on} /></label>
			<button>Take {plural(selected.length, 'student')} out of the section</button>
		</form>
		<button class="plain" onclick={() => (chosen = [])}>Clear</button>
	</ActionBar>
{/if}
<Notice outcome={form} />

<style>
	.forms {
		display: grid;
		gap: 10px;
		margin: 12px 0;
	}
</style>
