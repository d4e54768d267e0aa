<script lang="ts">
	import { plural, sayLevel } from '$lib/core/words';
	import { enhance } from '$app/forms';
	import Needle from '$lib/ui/glyphs/Needle.svelte';
	import { describeStanding, standingWords } from '$lib/core/mastery';
	import SampleItems from '$lib/ui/items/SampleItems.svelte';
	import Materials from '$lib/ui/library/Materials.svelte';
	import Progression from '$lib/ui/library/Progression.svelte';
	import ActionBar from '$lib/ui/shell/ActionBar.svelte';
	import { keepingScope } from '$lib/ui/shell/address';
	import { sayDay } from '$lib/core/calendar';
	import { Rows } from '$lib/ui/table/rows.svelte';
	import StudentTable from '$lib/ui/table/StudentTable.svelte';
	import Notice from '$lib/ui/shell/Notice.svelte';

	let { data, form } = $props();

	const columns = [{ label: 'Class' }, { label: 'Standing' }];

	const rows = new Rows(() => ({ ids: data.ids, first: data.rows }));
	let selected = $state<number[]>([]);
	const chosen = $derived(selected.filter((id) => data.ids.includes(id)));
</script>

<svelte:head><title>{data.skill.shortName} · Orderly Compass</title></svelte:head>

<p class="no-print"><a href={keepingScope('/library')}>Back to the library</a></p>
<div class="head">
	<div>
		<h1>{data.skill.shortName}</h1>
		<p>
			{data.skill.statement}.
			<span class="soft">{data.skill.code} · {data.domain.name} · {sayLevel(data.skill)}</span>
		</p>
	</div>
	<div class="actions no-print">
		{#if data.can.practice && data.samples.length}
			<a class="button primary" href={keepingScope('/practice/new', { skill: data.skill.id, for: 'all' })}
				>Assign to {data.scope.inWords}</a
			>
			{#if data.lacking.length}<a
					class="button"
					href={keepingScope('/practice/new', { skill: data.skill.id, scope: `list:${data.lacking.join(',')}` })}
					>Assign to the {data.lacking.length} who lack it</a
				>{/if}
			{#if data.groups.length}
				<details class="menu">
					<summary class="button">Assign to a group</summary>
					<ul>
						{#each data.groups as { key, label } (key)}
							<li><a href={keepingScope('/practice/new', { skill: data.skill.id, scope: key })}>{label}</a></li>
						{/each}
					</ul>
				</details>
			{/if}
		{/if}
		<form method="POST" action="?/shelf" use:enhance>
			{#if data.shelved}
				<button name="shelf" value={data.shelved.shared ? 'own' : 'shared'}
					>{data.shelved.shared ? 'Stop sharing' : 'Share with colleagues'}</button
				>
				<button name="shelf" value="off">Take off my shelf</button>
			{:else}
				<button name="shelf" value="own">Put on my shelf</button>
			{/if}
		</form>
	</div>
</div>

<h2>In its progression</h2>
<Progression skillId={data.skill.id} progression={data.progression} skills={data.skills} />
{#if data.progression.before.length === 0}<p class="soft">Nothing has to come before it.</p>{/if}
{#if data.progression.after.length === 0}<p class="soft">No other skill here builds on it.</p>{/if}

<div class="two">
	<section>
		<h2>Sample questions</h2>
		{#if data.samples.length}
			{#key data.skill.id}<SampleItems samples={data.samples} />{/key}
			<p class="no-print">
				Print them <a href={keepingScope(`/library/${data.skill.code}/print`)}>without key</a> or
				<a href={keepingScope(`/library/${data.skill.code}/print`, { key: 'on' })}>with key and solutions</a>.
			</p>
		{:else}
			<p>
				No questions were made for this skill yet. Keep a link or a note with it below, or look at what comes before.
			</p>
		{/if}

		<h2 class="gap">Own material</h2>
		<Materials materials={data.materials} />
	</section>

	<section>
		<h2>Sets that used it</h2>
		<ul>
			{#each data.sets as set (set.id)}
				<li>
					<a href={keepingScope(`/practice/${set.id}`)}>{sayDay(set.opensOn)}</a>, {set.itemCount} questions
					<span class="soft">by {set.createdBy}; {set.finished} of {set.students} students finished</span>
				</li>
			{:else}
				<li class="soft">No set on this skill was assigned in this scope.</li>
			{/each}
		</ul>

		<h2 class="gap">Standards that ask for it</h2>
		<ul>
			{#each data.standards as standard (standard.id)}
				<li><strong>{standard.code}</strong> {standard.statement} <span class="soft">{standard.framework}</span></li>
			{:else}
				<li class="soft">No standard that the school brought in is linked to this skill.</li>
			{/each}
		</ul>
	</section>
</div>
<section class="gap">
	<h2>Students in {data.scope.inWords}</h2>
	<p class="counts">
		{#each data.counts as { standing, count } (standing)}<span
				><Needle state={standing} size={16} />{standingWords[standing]}: {count}</span
			>{/each}
	</p>
	{#if data.can.practice}
		<StudentTable {rows} says="Students on this skill" {columns} {cells} {empty} bind:selected />
	{:else}
		<StudentTable {rows} says="Students on this skill" {columns} {cells} {empty} />
	{/if}
</section>
{#if chosen.length && data.samples.length}
	<ActionBar says="{plural(chosen.length, 'student')} chosen">
		<a
			class="button primary"
			href={keepingScope('/practice/new', { skill: data.skill.id, scope: `list:${chosen.join(',')}` })}
			>Assign {data.skill.shortName}</a
		>
		<button class="plain" onclick={() => (selected = [])}>Clear</button>
	</ActionBar>
{/if}
<Notice outcome={form} />

{#snippet empty()}Nobody is in this scope.{/snippet}
{#snippet cells(row: (typeof data.rows)[number])}
	<td class="soft">{row.className}</td>
	<td>{describeStanding(row.now)}</td>
{/snippet}

<style>
	.head {
		display: flex;
		justify-content: space-between;
		gap: 24px;
		margin-bottom: 16px;
	}
	.menu {
		position: relative;
	}
	.menu summary {
		display: inline-flex;
		align-items: center;
		padding: 0 12px;
		cursor: pointer;
	}
	.menu ul {
		position: absolute;
		z-index: 5;
		right: 0;
		width: max-content;
		max-width: 320px;
		max-height: 50vh;
		overflow-y: auto;
		margin: 4px 0 0;
		padding: 6px 12px;
		list-style: none;
		background: var(--sheet);
		border: 1px solid var(--rule-strong);
		border-radius: var(--corner);
		box-shadow: var(--float);
	}
	.menu li {
		padding: 4px 0;
	}
	.actions,
	.actions form {
		display: flex;
		flex-wrap: wrap;
		gap: 8px;
		justify-content: flex-end;
		align-items: start;
	}
	.two {
		display: grid;
		grid-template-columns: 3fr 2fr;
		gap: 36px;
		margin-top: 12px;
		align-items: start;
	}
	.gap {
		margin-top: 20px;
	}
	.counts,
	.counts span {
		display: flex;
		flex-wrap: wrap;
		gap: 4px 16px;
		align-items: center;
	}
	.counts {
		margin: 4px 0 8px;
	}
	.counts span {
		gap: 6px;
	}
	ul {
		list-style: none;
		margin: 4px 0;
		padding: 0;
	}
	li {
		padding: 2px 0;
	}
	@media (max-width: 1000px) {
		.two {
			grid-template-columns: 1fr;
		}
	}
</style>
