<script lang="ts">
	import { enhance } from '$app/forms';
	import { plural } from '$lib/core/words';
	import TierBars from '$lib/ui/glyphs/TierBars.svelte';
	import SetupViews from '$lib/ui/setup/SetupViews.svelte';
	import ActionBar from '$lib/ui/shell/ActionBar.svelte';
	import { withState } from '$lib/ui/shell/address';
	import Notice from '$lib/ui/shell/Notice.svelte';
	import Pager from '$lib/ui/table/Pager.svelte';
	import SelectShown from '$lib/ui/table/SelectShown.svelte';
	import Table from '$lib/ui/table/Table.svelte';

	let { data, form } = $props();
	let chosen = $state<number[]>([]);
	const selected = $derived(data.students.filter(({ id }) => chosen.includes(id)));
</script>

<svelte:head><title>Caseload · Orderly Compass</title></svelte:head>

{#if data.can.setUp}<SetupViews />{/if}
<h1>Who is responsible for whom</h1>
<p class="soft">
	{plural(data.size, 'student')} of {data.scope.inWords}
	{data.size === 1 ? 'is' : 'are'} in tier 2 or 3. <em>My caseload</em> follows this list; those for whom nobody is responsible
	are in every specialist’s.
</p>
<p class="one-line">
	<a href={withState({ whose: null, from: null })} aria-current={data.whose === null ? 'true' : undefined}
		>All {data.size}</a
	>
	<a href={withState({ whose: 'nobody', from: null })} aria-current={data.whose === 'nobody' ? 'true' : undefined}
		>Nobody’s: {data.nobodys}</a
	>
	{#each data.people as { id, displayName, students } (id)}
		<a href={withState({ whose: id, from: null })} aria-current={data.whose === id ? 'true' : undefined}
			>{displayName}: {students}</a
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
	rows={data.students}
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
	{#snippet empty()}{data.size
			? 'Nobody is in this part of the list.'
			: 'Nobody in this scope is in tier 2 or 3.'}{/snippet}
</Table>
<Pager {...data.part} name="from" />
<SelectShown ids={data.students.map(({ id }) => id)} bind:chosen />

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
