<script lang="ts">
	import { sayDate, sayDayAt } from '$lib/core/calendar';
	import PracticeViews from '$lib/ui/practice/PracticeViews.svelte';
	import SetFilters from '$lib/ui/practice/SetFilters.svelte';
	import { keepingScope, setState } from '$lib/ui/shell/address';
	import Pager from '$lib/ui/table/Pager.svelte';
	import Table from '$lib/ui/table/Table.svelte';

	let { data } = $props();
	/** A row a set; a student without any has one, too. */
	const rows = $derived(
		data.students.flatMap(({ sets, ...student }) =>
			(sets.length ? sets : [null]).map((set, i) => ({ student, isFirst: i === 0, set }))
		)
	);
</script>

<svelte:head><title>By student · Practice · Orderly Compass</title></svelte:head>

<div class="page-head">
	<h1>Practice in {data.scope.inWords}</h1>
	<span class="soft">What each student was given, the newest first.</span>
</div>
<PracticeViews />
<div class="one-line filters no-print">
	<label
		>Due in the last <select value={data.period} onchange={(event) => setState({ days: event.currentTarget.value })}>
			{#each data.periods as days (days)}<option value={days}>{days} days</option>{/each}
		</select> or later</label
	>
	<SetFilters asked={data.asked} choices={data.choices} />
</div>

{#if rows.length === 0}
	<p>Nobody is in this scope.</p>
{:else}
	<Table
		says="Sets by student"
		columns={[
			{ label: 'Student' },
			{ label: 'Set' },
			{ label: 'Opens' },
			{ label: 'Due' },
			{ label: 'How far' },
			{ label: 'Right at the first try' },
			{ label: 'Assigned by' }
		]}
		{rows}
		key={({ student, set }) => `${student.id} ${set?.id ?? ''}`}
		attributes={({ isFirst }) => ({ class: { begins: isFirst } })}
	>
		{#snippet cells({ student, isFirst, set })}
			<th scope="row"
				>{#if isFirst}<a href={keepingScope(`/students/${student.id}`)}>{student.name}</a>
					<span class="soft">{student.className}</span>{:else}<span class="visually-hidden">{student.name}</span
					>{/if}</th
			>
			{#if set}
				<td><a href={keepingScope(`/practice/${set.id}`)}>{set.title}</a></td>
				<td>{sayDate(set.opensOn)}</td>
				<td>{set.dueOn ? sayDayAt(set.dueOn, set.dueMinute) : 'never'}</td>
				<td>{set.state}{set.state.startsWith('under way') ? `, ${set.answered} of ${set.itemCount} answered` : ''}</td>
				<td>{set.answered && !set.doneOnly ? `${set.right} of ${set.answered}` : ''}</td>
				<td class="soft">{set.createdBy}</td>
			{:else}
				<td colspan="6" class="soft">nothing in these days</td>
			{/if}
		{/snippet}
	</Table>
{/if}
<Pager {...data.part} name="students" />

<style>
	.filters {
		margin-bottom: 8px;
	}
</style>
