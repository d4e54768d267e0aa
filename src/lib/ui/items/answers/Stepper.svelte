<!-- A number changed by one at a time, by two large buttons or the arrow keys. -->
<script lang="ts">
	import Minus from '@lucide/svelte/icons/minus';
	import Plus from '@lucide/svelte/icons/plus';
	import { formatNumber } from '$lib/core/items';

	interface Props {
		label: string;
		/** Null while nothing has been set. */
		value: number | null;
		min: number;
		max: number;
		/** Where the first step starts from. */
		start?: number;
		disabled?: boolean;
		onchange: (value: number) => void;
	}
	let { label, value, min, max, start = min, disabled = false, onchange }: Props = $props();

	function step(by: number) {
		const next = value === null ? start : value + by;
		if (!disabled && next >= min && next <= max) onchange(next);
	}
	function keydown(event: KeyboardEvent) {
		const by = { ArrowUp: 1, ArrowRight: 1, ArrowDown: -1, ArrowLeft: -1 }[event.key];
		if (!by) return;
		event.preventDefault();
		step(by);
	}
</script>

<div role="group" aria-label={label}>
	<span class="label">{label}</span>
	<button
		type="button"
		disabled={disabled || (value !== null && value <= min)}
		aria-label="{label}: less"
		onclick={() => step(-1)}
		onkeydown={keydown}><Minus size={20} aria-hidden="true" /></button
	>
	<output aria-label="{label}: {value === null ? 'not set' : formatNumber(value)}"
		>{value === null ? '–' : formatNumber(value)}</output
	>
	<button
		type="button"
		disabled={disabled || (value !== null && value >= max)}
		aria-label="{label}: more"
		onclick={() => step(1)}
		onkeydown={keydown}><Plus size={20} aria-hidden="true" /></button
	>
</div>

<style>
	div {
		display: grid;
		grid-template-columns: minmax(0, 7.5em) 48px minmax(2em, 3em) 48px;
		gap: 6px;
		align-items: center;
	}
	button {
		min-height: 46px;
		padding: 0;
		justify-content: center;
	}
	output {
		text-align: center;
		font-weight: 600;
		font-variant-numeric: tabular-nums;
	}
</style>
