<script lang="ts">
	import { page } from '$app/state';
	import { readCell } from '$lib/core/mastery';
	import { expectedTheta } from '$lib/core/measurement';
	import Evidence from '$lib/ui/gaps/Evidence.svelte';
	import NeedleKey from '$lib/ui/gaps/NeedleKey.svelte';
	import NeedleMap from '$lib/ui/gaps/NeedleMap.svelte';
	import ActionBar from '$lib/ui/shell/ActionBar.svelte';
	import { keepingScope, setState, withState } from '$lib/ui/shell/address';
	import { legState } from '$lib/ui/shell/legState.svelte';

	let { data } = $props();

	const orders = [
		['class', 'class and name'],
		['gaps', 'most gaps first'],
		['tier', 'tier']
	];
	const columnChoices = [
		['term', 'up to this term'],
		['all', 'all'],
		['gaps', 'with a gap here'],
		['ready', 'someone is ready for']
	];
	const order = $derived(page.url.searchParams.get('order') ?? 'class');
	const columns = $derived(page.url.searchParams.get('columns') ?? 'term');
	const ground = $derived(page.url.searchParams.get('ground') !== 'off');
	const byId = $derived(new Map(data.scope.students.map((student) => [student.id, student])));

	const students = $derived.by(() => {
		const list = data.rows.map((row) => ({ ...byId.get(row.id)!, ...row }));
		if (order === 'gaps') return list.sort((a, b) => b.gaps - a.gaps);
		if (order === 'tier') return list.sort((a, b) => b.tier - a.tier);
		return list;
	});
	const skills = $derived(
		data.skills
			.map((skill, place) => ({ ...skill, place }))
			.filter(
				({ place, grade, term }) =>
					columns === 'all' ||
					(columns === 'term' && expectedTheta({ grade, term }) <= expectedTheta(data.reached)) ||
					data.rows.some(({ cells }) => {
						const { standing, inferred, readyNext } = readCell(cells, place);
						return columns === 'ready' ? readyNext : columns === 'gaps' && standing === 'gap' && !inferred;
					})
			)
	);

	let selected = $state<number[]>([]);
	const inScope = $derived(selected.filter((id) => byId.has(id)));

	$effect(() => {
		legState.peek = data.evidence ? evidence : undefined;
		return () => (legState.peek = undefined);
	});
</script>

<svelte:head><title>Gaps · Orderly Compass</title></svelte:head>

<div class="head">
	<h1>Gaps in {data.scope.label}</h1>
	<NeedleKey {ground} />
	<div class="tools no-print">
		<label>
			Rows by
			<select onchange={(event) => setState({ order: event.currentTarget.value })}>
				{#each orders as [value, label] (value)}<option {value} selected={order === value}>{label}</option>{/each}
			</select>
		</label>
		<label>
			Skills
			<select onchange={({ currentTarget: { value } }) => setState({ columns: value === 'term' ? null : value })}>
				{#each columnChoices as [value, label] (value)}<option {value} selected={columns === value}>{label}</option
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
		<strong>{need.className}: {need.skillName}.</strong>
		{need.lacking} of {need.withEvidence} with evidence lack it: {need.advice === 'whole class, firm'
			? 'a lesson for the whole class, not a group.'
			: 'likely a lesson for the whole class.'}
	</p>
{/each}
{#if data.classwide.length > 3}
	<p class="soft">And {data.classwide.length - 3} more such skills in these classes; choose a class to see its own.</p>
{/if}

{#if students.length === 0}
	<p>Nobody is in this scope.</p>
{:else if skills.length === 0}
	<p>No skill here fits this choice. <a href={withState({ columns: 'all' })}>Show all skills</a></p>
{:else}
	<NeedleMap
		{students}
		{skills}
		domains={data.domains}
		{ground}
		studentId={Number(page.url.searchParams.get('student'))}
		skillId={Number(page.url.searchParams.get('cell'))}
		bind:selected
		onchoose={(student, cell) => setState({ student, cell }, false)}
	/>
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
	.classwide {
		border-left: 3px solid var(--gap-ink);
		padding: 2px 10px;
		margin-bottom: 6px;
	}
</style>
