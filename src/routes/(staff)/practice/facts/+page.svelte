<script lang="ts">
	import { sayDate } from '$lib/core/calendar';
	import { fluentMs, OPERATION_NAMES, OPERATIONS } from '$lib/core/fluency';
	import { fullName, number } from '$lib/core/words';
	import PracticeViews from '$lib/ui/practice/PracticeViews.svelte';
	import { setState } from '$lib/ui/shell/address';
	import FactGrid from '$lib/ui/sitting/FactGrid.svelte';
	import { Rows } from '$lib/ui/table/rows.svelte';
	import StudentTable from '$lib/ui/table/StudentTable.svelte';

	let { data } = $props();
	const rows = new Rows(() => ({ ids: data.ids, first: data.rows }));
</script>

<svelte:head><title>Facts · Practice · Orderly Compass</title></svelte:head>

<div class="page-head">
	<h1>Facts in {data.scope.inWords}</h1>
	<span class="soft">By heart: right and in time in three of the last four tries, of a hundred facts.</span>
</div>
<PracticeViews />

<p class="show no-print">
	<label
		>Facts of <select value={data.operation} onchange={({ currentTarget: { value } }) => setState({ facts: value })}>
			{#each OPERATIONS as operation (operation)}<option value={operation}>{OPERATION_NAMES[operation]}</option>{/each}
		</select></label
	>
</p>

{#if data.chosen}
	<div class="chosen">
		<h2>{fullName(data.chosen)}: {OPERATION_NAMES[data.operation]}</h2>
		<p class="soft">
			In time is within {number(fluentMs(data.chosen.grade) / 1_000, 1)} s in grade {data.chosen.grade}, finding the
			digits included; these times are ours. Pauses over 10 s are left out.
		</p>
		<FactGrid
			operation={data.operation}
			states={data.chosen.states}
			caption="{fullName(data.chosen)}: {OPERATION_NAMES[data.operation]}"
		/>
	</div>
{/if}

{#key data.operation}
	<StudentTable
		{rows}
		says="Facts"
		columns={[
			{ label: 'Class' },
			{ label: 'By heart', isNumber: true },
			{ label: 'Slow', isNumber: true },
			{ label: 'Not yet', isNumber: true },
			{ label: 'New in 7 days', isNumber: true, title: 'Facts by heart now that were not seven days ago' },
			{ label: 'Seconds', isNumber: true, title: 'Middle time of the last fifty right answers' },
			{ label: 'Last run' }
		]}
	>
		{#snippet cells(row)}
			<td class="soft">{row.className}</td>
			<td class="number">{row.lastOn ? row.fluent : ''}</td>
			<td class="number">{row.slow || ''}</td>
			<td class="number">{row.notYet || ''}</td>
			<td class="number">{row.gained || ''}</td>
			<td class="number">{row.seconds === null ? '' : number(row.seconds, 1)}</td>
			<td>{row.lastOn ? `${sayDate(row.lastOn)}${row.hasStopped ? ', has stopped' : ''}` : 'none yet'}</td>
		{/snippet}
		{#snippet empty()}Nobody is in this scope.{/snippet}
	</StudentTable>
{/key}

<style>
	.show {
		margin: 4px 0 8px;
	}
	.chosen {
		margin: 8px 0 18px;
	}
	h2 {
		margin-bottom: 4px;
	}
	.chosen .soft {
		margin-bottom: 8px;
	}
</style>
