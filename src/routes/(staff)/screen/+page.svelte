<script lang="ts">
	import { page } from '$app/state';
	import { sayStatusCount, SCREENING_STATUSES } from '$lib/core/screening';
	import ClassResults from '$lib/ui/screen/ClassResults.svelte';
	import ResultsTable from '$lib/ui/screen/ResultsTable.svelte';
	import { bandOf, bandWords, filterRows, OVERALL, pointsAxis, rosterChoices, sortRows } from '$lib/ui/screen/rows';
	import ScreenHead from '$lib/ui/screen/ScreenHead.svelte';
	import ActionBar from '$lib/ui/shell/ActionBar.svelte';
	import { keepingScope, setState } from '$lib/ui/shell/address';
	import { countBy } from '$lib/ui/table/countBy';

	let { data } = $props();

	let selected = $state<number[]>([]);

	const asked = $derived((name: string) => page.url.searchParams.get(name));
	const measures = $derived([
		{ id: OVERALL, name: data.window?.measure ? 'Correct a minute' : 'Overall' },
		...data.domains
	]);
	const measure = $derived(measures.find(({ id }) => String(id) === asked('on'))?.id ?? OVERALL);
	const measureName = $derived(measures.find(({ id }) => id === measure)!.name);
	const sort = $derived(asked('sort') ?? String(measure));
	const filter = $derived({
		show: asked('status') ?? 'all',
		tier: asked('tier') ?? 'all',
		moved: asked('moved') ?? 'all',
		roster: asked('roster') ?? 'all'
	});
	const counts = $derived(countBy(data.rows, (row) => row.status));
	const flagged = $derived(data.rows.filter((row) => row.status === 'needs another look').length);
	const shown = $derived(sortRows(filterRows(data.rows, filter, measure), sort, measure));
	const roster = $derived(rosterChoices(data.rows));
	const axis = $derived(pointsAxis(data.rows, measure));
	const classes = $derived(new Set(data.rows.map(({ classId }) => classId)).size);
	const grades = $derived(new Set(data.rows.map(({ grade }) => grade)).size);
	const inScope = $derived(selected.filter((id) => data.rows.some((row) => row.id === id)));
	const belowTheLine = $derived(shown.filter((row) => bandOf(row, measure) === 'below'));
	const outputs = [
		{ path: '/screen/results.csv', table: null, label: 'CSV of students' },
		{ path: '/screen/results.csv', table: 'classes', label: 'CSV of classes' },
		{ path: '/screen/results.xlsx', table: null, label: 'XLSX of both' }
	];
	const setFilter = (name: string) => (event: Event & { currentTarget: HTMLSelectElement }) =>
		setState({ [name]: event.currentTarget.value === 'all' ? null : event.currentTarget.value });
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
		{data.rows.length} students: {#each counts as [name, list], i (name)}{i ? ', ' : ''}{sayStatusCount(
				list,
				name
			)}{/each}
		{#snippet tools()}
			{#if measures.length > 1}<label>
					Measure
					<select class="on" onchange={(event) => setState({ on: event.currentTarget.value, sort: null })}>
						{#each measures as { id, name } (id)}<option value={id} selected={id === measure}>{name}</option>{/each}
					</select>
				</label>{/if}
			<label>
				Show
				<select onchange={setFilter('status')}>
					<option value="all">everyone</option>
					{#each SCREENING_STATUSES as name (name)}
						<option value={name} selected={filter.show === name}>{name}</option>
					{/each}
					{#each Object.entries(bandWords) as [band, words] (band)}<option value={band} selected={filter.show === band}
							>{words}</option
						>{/each}
				</select>
			</label>
			<label>
				Tier
				<select onchange={setFilter('tier')}>
					<option value="all">all</option>
					{#each ['1', '2', '3'] as tier (tier)}<option selected={filter.tier === tier}>{tier}</option>{/each}
				</select>
			</label>
			{#if data.earlier}
				<label>
					Since {data.earlier.name.split(' ')[0].toLowerCase()}
					<select onchange={setFilter('moved')}>
						<option value="all">all</option>
						{#each ['risen', 'fallen', 'within error', 'no earlier score'] as moved (moved)}<option
								selected={filter.moved === moved}>{moved}</option
							>{/each}
					</select>
				</label>
			{/if}
			{#if roster.length}
				<label>
					Roster
					<select class="on" onchange={setFilter('roster')}>
						<option value="all">all</option>
						{#each roster as { name, choices } (name)}
							<optgroup label={name}>
								{#each choices as { key, value, count } (key)}
									<option value={key} selected={filter.roster === key}>{value}, {count}</option>
								{/each}
							</optgroup>
						{/each}
					</select>
				</label>
			{/if}
			<button disabled={belowTheLine.length === 0} onclick={() => (selected = belowTheLine.map(({ id }) => id))}
				>Select the {belowTheLine.length} shown below the line</button
			>
			{#if data.window?.measure}
				<a class="button" href={keepingScope('/screen/sittings', { window: data.window.id })}>Give</a>
			{:else if data.can.screen}
				<a class="button" href={keepingScope('/screen/import', { window: data.window.id })}>Bring in scores</a>
			{/if}
			{#if !data.window?.measure}<a class="button" href={keepingScope('/screen/report', { window: data.window!.id })}
					>Reports</a
				>{/if}
			<span class="out"
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
				})}>{flagged} {flagged === 1 ? 'sitting needs' : 'sittings need'} another look</a
			>
			before {flagged === 1 ? 'its' : 'their'} scores are used.
		</p>
	{/if}

	{#if classes > 1}
		<ClassResults
			rows={data.rows}
			{measure}
			name={measureName}
			{axis}
			unit={data.unit}
			earlier={data.earlier}
			byGrade={grades > 1}
		/>
	{/if}
	<ResultsTable
		windowId={data.window.id}
		unit={data.unit}
		rows={shown}
		domains={data.domains}
		{axis}
		{measure}
		{sort}
		show={bandWords[filter.show as keyof typeof bandWords] ?? filter.show}
		scopeInWords={data.scope.inWords}
		studentId={Number(asked('student'))}
		bind:selected
	/>
	{#if inScope.length}
		<ActionBar says="{inScope.length} {inScope.length === 1 ? 'student' : 'students'} selected">
			<a class="button" href={keepingScope('/gaps', { scope: `list:${inScope.join(',')}` })}>See their gaps</a>
			{#if data.can.group}<a
					class="button primary"
					href={keepingScope('/groups/suggest', { students: inScope.join(',') })}>Suggest groups</a
				>{/if}
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
