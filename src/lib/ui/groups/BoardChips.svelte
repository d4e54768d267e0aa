<!--
	The students of one group on the board, or of none. Each moves by drag; by keyboard (Space picks up, Tab carries to
	the next group, arrows within one, Space drops); or by the menu on it.
-->
<script lang="ts">
	import ArrowLeftRight from '@lucide/svelte/icons/arrow-left-right';
	import { tick } from 'svelte';
	import { dndzone, SOURCES, TRIGGERS, type DndEventInfo } from 'svelte-dnd-action';
	import { sayChange, type BoardNames } from './board';
	import type { Chip, Column, Draft } from './draft.svelte';

	interface Props {
		draft: Draft;
		/** Null for students in no group. */
		column: Column | null;
		label: string;
		names: BoardNames;
		alsoIn: Record<string, string[]>;
	}
	let { draft, column, label, names, alsoIn }: Props = $props();

	const chips = $derived(column ? column.chips : draft.out);
	let list: HTMLUListElement;

	function dragged({ type, detail: { items, info } }: CustomEvent<{ items: Chip[]; info: DndEventInfo }>) {
		// What each place would cost is worked out before the student leaves theirs.
		if (info.trigger === TRIGGERS.DRAG_STARTED) draft.lift(info.id);
		draft.rearrange(column, items, type === 'finalize');
		if (info.source !== SOURCES.KEYBOARD) return;
		draft.carrying = info.trigger !== TRIGGERS.DRAG_STOPPED;
		if (draft.carrying) return;
		draft.lift(null);
		// Where the student was put down is where one goes on from.
		tick().then(() => list.querySelector<HTMLElement>(`[data-chip="${CSS.escape(info.id)}"]`)?.focus());
	}

	/** What a place in the menu would cost, once the menu is about to open. */
	function costIn(id: string, slotId: string | null): string {
		const cost = draft.lifted?.id === id ? draft.costOf(slotId) : null;
		return cost ? ` (${sayChange(cost.change)}${cost.breaks.length ? ', breaks a limit' : ''})` : '';
	}
</script>

<ul
	use:dndzone={{
		items: chips,
		flipDurationMs: 0,
		zoneTabIndex: -1,
		type: 'student',
		dropTargetStyle: {},
		dropTargetClasses: ['target']
	}}
	bind:this={list}
	onconsider={dragged}
	onfinalize={dragged}
	aria-label={label}
>
	{#each chips as chip (chip.id)}
		<li aria-label={names.student(chip.id)} data-chip={chip.id}>
			<span class="chip">
				<span>{names.student(chip.id)}</span>
				<span class="soft"
					>{names.className(chip.id)}{#if column}{draft.canHelp(chip.id)
							? ' · helps'
							: ` · ${draft.need(chip.id, column.focusId).toFixed(2)}`}{/if}{#each alsoIn[chip.id] ?? [] as name (name)}<br
						/>also in {name}{/each}</span
				>
			</span>
			<span class="menu">
				<ArrowLeftRight size={16} aria-hidden="true" />
				<select
					aria-label="Move {names.student(chip.id)}"
					value={column?.slotId ?? ''}
					tabindex={draft.carrying ? -1 : 0}
					onfocus={() => draft.lift(chip.id)}
					onblur={() => draft.lift(null)}
					onchange={(event) => draft.move(chip.id, event.currentTarget.value)}
				>
					{#each draft.columns as target (target.slotId)}
						<option value={target.slotId}>{names.skill(target.focusId)}{costIn(chip.id, target.slotId)}</option>
					{/each}
					<option value="">In no group{costIn(chip.id, null)}</option>
				</select>
			</span>
			{#if !column && draft.reasons.has(chip.id)}<p class="reason">{draft.reasons.get(chip.id)}</p>{/if}
		</li>
	{/each}
</ul>

<style>
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
</style>
