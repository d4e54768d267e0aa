<script lang="ts">
	import { sayDue } from '$lib/ui/practice/saySet';
	import { enhance } from '$app/forms';
	import { page } from '$app/state';
	import { sayDate, sayDay, sayMeeting } from '$lib/core/calendar';
	import TierBars from '$lib/ui/glyphs/TierBars.svelte';
	import ChangeGroup from '$lib/ui/groups/ChangeGroup.svelte';
	import ExitTicket from '$lib/ui/groups/ExitTicket.svelte';
	import GroupMembers from '$lib/ui/groups/GroupMembers.svelte';
	import GroupViews from '$lib/ui/groups/GroupViews.svelte';
	import MeetingCard from '$lib/ui/groups/MeetingCard.svelte';
	import { sayGroupChange } from '$lib/ui/groups/sayGroupChange';
	import SampleItems from '$lib/ui/items/SampleItems.svelte';
	import { keepingScope } from '$lib/ui/shell/address';
	import Notice from '$lib/ui/shell/Notice.svelte';

	let { data, form } = $props();

	const { group, slot, skill } = $derived(data);
	const chosen = $derived(Number(page.url.searchParams.get('student')));
	const isOver = $derived(group.endsOn < data.school.today);
	const nameOf = $derived(
		new Map([
			...data.students.map(({ id, name }) => [id, name] as const),
			...data.formerMembers.map(({ id, name }) => [id, name] as const)
		])
	);
	const skillOf = $derived(new Map(data.skills.map(({ id, shortName }) => [id, shortName])));
	const recordOf = (one: { record: { held: boolean; students: { present: boolean }[] } | null }) =>
		!one.record
			? 'not noted'
			: one.record.held
				? `${one.record.students.filter(({ present }) => present).length} of ${one.record.students.length} here`
				: 'not held';
</script>

<svelte:head><title>{group.name} · Orderly Compass</title></svelte:head>

