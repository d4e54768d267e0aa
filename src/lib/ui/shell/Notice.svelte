<!--
	What a form just did, with Undo where it can be taken back; or why it did nothing. Pass the page's `form` result:
	`{ problem }` or `{ done, undo?: { action, fields } }`.
-->
<script lang="ts" module>
	export interface Outcome {
		problem?: string;
		done?: string;
		undo?: { action: string; fields: Record<string, string | string[]> };
	}
</script>

<script lang="ts">
	import ActionButton from '../form/ActionButton.svelte';

	let { outcome }: { outcome: Outcome | null | undefined } = $props();
	// Compared by what they are, so none of them is wrapped.
	let closed = $state.raw<Outcome | null>(null);
	/** Stays when the page's address changes, as by a filter, so that Undo is not lost. */
	let latest = $state.raw<Outcome | null>(null);
	$effect(() => {
		if (outcome) latest = outcome;
	});
	const current = $derived(outcome ?? latest);
	const shown = $derived(current !== closed ? current : null);
</script>

<div class="place no-print" role="status" aria-live="polite">
	{#if shown?.problem}
		<div class="note bad" data-notice>
			<span>{shown.problem}</span>
			<button class="plain" onclick={() => (closed = shown)}>Close</button>
		</div>
	{:else if shown?.done}
		<div class="note" data-notice>
			<span>{shown.done}</span>
			{#if shown.undo}
				<ActionButton action={shown.undo.action} fields={shown.undo.fields}>Undo</ActionButton>
			{/if}
			<button class="plain" onclick={() => (closed = shown)}>Close</button>
		</div>
	{/if}
</div>

<style>
	.place {
		position: fixed;
		z-index: 40;
		left: 50%;
		bottom: 64px;
		transform: translateX(-50%);
	}
	/* Above the actions for a selection, which may take two lines. */
	:global(body:has([aria-label='Actions for the selection'])) .place {
		bottom: 128px;
	}
	/* What stands at the end of a page can be scrolled up from under it. */
	:global(body:has([data-notice]) #work) {
		padding-bottom: 190px;
	}
	.note {
		display: flex;
		align-items: center;
		gap: 12px;
		padding: 8px 8px 8px 16px;
		color: #fff;
		background: var(--ink);
		border-radius: var(--corner);
		box-shadow: var(--float);
		max-width: min(720px, 92vw);
	}
	.bad {
		background: var(--alarm);
	}
	.note .plain {
		color: #fff;
	}
</style>
