<script lang="ts">
	import { enhance } from '$app/forms';
	import { sayDate, sayDay } from '$lib/core/calendar';
	import { type Dosage, WATCH_POINTS } from '$lib/core/timetable';
	import { number, plural } from '$lib/core/words';
	import ActionButton from '$lib/ui/form/ActionButton.svelte';
	import { keepingScope, setState, withState } from '$lib/ui/shell/address';
	import Notice from '$lib/ui/shell/Notice.svelte';
	import Pager from '$lib/ui/table/Pager.svelte';
	import Table from '$lib/ui/table/Table.svelte';
	import TrackViews from '$lib/ui/track/TrackViews.svelte';

	let { data, form } = $props();
	const { page } = $derived(data);
	const rows = $derived(page.groups ?? page.others ?? []);
	type Group = NonNullable<typeof page.groups>[number];
	const group = $derived(page.looked);

	const LABELS = { group: 'Group', student: 'Student', adult: 'Adult' };
	const columns = $derived([
		{ label: LABELS[page.by] },
		...page.mondays.map((monday) => ({ label: sayDay(monday), isNumber: true })),
		{ label: 'Held of planned', isNumber: true },
		{ label: 'Attended', isNumber: true },
		{ label: 'Minutes a week', isNumber: true },
		...(page.groups ? [{ label: 'Not held' }, { label: 'Watched' }] : [])
	]);
	const isShort = ({ places, attended }: Dosage) => places > 0 && attended < 0.6 * places;
	/** What is on record of a session that makes up for another: everybody was there, to be changed where not. */
	const madeUp = (of: Group, day: string) =>
		JSON.stringify({
			groupId: of.key,
			on: page.today,
			held: true,
			whyNot: null,
			makesUp: day,
			note: `Made up for ${sayDate(day)}.`,
			students: of.members.map((studentId) => ({ studentId, present: true, whyAway: null, ticketRight: null }))
		});
	const pageOf = (key: number) =>
		page.by === 'group'
			? keepingScope(`/groups/${key}`)
			: page.by === 'student'
				? withState({ student: key })
				: keepingScope('/groups');
</script>

<svelte:head><title>Sessions · Track · Orderly Compass</title></svelte:head>

<div class="page-head">
	<h1>Sessions in {data.scope.inWords}</h1>
	<span class="soft"
		>Since {sayDate(page.since)}: {page.whole.held} of {plural(page.whole.planned, 'planned session')} held, {page.whole
			.attended} of {plural(page.whole.places, 'place')} in them attended; {plural(page.without, 'student')} in scope
		{page.without === 1 ? 'is' : 'are'} in no group.</span
	>
</div>
<TrackViews />
<div class="one-line filters no-print">
	<label
		>Added up by <select
			value={page.by}
			onchange={({ currentTarget: { value } }) =>
				setState({ by: value === 'group' ? null : value, group: null, lines: null })}
		>
			<option value="group">group</option>
			<option value="student">student</option>
			<option value="adult">adult</option>
		</select></label
	>
	<span class="soft"
		>A week’s cell: sessions held of planned; where fewer than six in ten places were taken, it is marked “short”.</span
	>
</div>

<Table says="Sessions" {columns} {rows} key={({ key }) => key}>
	{#snippet cells(row)}
		<th scope="row"><a href={pageOf(row.key)}>{row.name}</a> <span class="soft">{row.more}</span></th>
		{#each row.weeks as week, i (page.mondays[i])}
			<td class="number"
				>{#if week.planned}{week.held} of {week.planned}{#if isShort(week)}<br /><span class="short">short</span
						>{/if}{:else}<span class="soft">–</span>{/if}</td
			>
		{/each}
		<td class="number">{row.whole.held} of {row.whole.planned}</td>
		<td class="number"
			>{row.whole.attended} of {row.whole.places}{#if isShort(row.whole)}<br /><span class="short">short</span>{/if}</td
		>
		<td class="number"
			>{number(row.minutes.attended)} of {number(row.minutes.planned)}{page.by === 'student' ? '' : ' each'}</td
		>
		{#if 'notHeld' in row}
			{@const one = row as Group}
			<td
				>{#if one.notHeld.length}<a href={withState({ group: one.key })}>{plural(one.notHeld.length, 'day')}</a
					>{:else}<span class="soft">none</span>{/if}</td
			>
			<td
				>{#if one.watched.length}{one.watched[0].points.filter(Boolean).length} of {WATCH_POINTS.length}, {sayDay(
						one.watched[0].on
					)}{:else}<a href={withState({ group: one.key })}>watch</a>{/if}</td
			>
		{/if}
	{/snippet}
	{#snippet empty()}No group with anybody of this scope meets now. Groups are formed under Groups.{/snippet}
</Table>

<Pager {...page.part} name="lines" />

{#if page.away.length}
	<p class="soft">
		Not there: {page.away.map(({ why, times }) => `${why ?? 'nobody said why'} ${times}`).join(', ')}.
	</p>
{/if}

{#if group}
	<section class="two" aria-labelledby="looked">
		<div>
			<h2 id="looked">{group.name}: days not held</h2>
			{#each group.notHeld as { on, why } (on)}
				<div class="day">
					<span>{sayDate(on)}{why ? `, ${why}` : ''}</span>
					<a href={keepingScope(`/groups/today?on=${on}`)}>Say why</a>
					{#if data.can.attend}<ActionButton
							action="?/record"
							fields={{ record: madeUp(group, on) }}
							label="Made up today for {sayDate(on)}"
							look="plain small">Made up today</ActionButton
						>{/if}
				</div>
			{:else}<p class="soft">All planned sessions took place, or were made up for.</p>{/each}
		</div>
		<div>
			<h2>What a colleague saw</h2>
			{#each group.watched as { id, on, points, note, by } (id)}
				<p>
					{sayDate(on)}, {by}: {points.filter(Boolean).length} of {WATCH_POINTS.length}.
					{#if points.some((is) => !is)}Not so: {points.flatMap((is, i) => (is ? [] : WATCH_POINTS[i])).join(' ')}{/if}
					{note}
				</p>
			{/each}
			{#if data.can.attend}
				<form method="POST" action="?/watch" use:enhance>
					<input type="hidden" name="group" value={group.key} />
					<label>Session on <input type="date" name="on" defaultValue={page.today} max={page.today} required /></label>
					<fieldset>
						<legend>While watching, tick what was so</legend>
						{#each WATCH_POINTS as point, i (point)}
							<label class="point"><input type="checkbox" name="points" value={i} /> {point}</label>
						{/each}
					</fieldset>
					<label>Note <input name="note" maxlength="500" /></label>
					<button>Keep</button>
				</form>
			{/if}
		</div>
	</section>
{/if}
<Notice outcome={form} />

<style>
	.filters {
		margin-bottom: 8px;
	}
	.short {
		font-weight: 650;
	}
	.two {
		display: grid;
		grid-template-columns: 1fr 1fr;
		gap: 28px;
		margin-top: 16px;
		align-items: start;
	}
	.day {
		display: flex;
		align-items: center;
		gap: 12px;
		border-bottom: 1px solid var(--rule);
		padding: 4px 0;
	}
	form {
		display: grid;
		gap: 8px;
		justify-items: start;
	}
	fieldset {
		border: 0;
		padding: 0;
		margin: 0;
	}
	.point {
		display: block;
		padding: 2px 0;
	}
	@media (max-width: 1100px) {
		.two {
			grid-template-columns: 1fr;
		}
	}
</style>
