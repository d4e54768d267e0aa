<!-- Typing numbers into several blanks, each between two texts; a button changes the sign of the one that was typed into last. -->
<script lang="ts">
	import { onEnter, withOtherSign, type Answering } from './answering';

	let {
		response,
		answer = $bindable(),
		disabled = false,
		onenter
	}: Answering<'fill'> & { answer: string[] | null } = $props();

	// A new question makes a new component.
	// svelte-ignore state_referenced_locally
	let typed = $state<string[]>(answer ?? response.blanks.map(() => ''));
	let last = $state(0);

	const nameOf = (i: number) => {
		const { before, after } = response.blanks[i];
		return `${before} ${after}`.trim() || `blank ${i + 1}`;
	};
	function type(i: number, text: string) {
		typed[i] = text;
		answer = typed.every((one) => one.trim()) ? $state.snapshot(typed) : null;
	}
</script>

<div class="blanks">
	{#each response.blanks as { before, after }, i (i)}
		<label>
			{#if before}<span>{before}</span>{/if}
			<input
				inputmode="decimal"
				autocomplete="off"
				maxlength="20"
				aria-label={nameOf(i)}
				{disabled}
				bind:value={() => typed[i], (text) => type(i, text)}
				onfocus={() => (last = i)}
				onkeydown={onEnter(onenter)}
			/>
			{#if after}<span>{after}</span>{/if}
		</label>
	{/each}
	<button
		type="button"
		{disabled}
		aria-label="Change the sign of {nameOf(last)}"
		onclick={() => type(last, withOtherSign(typed[last]))}>±</button
	>
</div>

<style>
	.blanks {
		display: flex;
		flex-wrap: wrap;
		gap: 12px 24px;
		align-items: center;
	}
	label {
		display: flex;
		gap: 10px;
		align-items: center;
		font-weight: 400;
	}
	button {
		min-height: 46px;
		min-width: 46px;
	}
	input {
		width: 5.5em;
		min-height: 46px;
		font-size: 1.1em;
	}
</style>
