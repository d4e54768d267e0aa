<!--
	The limits of a draft: same need or mixed, how large groups may be and how many, which free meeting times and which
	students are used, who must be apart or together, and what it takes to move a student out of their group.
-->
<script lang="ts">
	import { onMount } from 'svelte';
	import { page } from '$app/state';
	import { goto } from '$app/navigation';
	import { sayMeeting } from '$lib/core/calendar';
	import TierBars from '../glyphs/TierBars.svelte';
	import { withState } from '../shell/address';
	import type { BoardNames, BoardSkill, BoardSlot, BoardStudent } from './board';
	import type { Draft } from './draft.svelte';
	import DraftPairs from './DraftPairs.svelte';

	interface Props {
		draft: Draft;
		/** Meeting times that are free. */
		slots: BoardSlot[];
		students: BoardStudent[];
		skills: BoardSkill[];
		/** By skill: how many of the students have it secure, and could help. */
		secure: Record<number, number>;
		names: BoardNames;
	}
	let { draft, slots, students, skills, secure, names }: Props = $props();

	const mixing = $derived(draft.mixing);
	const tiers: (2 | 3)[] = $derived(mixing ? [2] : [2, 3]);
	/** Skills that these students need, the most needed first: what mixed groups could be about. */
	const needed = $derived.by(() => {
		const sums = new Map<string, number>();
		for (const { needs } of draft.posed.students)
			for (const [skillId, value] of Object.entries(needs)) sums.set(skillId, (sums.get(skillId) ?? 0) + value);
		return [...sums].sort((a, b) => b[1] - a[1]).map(([skillId]) => Number(skillId));
	});
	const focuses = $derived(
		(mixing ? skills : needed.map((skillId) => skills.find(({ id }) => id === skillId)!)).filter(
			(skill) => skill && (secure[skill.id] > 0 || mixing?.focusId === String(skill.id))
		)
	);
	const isInGroup = $derived(draft.posed.students.some(({ currentGroup }) => currentGroup));
	const included = $derived(students.length - draft.limits.excludedIds.length);

	const isBegun = $derived(draft.result !== null);
	// A click before the page can answer it would be lost.
	let isAwake = $state(false);
	onMount(() => {
		isAwake = true;
	});
	function mix(focus: string) {
		void goto(withState({ kind: focus ? 'mixed' : null, focus: focus || null, draft: null }), { keepFocus: true });
	}
	function include(id: string, isIncluded: boolean) {
		draft.limits.excludedIds = isIncluded
			? draft.limits.excludedIds.filter((one) => one !== id)
			: [...draft.limits.excludedIds, id];
	}
</script>

<fieldset>
	<legend class="visually-hidden">Limits</legend>
	{#if !page.url.searchParams.get('draft')}
		<label>
			Groups
			<select aria-label="Kind of groups" onchange={(event) => mix(event.currentTarget.value)}>
				<option value="" selected={!mixing}>with the same need</option>
				{#each focuses as { id, shortName } (id)}
					<option value={id} selected={mixing?.focusId === String(id)}
						>mixed, for peer help on {shortName} ({secure[id]} can help)</option
					>
				{/each}
			</select>
		</label>
	{/if}
	{#each tiers as tier (tier)}
		<span>
			{#if mixing}Each{:else}<TierBars {tier} /> Tier {tier}:{/if}
			{#each [['minimum', 'Smallest'], ['maximum', 'Largest']] as const as [end, word] (end)}
				{end === 'maximum' ? ' to ' : ''}
				<input
					type="number"
					min="1"
					max="12"
					aria-label={mixing ? `${word} group` : `${word} tier ${tier} group`}
					bind:value={draft.limits.sizes[tier][end]}
				/>
			{/each} students
		</span>
	{/each}
	<label>
		At most
		<input
			type="number"
			min="1"
			max="60"
			placeholder={String(draft.limits.slotIds.length)}
			value={draft.limits.mostGroups ?? ''}
			oninput={(event) => (draft.limits.mostGroups = Number(event.currentTarget.value) || null)}
			aria-label="Most groups"
		/> groups
	</label>
	<details>
		<summary>{draft.limits.slotIds.length} of {slots.length} free meeting times</summary>
		<div class="sheet">
			{#each slots as slot (slot.id)}
				<label
					><input type="checkbox" value={String(slot.id)} bind:group={draft.limits.slotIds} />
					{sayMeeting(slot)}, {slot.staffName}</label
				>
			{:else}
				<p>No meeting time is free. Add some on the timetable, or form groups anew.</p>
			{/each}
		</div>
	</details>
	<details>
		<summary
			>{included === students.length ? `all ${students.length}` : `${included} of ${students.length}`} students</summary
		>
		<div class="sheet">
			{#each students as student (student.id)}
				{@const id = String(student.id)}
				<label
					><input
						type="checkbox"
						checked={!draft.limits.excludedIds.includes(id)}
						onchange={(event) => include(id, event.currentTarget.checked)}
					/>
					{names.student(id)} <span class="soft">{student.className}</span></label
				>
			{/each}
		</div>
	</details>
	<DraftPairs {draft} {students} {names} />
	{#if isInGroup}
		<label title="In units of need: 0 moves students for the slightest gain">
			Move out of a group only for
			<input
				type="number"
				min="0"
				max="2"
				step="0.05"
				aria-label="Least gain for a move"
				bind:value={draft.limits.keepWorth}
			/> more
		</label>
	{/if}
	{#if draft.solving}
		<button type="button" onclick={() => draft.stop()}>Stop here</button>
	{:else}
		<button type="button" class="primary" disabled={!isAwake} onclick={() => draft.suggest()}
			>{isBegun ? 'Suggest again' : 'Suggest groups'}</button
		>
	{/if}
</fieldset>

<style>
	fieldset {
		border: 0;
		padding: 0;
		margin: 10px 0;
		display: flex;
		flex-wrap: wrap;
		gap: 8px 20px;
		align-items: center;
	}
	input[type='number'] {
		width: 60px;
	}
	select {
		max-width: 260px;
	}
	fieldset :global(summary) {
		cursor: pointer;
	}
	fieldset :global(.sheet) {
		position: absolute;
		z-index: 12;
		max-height: 50vh;
		overflow-y: auto;
		background: var(--sheet);
		border: 1px solid var(--rule-strong);
		box-shadow: var(--float);
		padding: 10px 14px;
		display: grid;
		gap: 4px;
	}
	.sheet label {
		font-weight: 400;
	}
</style>
