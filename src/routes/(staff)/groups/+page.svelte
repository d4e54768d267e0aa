<script lang="ts">
	import { goto } from '$app/navigation';
	import { page } from '$app/state';
	import TierBars from '$lib/ui/glyphs/TierBars.svelte';
	import DraftBoard from '$lib/ui/groups/DraftBoard.svelte';
	import { keepingScope, withState } from '$lib/ui/shell/address';
	import { sayDay, sayMeeting } from '$lib/ui/shell/dates';
	import Notice from '$lib/ui/shell/Notice.svelte';

	let { data, form } = $props();

	const studentOf = $derived(new Map(data.members.map((student) => [student.id, student])));
	const slotOf = $derived(new Map(data.slots.map((slot) => [slot.id, slot])));
	const skillOf = $derived(new Map(data.skills.map((skill) => [skill.id, skill])));
	const chosen = $derived(Number(page.url.searchParams.get('group')));
	const inGroup = $derived(new Set(data.groups.flatMap(({ studentIds }) => studentIds)));
	const tiered = $derived(data.scope.students.filter((student) => student.tier > 1));
	const waiting = $derived(tiered.filter((student) => !inGroup.has(student.id)));
	/** What adopting did stays on the page, with its Undo, as long as the groups are there. */
	const adopted = $derived.by(() => {
		const ids = (page.url.searchParams.get('adopted') ?? '').split(',').map(Number);
		const groups = data.groups.filter(({ id }) => ids.includes(id));
		if (groups.length === 0) return null;
		const students = new Set(groups.flatMap(({ studentIds }) => studentIds)).size;
		return {
			done: `${groups.length} ${groups.length === 1 ? 'group' : 'groups'} with ${students} students adopted, from ${sayDay(groups[0].startsOn)} to ${sayDay(groups[0].endsOn)}.`,
			undo: { action: '?/undo', fields: { groups: ids.join(',') } }
		};
	});
</script>

<svelte:head><title>Groups · Orderly Compass</title></svelte:head>

{#if data.draft && data.can.group}
	<DraftBoard
		problem={data.draft.problem}
		students={data.draft.students}
		slots={data.slots}
		skills={data.skills}
		dates={data.dates}
		onleave={(adopted) => goto(withState({ suggest: null, adopted: adopted ?? null }), { invalidateAll: true })}
	/>
{:else}
	<div class="head">
		<div>
			<h1>Groups in {data.scope.label}</h1>
			<p class="soft">
				{data.groups.length} groups with {inGroup.size} students. {waiting.length} of {tiered.length} tier 2 and 3 students
				in scope are in no group.
			</p>
		</div>
		{#if data.can.group}
			<span class="tools">
				{#if waiting.length}<a
						class="button primary"
						href={withState({ suggest: waiting.map(({ id }) => id).join(',') })}
						>Suggest a place for {waiting.length === 1 ? 'this student' : `those ${waiting.length}`}</a
					>{/if}
				<a class="button" href={keepingScope('/screen', { status: 'below' })}>Choose students below the line</a>
			</span>
		{/if}
	</div>

	{#if data.groups.length === 0}
		<p>No group meets in this scope. Choose students below the line on Screen, then ask for suggested groups.</p>
	{/if}
	<div class="list">
		{#each data.groups as group (group.id)}
			{@const slot = slotOf.get(group.slotId)!}
			{@const skill = skillOf.get(group.focusSkillId)!}
			<section class:chosen={group.id === chosen}>
				<h2><TierBars tier={group.tier} /> {group.name}</h2>
				<p>{skill.statement} <span class="soft">{skill.code}</span></p>
				<p class="soft">
					{sayMeeting(slot)}, {slot.minutes} min · {slot.staffName}, {slot.room}<br />
					{sayDay(group.startsOn)} to {sayDay(group.endsOn)}{group.startsOn > data.school.today ? ' (not started)' : ''}
				</p>
				<ul>
					{#each group.studentIds as id (id)}
						{@const student = studentOf.get(id)}
						{#if student}<li data-student={id}>
								<a href={withState({ student: id })}>{student.givenName} {student.familyName}</a>
								<span class="soft">{student.className}</span>
							</li>{/if}
					{:else}
						<li class="soft">No members now.</li>
					{/each}
				</ul>
				<p class="links no-print">
					<a href={keepingScope('/gaps', { scope: `group:${group.id}` })}>Gaps</a>
					{#if data.can.practice}<a href={keepingScope('/practice/new', { for: `group:${group.id}` })}
							>Assign practice</a
						>{/if}
					<a href={keepingScope('/track', { scope: `group:${group.id}` })}>Track</a>
				</p>
			</section>
		{/each}
	</div>
{/if}
<Notice outcome={form ?? adopted} />

<style>
	.head {
		display: flex;
		justify-content: space-between;
		gap: 12px;
		flex-wrap: wrap;
		margin-bottom: 14px;
	}
	.tools {
		display: flex;
		align-items: start;
		gap: 8px;
	}
	.list {
		display: grid;
		grid-template-columns: repeat(auto-fill, minmax(280px, 1fr));
		gap: 4px 28px;
	}
	section {
		border-top: 2px solid var(--ink);
		padding: 8px 0 16px;
		display: grid;
		gap: 6px;
		align-content: start;
	}
	.chosen {
		border-top-color: var(--verdigris);
		background: var(--verdigris-wash);
		padding-inline: 10px;
	}
	ul {
		list-style: none;
		margin: 0;
		padding: 0;
	}
	li a {
		color: var(--ink);
	}
	.links {
		display: flex;
		gap: 16px;
	}
</style>
