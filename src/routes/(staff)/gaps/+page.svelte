<script lang="ts">
	import { createWindowVirtualizer } from '@tanstack/svelte-virtual';
	import { tick, untrack } from 'svelte';
	import { get } from 'svelte/store';
	import { page } from '$app/state';
	import Needle from '$lib/ui/glyphs/Needle.svelte';
	import NeedleSheet from '$lib/ui/glyphs/NeedleSheet.svelte';
	import { describeStanding, standingWords, type NeedleState } from '$lib/ui/glyphs/standings';
	import TierBars from '$lib/ui/glyphs/TierBars.svelte';
	import ActionBar from '$lib/ui/shell/ActionBar.svelte';
	import { keepingScope, setState, withState } from '$lib/ui/shell/address';
	import { sayDay } from '$lib/ui/shell/dates';
	import { peekExtra } from '$lib/ui/shell/peekExtra.svelte';

	let { data } = $props();

	const ROW = 24;
	const states: Record<string, NeedleState> = { g: 'gap', f: 'forming', s: 'secure', l: 'slipping', u: 'unseen' };
	const order = $derived(page.url.searchParams.get('order') ?? 'class');
	const columns = $derived(page.url.searchParams.get('columns') ?? 'all');
	const ground = $derived(page.url.searchParams.get('ground') !== 'off');
	const selectedId = $derived(Number(page.url.searchParams.get('student')));
	const cellId = $derived(Number(page.url.searchParams.get('cell')));
	const byId = $derived(new Map(data.scope.students.map((student) => [student.id, student])));

	const rows = $derived.by(() => {
		const list = data.rows.map((row) => ({ ...row, student: byId.get(row.id)! }));
		if (order === 'gaps') return list.sort((a, b) => b.gaps - a.gaps);
		if (order === 'tier') return list.sort((a, b) => b.student.tier - a.student.tier);
		return list;
	});
	/** Columns to show, as positions in the skill list. */
	const shown = $derived(
		data.skills
			.map((skill, i) => ({ skill, i }))
			.filter(
				({ i }) =>
					columns === 'all' ||
					data.rows.some((row) => (columns === 'gaps' ? row.cells[i] === 'g' : row.ready[i] === '1'))
			)
	);
	const heads = $derived(
		data.domains
			.map((domain) => ({ domain, span: shown.filter(({ skill }) => skill.domainId === domain.id).length }))
			.filter(({ span }) => span)
	);

	let selected = $state<number[]>([]);
	const inScope = $derived(selected.filter((id) => byId.has(id)));
	let map = $state<HTMLTableElement>();
	let focusRow = $state(0);
	let focusColumn = $state(0);

	const virtualizer = createWindowVirtualizer<HTMLTableRowElement>({
		count: 0,
		estimateSize: () => ROW,
		overscan: 12,
		initialRect: { width: 1280, height: 800 }
	});
	$effect.pre(() => {
		const options = { count: rows.length, scrollMargin: map?.offsetTop ?? 0 };
		untrack(() => get(virtualizer).setOptions(options));
	});
	const visible = $derived($virtualizer.getVirtualItems().filter(({ index }) => index < rows.length));
	const above = $derived(visible.length ? visible[0].index * ROW : 0);
	const below = $derived(visible.length ? (rows.length - 1 - visible[visible.length - 1].index) * ROW : 0);

	function words(row: (typeof rows)[number], i: number) {
		const letter = row.cells[i];
		const inferred = letter !== letter.toLowerCase();
		const state = states[letter.toLowerCase()];
		const said = describeStanding({
			standing: inferred ? 'unseen' : state,
			inferred: inferred ? (state as 'gap') : null,
			answers: parseInt(row.answers[i], 36),
			probability: 0
		});
		return `${data.skills[i].shortName}: ${said}${row.ready[i] === '1' ? '; ready next' : ''}`;
	}

	async function focusCell(row: number, column: number) {
		focusRow = Math.max(0, Math.min(rows.length - 1, row));
		focusColumn = Math.max(0, Math.min(shown.length - 1, column));
		$virtualizer.scrollToIndex(focusRow, { align: 'auto' });
		await tick();
		map?.querySelector<HTMLElement>(`[data-at="${focusRow} ${focusColumn}"]`)?.focus();
	}

	function onkeydown(event: KeyboardEvent) {
		const steps: Record<string, [number, number]> = {
			ArrowUp: [-1, 0],
			ArrowDown: [1, 0],
			ArrowLeft: [0, -1],
			ArrowRight: [0, 1],
			PageDown: [15, 0],
			PageUp: [-15, 0],
			Home: [0, -999],
			End: [0, 999]
		};
		const step = steps[event.key];
		if (step) focusCell(focusRow + step[0], focusColumn + step[1]);
		else if (event.key === 'Enter' || event.key === ' ')
			setState({ student: rows[focusRow].id, cell: shown[focusColumn].skill.id }, false);
		else return;
		event.preventDefault();
	}

	$effect(() => {
		peekExtra.snippet = data.evidence ? evidence : undefined;
		return () => (peekExtra.snippet = undefined);
	});
