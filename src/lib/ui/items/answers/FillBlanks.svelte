<!-- Typing numbers into several blanks, each between two texts. -->
<script lang="ts">
	import { onEnter, type Answering } from './answering';

	let {
		response,
		answer = $bindable(),
		disabled = false,
		onenter
	}: Answering<'fill'> & { answer: string[] | null } = $props();

	// A new question makes a new component.
	// svelte-ignore state_referenced_locally
	let typed = $state<string[]>(answer ?? response.blanks.map(() => ''));

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
				aria-label={`${before} ${after}`.trim() || `blank ${i + 1}`}
				{disabled}
				bind:value={() => typed[i], (text) => type(i, text)}
				onkeydown={onEnter(onenter)}
			/>
			{#if after}<span>{after}</span>{/if}
		</label>
	{/each}
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
	input {
		width: 5.5em;
		min-height: 46px;
		font-size: 1.1em;
	}
</style>
