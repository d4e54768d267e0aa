<script lang="ts">
	import { page } from '$app/state';
	import { SCREENING_STATUSES } from '$lib/core/screening';
	import FlaggedSittings from '$lib/ui/screen/FlaggedSittings.svelte';
	import PlanWindow from '$lib/ui/screen/PlanWindow.svelte';
	import ResultsTable from '$lib/ui/screen/ResultsTable.svelte';
	import { arrangeRows, bandWords, pointsAxis } from '$lib/ui/screen/rows';
	import ActionBar from '$lib/ui/shell/ActionBar.svelte';
	import { keepingScope, setState } from '$lib/ui/shell/address';
	import { sayDate } from '$lib/ui/shell/dates';
	import Notice from '$lib/ui/shell/Notice.svelte';
	import { countBy } from '$lib/ui/table/countBy';

	let { data, form } = $props();

	let selected = $state<number[]>([]);
	let planning = $state(false);

	const sort = $derived(page.url.searchParams.get('sort') ?? 'overall');
	const status = $derived(page.url.searchParams.get('status') ?? 'all');
	const counts = $derived(countBy(data.rows, (row) => row.status));
	const flagged = $derived(data.rows.filter((row) => row.status === 'needs another look'));
	const inScope = $derived(selected.filter((id) => data.rows.some((row) => row.id === id)));
	const belowTheLine = $derived(data.rows.filter(({ overall, cut }) => overall && overall.points < cut));
</script>

<svelte:head><title>Screen · Orderly Compass</title></svelte:head>

{#if !data.window}
	<h1>Screen</h1>
	<p>
		No screening window is planned yet. Plan one to let students sit the diagnostic, or bring in scores from elsewhere.
	</p>
	{#if data.can.screen}<p class="row">
			<button class="primary" onclick={() => (planning = true)}>Plan a window</button>
		</p>{/if}
{:else}
	<div class="head">
		<h1>{data.window.name}</h1>
		<p class="soft">
			{sayDate(data.window.opensOn)} to {sayDate(data.window.closesOn)} · {data.formItems}-question diagnostic ·
			{data.rows.length} students: {#each counts as [name, list], i (name)}{i ? ', ' : ''}{list} {name}{/each}
		</p>
		<div class="tools">
			<label>
				Window
				<select onchange={(event) => setState({ window: event.currentTarget.value })}>
					{#each data.windows as window (window.id)}
						<option value={window.id} selected={window.id === data.window.id}>{window.name}</option>
					{/each}
				</select>
			</label>
			<label>
				Show
				<select
					onchange={(event) =>
						setState({ status: event.currentTarget.value === 'all' ? null : event.currentTarget.value })}
				>
					<option value="all">everyone</option>
					{#each SCREENING_STATUSES as name (name)}
						<option value={name} selected={status === name}>{name}</option>
					{/each}
					{#each Object.entries(bandWords) as [band, words] (band)}<option value={band} selected={status === band}
							>{words}</option
						>{/each}
				</select>
			</label>
			<button onclick={() => (selected = belowTheLine.map(({ id }) => id))}>Select all below the line</button>
			{#if data.can.screen}
				<a class="button" href={keepingScope('/screen/import', { window: data.window.id })}>Bring in scores</a>
				<button onclick={() => (planning = true)}>Plan a window</button>
			{/if}
		</div>
	</div>

	{#if flagged.length && data.can.screen}
		<FlaggedSittings rows={flagged} open={status === 'needs another look'} />
	{/if}

	<ResultsTable
		rows={arrangeRows(data.rows, sort, status)}
		domains={data.domains}
		axis={pointsAxis(data.rows)}
		{sort}
		show={bandWords[status as keyof typeof bandWords] ?? status}
		scopeLabel={data.scope.label}
		studentId={Number(page.url.searchParams.get('student'))}
		bind:selected
	/>
	{#if inScope.length}
		<ActionBar says="{inScope.length} {inScope.length === 1 ? 'student' : 'students'} selected">
			<a class="button" href={keepingScope('/gaps', { scope: `list:${inScope.join(',')}` })}>See their gaps</a>
			{#if data.can.group}<a class="button primary" href={keepingScope('/groups', { suggest: inScope.join(',') })}
					>Suggest groups</a
				>{/if}
			<button class="plain" onclick={() => (selected = [])}>Clear</button>
		</ActionBar>
	{/if}
{/if}

{#if planning}<PlanWindow school={data.school} onclose={() => (planning = false)} />{/if}
<Notice outcome={form} />

<style>
	.head {
		display: grid;
		gap: 6px;
		margin-bottom: 12px;
	}
	.tools {
		display: flex;
		flex-wrap: wrap;
		gap: 10px;
		align-items: center;
	}
	.row {
		margin-top: 12px;
	}
</style>
