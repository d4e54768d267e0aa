<script lang="ts">
	import { enhance } from '$app/forms';
	import { sayDate } from '$lib/core/calendar';
	import { plural, sayGrade } from '$lib/core/words';
	import ActionButton from '$lib/ui/form/ActionButton.svelte';
	import SetupViews from '$lib/ui/setup/SetupViews.svelte';
	import Notice from '$lib/ui/shell/Notice.svelte';
	import Table from '$lib/ui/table/Table.svelte';
	import { keepingScope } from '$lib/ui/shell/address';

	let { data, form } = $props();
	type Class = (typeof data.classes)[number];
	const hasEnded = ({ endedOn }: Class) => endedOn !== null && endedOn <= data.today;
	let areSections = $state(false);
	const going = $derived(data.classes.filter((one) => !hasEnded(one)));
	const students = $derived(going.reduce((sum, one) => sum + one.students, 0));
</script>

<svelte:head><title>Classes · Orderly Compass</title></svelte:head>

<SetupViews />
<div class="page-head">
	<h1>Classes</h1>
	<span class="soft">{plural(going.length, 'class', 'classes')}, {plural(students, 'student')}</span>
</div>

<Table
	says="Classes"
	columns={[
		{ label: 'Class' },
		{ label: 'Grade' },
		{ label: 'Adults' },
		{ label: 'Students', isNumber: true },
		{ label: 'Without PIN', isNumber: true },
		{ label: 'Code' },
		{ label: 'What can be done', isSilent: true }
	]}
	rows={data.classes}
	key={({ id }) => id}
	attributes={(one) => ({ class: { soft: hasEnded(one) } })}
	airy
>
	{#snippet cells(one)}
		<th scope="row"><a href={keepingScope(`/setup/classes/${one.id}`)}>{one.name}</a></th>
		<td>{sayGrade(one.grade)}{data.grades.includes(one.grade) ? '' : ', not screened: no skills'}</td>
		<td>{one.adults.map(({ name }) => name).join(', ') || '–'}</td>
		<td class="number">{one.students}</td>
		<td class="number">{one.withoutPin}</td>
		<td><code>{one.code}</code></td>
		<td>
			<span class="one-line">
				{#if hasEnded(one)}
					<span>ended {sayDate(one.endedOn!)}</span>
					<ActionButton action="?/end" fields={{ class: one.id, on: '' }} label="Let {one.name} go on" look="small"
						>Let it go on</ActionButton
					>
				{:else}
					<a href={keepingScope('/setup/add', { into: one.name })}
						>Add students<span class="visually-hidden"> to {one.name}</span></a
					>
					{#if one.students === 0}
						<ActionButton action="?/end" fields={{ class: one.id, on: data.today }} label="End {one.name}" look="small"
							>End</ActionButton
						>
					{/if}
				{/if}
			</span>
		</td>
	{/snippet}
	{#snippet empty()}There is no class yet. Students come into classes.{/snippet}
</Table>

{#if data.sections.length}
	<h2 class="sections">Sections, beside the classes</h2>
	<Table
		says="Sections"
		columns={[
			{ label: 'Section' },
			{ label: 'Grade' },
			{ label: 'Adults' },
			{ label: 'Students', isNumber: true },
			{ label: 'Code' },
			{ label: 'What can be done', isSilent: true }
		]}
		rows={data.sections}
		key={({ id }) => id}
		attributes={(one) => ({ class: { soft: hasEnded(one) } })}
		airy
	>
		{#snippet cells(one)}
			<th scope="row"><a href={keepingScope(`/setup/sections/${one.id}`)}>{one.name}</a></th>
			<td>{sayGrade(one.grade)}</td>
			<td>{one.adults.map(({ name }) => name).join(', ') || '–'}</td>
			<td class="number">{hasEnded(one) ? '' : one.students}</td>
			<td><code>{one.code}</code></td>
			<td>
				<span class="one-line">
					{#if hasEnded(one)}<span>ended {sayDate(one.endedOn!)}</span>{/if}
					<ActionButton
						action="?/end"
						fields={{ class: one.id, on: hasEnded(one) ? '' : data.today }}
						label={hasEnded(one) ? `Let ${one.name} go on` : `End ${one.name}`}
						look="small">{hasEnded(one) ? 'Let it go on' : 'End'}</ActionButton
					>
				</span>
			</td>
		{/snippet}
	</Table>
{/if}

<form method="POST" action="?/add" use:enhance>
	<h2><label for="classes">Add classes, one a line: the name, then the grade</label></h2>
	<textarea id="classes" name="classes" rows="5" required maxlength="6000" aria-describedby="as"></textarea>
	<p id="as" class="soft">As “Avocet 4” or “Room 12, grade K”. Each gets a code by which its students find it.</p>
	<label
		><input type="checkbox" name="sections" value="true" bind:checked={areSections} /> These are sections: students are in
		them beside their class, as in a mathematics lab</label
	>
	<button class="primary">Add {areSections ? 'sections' : 'classes'}</button>
</form>
<Notice outcome={form} />

<style>
	.page-head {
		margin-bottom: 12px;
	}
	.sections {
		margin: 24px 0 8px;
	}
	form {
		display: grid;
		grid-template-columns: minmax(0, 1fr);
		gap: 8px;
		max-width: 28rem;
		margin-top: 24px;
	}
	form button {
		justify-self: start;
	}
</style>
