<script lang="ts">
	import { plural } from '$lib/core/words';
	import { page } from '$app/state';
	import GapViews from '$lib/ui/gaps/GapViews.svelte';
	import Evidence from '$lib/ui/gaps/Evidence.svelte';
	import NeedleKey from '$lib/ui/gaps/NeedleKey.svelte';
	import { NEEDLES, ROW_ORDERS } from '$lib/ui/gaps/mapChoices';
	import type { MapStudent } from '$lib/ui/gaps/map';
	import { Rows } from '$lib/ui/table/rows.svelte';
	import NeedleMap from '$lib/ui/gaps/NeedleMap.svelte';
	import AssignLinks from '$lib/ui/practice/AssignLinks.svelte';
	import ActionBar from '$lib/ui/shell/ActionBar.svelte';
	import { keepingScope, setState, withState } from '$lib/ui/shell/address';
	import { legState } from '$lib/ui/shell/legState.svelte';

	let { data } = $props();

	const asked = $derived((name: string) => page.url.searchParams.get(name));
	const { needles, order } = $derived(data.choice);
	const skillChoices = $derived([
		{ value: 'term', says: 'up to this term' },
		{ value: 'all', says: 'all' },
		{ value: 'focus', says: 'focus of current groups' },
		...[2, 3, 4, 5, 6, 7, 8]
			.filter((grade) => grade <= data.reached.grade)
			.map((grade) => ({ value: `below:${grade}`, says: `below grade ${grade}` }))
	]);
	const folded = $derived(new Set((asked('folded') ?? '').split(',').map(Number)));
	const find = $derived(asked('find') ?? '');
	const ground = $derived(asked('ground') !== 'off');
	const isShown = $derived(new Set(data.shownSkills));
	const skills = $derived(data.skills.filter(({ id }) => isShown.has(id)));
	const rows = new Rows<MapStudent>(() => ({ ids: data.ids, first: data.rows }));

	function fold(domainId: number) {
		const next = new Set([...folded].filter(Boolean));
		if (!next.delete(domainId)) next.add(domainId);
		void setState({ folded: next.size ? [...next].sort((a, b) => a - b).join(',') : null });
	}

	let selected = $state<number[]>([]);
	const inScope = $derived.by(() => {
		const there = new Set<number>(data.inScope);
		return selected.filter((id) => there.has(id));
	});

	$effect(() => {
		legState.peek = data.evidence ? evidence : undefined;
		return () => (legState.peek = undefined);
	});
</script>

<svelte:head><title>Gaps · Orderly Compass</title></svelte:head>

