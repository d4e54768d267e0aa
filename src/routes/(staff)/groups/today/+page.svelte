<script lang="ts">
	import { plural } from '$lib/core/words';
	import { addDays, sayDate } from '$lib/core/calendar';
	import Needle from '$lib/ui/glyphs/Needle.svelte';
	import TierBars from '$lib/ui/glyphs/TierBars.svelte';
	import ExitTicket from '$lib/ui/groups/ExitTicket.svelte';
	import GroupViews from '$lib/ui/groups/GroupViews.svelte';
	import MeetingCard from '$lib/ui/groups/MeetingCard.svelte';
	import SessionSheet from '$lib/ui/groups/SessionSheet.svelte';
	import SampleItems from '$lib/ui/items/SampleItems.svelte';
	import { keepingScope, setState, withState } from '$lib/ui/shell/address';
	import Notice from '$lib/ui/shell/Notice.svelte';

	let { data, form } = $props();

	const isToday = $derived(data.on === data.school.today);
	const title = $derived(
		`${data.whose === 'mine' ? 'My sessions' : 'Sessions'} ${isToday ? 'today' : 'on'}, ${sayDate(data.on)}`
	);
	const people = (count: number) => `${plural(count, 'student')}`;
</script>

<svelte:head><title>Sessions · Orderly Compass</title></svelte:head>

<GroupViews />
<div class="head no-print">
	<h1>{title}</h1>
	<span class="tools no-print">
		<a class="button" href={withState({ on: addDays(data.on, -1) })} aria-label="The day before">←</a>
		<input
			type="date"
			aria-label="Day"
			value={data.on}
			onchange={(event) => setState({ on: event.currentTarget.value || null })}
		/>
		<a class="button" href={withState({ on: addDays(data.on, 1) })} aria-label="The day after">→</a>
		{#if data.holds}
			<label
				><input
					type="checkbox"
					checked={data.whose === 'all'}
					onchange={(event) => setState({ whose: event.currentTarget.checked ? 'all' : null })}
				/> everybody’s</label
			>
		{/if}
		{#if data.sessions.length}<button onclick={() => window.print()}>Print the day</button>{/if}
	</span>
</div>

{#each data.sessions as { group, slot, skill, students, record, plan, isPaused, isAway } (group.id)}
	<section class="no-print" aria-label="{slot.startsAt} {group.name}, {slot.staffName}">
		<div class="what">
			<p class="time">{slot.startsAt}</p>
			<h2>
				<TierBars tier={group.tier} /> <a href={keepingScope(`/groups/${group.id}`, { on: null })}>{group.name}</a>
			</h2>
			<p class="soft">{slot.minutes} min, {slot.room}<br />{slot.staffName} · {people(students.length)}</p>
			{#if isPaused}<p class="attention">The group is paused on this day.</p>{/if}
			{#if isAway}<p class="attention">{slot.staffName} is away: the session needs cover.</p>{/if}
			<p><strong>{skill.shortName}</strong>: {skill.statement} <span class="soft">{skill.code}</span></p>
			<p class="needles">
				{#each students as { id, name, state, inferred } (id)}<span title={name}
						><Needle {state} {inferred} size={16} /> {name.split(' ')[0]}</span
					>{/each}
			</p>
			{#if plan.samples.length}
				<details>
					<summary>Questions to model</summary>
					<SampleItems samples={plan.samples} />
				</details>
				<details>
					<summary>Exit ticket, {plan.ticket.length} questions</summary>
					<ExitTicket ticket={plan.ticket} />
				</details>
			{/if}
		</div>
		{#if !isPaused && data.on <= data.school.today}
			<MeetingCard
				groupId={group.id}
				on={data.on}
				{students}
				{record}
				ticket={plan.ticket.length}
				may={data.can.attend}
			/>
		{:else}
			<ul class="plain">
				{#each students as { id, name, className } (id)}<li>{name} <span class="soft">{className}</span></li>{/each}
			</ul>
		{/if}
	</section>
{:else}
	<p>
		{#if data.off}There is no school on {sayDate(data.on)}: {data.off}.{/if}
		{data.whose === 'mine' ? 'None of your groups' : 'No group'} meets on {sayDate(data.on)}. Meetings follow the
		<a href={keepingScope('/groups/timetable')}>timetable</a>.
	</p>
{/each}
<SessionSheet {title} school={data.school.name} sessions={data.sessions} />
<Notice outcome={form} />

<style>
	.head {
		display: flex;
		flex-wrap: wrap;
		justify-content: space-between;
		gap: 8px 20px;
		margin-bottom: 8px;
	}
	.tools {
		display: flex;
		gap: 6px;
		align-items: center;
	}
	section {
		display: grid;
		grid-template-columns: minmax(280px, 1fr) minmax(300px, 420px);
		gap: 8px 32px;
		border-top: 2px solid var(--ink);
		padding: 10px 0 18px;
		align-items: start;
	}
	@media (max-width: 760px) {
		section {
			grid-template-columns: 1fr;
		}
	}
	.what {
		display: grid;
		gap: 6px;
	}
	.time {
		font: 600 1.3rem var(--head);
		font-variant-numeric: tabular-nums lining-nums;
	}
	h2 a {
		color: var(--ink);
	}
	.needles {
		display: flex;
		flex-wrap: wrap;
		gap: 2px 12px;
	}
	.needles span {
		display: inline-flex;
		gap: 4px;
		align-items: center;
	}
	summary {
		cursor: pointer;
	}
	.plain {
		list-style: none;
		margin: 0;
		padding: 0;
	}
</style>
