<script lang="ts">
	import { enhance } from '$app/forms';
	import { OPERATION_NAMES, OPERATIONS, usualOperations, type Operation } from '$lib/core/fluency';
	import { MOST_REVIEW_MINUTES, tellHabits } from '$lib/core/practice';
	import PracticeViews from '$lib/ui/practice/PracticeViews.svelte';
	import Notice from '$lib/ui/shell/Notice.svelte';
	import Table from '$lib/ui/table/Table.svelte';

	let { data, form } = $props();

	type Row = (typeof data.classes)[number];
	/** Changes that are not saved yet, by class. */
	let changed = $state<Record<number, Partial<Row>>>({});
	const rows = $derived(data.classes.map((row) => ({ ...row, ...changed[row.classId] })));
	const change = (row: Row, what: Partial<Row>) => (changed[row.classId] = { ...changed[row.classId], ...what });
	const told = $derived(rows.filter(({ classId }) => changed[classId]).map((row) => tellHabits(row.classId, row)));
	const sayFacts = (operations: Operation[]) => operations.map((one) => OPERATION_NAMES[one]).join(', ');
	/** The grade's, each alone, and all pairs that belong together. */
	const CHOICES: Operation[][] = [
		...OPERATIONS.map((one) => [one]),
		['add', 'take'],
		['times', 'divide'],
		[...OPERATIONS]
	];
	const minutes = Array.from({ length: MOST_REVIEW_MINUTES + 1 }, (_, i) => i);
</script>

<svelte:head><title>On their own · Practice · Orderly Compass</title></svelte:head>

<div class="page-head">
	<h1>What students do on their own</h1>
	<span class="soft">Beside what they are given, by class. All of it counts as evidence and as minutes.</span>
</div>
<PracticeViews />

<form
	method="POST"
	action="?/set"
	use:enhance={() =>
		({ result, update }) => {
			if (result.type === 'success') changed = {};
			return update({ reset: false });
		}}
>
	{#each told as one (one)}<input type="hidden" name="told" value={one} />{/each}
	<Table
		says="What students do on their own"
		airy
		columns={[
			{ label: 'Class' },
			{
				label: 'A few from before',
				title: 'Questions on what was once secure, most at risk first: at most so many minutes a day'
			},
			{ label: 'Own choice', title: 'Three proposals of what is ready next, and what they can do already' },
			{ label: 'Given work first', title: 'Own choice only once nothing that was given waits' },
			{ label: 'Facts' },
			{ label: 'In the last seven days' }
		]}
		{rows}
		key={({ classId }) => classId}
	>
		{#snippet cells(row)}
			<th scope="row">{row.name}</th>
			<td
				><select
					aria-label="A few from before, {row.name}"
					value={row.reviewMinutes}
					onchange={({ currentTarget }) => change(row, { reviewMinutes: Number(currentTarget.value) })}
				>
					{#each minutes as minute (minute)}<option value={minute}>{minute ? `${minute} min a day` : 'off'}</option
						>{/each}
				</select></td
			>
			<td
				><label
					><input
						type="checkbox"
						checked={row.freePractice}
						onchange={({ currentTarget }) => change(row, { freePractice: currentTarget.checked })}
					/><span class="visually-hidden">Own choice, {row.name}</span></label
				></td
			>
			<td
				><label
					><input
						type="checkbox"
						checked={row.givenFirst}
						disabled={!row.freePractice}
						onchange={({ currentTarget }) => change(row, { givenFirst: currentTarget.checked })}
					/><span class="visually-hidden">Given work first, {row.name}</span></label
				></td
			>
			<td class="facts"
				><select
					aria-label="Minutes of facts, {row.name}"
					value={row.factMinutes}
					onchange={({ currentTarget }) => change(row, { factMinutes: Number(currentTarget.value) })}
				>
					<option value={0}>off</option>
					<option value={1}>1 min</option>
					<option value={2}>2 min</option>
				</select>
				{#if row.factMinutes}
					<select
						aria-label="Which facts, {row.name}"
						value={row.factOperations?.join(',') ?? 'usual'}
						onchange={({ currentTarget: { value } }) =>
							change(row, { factOperations: value === 'usual' ? null : (value.split(',') as Operation[]) })}
					>
						<option value="usual">usual in grade {row.grade}: {sayFacts(usualOperations(row.grade))}</option>
						{#each CHOICES as choice (choice.join(','))}<option value={choice.join(',')}>{sayFacts(choice)}</option
							>{/each}
					</select>
				{/if}</td
			>
			<td class="soft"
				>of {row.lately.students}: {row.lately.review} from before, {row.lately.free} own choice, {row.lately.facts} facts</td
			>
		{/snippet}
		{#snippet empty()}You have no class here.{/snippet}
	</Table>
	<p class="end">
		<button class="primary" disabled={!told.length}
			>{told.length ? `Save for ${told.length === 1 ? 'one class' : `${told.length} classes`}` : 'Save'}</button
		>
		{#if told.length}<button type="button" class="plain" onclick={() => (changed = {})}>As it was</button>{/if}
	</p>
</form>
<Notice outcome={form} />

<style>
	.facts {
		white-space: nowrap;
	}
	.end {
		display: flex;
		gap: 12px;
		margin-top: 12px;
	}
	td label {
		display: inline-flex;
		align-items: center;
		min-height: 28px;
		min-width: 28px;
	}
</style>
