<!-- What was done to a set since it was assigned, the newest first; each can be undone while nothing stands in the way. -->
<script lang="ts">
	import { sayInstant } from '$lib/core/calendar';
	import ActionButton from '../form/ActionButton.svelte';

	interface Props {
		history: {
			id: number;
			says: string;
			by: string;
			at: Date;
			undo: { action: string; fields: Record<string, string> } | null;
		}[];
		timeZone: string;
		canUndo: boolean;
	}
	let { history, timeZone, canUndo }: Props = $props();
</script>

<section aria-labelledby="history">
	<h2 id="history">What was changed</h2>
	{#if history.length === 0}
		<p class="soft">Nothing since it was assigned.</p>
	{:else}
		<ol>
			{#each history as { id, says, by, at, undo } (id)}
				<li>
					<span class="soft">{sayInstant(at, timeZone)}, {by}</span>
					<span>{says}</span>
					{#if undo && canUndo}<ActionButton action={undo.action} fields={undo.fields} label="Undo: {says}" look="plain"
							>Undo</ActionButton
						>{/if}
				</li>
			{/each}
		</ol>
	{/if}
</section>

<style>
	section {
		margin-top: 18px;
	}
	ol {
		list-style: none;
		margin: 0;
		padding: 0;
	}
	li {
		display: flex;
		flex-wrap: wrap;
		gap: 2px 14px;
		align-items: baseline;
		padding: 2px 0;
	}
</style>
