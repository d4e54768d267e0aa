<script lang="ts">
	import { invalidateAll } from '$app/navigation';
	import { plural } from '$lib/core/words';
	import { addDays, sayDate, sayDay } from '$lib/core/calendar';
	import Needle from '$lib/ui/glyphs/Needle.svelte';
	import { standingWords } from '$lib/core/mastery';
	import { Rows } from '$lib/ui/table/rows.svelte';
	import StudentTable from '$lib/ui/table/StudentTable.svelte';
	import GapViews from '$lib/ui/gaps/GapViews.svelte';
	import { setState, withState } from '$lib/ui/shell/address';

	let { data } = $props();

	const KINDS = {
		moved: 'what rose or fell',
		risen: 'what rose',
		fallen: 'what fell',
		all: 'all changes'
	} as const;
	type Row = (typeof data.rows)[number];
	const rows = new Rows<Row>(() => ({ ids: data.ids, first: data.rows }));
	const { skills } = $derived(data);
	const columns = $derived(
		skills.map(({ code, shortName, level }) => ({
			label: shortName,
			title: `${code} · ${shortName} (${level})`,
			isUpright: true
		}))
	);
	const heads = $derived(
		data.domains
			.map(({ id, name }) => ({ id, name, span: skills.filter(({ domainId }) => domainId === id).length }))
			.filter(({ span }) => span)
	);
	const { counts } = $derived(data);
	const times = (count: number) => plural(count, 'skill');
	const changeOn = (row: Row, skillId: number) => row.changed.find((one) => one.skillId === skillId);

	// Who has not been worked out yet is asked for again, until all are there.
	$effect(() => {
		if (data.missing) void invalidateAll();
	});
</script>

<svelte:head><title>Then and now · Orderly Compass</title></svelte:head>

<GapViews />
<div class="page-head">
	<h1>{data.scope.label}, {sayDay(data.then)} and now</h1>
	<label
		>Then
		<input
			type="date"
			value={data.then}
			max={addDays(data.school.today, -1)}
			onchange={(event) => setState({ then: event.currentTarget.value || null })}
		/></label
	>
	<label
		>Show
		<select
			onchange={(event) =>
				setState({ changes: event.currentTarget.value === 'moved' ? null : event.currentTarget.value })}
		>
			{#each Object.entries(KINDS) as [value, says] (value)}<option {value} selected={data.kind === value}
					>{says}</option
				>{/each}
		</select></label
	>
</div>
<p>
	Since {sayDate(data.then)}, counted by student and skill: {times(counts.risen)} rose, {times(counts.fallen)} fell, {times(
		counts['first seen']
	)} were first seen{counts['no longer seen'] ? `, ${times(counts['no longer seen'])} rest on nothing any more` : ''}; {counts.same.toLocaleString(
		'en-US'
	)}
	are as they were.
</p>
<p class="soft">
	In each cell the left needle is then and the right one now.
	{#if data.byOthers}{data.byOthers} of those that rose or fell did so without an answer on the skill itself, by what was
		answered near it: they are pale.{/if}
	{#if data.missing}<strong role="status"
			>Worked out for {data.students - data.missing} of {data.students} students so far.</strong
		>{/if}
</p>

{#if data.students === 0}
	<p>Nobody is in this scope.</p>
{:else if skills.length === 0}
	<p>
		Nothing of this kind has changed since {sayDate(data.then)}. <a href={withState({ changes: 'all' })}>All changes</a>
	</p>
{:else}
	<StudentTable {rows} {columns} {cells} {empty} {above} says="What has changed, by student and skill" height={26} />
{/if}

{#snippet above()}
	<tr class="domains">
		<td></td>
		{#each heads as { id, name, span } (id)}<th colspan={span} scope="colgroup" title={name}><span>{name}</span></th
			>{/each}
	</tr>
{/snippet}
{#snippet empty()}Nobody has been worked out yet.{/snippet}
{#snippet cells(row: Row)}
	{#each skills as { id, shortName } (id)}
		{@const one = changeOn(row, id)}
		<td>
			{#if one}
				{@const said = `${shortName}: ${standingWords[one.from]}, now ${standingWords[one.to]}; ${one.answers ? `${plural(one.answers, 'answer')} on it since` : 'no answer on it since, but on what is near'}`}
				<span class="pair" class:by-others={one.answers === 0} role="img" aria-label={said} title={said}
					><Needle state={one.from} size={16} /><Needle state={one.to} size={16} /></span
				>
			{/if}
		</td>
	{/each}
{/snippet}

<style>
	.domains th {
		max-width: 0;
		font: 600 0.9rem var(--head);
		text-align: left;
		border-left: 1px solid var(--rule);
		padding-left: 4px;
	}
	.domains span {
		display: block;
		overflow: hidden;
		white-space: nowrap;
		text-overflow: ellipsis;
	}
	td {
		padding: 2px;
		min-width: 40px;
	}
	.pair {
		display: inline-flex;
		gap: 2px;
	}
	.by-others {
		opacity: 0.5;
	}
</style>
