<!-- What follows once a student has finished the set: above the line and below it, in words. -->
<script lang="ts">
	import { ABOVE_STEPS, BELOW_STEPS } from '$lib/core/practice';
	import AssignPart from './AssignPart.svelte';
	import type { NewSet } from './newSet.svelte';
	import { ABOVE_WORDS, BELOW_WORDS, sayFollow } from './sayFollow';

	let { newSet }: { newSet: NewSet } = $props();
	const LINES = [60, 70, 80, 90, 100];
</script>

<AssignPart name="After">
	<p class="row">
		<label
			>Line <select bind:value={newSet.line}>
				{#each LINES as line (line)}<option value={line}>{line}% right at the first try</option>{/each}
			</select></label
		>
		<label
			>at or above it <select bind:value={newSet.above}>
				{#each ABOVE_STEPS as step (step)}<option value={step}>{ABOVE_WORDS[step]}</option>{/each}
			</select></label
		>
		<label
			>below it <select bind:value={newSet.below}>
				{#each BELOW_STEPS as step (step)}<option value={step}>{BELOW_WORDS[step]}</option>{/each}
			</select></label
		>
	</p>
	<p class="soft">{sayFollow(newSet.how)}</p>
</AssignPart>

<style>
	.row {
		display: flex;
		flex-wrap: wrap;
		gap: 6px 16px;
		align-items: center;
	}
</style>
