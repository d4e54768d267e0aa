<!--
	Suggested groups as a board: students move by drag, by keyboard (Space, arrows) or by the menu on each. The solver
	runs in a worker; the proven gap shrinks while it works, and every move shows what it costs.
-->
<script lang="ts">
	import ArrowLeftRight from '@lucide/svelte/icons/arrow-left-right';
	import { onDestroy } from 'svelte';
	import { dndzone, TRIGGERS } from 'svelte-dnd-action';
	import { enhance } from '$app/forms';
	import type { GroupingProblem, GroupingResult } from '$lib/core/grouping';
	import GroupingWorker from '$lib/workers/grouping.worker?worker';
	import type { GroupingReport } from '$lib/workers/grouping.worker';
	import TierBars from '../glyphs/TierBars.svelte';
	import { judgeDraft, type DraftGroup } from './judgeDraft';
	import { sayMeeting } from '../shell/dates';

	interface Slot {
		id: number;
		staffName: string;
		days: number[];
		startsAt: string;
		minutes: number;
		room: string;
	}
	interface Student {
		id: number;
		givenName: string;
		familyName: string;
		className: string;
		tier: number;
	}
	interface Props {
		problem: GroupingProblem;
		students: Student[];
		slots: Slot[];
		skills: { id: number; shortName: string; code: string }[];
		dates: { startsOn: string; endsOn: string; reviewOn: string };
		/** Called with the ids of the groups when the draft was adopted, with nothing when it was left. */
		onleave: (adopted?: string) => void;
	}
	let { problem, students, slots, skills, dates, onleave }: Props = $props();

	const TIME_LIMIT_MS = 10_000;
	// svelte-ignore state_referenced_locally
	let sizes = $state(structuredClone(problem.sizes));
	// svelte-ignore state_referenced_locally
	let chosenSlots = $state(problem.slots.map(({ id }) => id));
	let worker: Worker | null = null;
	let solving = $state(false);
	let result = $state.raw<GroupingResult | null>(null);
	let failure = $state('');
	let edited = $state(false);

	interface Chip {
		id: string;
	}
	interface Column extends Omit<DraftGroup, 'studentIds'> {
		chips: Chip[];
	}
	let columns = $state<Column[]>([]);
	let out = $state<Chip[]>([]);
	let dragging = false;

	const studentOf = $derived(new Map(students.map((student) => [String(student.id), student])));
	const slotOf = $derived(new Map(slots.map((slot) => [String(slot.id), slot])));
	const skillOf = $derived(new Map(skills.map((skill) => [String(skill.id), skill])));
	const posed = $derived<GroupingProblem>({
		...problem,
		sizes: $state.snapshot(sizes),
		slots: problem.slots.filter(({ id }) => chosenSlots.includes(id)),
		students: problem.students.map((student) => ({
			...student,
			available: student.available.filter((id) => chosenSlots.includes(id))
		}))
	});
	const name = (id: string) => {
		const student = studentOf.get(id);
		return student ? `${student.givenName} ${student.familyName}` : id;
	};
	const groups = $derived<DraftGroup[]>(
		columns.map(({ chips, ...column }) => ({ ...column, studentIds: chips.map(({ id }) => id) }))
	);
	const judged = $derived(judgeDraft(posed, groups, name, (id) => sayMeeting(slotOf.get(id)!)));
	const cost = $derived(result ? result.objective - judged.worth : 0);
	const reasons = $derived(new Map(result?.unplaced.map(({ studentId, reason }) => [studentId, reason]) ?? []));
	const needs = $derived(new Map(problem.students.map((student) => [student.id, student.needs])));

	function suggest() {
		worker?.terminate();
		failure = '';
		result = null;
		edited = false;
		columns = [];
		solving = true;
		worker = new GroupingWorker();
		worker.onmessage = ({ data }: MessageEvent<GroupingReport>) => {
			if (data.kind === 'failed') {
				failure = data.message;
				return stop();
			}
			const better = !result || data.result.objective > result.objective + 1e-9;
			result = data.result;
			if (!edited && better) show(data.result);
			if (data.kind === 'done') stop();
		};
		worker.postMessage({ problem: $state.snapshot(posed), timeLimitMs: TIME_LIMIT_MS });
	}
	function stop() {
		worker?.terminate();
		worker = null;
		solving = false;
	}
	onDestroy(stop);

	function show(best: GroupingResult) {
		const tierOf = new Map(problem.students.map(({ id, tier }) => [id, tier]));
		columns = best.groups.map((group) => ({
			slotId: group.slotId,
			focusId: group.focusId,
			tier: tierOf.get(group.studentIds[0])!,
			chips: group.studentIds.map((id) => ({ id }))
		}));
		out = best.unplaced.map(({ studentId }) => ({ id: studentId }));
	}

	/** Moves a student to a group (by its slot), or out of all. */
	function move(id: string, slotId: string) {
		columns = columns.map((column) => {
			const chips = column.chips.filter((chip) => chip.id !== id);
			return { ...column, chips: column.slotId === slotId ? [...chips, { id }] : chips };
		});
		out = [...out.filter((chip) => chip.id !== id), ...(slotId === '' ? [{ id }] : [])];
		edited = true;
	}
	function dragged(
		kind: 'consider' | 'finalize',
		event: CustomEvent<{ items: Chip[]; info: { trigger: TRIGGERS } }>,
		column: Column | null
	) {
		dragging = kind === 'consider';
		if (column)
			columns = columns.map((one) => (one.slotId === column.slotId ? { ...one, chips: event.detail.items } : one));
		else out = event.detail.items;
		if (!dragging) edited = true;
	}
	const sum = (column: Column) =>
		column.chips.reduce((total, { id }) => total + (needs.get(id)?.[column.focusId] ?? 0), 0);
	const one = (value: number) => value.toFixed(2);
