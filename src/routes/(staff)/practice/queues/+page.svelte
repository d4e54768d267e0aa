<script lang="ts">
	import { sayDate } from '$lib/core/calendar';
	import { plural } from '$lib/core/words';
	import PracticeViews from '$lib/ui/practice/PracticeViews.svelte';
	import AssignLinks from '$lib/ui/practice/AssignLinks.svelte';
	import ActionBar from '$lib/ui/shell/ActionBar.svelte';
	import { keepingScope, setState } from '$lib/ui/shell/address';
	import { Rows } from '$lib/ui/table/rows.svelte';
	import StudentTable from '$lib/ui/table/StudentTable.svelte';

	let { data } = $props();
	const rows = new Rows(() => ({ ids: data.ids, first: data.rows }));
	let selected = $state<number[]>([]);
	const inScope = $derived.by(() => {
		const there = new Set<number>(data.ids);
		return selected.filter((id) => there.has(id));
	});
	const to = (more: Record<string, string | null>) => keepingScope('/practice/new', { student: null, ...more });
	const sayClear = ({ pressing, all }: { pressing: number; all: number }) =>
		pressing
			? `${plural(pressing, 'student has', 'students have')} nothing to do though gaps are open, in tiers 2 and 3 or below the line${all > pressing ? `, and ${all - pressing} others` : ''}.`
			: `${plural(all, 'student has', 'students have')} nothing to do though gaps are open, nobody in tiers 2 and 3 or below the line.`;
	const SHOWN = {
		waiting: 'with work waiting',
		late: 'with late work',
		clear: 'clear queue with open gaps: tiers 2 and 3 and below the line',
		'clear-all': 'clear queue with open gaps: everybody'
	};
	const EMPTY = {
		waiting: 'Nobody here has work waiting.',
		late: 'Nobody here has late work.',
		clear: 'Nobody here in tiers 2 and 3 or below the line has a clear queue and open gaps.',
		'clear-all': 'Nobody here has a clear queue and open gaps.'
	};
</script>

<svelte:head><title>Queues · Practice · Orderly Compass</title></svelte:head>

<div class="page-head">
	<h1>Queues in {data.scope.inWords}</h1>
	<span class="soft">What waits for each student, who has most open gaps first.</span>
</div>
<PracticeViews />

<p class="show no-print">
	<label
		>Show <select
			value={data.show ?? 'all'}
			onchange={({ currentTarget: { value } }) => setState({ queue: value === 'all' ? null : value })}
		>
			<option value="all">everyone</option>
			{#each Object.entries(SHOWN) as [value, says] (value)}<option {value}>{says}</option>{/each}
		</select></label
	>
</p>
{#if data.clear.all}
	<p class="attention">
		{sayClear(data.clear)}
		{#if data.can.practice}
			{#if data.clear.pressing}<a href={to({ for: 'clear', own: 'yes' })}>Give each their own next step</a>{/if}
			{#if data.clear.all > data.clear.pressing}<a href={to({ for: 'clear-all', own: 'yes' })}
					>Give all {data.clear.all} theirs</a
				>{/if}
		{/if}
	</p>
{/if}

<StudentTable
	{rows}
	says="Queues"
	bind:selected
	columns={[
		{ label: 'Class' },
		{ label: 'Waiting' },
		{ label: 'About', isNumber: true },
		{ label: 'Late', isNumber: true },
		{ label: 'Not begun', isNumber: true },
		{ label: 'Last worked' },
		{ label: 'Active this week', isNumber: true },
		{ label: 'Open gaps', isNumber: true }
	]}
>
	{#snippet cells(row)}
		<td class="soft">{row.className}</td>
		<td>{row.waiting ? plural(row.waiting, 'set') : 'clear queue'}</td>
		<td class="number"
			>{row.waiting ? `${row.minutes} min` : ''}{row.isMuch
				? `, much: ${row.isMuch === 'a lesson' ? 'a lesson or more' : 'over twice the group’s usual'}`
				: ''}</td
		>
		<td class="number">{row.late || ''}</td>
		<td class="number">{row.notBegun || ''}</td>
		<td>{row.lastOn ? sayDate(row.lastOn) : 'never'}</td>
		<td class="number">{row.activeMinutes ? `${row.activeMinutes} min` : ''}</td>
		<td class="number">{row.gaps || 'none seen'}</td>
	{/snippet}
	{#snippet empty()}
		{data.show ? EMPTY[data.show] : 'Nobody is in this scope.'}
	{/snippet}
</StudentTable>

{#if inScope.length && data.can.practice}
	<ActionBar says="{plural(inScope.length, 'student')} selected">
		<AssignLinks ids={inScope} />
		<button class="plain" onclick={() => (selected = [])}>Clear</button>
	</ActionBar>
{/if}

<style>
	.show {
		margin: 4px 0 8px;
	}
	.attention {
		margin-bottom: 10px;
	}
</style>
