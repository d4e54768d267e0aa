<script lang="ts">
	import { sayInstant } from '$lib/core/calendar';
	import { plural } from '$lib/core/words';
	import ActionButton from '$lib/ui/form/ActionButton.svelte';
	import { KIND_NAMES } from '$lib/ui/materials/kindNames';
	import MaterialView from '$lib/ui/materials/MaterialView.svelte';
	import ActionBar from '$lib/ui/shell/ActionBar.svelte';
	import { keepingScope } from '$lib/ui/shell/address';
	import Notice from '$lib/ui/shell/Notice.svelte';
	import SelectShown from '$lib/ui/table/SelectShown.svelte';
	import Table from '$lib/ui/table/Table.svelte';

	let { data, form } = $props();
	const material = $derived(data.material);
	const isTask = $derived(material.kind === 'task');
	let chosen = $state<number[]>([]);
	const selected = $derived(data.students.filter(({ id }) => chosen.includes(id)));
	const open = $derived(selected.filter(({ seenAt }) => seenAt === null));
	const seen = $derived(selected.filter(({ seenAt }) => seenAt !== null));
	const theirs = $derived(selected.filter(({ isTheirs }) => isTheirs));
	const ids = (students: { id: number }[]) => ({ students: students.map(({ id }) => id).join(',') });
	const count = $derived(data.students.filter(({ seenAt }) => seenAt !== null).length);
</script>

<svelte:head><title>{material.title} · Practice · Orderly Compass</title></svelte:head>

<p class="no-print"><a href={keepingScope('/practice/given')}>All notes and files</a></p>
<div class="page-head">
	<h1>{material.title}</h1>
	<span class="soft"
		>{KIND_NAMES[material.kind]}, {isTask ? 'done with' : 'looked at by'}
		{count} of {plural(data.students.length, 'student')}</span
	>
</div>
<MaterialView {material} />

{#if data.students.length === 0}
	<p>Nobody has this any more.</p>
{/if}
<Table
	says="Students with this"
	columns={[
		data.can.practice && { label: 'Select', isSilent: true },
		{ label: 'Student' },
		{ label: 'Class' },
		{ label: isTask ? 'Done' : 'Looked at' }
	]}
	rows={data.students}
	key={({ id }) => id}
>
	{#snippet cells(student)}
		{#if data.can.practice}<td
				><input type="checkbox" value={student.id} bind:group={chosen} aria-label="Select {student.name}" /></td
			>{/if}
		<th scope="row"><a href={keepingScope(`/students/${student.id}`)}>{student.name}</a></th>
		<td>{student.className}</td>
		<td>{student.seenAt ? sayInstant(student.seenAt, data.school.timeZone) : 'not yet'}</td>
	{/snippet}
</Table>
{#if data.can.practice}<SelectShown ids={data.students.map(({ id }) => id)} bind:chosen />{/if}

{#if selected.length}
	<ActionBar says="{plural(selected.length, 'student')} selected">
		{#if isTask && open.length}<ActionButton action="?/done" fields={ids(open)} look="primary"
				>Done with {plural(open.length, 'student')}</ActionButton
			>{/if}
		{#if isTask && seen.length}<ActionButton action="?/notDone" fields={ids(seen)}
				>Still to do with {plural(seen.length, 'student')}</ActionButton
			>{/if}
		{#if theirs.length}<ActionButton action="?/take" fields={ids(theirs)}
				>Take it back from {plural(theirs.length, 'student')}</ActionButton
			>{/if}
		<button class="plain" onclick={() => (chosen = [])}>Clear</button>
	</ActionBar>
{/if}
<Notice outcome={form} />
