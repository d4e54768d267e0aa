<script lang="ts">
	import Pager from '$lib/ui/table/Pager.svelte';
	import Table from '$lib/ui/table/Table.svelte';
	import { fullName, plural } from '$lib/core/words';
	import { keepingScope } from '$lib/ui/shell/address';
	import { sayDate } from '$lib/core/calendar';

	let { data } = $props();
</script>

<svelte:head><title>Reminders · Orderly Compass</title></svelte:head>

<div class="no-print">
	<p><a href={keepingScope('/screen/sittings', { window: data.window.id })}>Back to the sittings</a></p>
	<h1>Reminders: {data.window.name}</h1>
	{#if data.total}
		<p>
			{plural(data.total, 'student is', 'students are')} still to finish, in {plural(data.sheets, 'class', 'classes')}.
			Each class prints on a sheet of its own, for its teacher. Teachers see the same on their own Screen page.
		</p>
		<p>
			<button class="primary" onclick={() => print()}
				>Print {data.classes.length < data.sheets ? 'these ' : ''}{plural(data.classes.length, 'sheet')}</button
			>
		</p>
		<Pager {...data.part} total={data.sheets} name="sheets" />
	{:else}
		<p>Everybody in {data.scope.inWords} has finished or is excused. There is nobody to remind.</p>
	{/if}
</div>

{#each data.classes as { id, name, grade, code, students } (id)}
	<section>
		<h2>{name} <span class="soft">grade {grade}</span></h2>
		<p>
			Still to finish in {data.window.name}: {students.length}. Last day {sayDate(data.window.closesOn)}.
			{#if data.window.measure}It is given to one student at a time: on Screen, under Sittings, “Give”.{:else}Students
				sign in with the class code <strong>{code}</strong> and go on where they stopped.{/if}
		</p>
		<Table
			says="Students of {name}"
			columns={[{ label: 'Student' }, { label: 'Status' }, { label: 'Day and time' }]}
			rows={students}
			key={({ id }) => id}
			airy
		>
			{#snippet cells(student)}
				<th scope="row">{fullName(student)}</th>
				<td
					>{student.status}{student.answered ? `, ${student.answered} answered` : ''}{student.makeUpUntil
						? `, until ${sayDate(student.makeUpUntil)}`
						: ''}</td
				>
				<td class="blank"></td>
			{/snippet}
		</Table>
	</section>
{/each}

<style>
	section {
		background: var(--sheet);
		border: 1px solid var(--rule);
		padding: 14px 18px;
		margin-top: 14px;
		max-width: 720px;
		break-inside: avoid;
		break-after: page;
	}
	section p {
		margin: 6px 0 10px;
	}
	.blank {
		border-bottom: 1px solid var(--rule-strong);
		width: 30%;
	}
	.no-print {
		display: grid;
		gap: 8px;
	}
	@media print {
		section {
			border: 0;
		}
	}
</style>
