<!--
	Plans a review meeting: the day, who is invited, and who is talked about: those whose review is due by then are chosen at first,
	after them stands everybody else for whom something is at stake.
	<PlanMeeting planning={data.page.planning} scopeInWords="your caseload" />
-->
<script lang="ts">
	import { untrack } from 'svelte';
	import { enhance } from '$app/forms';
	import { page } from '$app/state';
	import { sayDate, sayDay } from '$lib/core/calendar';
	import { type Stake, STAKE_NAMES } from '$lib/core/growth';
	import { fullName, plural } from '$lib/core/words';
	import TierBars from '../glyphs/TierBars.svelte';
	import { setState, withState } from '../shell/address';
	import Table from '../table/Table.svelte';

	interface Proposed {
		reviewId: number | null;
		studentId: number;
		givenName: string;
		familyName: string;
		className: string;
		tier: 1 | 2 | 3;
		group: { name: string } | null;
		dueOn: string | null;
		stake: Stake | null;
		meetingId: number | null;
	}
	interface Props {
		planning: {
			on: string;
			areChosen: boolean;
			adults: { id: number; displayName: string }[];
			proposed: Proposed[];
			/** With those who are not among them yet. */
			total: number;
		};
		scopeInWords: string;
	}
	let { planning, scopeInWords }: Props = $props();
	const isDue = ({ dueOn }: Proposed) => dueOn !== null && dueOn <= planning.on;
	const proposedAtFirst = () => [
		...new Set(
			planning.proposed
				.filter((one) => (planning.areChosen || isDue(one)) && !one.meetingId)
				.map(({ studentId }) => studentId)
		)
	];
	let chosen = $state(untrack(proposedAtFirst));
	/** Another day has other students; who is invited, and what it is about, stays. */
	let proposedFor = untrack(() => planning.on);
	$effect.pre(() => {
		if (planning.on === proposedFor) return;
		proposedFor = planning.on;
		chosen = untrack(proposedAtFirst);
	});
	let adults = $state<number[]>([]);
	const students = $derived([...new Set(chosen)]);
	const due = $derived(planning.proposed.filter(isDue).length);
	const why = (one: Proposed) =>
		[isDue(one) && `review due ${sayDay(one.dueOn!)}`, one.stake && STAKE_NAMES[one.stake.is]]
			.filter(Boolean)
			.join('; ');
</script>

<form
	method="POST"
	action="?/plan&{page.url.searchParams.toString()}"
	aria-label="Plan a review meeting"
	class="no-print"
	use:enhance
>
	<h2>Plan a meeting</h2>
	<p class="soft">
		From {scopeInWords}: {plural(due, 'review')} due by {sayDate(planning.on)}, then whoever has something at stake,
		most first.
	</p>
	<div class="line">
		<label
			>Day <input
				type="date"
				name="on"
				value={planning.on}
				required
				onchange={({ currentTarget: { value } }) => value && setState({ on: value })}
			/></label
		>
		<label class="about">About, where <input name="note" maxlength="300" /></label>
	</div>
	<fieldset>
		<legend>Invited</legend>
		{#each planning.adults as { id, displayName } (id)}
			<label><input type="checkbox" name="adults" value={id} bind:group={adults} /> {displayName}</label>
		{/each}
	</fieldset>
	<div class="list">
		<Table
			says="Who is talked about"
			columns={[{ label: 'On the agenda' }, { label: 'Why' }, { label: 'Tier' }, { label: 'Group' }]}
			rows={planning.proposed}
			key={(one, i) => `${one.studentId} ${one.reviewId} ${i}`}
			attributes={(one) => ({ 'data-student': one.studentId })}
		>
			{#snippet cells(one)}
				<th scope="row"
					><label
						><input type="checkbox" value={one.studentId} bind:group={chosen} />
						{fullName(one)}</label
					>
					<a href={withState({ student: one.studentId })} aria-label="Look at {fullName(one)}">{one.className}</a></th
				>
				<td
					>{why(one)}{#if one.meetingId}<span class="soft">; on another agenda</span>{/if}</td
				>
				<td><TierBars tier={one.tier} /></td>
				<td>{one.group?.name ?? 'none'}</td>
			{/snippet}
			{#snippet empty()}No review is due by then, and nothing is at stake for anybody here.{/snippet}
		</Table>
	</div>
	{#if planning.proposed.length < planning.total}
		<p class="soft">
			{planning.proposed.length} of {planning.total}, most at stake first.
			<a href={withState({ proposed: 'all' })} data-sveltekit-noscroll>Show all {planning.total}</a>
		</p>
	{/if}
	<!-- Somebody with two reviews is one student. -->
	{#each students as id (id)}<input type="hidden" name="students" value={id} />{/each}
	<p class="send">
		<strong>{plural(students.length, 'student')}, {plural(adults.length, 'adult')} on {sayDate(planning.on)}</strong>
		<button class="primary" disabled={students.length === 0 || adults.length === 0}>Plan the meeting</button>
		{#if adults.length === 0}<span class="soft">Choose who is invited.</span>{/if}
	</p>
</form>

<style>
	form {
		background: var(--sheet);
		border: 1px solid var(--rule);
		border-radius: var(--corner);
		padding: 12px 16px;
		margin-bottom: 18px;
		display: grid;
		gap: 8px;
	}
	.line {
		display: flex;
		flex-wrap: wrap;
		gap: 8px 18px;
	}
	.about {
		display: flex;
		gap: 8px;
		align-items: center;
		flex: 1 1 300px;
	}
	.about input {
		flex: 1;
	}
	fieldset {
		display: flex;
		flex-wrap: wrap;
		gap: 4px 18px;
		margin: 0;
		padding: 0;
		border: 0;
	}
	legend {
		font-weight: 600;
		padding: 0;
	}
	.list {
		max-height: 380px;
		overflow: auto;
	}
	.list :global(thead th) {
		top: 0;
	}
	.list :global(.wide-table) {
		overflow: visible;
	}
	.list label {
		margin-right: 8px;
		font-weight: 500;
	}
	.send {
		display: flex;
		flex-wrap: wrap;
		gap: 8px 16px;
		align-items: center;
	}
</style>
