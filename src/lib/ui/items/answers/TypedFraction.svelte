<!-- Typing a fraction: top over bottom, after a whole number where one may stand. -->
<script lang="ts">
	import MathKeys from './MathKeys.svelte';
	import { onEnter, type Answering } from './answering';

	let {
		response,
		answer = $bindable(),
		disabled = false,
		onenter
	}: Answering<'fraction'> & { answer: string | null } = $props();

	let [whole, top, bottom] = $state(split(answer));
	let fields = $state<HTMLInputElement[]>([]);
	let current = $state(1);

	function split(text: string | null): [string, string, string] {
		const [, first = '', second = '', third = ''] = /^(?:(\S+)\s+)?([^/\s]*)\/?(.*)$/.exec(text ?? '') ?? [];
		return [first, second, third];
	}
	function write() {
		const parts = [whole, top, bottom].map((part) => part.trim());
		if (parts[0] && !parts[1] && !parts[2]) answer = parts[0];
		else if (parts[1] || parts[2]) answer = `${parts[0] ? `${parts[0]} ` : ''}${parts[1]}/${parts[2]}`;
		else answer = null;
	}
</script>

{#snippet field(i: number, name: string, value: string, set: (text: string) => void)}
	<input
		bind:this={fields[i]}
		inputmode="none"
		autocomplete="off"
		maxlength="6"
		aria-label={name}
		{disabled}
		bind:value={
			() => value,
			(text) => {
				set(text);
				write();
			}
		}
		onfocus={() => (current = i)}
		onkeydown={onEnter(onenter)}
	/>
{/snippet}

<div class="number" role="group" aria-label="Your answer, a {response.mixed ? 'mixed number or a ' : ''}fraction">
	{#if response.mixed}<div class="whole">
			{@render field(0, 'Whole number', whole, (text) => (whole = text))}
		</div>{/if}
	<div class="fraction">
		{@render field(1, 'Top number', top, (text) => (top = text))}
		<span class="bar"></span>
		{@render field(2, 'Bottom number', bottom, (text) => (bottom = text))}
	</div>
	{#if response.unit}<span>{response.unit}</span>{/if}
</div>
<MathKeys field={fields[current]} {disabled} />

<style>
	.number {
		display: flex;
		flex-wrap: wrap;
		gap: 12px;
		align-items: center;
	}
	.fraction {
		display: inline-grid;
		gap: 6px;
		width: 5.5em;
	}
	.whole {
		width: 4em;
	}
	input {
		min-height: 46px;
		font-size: 1.2em;
		text-align: center;
		width: 100%;
	}
	.bar {
		height: 2px;
		background: var(--ink);
	}
</style>