</script>

<div class="head">
	<div>
		<h1>Suggested groups</h1>
		<p class="soft">{students.length} students chosen. Nothing happens for students until you adopt the groups.</p>
	</div>
	<button class="plain" onclick={() => onleave()}>Leave without adopting</button>
</div>

<fieldset class="limits">
	<legend class="visually-hidden">Limits</legend>
	{#each [2, 3] as const as tier (tier)}
		<span>
			<TierBars {tier} /> Tier {tier}:
			<input type="number" min="1" max="12" aria-label="Smallest tier {tier} group" bind:value={sizes[tier].minimum} />
			to
			<input type="number" min="1" max="12" aria-label="Largest tier {tier} group" bind:value={sizes[tier].maximum} /> students
		</span>
	{/each}
	<details>
		<summary>{chosenSlots.length} of {problem.slots.length} free meeting times</summary>
		<div class="slots">
			{#each problem.slots as { id } (id)}
				{@const slot = slotOf.get(id)!}
				<label><input type="checkbox" value={id} bind:group={chosenSlots} /> {sayMeeting(slot)}, {slot.staffName}</label
				>
			{/each}
		</div>
	</details>
	{#if solving}
		<button onclick={stop}>Stop here</button>
	{:else}
		<button class="primary" onclick={suggest}>{result ? 'Suggest again' : 'Suggest groups'}</button>
	{/if}
</fieldset>

<p class="proof" aria-live="polite">
	{#if failure}
		<span class="problem">No grouping could be found: {failure}.</span>
	{:else if result}
		Meets a need of {one(judged.worth)}{#if edited && Math.abs(cost) > 0.004}, {one(Math.abs(cost))}
			{cost > 0 ? 'less' : 'more'} than the suggestion{/if}. No grouping can meet more than {one(result.bound)}: proven
		within {(100 * Math.max(0, (result.bound - judged.worth) / Math.max(result.bound, 1e-9))).toFixed(1)}% of the best.
		{#if solving}Still looking…{/if}
	{:else if solving}
		Looking for groups…
	{:else}
		<span class="soft"
			>Need is severity × readiness for the focus, weighted by tier. Choose limits, then ask for a suggestion.</span
		>
	{/if}
</p>
{#each judged.broken as broken (broken)}<p class="broken">{broken}</p>{/each}

{#if result}
	<div class="board">
		{#each columns as column (column.slotId)}
			{@const slot = slotOf.get(column.slotId)!}
			<section class="column" aria-label="Group {skillOf.get(column.focusId)?.shortName}">
				<h2><TierBars tier={column.tier} /> {skillOf.get(column.focusId)?.shortName}</h2>
				<p class="soft">{sayMeeting(slot)}, {slot.minutes} min<br />{slot.staffName}, {slot.room}</p>
				<p>{column.chips.length} students, need {one(sum(column))}</p>
				{@render zone(column.chips, column)}
			</section>
		{/each}
		<section class="column out" aria-label="In no group">
			<h2>In no group</h2>
			<p class="soft">{out.length} students</p>
			{@render zone(out, null)}
		</section>
	</div>

	{#if columns.some(({ chips }) => chips.length)}
		<form
			method="POST"
			action="?/adopt"
			class="adopt"
			use:enhance={({ formData }) => {
				formData.set(
					'groups',
					JSON.stringify(
						groups
							.filter(({ studentIds }) => studentIds.length)
							.map((group) => ({
								slotId: Number(group.slotId),
								focusId: Number(group.focusId),
								tier: group.tier,
								studentIds: group.studentIds.map(Number)
							}))
					)
				);
				return async ({ result: answer, update }) => {
					if (answer.type === 'success') onleave(String(answer.data?.adopted));
					else await update();
				};
			}}
		>
			<input type="hidden" name="groups" />
			<label>From <input type="date" name="startsOn" value={dates.startsOn} required /></label>
			<label>to <input type="date" name="endsOn" value={dates.endsOn} required /></label>
			<label>first review <input type="date" name="reviewOn" value={dates.reviewOn} required /></label>
			<button class="primary"
				>Adopt {columns.filter(({ chips }) => chips.length).length} groups with {columns.reduce(
					(total, { chips }) => total + chips.length,
					0
				)} students</button
			>
		</form>
	{/if}
{/if}

{#snippet zone(chips: Chip[], column: Column | null)}
	<ul
		use:dndzone={{
			items: chips,
			flipDurationMs: 0,
			type: 'student',
			dropTargetStyle: {},
			dropTargetClasses: ['target']
		}}
		onconsider={(event: CustomEvent) => dragged('consider', event, column)}
		onfinalize={(event: CustomEvent) => dragged('finalize', event, column)}
		aria-label={column ? `Members of ${skillOf.get(column.focusId)?.shortName}` : 'Students in no group'}
	>
		{#each chips as chip (chip.id)}
			{@const student = studentOf.get(chip.id)}
			<li aria-label={name(chip.id)}>
				<span class="chip">
					<span>{name(chip.id)}</span>
					<span class="soft"
						>{student?.className}{column ? ` · ${one(needs.get(chip.id)?.[column.focusId] ?? 0)}` : ''}</span
					>
				</span>
				<span class="menu">
					<ArrowLeftRight size={16} aria-hidden="true" />
					<select
						aria-label="Move {name(chip.id)}"
						value={column?.slotId ?? ''}
						onchange={(event) => move(chip.id, event.currentTarget.value)}
					>
						{#each columns as target (target.slotId)}
							<option value={target.slotId}
								>{skillOf.get(target.focusId)?.shortName} (need {one(
									needs.get(chip.id)?.[target.focusId] ?? 0
								)})</option
							>
						{/each}
						<option value="">In no group</option>
					</select>
				</span>
				{#if !column && reasons.has(chip.id)}<p class="reason">{reasons.get(chip.id)}</p>{/if}
			</li>
		{/each}
	</ul>
{/snippet}

<style>
	.head {
		display: flex;
		justify-content: space-between;
	}
	.limits {
		border: 0;
		padding: 0;
		margin: 10px 0;
		display: flex;
		flex-wrap: wrap;
		gap: 8px 20px;
		align-items: center;
	}
	.limits input[type='number'] {
		width: 56px;
	}
	summary {
		cursor: pointer;
	}
	.slots {
		position: absolute;
		z-index: 12;
		background: var(--sheet);
		border: 1px solid var(--rule-strong);
		box-shadow: var(--float);
		padding: 10px 14px;
		display: grid;
		gap: 4px;
	}
	.slots label {
		font-weight: 400;
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
	ul {
		list-style: none;
		margin: 6px 0 0;
		padding: 0;
		min-height: 44px;
		display: grid;
		gap: 4px;
		align-content: start;
	}
	ul:global(.target) {
		outline: 2px dashed var(--verdigris);
	}
	li {
		background: var(--paper);
		border: 1px solid var(--rule);
		border-radius: var(--corner);
		padding: 4px 8px;
		cursor: grab;
		display: grid;
		grid-template-columns: 1fr 28px;
		gap: 2px 4px;
		align-items: center;
	}
	.chip {
		display: flex;
		flex-direction: column;
		line-height: 1.25;
	}
	.chip .soft {
		font-size: 0.85rem;
	}
	.menu {
		position: relative;
		display: grid;
		place-items: center;
		width: 28px;
		height: 28px;
		color: var(--ink-soft);
		border: 1px solid var(--rule);
		border-radius: var(--corner);
		background: var(--sheet);
	}
	.menu:hover,
	.menu:focus-within {
		color: var(--verdigris);
		border-color: var(--verdigris);
	}
	.menu:focus-within {
		outline: 2px solid var(--verdigris);
		outline-offset: 2px;
	}
	/* The real menu lies over the arrows, unseen until it opens. */
	.menu select {
		position: absolute;
		inset: 0;
		width: 100%;
		min-height: 0;
		opacity: 0;
		cursor: pointer;
	}
	.reason {
		grid-column: 1 / -1;
		font-size: 0.85rem;
		color: var(--ink-soft);
	}
	.adopt {
		position: sticky;
		bottom: 0;
		display: flex;
		flex-wrap: wrap;
		gap: 12px;
		align-items: center;
		margin: 12px -24px -72px;
		padding: 10px 24px;
		background: var(--sheet);
		border-top: 1px solid var(--rule-strong);
		box-shadow: var(--float);
	}
</style>
