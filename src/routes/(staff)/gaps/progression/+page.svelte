<script lang="ts">
	import { plural } from '$lib/core/words';
	import { page } from '$app/state';
	import GapViews from '$lib/ui/gaps/GapViews.svelte';
	import { BOX } from '$lib/ui/progression/layOutColumns';
	import ProgressionDrawing from '$lib/ui/progression/ProgressionDrawing.svelte';
	import StudentsHere, { hasMore, LINE } from '$lib/ui/progression/StudentsHere.svelte';
	import ActionBar from '$lib/ui/shell/ActionBar.svelte';
	import { keepingScope, setState } from '$lib/ui/shell/address';

	let { data } = $props();

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
	/** Pixels below the last student's line in a box. */
	const FOOT = 8;
	const boxHeight = (skill: number) => {
		const { here } = skillOf.get(skill)!;
		const lines = here.students.length + (hasMore(here, skill, data.open) ? 1 : 0);
		return BOX.head + (lines ? lines * LINE + FOOT : 0);
	};

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
			{@const { ids } = skill.here}
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
			<StudentsHere here={skill.here} place={id} open={data.open} label={skill.shortName} {studentId} bind:chosen />
		{/snippet}
	</ProgressionDrawing>
	{#each ['before', 'beyond'] as const as place (place)}
		{#if data[place].ids.length}
			<section>
				<h2>{RESTS[place]}: {data[place].ids.length}</h2>
				<StudentsHere
					here={data[place]}
					{place}
					open={data.open}
					label={RESTS[place]}
					inColumns
					{studentId}
					bind:chosen
				/>
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
</style>
