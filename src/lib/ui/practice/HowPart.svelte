<!-- How a set is worked on: how many questions or until when, feedback and help. -->
<script lang="ts">
	import { FEEDBACK_TIMES, LESSON_CHECK, SET_LENGTHS } from '$lib/core/practice';
	import AssignPart from './AssignPart.svelte';
	import { DONE_ONLY, IN_ONE_GO } from './saySet';
	import type { NewSet } from './newSet.svelte';

	let { newSet }: { newSet: NewSet } = $props();
	/** How many right at the first try can end a set. */
	const UNTIL = [3, 5, 6, 8, 10];
	/** Turning it on leaves room for misses. */
	function endAt(right: number | null) {
		newSet.untilRight = right;
		if (right !== null && newSet.practice < right)
			newSet.practice = SET_LENGTHS.find((length) => length >= right) ?? right;
	}
</script>

<AssignPart name="How">
	<fieldset>
		<legend class="visually-hidden">Questions</legend>
		{#if newSet.lesson || newSet.practice === 0}
			<label class="chip" class:on={newSet.practice === 0}
				><input
					type="radio"
					name="length"
					value={0}
					bind:group={newSet.practice}
					disabled={newSet.untilRight !== null}
				/>
				only a check of {LESSON_CHECK}</label
			>
		{/if}
		{#each SET_LENGTHS as questions (questions)}
			<label class="chip" class:on={newSet.practice === questions}
				><input
					type="radio"
					name="length"
					value={questions}
					bind:group={newSet.practice}
					disabled={newSet.untilRight !== null && questions < newSet.untilRight}
				/>
				{questions} questions{newSet.untilRight === null ? '' : ' at most'}</label
			>
		{/each}
		<label
			>until <select
				aria-label="Ends once so many are right at the first try"
				value={newSet.untilRight === null ? '' : String(newSet.untilRight)}
				onchange={({ currentTarget: { value } }) => endAt(value === '' ? null : Number(value))}
			>
				<option value="">all are done</option>
				{#each UNTIL as right (right)}<option value={String(right)}>{right} right at the first try</option>{/each}
			</select></label
		>
	</fieldset>
	<p class="row">
		<label
			>Told what was right <select bind:value={newSet.feedback} disabled={newSet.untilRight !== null}>
				{#each FEEDBACK_TIMES as time (time)}<option value={time}>{time === 'none' ? 'never' : time}</option>{/each}
			</select></label
		>
		{#if newSet.how.feedback === 'at once'}
			<label><input type="checkbox" bind:checked={newSet.hints} /> hints</label>
			<label><input type="checkbox" bind:checked={newSet.secondTry} /> second try</label>
		{/if}
		{#if newSet.how.feedback !== 'none'}
			<label><input type="checkbox" bind:checked={newSet.solutions} /> solutions</label>
		{/if}
		<label><input type="checkbox" bind:checked={newSet.pausing} /> can be left and gone on with</label>
		<label><input type="checkbox" bind:checked={newSet.ownQuestions} /> numbers of their own</label>
		<label><input type="checkbox" bind:checked={newSet.doneOnly} /> only counts whether it is done</label>
	</p>
	{#if !newSet.pausing}
		<p class="soft">{IN_ONE_GO}</p>
	{/if}
	{#if newSet.doneOnly}
		<p class="soft">{DONE_ONLY}</p>
	{/if}
</AssignPart>

<style>
	fieldset {
		display: flex;
		flex-wrap: wrap;
		gap: 6px;
		align-items: center;
		border: 0;
		margin: 0;
		padding: 0;
	}
	.chip {
		position: relative;
		padding: 4px 10px;
		background: var(--sheet);
		border: 1px solid var(--rule-strong);
		border-radius: var(--corner);
		cursor: pointer;
	}
	/* The whole chip is the button. */
	.chip input {
		position: absolute;
		inset: 0;
		width: 100%;
		height: 100%;
		margin: 0;
		opacity: 0;
		cursor: pointer;
	}
	.chip.on {
		border-color: var(--verdigris);
		box-shadow: inset 0 0 0 1px var(--verdigris);
		background: var(--verdigris-wash);
	}
	.chip:focus-within {
		outline: 2px solid var(--verdigris);
		outline-offset: 2px;
	}
	.row {
		display: flex;
		flex-wrap: wrap;
		gap: 6px 16px;
		align-items: center;
	}
</style>
