<!--
	Long work that is under way: how far it is, asked again every second, and a button to cancel it.
	<JobUnderWay job={data.job} depends="job:calibration" mayCancel share={0.4}>Reading: 40 of 100 sittings.</JobUnderWay>
-->
<script lang="ts">
	import type { Snippet } from 'svelte';
	import { invalidate } from '$app/navigation';
	import ActionButton from '../form/ActionButton.svelte';

	interface Props {
		job: { id: number; askedBy: string };
		/** What the page's load depends on. */
		depends: `job:${string}`;
		mayCancel: boolean;
		/** Of the work that is done, 0 to 1; absent where it cannot be known. */
		share?: number;
		/** How far it is, in words. */
		children: Snippet;
	}
	let { job, depends, mayCancel, share, children }: Props = $props();

	const LOOK_AGAIN_MS = 1_000;
	$effect(() => {
		const timer = setInterval(() => void invalidate(depends), LOOK_AGAIN_MS);
		return () => clearInterval(timer);
	});
</script>

<div class="running">
	<p role="status">{@render children()} Asked for by {job.askedBy}.</p>
	{#if share === undefined}<progress aria-label="How far it is"></progress>
	{:else}<progress value={share} aria-label="How far it is"></progress>{/if}
	{#if mayCancel}<ActionButton action="?/cancel" fields={{ job: job.id }}>Cancel</ActionButton>{/if}
</div>

<style>
	.running {
		display: flex;
		gap: 16px;
		align-items: center;
		background: var(--sheet);
		border: 1px solid var(--rule);
		padding: 10px 14px;
		margin-top: 10px;
	}
	progress {
		accent-color: var(--verdigris);
	}
</style>
