<!-- Typing an expression, by any keyboard or the one below; powers are shown raised beside it. -->
<script lang="ts">
	import MathKeys from './MathKeys.svelte';
	import { onEnter, type Answering } from './answering';

	let {
		response,
		answer = $bindable(),
		disabled = false,
		onenter
	}: Answering<'expression'> & { answer: string | null } = $props();

	let field = $state<HTMLInputElement>();
	/** The typed text cut where a power begins and ends. */
	const pieces = $derived([
		...(answer ?? '')
			.replaceAll('-', '−')
			.replaceAll('*', ' × ')
			.matchAll(/\^(\d*)|[^^]+/g)
	]);
</script>

<div class="expression">
	{#if response.before}<span class="math">{response.before}</span>{/if}
	<input
		bind:this={field}
		inputmode="none"
		autocomplete="off"
		autocapitalize="none"
		spellcheck="false"
		maxlength="60"
		aria-label="Your answer, an expression{response.before ? ` for ${response.before}` : ''}"
		{disabled}
		bind:value={() => answer ?? '', (typed) => (answer = typed || null)}
		onkeydown={onEnter(onenter)}
	/>
	{#if answer?.includes('^')}
		<span class="math" aria-hidden="true"
			>{#each pieces as [text, power], i (i)}{#if power === undefined}{text}{:else}<sup>{power || '▯'}</sup
					>{/if}{/each}</span
		>
	{/if}
</div>
<MathKeys {field} letters={response.letters} signs={['+', '*', '/', '^', '(', ')']} {disabled} />

<style>
	.expression {
		display: flex;
		flex-wrap: wrap;
		gap: 12px;
		align-items: center;
	}
	input {
		width: min(100%, 13em);
		min-height: 48px;
		font-size: 1.2em;
	}
	.math {
		font: italic 1.2em var(--head);
	}
</style>
