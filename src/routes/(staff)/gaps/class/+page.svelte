<script lang="ts">
	import { sayLevel } from '$lib/core/words';
	import Table from '$lib/ui/table/Table.svelte';
	import { page } from '$app/state';
	import { sayMeeting } from '$lib/core/calendar';
	import TierBars from '$lib/ui/glyphs/TierBars.svelte';
	import GapViews from '$lib/ui/gaps/GapViews.svelte';
	import { keepingScope, setState, withState } from '$lib/ui/shell/address';

	let { data } = $props();

	const studentId = $derived(Number(page.url.searchParams.get('student')));
	const nameOf = $derived(new Map(data.students.map(({ id, name }) => [id as number, name])));
	const ahead = $derived(data.students.filter(({ isAhead }) => isAhead));
	const percent = (share: number) => `${Math.round(100 * share)}%`;
	const list = (ids: number[]) => `list:${ids.join(',')}`;
	const MOST_NEEDS = 12;
	let more = $state(false);
</script>

<svelte:head><title>For the class · Orderly Compass</title></svelte:head>

{#snippet names(ids: number[])}
	{#each ids as id, i (id)}{i ? ', ' : ''}<a class="name" href={withState({ student: id })}>{nameOf.get(id)}</a>{/each}
{/snippet}

<GapViews />
<div class="page-head">
	<h1>{data.chosen ? `${data.chosen.name}, grade ${data.grade}` : 'No class'}</h1>
	{#if data.classes.length > 1}
		<label
			>Class
			<select onchange={(event) => setState({ of: event.currentTarget.value })}>
				{#each data.classes as { id, name } (id)}<option value={id} selected={id === data.chosen?.id}>{name}</option
					>{/each}
			</select></label
		>
	{/if}
</div>

{#if !data.chosen}
	<p>Nobody is in this scope.</p>
{:else}
	<section>
		<h2>Reteach to all</h2>
		{#each data.whole as need (need.skillId)}
			<p class="whole">
				<strong>{need.skillName}</strong>: {need.lacking} of {need.withEvidence} with evidence lack it, {percent(
					need.lacking / need.withEvidence
				)} (95% interval {percent(need.lower)} to {percent(need.upper)}):
				{need.advice === 'whole class, firm' ? 'a lesson for the whole class.' : 'likely a lesson for the whole class.'}
				<span class="no-print">
					{#if data.can.practice}<a
							href={keepingScope('/practice/new', {
								scope: `class:${data.chosen.id}`,
								skill: need.skillId,
								student: null
							})}>Practice for all</a
						>{/if}
					{#if need.unseen.length && data.can.check}<a
							href={keepingScope('/gaps/check', { students: need.unseen.join(','), skill: need.skillId })}
							>Check the {need.unseen.length} without evidence</a
						>{/if}
				</span>
			</p>
		{:else}
			<p>
				No skill is lacking in 60% or more of the class, as far as answers tell: {data.students.length} students, skills up
				to
				{sayLevel(data)}.
			</p>
		{/each}
	</section>

	<section>
		<h2>Who needs what</h2>
		<Table
			says="Skills that two or more are ready for"
			columns={[
				{ label: 'Skill' },
				{ label: 'A gap, and ready for it' },
				{ label: 'Slipping' },
				{ label: 'Practice', isSilent: true }
			]}
			rows={more ? data.needs : data.needs.slice(0, MOST_NEEDS)}
			key={({ skill }) => skill.id}
			airy
		>
			{#snippet cells({ skill, who, slipping })}
				<th scope="row"
					><a href={keepingScope(`/library/${encodeURIComponent(skill.code)}`)}>{skill.name}</a>
					<span class="soft">{skill.code}, {skill.domain}</span></th
				>
				<td>{@render names(who)}</td>
				<td>{@render names(slipping)}</td>
				<td class="no-print"
					>{#if data.can.practice}<a
							href={keepingScope('/practice/new', {
								scope: list([...who, ...slipping]),
								skill: skill.id,
								student: null
							})}>Practice for {who.length + slipping.length}</a
						>{/if}</td
				>
			{/snippet}
			{#snippet empty()}No skill is shared by two or more as a gap they are ready for.{/snippet}
		</Table>
		{#if data.needs.length > MOST_NEEDS && !more}
			<button class="no-print" onclick={() => (more = true)}>Show all {data.needs.length}</button>
		{/if}
	</section>

	<section>
		<h2>Who is ahead</h2>
		{#each ahead as student (student.id)}
			<p>
				<a class="name" href={withState({ student: student.id })}>{student.name}</a> works at {student.level} with no gap
				in what is due{student.ahead.length ? `; ready for ${student.ahead.join(' and ')}` : ''}.
			</p>
		{:else}
			<p class="soft">Nobody works a year beyond the class without a gap in what is due.</p>
		{/each}
	</section>

	<section>
		<h2>Everybody</h2>
		<Table
			says="Students of the class"
			columns={[
				{ label: 'Student' },
				{ label: 'Works at' },
				{ label: 'Gaps due', isNumber: true },
				{ label: 'In groups' }
			]}
			rows={data.students}
			key={({ id }) => id}
			attributes={(student) => ({ 'data-student': student.id, class: { current: student.id === studentId } })}
		>
			{#snippet cells(student)}
				<th scope="row"
					><a href={withState({ student: student.id })}>{student.name}</a> <TierBars tier={student.tier} /></th
				>
				<td>{student.level ?? 'no score yet'}</td>
				<td class="number">{student.gaps}</td>
				<td
					>{#each student.groups as group (group.id)}<a href={keepingScope(`/groups/${group.id}`)}>{group.focus}</a>
						<span class="soft">{sayMeeting(group)}, {group.staffName}</span><br />{:else}<span class="soft">none</span
						>{/each}</td
				>
			{/snippet}
		</Table>
	</section>
{/if}

<style>
	section {
		margin-top: 16px;
		display: grid;
		gap: 6px;
		justify-items: start;
	}
	.whole {
		border-left: 3px solid var(--gap-ink);
		padding: 2px 10px;
	}
	.name {
		color: var(--ink);
	}
</style>
