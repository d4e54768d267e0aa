<!--
	One button that does one action of a page, with what it is done to.
	<ActionButton action="?/withdraw" fields={{ window: 3 }} label="Take away Winter screening">Take away</ActionButton>
-->
<script lang="ts">
	import type { Snippet } from 'svelte';
	import { enhance } from '$app/forms';

	interface Props {
		action: string;
		/** A field with several values is sent once for each. */
		fields?: Record<string, string | number | (string | number)[]>;
		/** Read out instead of the button's words, where those alone do not say what of. */
		label?: string;
		/** As buttons are drawn everywhere: primary, plain, small. */
		look?: string;
		disabled?: boolean;
		children: Snippet;
	}
	let { action, fields = {}, label, look, disabled, children }: Props = $props();
</script>

<form method="POST" {action} use:enhance>
	{#each Object.entries(fields) as [name, values] (name)}
		{#each [values].flat() as value, i (i)}<input type="hidden" {name} {value} />{/each}
	{/each}
	<button class={look} aria-label={label} {disabled}>{@render children()}</button>
</form>

<style>
	/* The button stands where the form would. */
	form {
		display: contents;
	}
</style>
