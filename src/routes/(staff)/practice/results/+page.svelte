<script lang="ts">
	import { sayDate } from '$lib/core/calendar';
	import PracticeViews from '$lib/ui/practice/PracticeViews.svelte';
	import FailedOften from '$lib/ui/results/FailedOften.svelte';
	import TakeOut from '$lib/ui/results/TakeOut.svelte';
	import ThroughGrid from '$lib/ui/results/ThroughGrid.svelte';
	import { setState } from '$lib/ui/shell/address';
	import Pager from '$lib/ui/table/Pager.svelte';

	let { data } = $props();
	const results = $derived(data.results);
	const isBySkill = $derived(results.by === 'skill');
	const columns = $derived(
		isBySkill
			? results.skills.map(({ id, name, code }) => ({ key: id, name, more: code }))
			: results.sets.map(({ id, name, on }) => ({ key: id, name, more: sayDate(on), path: `/practice/${id}/results` }))
	);
	const rows = $derived(
		results.rows.map(({ id, name, className, skills, sets }) => ({
			...{ id, name, className },
			cells: isBySkill ? skills : sets
		}))
	);
</script>

<svelte:head><title>Results · Practice · Orderly Compass</title></svelte:head>

<div class="page-head">
	<h1>Practice in {data.scope.inWords}</h1>
	<span class="soft">Right at the first try, in sets begun since {sayDate(results.from)}.</span>
</div>
<PracticeViews />
<p class="one-line no-print">
	<label
		>By <select value={results.by} onchange={(event) => setState({ by: event.currentTarget.value })}>
			<option value="skill">skill, first to last</option>
			<option value="date">set and date</option>
		</select></label
	>
	<label
		>Since <select
			value={results.period}
			onchange={(event) => setState({ period: event.currentTarget.value, students: null })}
		>
			<option value="cycle">the cycle began</option>
			<option value="28">four weeks ago</option>
			<option value="120">four months ago</option>
		</select></label
	>
	<span class="soft">▾ under the line of its set</span>
</p>
{#if results.failed.length}<FailedOften failed={results.failed} canAssign={data.can.practice} />{/if}
{#if rows.length === 0}
	<p>Nobody is in this scope.</p>
{:else if columns.length === 0}
	<p>None of these {rows.length} students has begun a set since {sayDate(results.from)}.</p>
{:else}
	<ThroughGrid says={isBySkill ? 'Students by skills' : 'Students by sets'} {columns} {rows} />
{/if}
{#if columns.length}
	<TakeOut
		path="/practice/results"
		state={{ by: results.by, period: results.period, students: results.part.from || null }}
		hasTable
		whose={results.part.total > rows.length ? ` of these ${rows.length} students` : ''}
	/>
{/if}
<Pager from={results.part.from} most={results.part.most} total={results.part.total} name="students" />
