<!-- A group on the board, or the place for students in none: its focus and time, why it is a group, and its students. -->
<script lang="ts">
	import { plural } from '$lib/core/words';
	import type { Snippet } from 'svelte';
	import { sayMeeting } from '$lib/core/calendar';
	import TierBars from '../glyphs/TierBars.svelte';
	import BoardChips from './BoardChips.svelte';
	import {
		sayChange,
		sayCloseCall,
		sayNeed,
		sayShares,
		type BoardNames,
		type BoardSlot,
		type BoardStudent,
		type NeedWhy
	} from './board';
	import type { Column, Draft } from './draft.svelte';

	interface Props {
		draft: Draft;
		/** Null for students in no group. */
		column: Column | null;
		slot: BoardSlot | null;
		names: BoardNames;
		why: Record<string, Record<string, NeedWhy>>;
		alsoIn: Record<string, string[]>;
		studentOf: Map<string, BoardStudent>;
		children?: Snippet;
	}
	let { draft, column, slot, names, why, alsoIn, studentOf, children }: Props = $props();

	const people = (count: number) => `${plural(count, 'student')}`;
	const cost = $derived(draft.costOf(column?.slotId ?? null));
	const close = $derived(
		column ? draft.closeCalls.filter(({ studentId }) => column.chips.some(({ id }) => id === studentId)) : []
	);
	const shares = $derived(
		column
			? sayShares(column.chips.filter(({ id }) => !draft.canHelp(id)).map(({ id }) => why[id]?.[column.focusId]))
			: ''
	);
	const focusAt = (slotId: string) => names.skill(draft.columns.find((one) => one.slotId === slotId)?.focusId ?? '');
</script>

<section
	class="column"
	class:out={!column}
	aria-label={column ? `Group ${names.skill(column.focusId)}` : 'In no group'}
>
	{#if column && slot}
		<h2><TierBars tier={column.tier} /> {names.skill(column.focusId)}</h2>
		<p class="soft">{sayMeeting(slot)}, {slot.minutes} min<br />{slot.staffName}, {slot.room}</p>
		<p>{[people(column.chips.length), shares].filter(Boolean).join(', ')}</p>
	{:else}
		<h2>In no group</h2>
		<p class="soft">{people(draft.out.length)}</p>
	{/if}
	{#if cost}
		<p class="cost" class:breaks={cost.breaks.length > 0}>
			{names.student(draft.lifted!.id)} here: {sayChange(cost.change)}{cost.breaks.length ? ', breaks a limit' : ''}
		</p>
	{/if}
	<BoardChips
		{draft}
		{column}
		label={column ? `Members of ${names.skill(column.focusId)}` : 'Students in no group'}
		{names}
		{alsoIn}
	/>
	{#if column && column.chips.length}
		<details>
			<summary tabindex={draft.carrying ? -1 : 0}>Why this group</summary>
			<p class="soft">Need met here: {draft.worth(column).toFixed(2)}.</p>
			<ul>
				{#each column.chips as { id } (id)}
					<li>
						<strong>{names.student(id)}</strong>
						{#if draft.canHelp(id)}can help: secure on it{:else}{sayNeed(
								why[id]?.[column.focusId],
								studentOf.get(id)?.tier ?? 1
							)}{/if}
					</li>
				{/each}
				{#each close as call (call.studentId)}
					<li class="soft">{sayCloseCall(call, names, focusAt(call.slotId))}</li>
				{/each}
			</ul>
		</details>
	{/if}
	{@render children?.()}
</section>

<style>
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
	.cost {
		font-variant-numeric: tabular-nums;
		color: var(--verdigris);
	}
	.breaks {
		color: var(--slipping-ink);
	}
	details {
		margin-top: 6px;
		font-size: 0.92rem;
	}
	summary {
		cursor: pointer;
	}
	ul {
		margin: 4px 0 0;
		padding-left: 16px;
	}
</style>
