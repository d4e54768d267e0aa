<script lang="ts">
	import { plural } from '$lib/core/words';
	import { page } from '$app/state';
	import type { Cell } from '$lib/core/mastery';
	import Needle from '$lib/ui/glyphs/Needle.svelte';
	import TierBars from '$lib/ui/glyphs/TierBars.svelte';
	import GapViews from '$lib/ui/gaps/GapViews.svelte';
	import { BOX } from '$lib/ui/progression/layOutColumns';
	import ProgressionDrawing from '$lib/ui/progression/ProgressionDrawing.svelte';
	import ActionBar from '$lib/ui/shell/ActionBar.svelte';
	import { keepingScope, setState, withState } from '$lib/ui/shell/address';

	let { data } = $props();
	type Named = (typeof data.before.students)[number];

	const RESTS = {
		before: 'Something in another domain comes first',
		beyond: 'Every skill of the domain is rather mastered'
	};

	const studentId = $derived(Number(page.url.searchParams.get('student')));
	const all = $derived(page.url.searchParams.get('columns') === 'all');
	const skillOf = $derived(new Map(data.skills.map((skill) => [skill.id, skill])));
	/** From the first to the last column where somebody stands, one more either way. */
	const columns = $derived.by(() => {
		const used = data.columns.flatMap((ids, column) => (ids.some((id) => hereAt(id).ids.length) ? [column] : []));
		if (all || used.length === 0) return data.columns;
		return data.columns.slice(Math.max(0, used[0] - 1), used[used.length - 1] + 2);
	});
	const hereAt = (skill: number) => skillOf.get(skill)!.here;
	/** Pixels of a student's line in a box, and below the last. */
	const [LINE, FOOT] = [26, 8];
	const boxHeight = (skill: number) => {
		const { ids, students } = hereAt(skill);
		const lines = students.length + (hasMore(skill, ids, students) ? 1 : 0);
		return BOX.head + (lines ? lines * LINE + FOOT : 0);
	};
	/** Whether there is a line that leads to more of those who stand at a place, or back to fewer. */
	const hasMore = (place: number | string, ids: number[], shown: unknown[]) =>
		ids.length > shown.length || data.open === String(place);

	/** The skill that each student stands at; null for those who stand at none. */
	const placeOf = $derived(
		new Map<number, number | null>([
			...data.skills.flatMap(({ id: skill, here }) => here.ids.map((id) => [id, skill] as const)),
			...[...data.before.ids, ...data.beyond.ids].map((id) => [id, null] as const)
		])
	);
	let chosen = $state<number[]>([]);
	const selected = $derived(chosen.filter((id) => placeOf.has(id)));
	/** The skill they all stand at, for practice. */
	const common = $derived.by(() => {
		const skills = new Set(selected.map((id) => placeOf.get(id)!));
		const [only] = skills;
		return skills.size === 1 && only !== null ? only : null;
	});
	function toggleAll(skill: number) {
		const { ids } = hereAt(skill);
		chosen = ids.every((id) => chosen.includes(id))
			? chosen.filter((id) => !ids.includes(id))
			: [...new Set([...chosen, ...ids])];
	}
</script>

<svelte:head><title>Progression · Orderly Compass</title></svelte:head>

