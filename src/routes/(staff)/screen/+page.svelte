<script lang="ts">
	import { enhance } from '$app/forms';
	import { page } from '$app/state';
	import ScoreBand from '$lib/ui/charts/ScoreBand.svelte';
	import TierBars from '$lib/ui/glyphs/TierBars.svelte';
	import ActionBar from '$lib/ui/shell/ActionBar.svelte';
	import { keepingScope, setState, withState } from '$lib/ui/shell/address';
	import { sayDate } from '$lib/ui/shell/dates';
	import Dialog from '$lib/ui/shell/Dialog.svelte';
	import { countBy } from '$lib/ui/table/countBy';
	import Notice from '$lib/ui/shell/Notice.svelte';

	let { data, form } = $props();
	type Row = (typeof data.rows)[number];

	let selected = $state<number[]>([]);
	let planning = $state(false);

	const bandWords = { below: 'below the line', near: 'near the line', above: 'above the line' };
	const sort = $derived(page.url.searchParams.get('sort') ?? 'overall');
	const status = $derived(page.url.searchParams.get('status') ?? 'all');
	const counts = $derived(countBy(data.rows, (row) => row.status));
	const flagged = $derived(data.rows.filter((row) => row.status === 'needs another look'));

	/** Lowest first; students without a score stand at the end, so that nobody is missing. */
	const rows = $derived.by(() => {
		const value = (row: Row) =>
			(sort === 'overall' ? row.overall : (row.domains[Number(sort)] ?? null))?.points ?? Infinity;
		const list = data.rows.filter((row) => status === 'all' || row.status === status || row.band === status);
		return sort === 'name' ? list : [...list].sort((a, b) => value(a) - value(b));
	});
	const points = $derived(
		data.rows.flatMap((row) =>
			row.overall ? [row.overall.points - row.overall.error, row.overall.points + row.overall.error, row.cut] : []
		)
	);
	const from = $derived(Math.floor(Math.min(...points, 480) / 10) * 10);
	const to = $derived(Math.ceil(Math.max(...points, 520) / 10) * 10);
	const inScope = $derived(selected.filter((id) => data.rows.some((row) => row.id === id)));
	const listKey = $derived(`list:${inScope.join(',')}`);
	const selectedId = $derived(Number(page.url.searchParams.get('student')));
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
			{sayDate(data.window.opensOn)} to {sayDate(data.window.closesOn)} · 24-question diagnostic ·
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
					{#each ['not started', 'under way', 'needs another look', 'set aside', 'finished', 'from a file'] as name (name)}
						<option value={name} selected={status === name}>{name}</option>
					{/each}
					{#each Object.entries(bandWords) as [band, words] (band)}<option value={band} selected={status === band}
							>{words}</option
						>{/each}
				</select>
			</label>
			<button
				onclick={() =>
					(selected = data.rows.filter((row) => row.overall && row.overall.points < row.cut).map(({ id }) => id))}
				>Select all below the line</button
			>
			{#if data.can.screen}
				<a class="button" href={keepingScope('/screen/import', { window: data.window.id })}>Bring in scores</a>
				<button onclick={() => (planning = true)}>Plan a window</button>
			{/if}
		</div>
	</div>

	{#if flagged.length && data.can.screen}
		<details class="flags" open={status === 'needs another look'}>
			<summary
				>{flagged.length}
				{flagged.length === 1 ? 'sitting needs' : 'sittings need'} another look before the scores are used</summary
			>
			<ul>
				{#each flagged as row (row.id)}
					<li>
						<a href={withState({ student: row.id })}>{row.givenName} {row.familyName}</a>
						<span class="soft">{row.className}</span>
						<span>{row.flags.map((flag) => flag.reason).join(' ')}</span>
						<form method="POST" action="?/trust" use:enhance>
							<input type="hidden" name="sitting" value={row.sittingId} />
							<button name="decision" value="kept">Keep</button>
							<button name="decision" value="set aside">Set aside, sit again</button>
						</form>
					</li>
				{/each}
			</ul>
		</details>
	{/if}

	<table>
		<thead>
			<tr>
				<th><span class="visually-hidden">Select</span></th>
				<th aria-sort={sort === 'name' ? 'ascending' : undefined}><a href={withState({ sort: 'name' })}>Student</a></th>
				<th>Class</th>
				<th>Tier</th>
				<th>Status</th>
				<th class="number" aria-sort={sort === 'overall' ? 'ascending' : undefined}
					><a href={withState({ sort: null })}>Overall</a></th
				>
				<th>
					<span class="axis soft"
						><span>{from}</span><span>points, ± 1 error; dashes: the line</span><span>{to}</span></span
					>
				</th>
				{#each data.domains as domain (domain.id)}
					<th class="number" aria-sort={sort === String(domain.id) ? 'ascending' : undefined}>
						<a href={withState({ sort: domain.id })} title={domain.name}>{domain.name.split(/[ ,]/)[0]}</a>
					</th>
				{/each}
			</tr>
		</thead>
		<tbody>
			{#each rows as row (row.id)}
				<tr data-student={row.id} class:current={row.id === selectedId}>
					<td
						><input
							type="checkbox"
							value={row.id}
							bind:group={selected}
							aria-label="Select {row.givenName} {row.familyName}"
						/></td
					>
					<th scope="row"><a href={withState({ student: row.id })}>{row.givenName} {row.familyName}</a></th>
					<td>{row.className}</td>
					<td><TierBars tier={row.tier} /></td>
					<td class:soft={row.status === 'finished'}>
						{row.status}{row.status === 'under way' ? `, ${row.answered} of ${row.itemCount}` : ''}
					</td>
					{#if row.overall}
						<td class="number"
							>{Math.round(row.overall.points)} <span class="soft">± {Math.round(row.overall.error)}</span></td
						>
						<td
							><ScoreBand score={row.overall} cut={row.cut} {from} {to} /><span class="visually-hidden"
								>{row.band && bandWords[row.band]}</span
							></td
						>
					{:else}
						<td class="number soft">none</td>
						<td></td>
					{/if}
					{#each data.domains as domain (domain.id)}
						{@const score = row.domains[domain.id]}
						<td class="number">
							{#if score}{Math.round(score.points)} <span class="soft">± {Math.round(score.error)}</span>{:else}<span
									class="soft">none</span
								>{/if}
						</td>
					{/each}
				</tr>
			{:else}
				<tr
					><td colspan={7 + data.domains.length} class="soft"
						>Nobody in {data.scope.label} is “{status}”. <a href={withState({ status: null })}>Show everyone</a></td
					></tr
				>
			{/each}
		</tbody>
	</table>
	{#if inScope.length}
		<ActionBar says="{inScope.length} {inScope.length === 1 ? 'student' : 'students'} selected">
			<a class="button" href={keepingScope('/gaps', { scope: listKey })}>See their gaps</a>
			{#if data.can.group}<a class="button primary" href={keepingScope('/groups', { suggest: inScope.join(',') })}
					>Suggest groups</a
				>{/if}
			<button class="plain" onclick={() => (selected = [])}>Clear</button>
		</ActionBar>
	{/if}
{/if}

{#if planning}
	<Dialog title="Plan a screening window" onclose={() => (planning = false)}>
		<form
			method="POST"
			action="?/window"
			class="plan"
			use:enhance={() =>
				async ({ update }) => {
					planning = false;
					await update();
				}}
		>
			<label for="name">Name</label>
			<input id="name" name="name" required maxlength="80" placeholder="Spring screening" />
			<label for="term">Term whose benchmarks count</label>
			<select id="term" name="term"><option>1</option><option>2</option><option selected>3</option></select>
			<label for="opensOn">Opens</label>
			<input id="opensOn" name="opensOn" type="date" required value={data.school.today} />
			<label for="closesOn">Closes</label>
			<input id="closesOn" name="closesOn" type="date" required value={data.school.today} />
			<p class="soft">
				All {data.school.name} students see the diagnostic on their page from the first day through the last.
			</p>
			<button class="primary">Plan the window</button>
		</form>
	</Dialog>
{/if}
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
	.flags {
		background: var(--sheet);
		border: 1px solid var(--rule);
		border-left: 3px solid var(--slipping-ink);
		padding: 8px 12px;
		margin-bottom: 12px;
	}
	summary {
		cursor: pointer;
		font-weight: 600;
	}
	.flags ul {
		list-style: none;
		padding: 0;
		margin: 8px 0 0;
	}
	.flags li {
		display: flex;
		flex-wrap: wrap;
		gap: 4px 12px;
		align-items: center;
		border-top: 1px solid var(--rule);
		padding: 6px 0;
	}
	.flags form {
		margin-left: auto;
		display: flex;
		gap: 6px;
	}
	table {
		width: 100%;
		background: var(--sheet);
	}
	thead th {
		position: sticky;
		top: 100px;
		background: var(--sheet);
		z-index: 5;
		box-shadow: 0 1px 0 var(--rule);
	}
	thead a {
		color: var(--ink);
		text-decoration: none;
	}
	thead a:hover {
		text-decoration: underline;
	}
	[aria-sort] a::after {
		content: ' ↑';
		color: var(--verdigris);
	}
	tbody th {
		font-weight: 400;
	}
	tbody th a {
		color: var(--ink);
		text-decoration: none;
		font-weight: 500;
	}
	tbody th a:hover {
		color: var(--verdigris);
		text-decoration: underline;
	}
	td,
	th {
		white-space: nowrap;
		padding-block: 2px;
	}
	.number {
		text-align: right;
	}
	.axis {
		display: flex;
		width: 150px;
		justify-content: space-between;
		font-weight: 400;
		font-size: 0.8rem;
	}
	.axis span:nth-child(2) {
		display: none;
	}
	tr.current {
		background: var(--verdigris-wash);
	}
	.plan {
		display: grid;
		gap: 6px;
		min-width: 320px;
	}
	.plan button {
		margin-top: 8px;
	}
</style>
