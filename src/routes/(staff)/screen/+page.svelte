<script lang="ts">
	import { page } from '$app/state';
	import { SCREENING_STATUSES } from '$lib/core/screening';
	import ResultsTable from '$lib/ui/screen/ResultsTable.svelte';
	import { arrangeRows, bandWords, pointsAxis } from '$lib/ui/screen/rows';
	import ScreenHead from '$lib/ui/screen/ScreenHead.svelte';
	import ActionBar from '$lib/ui/shell/ActionBar.svelte';
	import { keepingScope, setState } from '$lib/ui/shell/address';
	import { countBy } from '$lib/ui/table/countBy';

	let { data } = $props();

	let selected = $state<number[]>([]);

	const sort = $derived(page.url.searchParams.get('sort') ?? 'overall');
	const status = $derived(page.url.searchParams.get('status') ?? 'all');
	const counts = $derived(countBy(data.rows, (row) => row.status));
	const flagged = $derived(data.rows.filter((row) => row.status === 'needs another look').length);
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
			<a class="button primary" href={keepingScope('/screen/windows')}>Plan a window</a>
		</p>{/if}
{:else}
	<ScreenHead window={data.window} windows={data.windows} today={data.today}>
		{data.rows.length} students: {#each counts as [name, list], i (name)}{i ? ', ' : ''}{list} {name}{/each}
		{#snippet tools()}
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
			{/if}
		{/snippet}
	</ScreenHead>

	{#if flagged && data.can.screen}
		<p class="look">
			<a
				href={keepingScope('/screen/sittings', {
					window: page.url.searchParams.get('window'),
					status: 'needs another look'
				})}>{flagged} {flagged === 1 ? 'sitting needs' : 'sittings need'} another look</a
			>
			before {flagged === 1 ? 'its' : 'their'} scores are used.
		</p>
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

<style>
	.row {
		margin-top: 12px;
	}
	.look {
		background: var(--sheet);
		border: 1px solid var(--rule);
		border-left: 3px solid var(--slipping-ink);
		padding: 8px 12px;
		margin-bottom: 12px;
	}
</style>
