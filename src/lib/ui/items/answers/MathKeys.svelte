<!--
	A small keyboard for numbers and expressions, as a device's own lacks the signs. It types into a field that stays in
	focus.
	<MathKeys {field} letters={['x']} powers />
-->
<script lang="ts">
	import Delete from '@lucide/svelte/icons/delete';

	interface Props {
		/** The field that is typed into. */
		field: HTMLInputElement | undefined;
		letters?: string[];
		/** Signs of expressions beside digits and minus. */
		signs?: string[];
		disabled?: boolean;
	}
	let { field, letters = [], signs = [], disabled = false }: Props = $props();

	const names: Record<string, string> = {
		'-': 'minus',
		'+': 'plus',
		'*': 'times',
		'/': 'divided by',
		'^': 'to the power',
		'(': 'open parenthesis',
		')': 'close parenthesis',
		'.': 'point'
	};
	const shown: Record<string, string> = { '-': '−', '*': '×', '/': '÷', '^': 'xⁿ' };
	const keys = $derived([...'1234567890', '-', ...signs, ...letters]);

	function type(text: string) {
		if (!field) return;
		const [from, to] = [field.selectionStart ?? field.value.length, field.selectionEnd ?? field.value.length];
		if (text) field.setRangeText(text, from, to, 'end');
		else field.setRangeText('', from === to ? Math.max(0, from - 1) : from, to, 'end');
		field.dispatchEvent(new Event('input', { bubbles: true }));
		field.focus();
	}
</script>

<div class="keys" role="group" aria-label="Math keyboard">
	{#each keys as key (key)}
		<button
			type="button"
			{disabled}
			class:letter={letters.includes(key)}
			aria-label={names[key]}
			onpointerdown={(event) => event.preventDefault()}
			onclick={() => type(key)}>{shown[key] ?? key}</button
		>
	{/each}
	<button
		type="button"
		{disabled}
		aria-label="Delete"
		onpointerdown={(event) => event.preventDefault()}
		onclick={() => type('')}><Delete size={20} aria-hidden="true" /></button
	>
</div>

<style>
	.keys {
		display: grid;
		grid-template-columns: repeat(7, minmax(44px, 56px));
		gap: 3px;
		margin-top: 12px;
	}
	:global([inert]) .keys {
		display: none;
	}
	button {
		min-height: 44px;
		padding: 0;
		font-size: 1.05em;
		justify-content: center;
	}
	.letter {
		font-style: italic;
		font-family: var(--head);
	}
</style>
