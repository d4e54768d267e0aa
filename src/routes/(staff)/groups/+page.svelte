<script lang="ts">
	import { fullName, plural } from '$lib/core/words';
	import { page } from '$app/state';
	import TierBars from '$lib/ui/glyphs/TierBars.svelte';
	import GroupViews from '$lib/ui/groups/GroupViews.svelte';
	import { keepingScope, setState, withState } from '$lib/ui/shell/address';
	import { sayDate, sayDay, sayMeeting } from '$lib/core/calendar';
	import Pager from '$lib/ui/table/Pager.svelte';
	import Notice from '$lib/ui/shell/Notice.svelte';

	let { data, form } = $props();

	const studentOf = $derived(new Map(data.members.map((student) => [student.id, student])));
	const skillOf = $derived(new Map(data.skills.map((skill) => [skill.id, skill])));
	const chosen = $derived(Number(page.url.searchParams.get('student')));
	const { waiting, running } = $derived(data);
	/** What adopting did stays on the page, with its Undo, as long as the groups are there. */
	const adopted = $derived.by(() => {
		if (!data.adopted) return null;
		const { id, groups, students, endsOn } = data.adopted;
		return {
			done: `${plural(groups, 'group')} with ${students} students adopted, until ${sayDay(endsOn)}.`,
			undo: { action: '?/undo', fields: { adoption: String(id) } }
		};
	});
	const suggest = (students: number[], more: Record<string, string> = {}) =>
		keepingScope('/groups/suggest', { students: students.join(','), ...more });
</script>

<svelte:head><title>Groups · Orderly Compass</title></svelte:head>

<GroupViews drafts={data.drafts} />
<div class="head">
	<div>
		<h1>Groups in {data.scope.inWords}{data.on ? ` on ${sayDate(data.on)}` : ''}</h1>
		<p class="soft">
			{plural(data.total, 'group')} with {data.students} students.
			{#if !data.on}{waiting.length} of {data.tiered} tier 2 and 3 students in scope are in no group.{/if}
		</p>
	</div>
	<span class="tools no-print">
		<label
			>As of
			<input
				type="date"
				value={data.on ?? data.school.today}
				onchange={(event) => setState({ on: event.currentTarget.value || null })}
			/></label
		>
		{#if data.can.group && !data.on}
			{#if waiting.length}<a class="button primary" href={suggest(waiting)}
					>Suggest a place for {waiting.length === 1 ? 'this student' : `those ${waiting.length}`}</a
				>{/if}
			{#if running.length}<a class="button" href={suggest(waiting, { regroup: running.join(',') })}
					>Form {running.length === 1 ? 'this group' : `these ${running.length} groups`} anew</a
				>{/if}
		{/if}
	</span>
</div>

{#if data.total === 0}
	<p>
		{data.on ? `No group of this scope met on ${sayDate(data.on)}.` : 'No group meets in this scope.'}
		{#if data.can.group && !data.on}<a href={keepingScope('/screen', { status: 'below' })}
				>Choose students below the line</a
			>, then ask for suggested groups.{/if}
	</p>
{/if}
<div class="list">
	{#each data.groups as group (group.id)}
		{@const { slot } = group}
		{@const skill = skillOf.get(group.focusSkillId)!}
		<section>
			<h2><TierBars tier={group.tier} /> <a href={keepingScope(`/groups/${group.id}`)}>{group.name}</a></h2>
			<p>{skill.statement} <span class="soft">{skill.code}</span></p>
			<p class="soft">
				{sayMeeting(slot)}, {slot.minutes} min · {slot.staffName}, {slot.room}<br />
				{#if group.startsOn > data.school.today && !data.on}Starts {sayDate(group.startsOn)} (not started), ends {sayDay(
						group.endsOn
					)}{:else if group.pausedUntil}Paused {group.pausedUntil === 'open'
						? 'until it is resumed'
						: `until ${sayDate(group.pausedUntil)}`}{:else}{sayDay(group.startsOn)} to {sayDay(group.endsOn)}{group.next
						? ` · next ${sayDate(group.next)}`
						: ''}{/if}
				{#if group.kind === 'mixed'}<br />Mixed: {group.helperIds.length} can help{/if}
			</p>
			<ul>
				{#each group.studentIds as id (id)}
					{@const student = studentOf.get(id)}
					{#if student}<li data-student={id} class:current={id === chosen}>
							<a href={withState({ student: id })}>{fullName(student)}</a>
							<span class="soft"
								>{student.className}{group.helperIds.includes(id) ? ' · helps' : ''}{student.groups > 1
									? ` · in ${student.groups} groups`
									: ''}</span
							>
						</li>{/if}
				{:else}
					<li class="soft">No members {data.on ? 'then' : 'now'}.</li>
				{/each}
			</ul>
			<p class="links no-print">
				<a href={keepingScope('/gaps', { scope: `group:${group.id}` })}>Gaps</a>
				{#if data.can.practice}<a href={keepingScope('/practice/new', { for: `group:${group.id}` })}>Assign practice</a
					>{/if}
				<a href={keepingScope('/track', { scope: `group:${group.id}` })}>Track</a>
			</p>
		</section>
	{/each}
</div>
<Pager from={data.from} most={data.most} total={data.total} name="groups" />
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
		flex-wrap: wrap;
		align-items: center;
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
		break-inside: avoid;
	}
	h2 a {
		color: var(--ink);
	}
	ul {
		list-style: none;
		margin: 0;
		padding: 0;
	}
	li a {
		color: var(--ink);
	}
	li.current {
		background: var(--verdigris-wash);
	}
	.links {
		display: flex;
		gap: 16px;
	}
</style>