</script>

<svelte:head><title>Gaps · Orderly Compass</title></svelte:head>
<NeedleSheet />

<div class="head">
	<h1>Gaps in {data.scope.label}</h1>
	<p class="key">
		{#each Object.entries(standingWords) as [state, name] (state)}<span
				><Needle state={state as NeedleState} size={18} {ground} />{name}</span
			>{/each}
		<span><Needle state="forming" inferred size={18} />inferred, no evidence yet</span>
		<span><Needle state="gap" ready size={18} {ground} />ready next</span>
	</p>
	<div class="tools no-print">
		<label>
			Rows by
			<select onchange={(event) => setState({ order: event.currentTarget.value })}>
				{#each [['class', 'class and name'], ['gaps', 'most gaps first'], ['tier', 'tier']] as [value, label] (value)}<option
						{value}
						selected={order === value}>{label}</option
					>{/each}
			</select>
		</label>
		<label>
			Skills
			<select
				onchange={(event) =>
					setState({ columns: event.currentTarget.value === 'all' ? null : event.currentTarget.value })}
			>
				{#each [['all', 'all'], ['gaps', 'with a gap here'], ['ready', 'someone is ready for']] as [value, label] (value)}<option
						{value}
						selected={columns === value}>{label}</option
					>{/each}
			</select>
		</label>
		<label
			><input type="checkbox" checked={ground} onchange={() => setState({ ground: ground ? 'off' : null })} /> Tint</label
		>
	</div>
</div>

{#each data.classwide.slice(0, 3) as need (need.classId + ' ' + need.skillId)}
	<p class="classwide">
		<strong>{need.className}: {need.skill}.</strong>
		{need.lacking} of {need.withEvidence} students with evidence lack it. That is a lesson for the whole class{need.advice ===
		'whole class, firm'
			? ''
			: ', probably'}, not a group.
	</p>
{/each}

{#if rows.length === 0}
	<p>Nobody is in this scope.</p>
{:else if shown.length === 0}
	<p>No skill here has a gap with evidence. <a href={withState({ columns: null })}>Show all skills</a></p>
{:else}
	<!-- The grid itself handles keys; focus roves among its cells. -->
	<table
		class="map"
		class:flat={!ground}
		role="grid"
		aria-label="Needle map: students and skills"
		aria-rowcount={rows.length + 1}
		bind:this={map}
		{onkeydown}
	>
		<thead>
			<tr class="domains">
				<td></td>
				{#each heads as { domain, span } (domain.id)}<th colspan={span} scope="colgroup"><span>{domain.name}</span></th
					>{/each}
			</tr>
			<tr>
				<th class="student" scope="col"><span>{rows.length} students</span></th>
				{#each shown as { skill }, c (skill.id)}
					<th
						scope="col"
						class:first={c === 0 || shown[c - 1].skill.domainId !== skill.domainId}
						title="{skill.code} · {skill.statement} ({skill.grade}·{skill.term})"
					>
						<span class="skill">{skill.shortName}</span>
					</th>
				{/each}
			</tr>
		</thead>
		<tbody>
			{#if above}<tr aria-hidden="true"><td style:height="{above}px"></td></tr>{/if}
			{#each visible as { index } (rows[index].id)}
				{@const row = rows[index]}
				<tr data-student={row.id} class:current={row.id === selectedId} aria-rowindex={index + 2}>
					<th class="student" scope="row">
						<span>
							<input
								type="checkbox"
								value={row.id}
								bind:group={selected}
								tabindex="-1"
								aria-label="Select {row.student.givenName} {row.student.familyName}"
							/>
							<a href={withState({ student: row.id, cell: null })} tabindex="-1"
								>{row.student.givenName} {row.student.familyName}</a
							>
							<span class="soft">{row.student.className}</span>
							<TierBars tier={row.student.tier} />
						</span>
					</th>
					{#each shown as { skill, i }, c (skill.id)}
						{@const letter = row.cells[i]}
						{@const lower = letter.toLowerCase()}
						<td
							role="gridcell"
							class:first={c === 0 || shown[c - 1].skill.domainId !== skill.domainId}
							class:chosen={row.id === selectedId && skill.id === cellId}
							data-at="{index} {c}"
							tabindex={index === focusRow && c === focusColumn ? 0 : -1}
							aria-label={words(row, i)}
							title={words(row, i)}
							onfocus={() => {
								focusRow = index;
								focusColumn = c;
							}}
							onclick={() => setState({ student: row.id, cell: skill.id }, false)}
						>
							<svg width="20" height="20"
								><use href="#{letter === lower ? 'needle' : 'hollow'}-{states[lower]}" />{#if row.ready[i] === '1'}<use
										href="#ready-ring"
									/>{/if}</svg
							>
						</td>
					{/each}
				</tr>
			{/each}
			{#if below}<tr aria-hidden="true"><td style:height="{below}px"></td></tr>{/if}
		</tbody>
	</table>
	{#if inScope.length}
		<ActionBar says="{inScope.length} {inScope.length === 1 ? 'student' : 'students'} selected">
			{#if data.can.group}<a class="button primary" href={keepingScope('/groups', { suggest: inScope.join(',') })}
					>Suggest groups</a
				>{/if}
			<a class="button" href={keepingScope('/gaps', { scope: `list:${inScope.join(',')}` })}>Show only these</a>
			<button class="plain" onclick={() => (selected = [])}>Clear</button>
		</ActionBar>
	{/if}
{/if}

{#snippet evidence()}
	{#if data.evidence}
		{@const { skill, now, answers, prerequisites } = data.evidence}
		<section class="evidence">
			<h3>{skill.shortName} <span class="soft">{skill.code} · {skill.grade}·{skill.term}</span></h3>
			<p>{skill.statement}.</p>
			<p>
				<strong>{describeStanding(now)}.</strong>
				{#if now}<span class="soft"
						>Chance known today: {Math.min(99, Math.max(1, Math.round(now.probability * 100)))}%</span
					>{/if}
			</p>
			{#if prerequisites.length}
				<p class="soft before">
					Before it: {#each prerequisites as one (one.id)}<span
							><Needle state={one.state} inferred={one.inferred} size={16} />{one.name}</span
						>{/each}
				</p>
			{/if}
			{#if answers.length}
				<ol>
					{#each answers as answer, i (i)}
						<li>
							<span class="soft">{sayDay(answer.on)}, {answer.kind}, {answer.seconds} s</span>
							<!-- eslint-disable svelte/no-at-html-tags -- escaped on the server -->
							<p class="stem">{@html answer.stemHtml}</p>
							<p><strong>{answer.correct ? 'Right' : 'Wrong'}:</strong> {@html answer.givenHtml}</p>
							<!-- eslint-enable svelte/no-at-html-tags -->
							{#if answer.idea}<p class="soft">{answer.idea}</p>{/if}
						</li>
					{/each}
				</ol>
			{:else}
				<p class="soft">
					No answers to this skill yet. What is shown comes from the domain as a whole and is never evidence.
				</p>
			{/if}
			<a href={withState({ cell: null })}>Hide the answers</a>
		</section>
	{/if}
{/snippet}

<style>
	.head {
		display: grid;
		gap: 6px;
		margin-bottom: 8px;
	}
	.key {
		display: flex;
		flex-wrap: wrap;
		gap: 4px 16px;
	}
	.key span {
		display: inline-flex;
		gap: 6px;
		align-items: center;
	}
	.tools {
		display: flex;
		gap: 16px;
		align-items: center;
		flex-wrap: wrap;
	}
	.classwide {
		border-left: 3px solid var(--gap-ink);
		padding: 2px 10px;
		margin-bottom: 6px;
	}
	.map {
		border-collapse: separate;
		border-spacing: 0;
	}
	.flat {
		--ground-opacity: 0;
	}
	th,
	td {
		border: 0;
		padding: 0;
	}
	td[role='gridcell'] {
		width: 22px;
		height: 24px;
		padding: 2px 1px;
		cursor: pointer;
	}
	td:focus-visible {
		outline-offset: -2px;
	}
	.chosen {
		box-shadow: inset 0 0 0 2px var(--ink);
		border-radius: 4px;
	}
	td svg {
		display: block;
	}
	.first {
		padding-left: 10px !important;
	}
	thead th,
	thead td {
		position: sticky;
		z-index: 4;
		background: var(--paper);
		vertical-align: bottom;
	}
	.domains > * {
		top: 100px;
		height: 22px;
	}
	.domains th span {
		display: block;
		padding-left: 10px;
		font: 600 0.9rem var(--head);
		white-space: nowrap;
		overflow: hidden;
		text-overflow: ellipsis;
	}
	.domains th {
		max-width: 0;
	}
	thead tr:nth-child(2) > * {
		top: 122px;
		height: 152px;
		padding-bottom: 4px;
		box-shadow: 0 1px 0 var(--rule);
	}
	.skill {
		writing-mode: vertical-rl;
		transform: rotate(180deg);
		font-weight: 400;
		font-size: 0.85rem;
		line-height: 20px;
		max-height: 146px;
		white-space: nowrap;
		overflow: hidden;
	}
	.student {
		position: sticky;
		left: 0;
		z-index: 3;
		background: var(--paper);
		text-align: left;
		font-weight: 400;
		min-width: 252px;
		padding-right: 6px;
	}
	thead .student {
		z-index: 6;
	}
	tbody .student > span {
		display: flex;
		align-items: center;
		gap: 7px;
		height: 24px;
		white-space: nowrap;
	}
	.student a {
		color: var(--ink);
		text-decoration: none;
		overflow: hidden;
		text-overflow: ellipsis;
		max-width: 150px;
	}
	.student .soft {
		margin-left: auto;
		font-size: 0.85rem;
	}
	.current .student,
	.current td {
		background: var(--verdigris-wash);
	}
	.evidence {
		display: grid;
		gap: 6px;
		background: var(--paper);
		padding: 10px 12px;
		border-radius: var(--corner);
	}
	.evidence ol {
		list-style: none;
		margin: 0;
		padding: 0;
		max-height: 300px;
		overflow-y: auto;
	}
	.evidence li {
		border-top: 1px solid var(--rule);
		padding: 6px 0;
	}
	.stem {
		font-family: var(--head);
	}
	.before span {
		display: inline-flex;
		align-items: center;
		gap: 4px;
		margin-right: 8px;
	}
	@media print {
		thead th,
		thead td,
		.student {
			position: static;
		}
	}
</style>
