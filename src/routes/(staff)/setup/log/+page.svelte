<script lang="ts">
	import { sayInstant } from '$lib/core/calendar';
	import { plural } from '$lib/core/words';
	import type { FoundStudent } from '$lib/ui/form/foundStudent';
	import StudentPicker from '$lib/ui/form/StudentPicker.svelte';
	import SetupViews from '$lib/ui/setup/SetupViews.svelte';
	import { setState, withState } from '$lib/ui/shell/address';
	import Pager from '$lib/ui/table/Pager.svelte';
	import Table from '$lib/ui/table/Table.svelte';

	let { data } = $props();
	let picked = $state<FoundStudent | null>(null);
	$effect(() => {
		if (picked && picked.id !== data.studentId) setState({ about: picked.id, from: null }, false);
	});
	/** Changes what is asked for, and begins with its newest. */
	const ask = (changes: Record<string, string | null>) => setState({ ...changes, from: null }, false);
	const isNarrowed = $derived(
		data.accountId !== null ||
			data.action !== null ||
			data.studentId !== null ||
			data.since !== null ||
			data.to !== null
	);
</script>

<svelte:head><title>Who did what · Orderly Compass</title></svelte:head>

<SetupViews />
<div class="page-head">
	<h1>Who did what</h1>
	<span class="soft">{plural(data.total, 'entry', 'entries')}{isNarrowed ? ' of these' : ''}, the newest first</span>
	{#if isNarrowed}<a href={withState({ by: null, action: null, about: null, since: null, to: null, from: null })}
			>All of them</a
		>{/if}
</div>
<div class="one-line filters no-print">
	<label
		>Who
		<select onchange={(event) => ask({ by: event.currentTarget.value || null })}>
			<option value="">anybody</option>
			{#each data.people as { id, displayName } (id)}<option value={id} selected={id === data.accountId}
					>{displayName}</option
				>{/each}
		</select></label
	>
	<label
		>Did
		<select onchange={(event) => ask({ action: event.currentTarget.value || null })}>
			<option value="">anything</option>
			{#each data.actions as action (action)}<option value={action} selected={action === data.action}>{action}</option
				>{/each}
		</select></label
	>
	<span class="one-line"
		>About {#if data.about}<strong>{data.about}</strong>
			<a href={withState({ about: null, from: null })} onclick={() => (picked = null)}>anybody</a>{:else}<StudentPicker
				label="About which student"
				bind:chosen={picked}
			/>{/if}</span
	>
	<label
		>from <input
			type="date"
			value={data.since ?? ''}
			onchange={(event) => ask({ since: event.currentTarget.value || null })}
		/></label
	>
	<label
		>to <input
			type="date"
			value={data.to ?? ''}
			onchange={(event) => ask({ to: event.currentTarget.value || null })}
		/></label
	>
</div>

<Table
	says="Who did what"
	columns={[{ label: 'When' }, { label: 'Who' }, { label: 'Did' }, { label: 'About' }, { label: 'What' }]}
	rows={data.deeds}
	key={({ id }) => id}
	airy
>
	{#snippet cells(deed)}
		<td class="when">{sayInstant(deed.at, data.school.timeZone)}</td>
		<td class="when">{deed.by ?? 'the program'}</td>
		<th scope="row">{deed.action}</th>
		<td>{deed.names ?? ''}{deed.students > 3 ? ` and ${deed.students - 3} more` : ''}</td>
		<td>
			{#each deed.lines as { name, before, value } (name)}
				<div>
					<span class="soft">{name}</span>
					{#if before !== undefined}{before} → {value}{:else}{value}{/if}
				</div>
			{/each}
		</td>
	{/snippet}
	{#snippet empty()}{isNarrowed ? 'Nothing like that was done.' : 'Nothing was done yet.'}{/snippet}
</Table>
<Pager from={data.part.from} most={data.part.most} total={data.total} name="from" />

<style>
	.filters {
		margin: 8px 0 12px;
	}
	.when {
		white-space: nowrap;
	}
	td,
	th {
		vertical-align: baseline;
		overflow-wrap: anywhere;
	}
</style>
