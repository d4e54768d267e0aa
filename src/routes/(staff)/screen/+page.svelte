<script lang="ts">
	import { plural } from '$lib/core/words';
	import { page } from '$app/state';
	import { bandWords, OVERALL, sayStatusCount, SCREENING_STATUSES } from '$lib/core/screening';
	import ClassResults from '$lib/ui/screen/ClassResults.svelte';
	import ResultsTable from '$lib/ui/screen/ResultsTable.svelte';
	import ScreenHead from '$lib/ui/screen/ScreenHead.svelte';
	import AssignLinks from '$lib/ui/practice/AssignLinks.svelte';
	import ActionBar from '$lib/ui/shell/ActionBar.svelte';
	import { keepingScope, setState } from '$lib/ui/shell/address';
	import { Rows } from '$lib/ui/table/rows.svelte';

	let { data } = $props();

	let selected = $state<number[]>([]);

	const results = $derived(data.results);
	const rows = new Rows(() => ({ ids: results?.ids ?? [], first: results?.rows ?? [] }));
	const measures = $derived([
		{ id: OVERALL, name: data.window?.measure ? 'Correct a minute' : 'Overall' },
		...(results?.domains ?? [])
	]);
	const flagged = $derived(results?.statuses.find(([status]) => status === 'needs another look')?.[1] ?? 0);
	const inScope = $derived(selected.filter((id) => rows.ids.includes(id)));
	const outputs = [
		{ path: '/screen/results.csv', table: null, label: 'CSV of students' },
		{ path: '/screen/results.csv', table: 'classes', label: 'CSV of classes' },
		{ path: '/screen/results.xlsx', table: null, label: 'XLSX of both' }
	];
	const setFilter = (name: string) => (event: Event & { currentTarget: HTMLSelectElement }) =>
		setState({ [name]: event.currentTarget.value === 'all' ? null : event.currentTarget.value });
</script>

<svelte:head><title>Screen · Orderly Compass</title></svelte:head>

{#if !data.window || !results}
	<h1>Screen</h1>
	<p>
		No screening window is planned yet. Plan one to let students sit the diagnostic, or bring in scores from elsewhere.
	</p>
	{#if data.can.screen}<p class="row">
			<a class="button primary" href={keepingScope('/screen/windows')}>Plan a window</a>
		</p>{/if}
{:else}
	<ScreenHead window={data.window} windows={data.windows} today={data.today}>
		{results.size} students: {#each results.statuses as [name, count], i (name)}{i ? ', ' : ''}{sayStatusCount(
				count,
				name
			)}{/each}
		{#snippet tools()}
			{#if measures.length > 1}<label>
					Measure
					<select class="on" onchange={(event) => setState({ on: event.currentTarget.value, sort: null })}>
						{#each measures as { id, name } (id)}<option value={id} selected={id === results.measure}>{name}</option
							>{/each}
					</select>
				</label>{/if}
			<label>
				Show
				<select onchange={setFilter('status')}>
					<option value="all">everyone</option>
					{#each SCREENING_STATUSES as name (name)}
						<option value={name} selected={results.filter.show === name}>{name}</option>
					{/each}
					{#each Object.entries(bandWords) as [band, words] (band)}<option
							value={band}
							selected={results.filter.show === band}>{words}</option
						>{/each}
				</select>
			</label>
			<label>
				Tier
				<select onchange={setFilter('tier')}>
					<option value="all">all</option>
					{#each ['1', '2', '3'] as tier (tier)}<option selected={results.filter.tier === tier}>{tier}</option>{/each}
				</select>
			</label>
			{#if results.earlier}
				<label>
					Since {results.earlier.name.split(' ')[0].toLowerCase()}
					<select onchange={setFilter('moved')}>
						<option value="all">all</option>
						{#each ['risen', 'fallen', 'within error', 'no earlier score'] as moved (moved)}<option
								selected={results.filter.moved === moved}>{moved}</option
							>{/each}
					</select>
				</label>
			{/if}
			{#if results.attributes.length}
				<label>
					Roster
					<select class="on" onchange={setFilter('roster')}>
						<option value="all">all</option>
						{#each results.attributes as { name, choices } (name)}
							<optgroup label={name}>
								{#each choices as { key, value, count } (key)}
									<option value={key} selected={results.filter.roster === key}>{value}, {count}</option>
								{/each}
							</optgroup>
						{/each}
					</select>
				</label>
			{/if}
			<button disabled={results.below.length === 0} onclick={() => (selected = [...results.below])}
				>Select the {results.below.length} shown below the line</button
			>
			{#if data.window?.measure}
				<a class="button" href={keepingScope('/screen/sittings', { window: data.window.id })}>Give</a>
			{:else if data.can.screen}
				<a class="button" href={keepingScope('/screen/import', { window: data.window.id })}>Bring in scores</a>
			{/if}
			{#if !data.window?.measure}<a class="button" href={keepingScope('/screen/report', { window: data.window!.id })}
					>Reports</a
				>{/if}
			<span class="out no-print"
				>Take out as
				{#each outputs as { path, table, label } (label)}
					<a href={keepingScope(path, { window: data.window!.id, table, student: null })} data-sveltekit-reload
						>{label}</a
					>
				{/each}</span
			>
		{/snippet}
	</ScreenHead>

	{#if flagged && data.can.screen}
		<p class="attention look">
			<a
				href={keepingScope('/screen/sittings', {
					window: page.url.searchParams.get('window'),
					status: 'needs another look'
				})}>{plural(flagged, 'sitting needs', 'sittings need')} another look</a
			>
			before {flagged === 1 ? 'its' : 'their'} scores are used.
		</p>
	{/if}

	{#if results.classes > 1}
		<ClassResults
			parts={results.parts}
			measure={results.measure}
			name={measures.find(({ id }) => id === results.measure)!.name}
			axis={results.axis}
			unit={results.unit}
			earlier={results.earlier}
		/>
	{/if}
	<ResultsTable
		windowId={data.window.id}
		unit={results.unit}
		{rows}
		domains={results.domains}
		axis={results.axis}
		measure={results.measure}
		sort={results.sort}
		show={bandWords[results.filter.show as keyof typeof bandWords] ?? results.filter.show}
		scopeInWords={data.scope.inWords}
		classes={results.classes}
		bind:selected
	/>
	{#if inScope.length}
		<ActionBar says="{plural(inScope.length, 'student')} selected">
			<a class="button" href={keepingScope('/gaps', { scope: `list:${inScope.join(',')}` })}>See their gaps</a>
			{#if data.can.group}<a
					class="button primary"
					href={keepingScope('/groups/suggest', { students: inScope.join(',') })}>Suggest groups</a
				>{/if}
			{#if data.can.practice}<AssignLinks ids={inScope} />{/if}
			<button class="plain" onclick={() => (selected = [])}>Clear</button>
		</ActionBar>
	{/if}
{/if}

<style>
	.out {
		display: flex;
		gap: 8px;
	}
	.on {
		max-width: 170px;
	}
	.row {
		margin-top: 12px;
	}
	.look {
		margin-bottom: 12px;
	}
</style>
