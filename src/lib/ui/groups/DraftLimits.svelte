<!-- The limits of a draft: how large groups may be, and which free meeting times may be used. -->
<script lang="ts">
	import TierBars from '../glyphs/TierBars.svelte';
	import { sayMeeting } from '../shell/dates';
	import type { Draft } from './draft.svelte';
	import type { BoardSlot } from './DraftBoard.svelte';

	interface Props {
		draft: Draft;
		/** Meeting times that are free. */
		slots: BoardSlot[];
	}
	let { draft, slots }: Props = $props();
</script>

<fieldset>
	<legend class="visually-hidden">Limits</legend>
	{#each [2, 3] as const as tier (tier)}
		<span>
			<TierBars {tier} /> Tier {tier}:
			{#each [['minimum', 'Smallest'], ['maximum', 'Largest']] as const as [end, word] (end)}
				{end === 'maximum' ? ' to ' : ''}
				<input
					type="number"
					min="1"
					max="12"
					aria-label="{word} tier {tier} group"
					bind:value={draft.sizes[tier][end]}
				/>
			{/each} students
		</span>
	{/each}
	<details>
		<summary>{draft.chosenSlots.length} of {slots.length} free meeting times</summary>
		<div class="slots">
			{#each slots as slot (slot.id)}
				<label
					><input type="checkbox" value={String(slot.id)} bind:group={draft.chosenSlots} />
					{sayMeeting(slot)}, {slot.staffName}</label
				>
			{/each}
		</div>
	</details>
	{#if draft.solving}
		<button type="button" onclick={() => draft.stop()}>Stop here</button>
	{:else}
		<button type="button" class="primary" onclick={() => draft.suggest()}
			>{draft.result ? 'Suggest again' : 'Suggest groups'}</button
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
</style>
