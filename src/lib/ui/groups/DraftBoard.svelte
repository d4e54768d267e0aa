<!--
	Suggested groups as a board. The solver runs in a worker; the proven gap shrinks while it works, and every move by
	hand shows what it costs.
-->
<script lang="ts" module>
	export interface BoardSlot {
		id: number;
		staffName: string;
		days: number[];
		startsAt: string;
		minutes: number;
		room: string;
	}
	export interface BoardStudent {
		id: number;
		givenName: string;
		familyName: string;
		className: string;
		tier: number;
	}
</script>

<script lang="ts">
	import { onDestroy } from 'svelte';
	import type { GroupingProblem } from '$lib/core/grouping';
	import TierBars from '../glyphs/TierBars.svelte';
	import { sayMeeting } from '../shell/dates';
	import AdoptForm from './AdoptForm.svelte';
	import BoardChips from './BoardChips.svelte';
	import { Draft } from './draft.svelte';
	import DraftLimits from './DraftLimits.svelte';
	import { judgeDraft } from './judgeDraft';

	interface Props {
		problem: GroupingProblem;
		students: BoardStudent[];
		slots: BoardSlot[];
		skills: { id: number; shortName: string; code: string }[];
		dates: { startsOn: string; endsOn: string; reviewOn: string };
		/** Called with the ids of the groups when the draft was adopted, with nothing when it was left. */
		onleave: (adopted?: string) => void;
	}
	let { problem, students, slots, skills, dates, onleave }: Props = $props();

	// svelte-ignore state_referenced_locally
	const draft = new Draft(problem);
	onDestroy(() => draft.stop());

	const studentOf = $derived(new Map(students.map((student) => [String(student.id), student])));
	const slotOf = $derived(new Map(slots.map((slot) => [String(slot.id), slot])));
	const skillOf = $derived(new Map(skills.map((skill) => [String(skill.id), skill])));
	const skillName = (focusId: string) => skillOf.get(focusId)?.shortName ?? focusId;
	const nameOf = (id: string) => {
		const student = studentOf.get(id);
		return student ? `${student.givenName} ${student.familyName}` : id;
	};
	const judged = $derived(judgeDraft(draft.posed, draft.groups, nameOf, (id) => sayMeeting(slotOf.get(id)!)));
	const cost = $derived(draft.result ? draft.result.objective - judged.worth : 0);
	const fromBest = $derived(
		draft.result ? 100 * Math.max(0, (draft.result.bound - judged.worth) / Math.max(draft.result.bound, 1e-9)) : 0
	);
	const two = (value: number) => value.toFixed(2);
	const people = (count: number) => `${count} ${count === 1 ? 'student' : 'students'}`;
</script>

<div class="head">
	<div>
		<h1>Suggested groups</h1>
		<p class="soft">{people(students.length)} chosen. Nothing happens for students until you adopt the groups.</p>
	</div>
	<button class="plain" onclick={() => onleave()}>Leave without adopting</button>
</div>

<DraftLimits {draft} slots={problem.slots.map(({ id }) => slotOf.get(id)!)} />

<p class="proof" aria-live="polite">
	{#if draft.failure}
		<span class="problem">No grouping could be found: {draft.failure}.</span>
	{:else if draft.result}
		Meets a need of {two(judged.worth)}{#if draft.edited && Math.abs(cost) > 0.004}, {two(Math.abs(cost))}
			{cost > 0 ? 'less' : 'more'} than the suggestion{/if}. No grouping can meet more than {two(draft.result.bound)}:
		proven within {fromBest.toFixed(1)}% of the best.
		{#if draft.solving}Still looking…{/if}
	{:else if draft.solving}
		Looking for groups…
	{:else}
		<span class="soft"
			>Need is severity × readiness for the focus, weighted by tier. Choose limits, then ask for a suggestion.</span
		>
	{/if}
</p>
{#each judged.broken as broken (broken)}<p class="broken">{broken}</p>{/each}

{#if draft.result}
	<div class="board">
		{#each draft.columns as column (column.slotId)}
			{@const slot = slotOf.get(column.slotId)!}
			<section class="column" aria-label="Group {skillName(column.focusId)}">
				<h2><TierBars tier={column.tier} /> {skillName(column.focusId)}</h2>
				<p class="soft">{sayMeeting(slot)}, {slot.minutes} min<br />{slot.staffName}, {slot.room}</p>
				<p>{people(column.chips.length)}, need {two(draft.worth(column))}</p>
				<BoardChips {draft} {column} label="Members of {skillName(column.focusId)}" {studentOf} {skillName} />
			</section>
		{/each}
		<section class="column out" aria-label="In no group">
			<h2>In no group</h2>
			<p class="soft">{people(draft.out.length)}</p>
			<BoardChips {draft} column={null} label="Students in no group" {studentOf} {skillName} />
		</section>
	</div>
	{#if draft.placed}<AdoptForm {draft} {dates} onadopted={onleave} />{/if}
{/if}

<style>
	.head {
		display: flex;
		justify-content: space-between;
	}
	.proof {
		font-variant-numeric: tabular-nums;
		margin-bottom: 8px;
	}
	.broken {
		color: var(--slipping-ink);
		border-left: 3px solid var(--slipping-ink);
		padding-left: 8px;
	}
	.board {
		display: grid;
		grid-template-columns: repeat(auto-fill, minmax(216px, 1fr));
		gap: 12px;
		align-items: start;
	}
	.column {
		background: var(--sheet);
		border: 1px solid var(--rule);
		border-radius: var(--corner);
		padding: 10px;
	}
	.out {
		background: none;
		border-style: dashed;
	}
</style>
