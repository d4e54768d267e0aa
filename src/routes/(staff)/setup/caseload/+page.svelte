<script lang="ts">
	import { enhance } from '$app/forms';
	import { plural } from '$lib/core/words';
	import TierBars from '$lib/ui/glyphs/TierBars.svelte';
	import SetupViews from '$lib/ui/setup/SetupViews.svelte';
	import ActionBar from '$lib/ui/shell/ActionBar.svelte';
	import { withState } from '$lib/ui/shell/address';
	import Notice from '$lib/ui/shell/Notice.svelte';
	import Table from '$lib/ui/table/Table.svelte';
	import { page } from '$app/state';

	let { data, form } = $props();
	/** Whose are shown: `nobody`, or an id; all without. */
	const whose = $derived(page.url.searchParams.get('whose'));
	const nobodys = $derived(data.students.filter(({ responsible }) => responsible === null));
	const counts = $derived(
		data.people.map((person) => ({
			...person,
			count: data.students.filter(({ responsible }) => responsible?.id === person.id).length
		}))
	);
	const shown = $derived(
		whose === 'nobody'
			? nobodys
			: whose
				? data.students.filter(({ responsible }) => String(responsible?.id) === whose)
				: data.students
	);
	let chosen = $state<number[]>([]);
	const selected = $derived(shown.filter(({ id }) => chosen.includes(id)));
	const isAll = $derived(shown.length > 0 && selected.length === shown.length);
</script>

<svelte:head><title>Caseload · Orderly Compass</title></svelte:head>

{#if data.can.setUp}<SetupViews />{/if}
<h1>Who is responsible for whom</h1>
<p class="soft">
	{plural(data.students.length, 'student')} of {data.scope.inWords}
	{data.students.length === 1 ? 'is' : 'are'} in tier 2 or 3. <em>My caseload</em> follows this list; those for whom nobody
	is responsible are in every specialist’s.
</p>
<p class="one-line">
	<a href={withState({ whose: null })} aria-current={whose ? undefined : 'true'}>All {data.students.length}</a>
	<a href={withState({ whose: 'nobody' })} aria-current={whose === 'nobody' ? 'true' : undefined}
		>Nobody’s: {nobodys.length}</a
	>
	{#each counts as { id, displayName, count } (id)}
		<a href={withState({ whose: id })} aria-current={whose === String(id) ? 'true' : undefined}
			>{displayName}: {count}</a
		>
	{/each}
</p>

<Table
	says="Students in tiers 2 and 3"
	columns={[
		{ label: 'Select', isSilent: true },
		{ label: 'Student' },
		{ label: 'Class' },
		{ label: 'Tier' },
		{ label: 'Responsible' }
	]}
	rows={shown}
	key={({ id }) => id}
	attributes={({ id }) => ({ 'data-student': id })}
>
	{#snippet cells(student)}
		<td><input type="checkbox" value={student.id} bind:group={chosen} aria-label="Select {student.name}" /></td>
		<th scope="row"><a href={withState({ student: student.id })}>{student.name}</a></th>
		<td>{student.className}</td>
		<td><TierBars tier={student.tier} /></td>
		<td class:soft={!student.responsible}>{student.responsible?.name ?? 'nobody'}</td>
	{/snippet}
	{#snippet empty()}{data.students.length
			? 'Nobody is in this part of the list.'
			: 'Nobody in this scope is in tier 2 or 3.'}{/snippet}
</Table>
{#if shown.length}
	<p class="no-print">
		<button class="plain" onclick={() => (chosen = isAll ? [] : shown.map(({ id }) => id))}
			>{isAll ? 'Select nobody' : `Select the ${shown.length} shown`}</button
		>
	</p>
{/if}

{#if selected.length}
	<ActionBar says="{plural(selected.length, 'student')} selected">
		<form
			method="POST"
			action="?/set"
			class="one-line"
			use:enhance={() =>
				async ({ update }) => {
					await update();
					chosen = [];
				}}
		>
			{#each selected as { id } (id)}<input type="hidden" name="students" value={id} />{/each}
			<select name="account" aria-label="Who is responsible">
				{#each data.people as { id, displayName } (id)}<option value={id}>{displayName}</option>{/each}
				<option value="">Nobody</option>
			</select>
			<button class="primary">Responsible for {plural(selected.length, 'student')} from today</button>
		</form>
		<button class="plain" onclick={() => (chosen = [])}>Clear</button>
	</ActionBar>
{/if}
<Notice outcome={form} />

<style>
	.one-line {
		margin: 8px 0;
	}
	[aria-current] {
		color: var(--ink);
		font-weight: 650;
		text-decoration: none;
	}
</style>