{#snippet student(one: Named, state?: Pick<Cell, 'standing' | 'inferred' | 'isSure'>)}
	<li class:current={one.id === studentId} data-student={one.id}>
		<input type="checkbox" value={one.id} bind:group={chosen} aria-label="Select {one.name}" />
		<a href={withState({ student: one.id })} title="{one.name}, {one.className}, {one.score ?? 'no score'}"
			>{one.name}</a
		>
		<span class="glyphs"
			>{#if state}<Needle
					state={state.standing}
					inferred={state.inferred}
					quiet={!state.isSure}
					size={16}
				/>{/if}<TierBars tier={one.tier} inColumn /></span
		>
	</li>
{/snippet}
{#snippet more(place: string, ids: number[], shown: unknown[])}
	{#if hasMore(place, ids, shown)}<li class="more">
			{#if data.open === place}<a href={withState({ open: null })}>fewer names</a>
				{#if ids.length > shown.length}<span class="soft">and {ids.length - shown.length} more: narrow the scope</span
					>{/if}
			{:else}<a href={withState({ open: place })}>and {ids.length - shown.length} more</a>{/if}
		</li>{/if}
{/snippet}

<GapViews />
<div class="page-head">
	<h1>{data.domain.name} in {data.scope.inWords}</h1>
	<label>
		Domain
		<select onchange={(event) => setState({ domain: event.currentTarget.value })}>
			{#each data.domains as { id, name } (id)}<option value={id} selected={id === data.domain.id}>{name}</option
				>{/each}
		</select>
	</label>
	<label
		><input
			type="checkbox"
			checked={all}
			onchange={(event) => setState({ columns: event.currentTarget.checked ? 'all' : null })}
		/>
		all {data.skills.length} skills</label
	>
</div>
<p class="soft">
	Skills from left to right as one leads to the next. Each of the {data.students} students stands at the first skill in teaching
	order that they are ready for.
	<a href={keepingScope('/screen', { window: page.url.searchParams.get('window'), on: data.domain.id })}
		>Scores in this domain</a
	>
</p>

{#each data.needs as need (`${need.classId} ${need.skillId}`)}
	<p class="classwide">
		<strong>{need.skillName}</strong>: {need.lacking} of {need.withEvidence} of {need.className} lack it:
		{need.advice === 'whole class, firm' ? 'a lesson for the whole class' : 'likely a lesson for the whole class'}.
		<a href={keepingScope('/gaps/class', { of: need.classId })}>For {need.className}</a>
	</p>
{/each}

{#if data.students === 0}
	<p>Nobody is in this scope.</p>
{:else}
	<ProgressionDrawing label="Progression of {data.domain.name}" {columns} edges={data.edges} heightOf={boxHeight}>
		{#snippet box(id)}
			{@const skill = skillOf.get(id)!}
			{@const { ids, students } = skill.here}
			<h2>
				<a href={keepingScope(`/library/${encodeURIComponent(skill.code)}`)} title="{skill.code} · {skill.shortName}"
					>{skill.shortName}</a
				>
				<span class="soft"
					>{skill.level} · {skill.gaps} gap, {skill.secure} secure
					{#if ids.length > 1}<button
							class="plain"
							onclick={() => toggleAll(id)}
							aria-label="Select all at {skill.shortName}">all {ids.length}</button
						>{/if}</span
				>
			</h2>
			{#if ids.length}<ul aria-label={skill.shortName}>
					{#each students as one (one.id)}{@render student(one, one)}{/each}
					{@render more(String(id), ids, students)}
				</ul>{/if}
		{/snippet}
	</ProgressionDrawing>
	{#each ['before', 'beyond'] as const as place (place)}
		{@const { ids, students } = data[place]}
		{#if ids.length}
			<section class="rest">
				<h2>{RESTS[place]}: {ids.length}</h2>
				<ul>
					{#each students as one (one.id)}{@render student(one)}{/each}
					{@render more(place, ids, students)}
				</ul>
			</section>
		{/if}
	{/each}
	{#if selected.length}
		<ActionBar says="{plural(selected.length, 'student')} selected">
			{#if data.can.group}<a
					class="button primary"
					href={keepingScope('/groups/suggest', { students: selected.join(','), domain: null })}>Suggest groups</a
				>{/if}
			{#if data.can.practice}<a
					class="button"
					href={keepingScope('/practice/new', {
						scope: `list:${selected.join(',')}`,
						skill: common,
						domain: null,
						student: null
					})}>Assign practice{common === null ? '' : ` on ${skillOf.get(common)!.shortName}`}</a
				>{/if}
			{#if data.can.check}<a
					class="button"
					href={keepingScope('/gaps/check', { students: selected.join(','), skill: common })}>Skill check</a
				>{/if}
			<button class="plain" onclick={() => (chosen = [])}>Clear</button>
		</ActionBar>
	{/if}
{/if}

<style>
	.classwide {
		border-left: 3px solid var(--gap-ink);
		padding: 2px 10px;
	}
	h2 {
		height: 46px;
		padding: 4px 8px;
		overflow: hidden;
		font: inherit;
	}
	h2 a {
		display: block;
		color: var(--ink);
		font-weight: 600;
		text-decoration: none;
		white-space: nowrap;
		overflow: hidden;
		text-overflow: ellipsis;
	}
	h2 a:hover {
		text-decoration: underline;
	}
	h2 .soft {
		font-size: 0.8rem;
		white-space: nowrap;
	}
	h2 button {
		min-height: 0;
		padding: 0 4px;
		font-size: 0.8rem;
	}
	ul {
		list-style: none;
		margin: 0;
		padding: 0 6px;
	}
	li {
		display: flex;
		align-items: center;
		gap: 6px;
		height: 26px; /* LINE */
		border-top: 1px solid var(--rule);
	}
	li.current {
		background: var(--verdigris-wash);
	}
	li a {
		flex: 1;
		min-width: 0;
		color: var(--ink);
		text-decoration: none;
		white-space: nowrap;
		overflow: hidden;
		text-overflow: ellipsis;
	}
	li.more a {
		flex: none;
		color: var(--verdigris);
		font-size: 0.9rem;
		text-decoration: underline;
	}
	.glyphs {
		display: flex;
		gap: 4px;
		align-items: center;
	}
	.rest ul {
		display: grid;
		grid-template-columns: repeat(auto-fill, minmax(220px, 1fr));
		gap: 0 16px;
	}
</style>
