<!-- Typing a number, with its unit and a button for its sign beside it. -->
<script lang="ts">
	import { onEnter, withOtherSign, type Answering } from './answering';

	let {
		response,
		answer = $bindable(),
		disabled = false,
		onenter
	}: Answering<'number'> & { answer: string | null } = $props();
</script>

<div>
	<label class="visually-hidden" for="typed">Your answer{response.unit ? ` in ${response.unit}` : ''}</label>
	<input
		id="typed"
		inputmode="decimal"
		autocomplete="off"
		maxlength="20"
		{disabled}
		bind:value={() => answer ?? '', (typed) => (answer = typed || null)}
		onkeydown={onEnter(onenter)}
	/>
	{#if response.unit}<span>{response.unit}</span>{/if}
	<button
		type="button"
		{disabled}
		aria-label="Change the sign"
		onclick={() => (answer = withOtherSign(answer ?? '') || null)}>±</button
	>
</div>

<style>
	div {
		display: flex;
		flex-wrap: wrap;
		gap: 10px;
		align-items: center;
	}
	input {
		width: 9em;
		max-width: 100%;
		min-height: 48px;
		font-size: 1.2em;
	}
	button {
		min-height: 48px;
		min-width: 48px;
	}
</style>