<GroupViews />
<div class="head">
	<div>
		<h1><TierBars tier={group.tier} /> {group.name}</h1>
		<p>
			<a href={keepingScope(`/library/${skill.code}`)}>{skill.shortName}</a>: {skill.statement}
			<span class="soft">{skill.code}</span>
		</p>
		<p class="soft">
			{sayMeeting(slot)}, {slot.minutes} min ({data.minutes.aWeek} a week, planned {data.minutes.planned}), {slot.room} ·
			{slot.staffName} · {sayDay(group.startsOn)} to {sayDay(group.endsOn)}{group.kind === 'mixed'
				? ' · mixed, for peer help'
				: ''}. Students never see the group’s name.
		</p>
		{#if isOver}<p class="attention">The group has ended; it is shown as it was on its last day.</p>
		{:else if group.pausedUntil}<p class="attention">
				Paused {group.pausedUntil === 'open' ? 'until it is resumed' : `until ${sayDate(group.pausedUntil)}`}.
			</p>{/if}
	</div>
	<p class="links no-print">
		<a href={keepingScope('/gaps', { scope: `group:${group.id}` })}>Gaps</a>
		{#if data.can.practice}<a href={keepingScope('/practice/new', { for: `group:${group.id}` })}>Assign practice</a
			>{/if}
		<a href={keepingScope('/track/charts', { scope: `group:${group.id}` })}>Track</a>
		<a href={keepingScope('/decide', { scope: `group:${group.id}` })}>Decide</a>
	</p>
</div>

<div class="columns">
	<div class="main">
		<GroupMembers members={data.students} tier={group.tier} {isOver} {chosen} />

		<section>
			<h2>Session plan</h2>
			<ol class="steps">
				<li><strong>Focus.</strong> {skill.statement}.</li>
				<li>
					<strong>Model.</strong>
					{#if data.plan.samples.length}<SampleItems samples={data.plan.samples} />{:else}No questions are written for
						this skill yet.{/if}
				</li>
				<li>
					<strong>Check for understanding</strong>, at the end:
					<ExitTicket ticket={data.plan.ticket} />
				</li>
			</ol>
		</section>

		<section>
			<h2>Practice</h2>
			{#each data.sets as set (set.id)}
				<p>
					<a href={keepingScope(`/practice/${set.id}`)}>{set.title}</a>, {set.itemCount} questions, {sayDue(set)}: {set.finished}
					of {set.students} finished
				</p>
			{:else}
				<p class="soft">No practice was assigned to this group.</p>
			{/each}
		</section>
	</div>

	<aside>
		<section>
			<h2>Meetings</h2>
			<p class="soft">
				{data.meetings.held} on record of {data.meetings.planned} so far; {data.meetings.all} in all.
			</p>
			{#if data.session}
				<div class="no-print">
					<h3>{data.session.on === data.school.today ? 'Today' : 'Last session'}, {sayDate(data.session.on)}</h3>
					{#key data.session.on}
						<MeetingCard
							groupId={group.id}
							on={data.session.on}
							students={data.students}
							record={data.session.record}
							ticket={data.plan.ticket.length}
							may={data.can.attend}
						/>
					{/key}
				</div>
			{/if}
			<ul class="days">
				{#each data.past.slice(0, -1).reverse() as day (day.on)}
					<li>
						<a href={keepingScope('/groups/today', { on: day.on, whose: 'all' })}>{sayDate(day.on)}</a>
						<span class="soft">{day.isPaused ? 'paused' : recordOf(day)}</span>
					</li>
				{/each}
			</ul>
			<h3>Coming</h3>
			<ul class="days">
				{#each data.coming as day (day.on)}
					<li>
						{sayDate(day.on)}
						{#if day.isAway}<span class="soft">{slot.staffName} is away: needs cover</span>{/if}
					</li>
				{:else}
					<li class="soft">No more meetings.</li>
				{/each}
			</ul>
			<p class="no-print">
				<a href="/groups/timetable/calendar.ics?group={group.id}" download>Meetings as iCalendar</a>
			</p>
		</section>

		{#if data.can.note && data.students.length}
			<section class="no-print">
				<h2>Note of a student</h2>
				<form method="POST" action="?/note" use:enhance>
					<input type="hidden" name="group" value={group.id} />
					<select name="student" aria-label="Student" required>
						{#each data.students as { id, name } (id)}<option value={id} selected={id === chosen}>{name}</option>{/each}
					</select>
					<textarea name="text" rows="2" maxlength="2000" required aria-label="Note"></textarea>
					<button>Keep note</button>
				</form>
			</section>
		{/if}

		{#if data.can.group && !isOver}
			<ChangeGroup
				{group}
				students={data.students}
				skills={data.skills}
				today={data.school.today}
				others={data.others}
				changesOn={data.changesOn}
			/>
		{/if}

		<section>
			<h2>History</h2>
			<ul class="days">
				{#each data.history as change (change.id)}
					<li>
						{sayDay(change.on)}: {sayGroupChange(change, nameOf, skillOf)}
						<span class="soft">{change.by}{change.reason ? `: “${change.reason}”` : ''}</span>
					</li>
				{/each}
				<li>{sayDay(group.startsOn)}: started</li>
			</ul>
		</section>
	</aside>
</div>
<Notice outcome={form} />

<style>
	.head {
		display: flex;
		flex-wrap: wrap;
		justify-content: space-between;
		gap: 8px 24px;
		margin-bottom: 12px;
	}
	.links {
		display: flex;
		gap: 16px;
	}
	.columns {
		display: grid;
		grid-template-columns: minmax(0, 1fr) 340px;
		gap: 24px 32px;
		align-items: start;
	}
	@media (max-width: 1000px) {
		.columns {
			grid-template-columns: minmax(0, 1fr);
		}
	}
	section {
		margin-top: 18px;
		display: grid;
		gap: 6px;
	}
	aside > section:first-child {
		margin-top: 0;
	}
	.steps {
		margin: 0;
		padding-left: 20px;
		display: grid;
		gap: 8px;
	}
	.days {
		list-style: none;
		margin: 0;
		padding: 0;
	}
	form {
		display: grid;
		gap: 6px;
		justify-items: start;
	}
	form textarea {
		width: 100%;
	}
</style>