<GapViews />
<div class="head">
	<h1>Gaps in {data.scope.inWords}</h1>
	<NeedleKey {ground} />
	<div class="tools no-print">
		<label>
			Find
			<input
				class="find"
				type="search"
				value={find}
				placeholder="a student or skill"
				oninput={({ currentTarget: { value } }) => setState({ find: value.trim() ? value : null })}
			/>
		</label>
		<label>
			Rows by
			<select onchange={({ currentTarget: { value } }) => setState({ order: value === 'class' ? null : value })}>
				{#each Object.entries(ROW_ORDERS) as [value, label] (value)}<option {value} selected={order === value}
						>{label}</option
					>{/each}
			</select>
		</label>
		<label>
			Skills
			<select onchange={({ currentTarget: { value } }) => setState({ columns: value === 'term' ? null : value })}>
				{#each skillChoices as { value, says } (value)}<option {value} selected={data.choice.skills === value}
						>{says}</option
					>{/each}
			</select>
		</label>
		<label>
			Only
			<select onchange={({ currentTarget: { value } }) => setState({ needles: value === 'all' ? null : value })}>
				{#each Object.entries(NEEDLES) as [value, says] (value)}<option {value} selected={needles === value}
						>{says}</option
					>{/each}
			</select>
		</label>
		<details class="domains">
			<summary>{folded.size && [...folded].some(Boolean) ? 'Some domains folded' : 'Fold domains'}</summary>
			<div>
				{#each data.domains as { id, name } (id)}
					<label><input type="checkbox" checked={folded.has(id)} onchange={() => fold(id)} /> {name}</label>
				{/each}
				<button
					onclick={() =>
						setState({ folded: folded.has(data.domains[0]?.id) ? null : data.domains.map(({ id }) => id).join(',') })}
					>{folded.has(data.domains[0]?.id) ? 'Unfold all' : 'Fold all'}</button
				>
			</div>
		</details>
		<label
			><input type="checkbox" checked={ground} onchange={() => setState({ ground: ground ? 'off' : null })} /> Tint</label
		>
	</div>
</div>

{#each data.classwide.slice(0, 3) as need (need.classId + ' ' + need.skillId)}
	<p class="classwide">
		<strong>{need.className}: {need.skillName}.</strong>
		{need.lacking} of {need.withEvidence} with evidence lack it: {need.advice === 'whole class, firm'
			? 'a lesson for the whole class, not a group.'
			: 'likely a lesson for the whole class.'}
		{#if data.can.practice}<a
				href={keepingScope('/practice/new', {
					scope: `class:${need.classId}`,
					skill: need.skillId,
					cell: null,
					student: null
				})}>Practice for all of {need.className}</a
			>{/if}
	</p>
{/each}
{#if data.classwide.length > 3}
	<p class="soft">And {data.classwide.length - 3} more such skills in these classes; choose a class to see its own.</p>
{/if}

{#if data.inScope.length === 0}
	<p>Nobody is in this scope.</p>
{:else if data.ids.length === 0 || (skills.length === 0 && folded.size < 2)}
	<p>
		{find ? `Nobody and no skill here is called “${find}”.` : 'No needle here fits this choice.'}
		<a href={withState({ find: null, needles: null, columns: 'all' })}>Show all</a>
	</p>
{:else}
	<NeedleMap
		{rows}
		{skills}
		allSkills={data.skills}
		domains={data.domains}
		{folded}
		{needles}
		{ground}
		studentId={Number(asked('student'))}
		skillId={Number(asked('cell'))}
		bind:selected
		onchoose={(student, cell) => setState({ student, cell }, false)}
		onfold={fold}
	/>
	{#if inScope.length}
		<ActionBar says="{plural(inScope.length, 'student')} selected">
			{#if data.can.group}<a
					class="button primary"
					href={keepingScope('/groups/suggest', { students: inScope.join(',') })}>Suggest groups</a
				>{/if}
			{#if data.can.practice}<AssignLinks ids={inScope} />{/if}
			{#if data.can.check}<a class="button" href={keepingScope('/gaps/check', { students: inScope.join(',') })}
					>Skill check</a
				>{/if}
			<a class="button" href={keepingScope('/gaps', { scope: `list:${inScope.join(',')}` })}>Show only these</a>
			<button class="plain" onclick={() => (selected = [])}>Clear</button>
		</ActionBar>
	{/if}
{/if}

{#snippet evidence()}
	{#if data.evidence}<Evidence evidence={data.evidence} />{/if}
{/snippet}

<style>
	.head {
		display: grid;
		gap: 6px;
		margin-bottom: 8px;
	}
	.tools {
		display: flex;
		gap: 16px;
		align-items: center;
		flex-wrap: wrap;
	}
	.domains {
		position: relative;
	}
	.domains summary {
		cursor: pointer;
	}
	.domains > div {
		position: absolute;
		z-index: 12;
		width: max-content;
		display: grid;
		gap: 4px;
		padding: 10px 14px;
		background: var(--sheet);
		border: 1px solid var(--rule-strong);
		box-shadow: var(--float);
	}
	.find {
		width: 150px;
	}
	.classwide {
		border-left: 3px solid var(--gap-ink);
		padding: 2px 10px;
		margin-bottom: 6px;
	}
</style>
