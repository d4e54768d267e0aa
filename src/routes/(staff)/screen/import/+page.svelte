<script lang="ts">
	import Table from '$lib/ui/table/Table.svelte';
	import { countBy, plural } from '$lib/core/words';
	import { enhance } from '$app/forms';
	import { page } from '$app/state';
	import { keepingScope } from '$lib/ui/shell/address';

	let { data, form } = $props();
	let csv = $state('');
	let source = $state('');
	let fileProblem = $state('');
	const effects = { new: 'new', changes: 'changes a score', same: 'already there', bad: 'left out' };
	const action = $derived(`?window=${data.window.id}&scope=${page.data.scope.key}`);
	const shown = $derived(form && 'step' in form ? form : null);
	const counts = $derived(countBy(shown && 'rows' in shown && shown.rows ? shown.rows : [], (row) => row.effect));
	const taking = $derived(
		counts.filter(([effect]) => effect === 'new' || effect === 'changes').reduce((sum, [, count]) => sum + count, 0)
	);

	const MOST_LINES = 400;
	const worstFirst = $derived(
		shown && 'rows' in shown && shown.rows
			? shown.rows.toSorted((a, b) => Number(b.effect === 'bad') - Number(a.effect === 'bad'))
			: []
	);

	const MOST_BYTES = 2_000_000;

	function look(event: Event & { currentTarget: HTMLInputElement }) {
		const input = event.currentTarget;
		const file = input.files?.[0];
		fileProblem = '';
		if (!file || file.size <= MOST_BYTES) return;
		fileProblem = `${file.name} has ${Math.round(file.size / 1e6)} MB; at most 2 MB can be brought in at once.`;
		input.value = '';
	}
</script>

<svelte:head><title>Bring in scores · Orderly Compass</title></svelte:head>

<p><a href={keepingScope('/screen', { window: data.window.id })}>Back to {data.window.name}</a></p>
<h1>Bring in scores from elsewhere</h1>

{#if form && 'problem' in form && form.problem}<p class="problem" role="alert">{form.problem}</p>{/if}

{#if shown?.step === 'taken'}
	<h2>Done</h2>
	<p>
		{plural(shown.taken, 'row was', 'rows were')} taken, {plural(shown.same, 'was', 'were')} already there, {plural(
			shown.bad,
			'was',
			'were'
		)} left out.
	</p>
	{@render list()}
	<p><a class="button primary" href={keepingScope('/screen', { window: data.window.id })}>See the results</a></p>
{:else if shown?.step === 'check'}
	<h2>What each row would do</h2>
	<p>
		{#each counts as [effect, count], i (effect)}{i ? ', ' : ''}{count} {effects[effect]}{/each}. Rows that are left out
		do not keep the others from being taken.
	</p>
	{@render list()}
	<form method="POST" {action} use:enhance>
		{@render carried('take')}
		<button class="primary" disabled={taking === 0}>Take {plural(taking, 'row')} into {data.window.name}</button>
	</form>
{:else if shown?.step === 'columns'}
	<h2>What does each column hold?</h2>
	{#if shown.isKnown}<p>As it was matched for {shown.source} the last time.</p>{/if}
	<form method="POST" {action} use:enhance>
		<input type="hidden" name="source" value={shown.source} />
		<input type="hidden" name="csv" value={shown.csv} />
		<Table
			says="Columns of the file"
			columns={[{ label: 'Column' }, { label: 'First rows' }, { label: 'Holds' }]}
			rows={shown.header}
			key={(_, i) => i}
			narrow
		>
			{#snippet cells(heading, i)}
				<th scope="row">{heading}</th>
				<td class="soft">{shown.sample.map((cells) => cells[i] ?? '').join(' · ')}</td>
				<td>
					<select name="roles" aria-label="What {heading} holds">
						{#each [['ignore', 'nothing we need'], ['number', 'student number'], ['date', 'date taken'], ['overall', 'overall points'], ['error', 'standard error, in points'], ...data.domains.map( (domain) => [`domain:${domain.id}`, domain.name] )] as [value, label] (value)}
							<option {value} selected={shown.roles[i] === value}>{label}</option>
						{/each}
					</select>
				</td>
			{/snippet}
		</Table>
		<p class="soft">
			Scores are read in points (200 to 800). Where no column holds their standard error, 12 points are assumed.
		</p>
		<button class="primary" name="step" value="check">Check the rows</button>
	</form>
{:else}
	<form method="POST" {action} enctype="multipart/form-data" use:enhance>
		<label for="source">Where the scores come from</label>
		<input
			id="source"
			name="source"
			bind:value={source}
			required
			maxlength="80"
			list="sources"
			placeholder="District test, October"
		/>
		<datalist id="sources"
			>{#each data.sources as name (name)}<option value={name}></option>{/each}</datalist
		>
		<label for="file">A CSV or XLSX file</label>
		<input
			id="file"
			name="file"
			type="file"
			accept=".csv,text/csv,.xlsx,application/vnd.openxmlformats-officedocument.spreadsheetml.sheet"
			onchange={look}
		/>
		{#if fileProblem}<p class="problem" role="alert">{fileProblem}</p>{/if}
		<label for="csv">or paste the rows here, with a line of column names above</label>
		<textarea id="csv" name="csv" rows="8" bind:value={csv}></textarea>
		<button class="primary" name="step" value="columns">Match the columns</button>
	</form>
{/if}

{#snippet carried(step: string)}
	{#if shown}
		<input type="hidden" name="source" value={shown.source} />
		<input type="hidden" name="csv" value={shown.csv} />
		{#each shown.roles as role, i (i)}<input type="hidden" name="roles" value={role} />{/each}
		<input type="hidden" name="step" value={step} />
	{/if}
{/snippet}

{#snippet list()}
	{#if shown && 'rows' in shown && shown.rows}
		<Table
			says="Lines of the file"
			columns={[
				{ label: 'Line' },
				{ label: 'Student number' },
				{ label: 'Date' },
				{ label: 'Scores' },
				{ label: 'Effect' },
				{ label: 'Reason' }
			]}
			rows={worstFirst.slice(0, MOST_LINES)}
			key={({ line }) => line}
			attributes={(row) => ({ class: { bad: row.effect === 'bad' } })}
		>
			{#snippet cells(row)}
				<td>{row.line}</td><td>{row.number}</td><td>{row.effect === 'bad' ? '' : row.takenOn}</td>
				<td>{row.scores.map(({ points }) => points).join(' ')}</td><td>{effects[row.effect]}</td><td>{row.reason}</td>
			{/snippet}
		</Table>
		{#if shown.rows.length > MOST_LINES}<p class="soft">
				and {shown.rows.length - MOST_LINES} more rows that are fine.
			</p>{/if}
	{/if}
{/snippet}

<style>
	form {
		display: grid;
		grid-template-columns: minmax(0, 1fr);
		gap: 8px;
		max-width: 640px;
		justify-items: start;
		margin: 12px 0;
	}
	textarea,
	#source {
		width: 100%;
	}
	h2 {
		margin: 12px 0 6px;
	}
</style>
