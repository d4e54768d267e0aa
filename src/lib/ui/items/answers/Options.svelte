<!-- Choosing one option, or marking several. -->
<script lang="ts">
	import { inWords } from '$lib/core/items';
	import { onEnter, type Answering } from './answering';

	type Props = Answering<'choice' | 'several'> & { optionsHtml: string[]; answer: number | number[] | null };
	let { response, optionsHtml, answer = $bindable(), disabled = false, onenter }: Props = $props();

	const several = $derived(response.kind === 'several');
	const marked = $derived(new Set(Array.isArray(answer) ? answer : answer === null ? [] : [answer]));

	function choose(index: number) {
		if (!several) return void (answer = index);
		const next = new Set(marked);
		if (!next.delete(index)) next.add(index);
		answer = next.size ? [...next].sort((a, b) => a - b) : null;
	}
</script>

<fieldset {disabled}>
	<legend class={several ? 'soft' : 'visually-hidden'}>{several ? 'More than one can be right.' : 'Choose one'}</legend>
	{#each optionsHtml as html, i (i)}
		<label class="option" class:on={marked.has(i)}>
			<input
				type={several ? 'checkbox' : 'radio'}
				name="option"
				aria-label={inWords(response.options[i])}
				checked={marked.has(i)}
				onchange={() => choose(i)}
				onkeydown={onEnter(onenter)}
			/>
			<!-- eslint-disable-next-line svelte/no-at-html-tags -- escaped on the server -->
			<span>{@html html}</span>
		</label>
	{/each}
</fieldset>

<style>
	fieldset {
		border: 0;
		padding: 0;
		margin: 0;
		display: grid;
		gap: 8px;
	}
	.option {
		display: flex;
		align-items: center;
		gap: 12px;
		min-height: 48px;
		padding: 6px 14px;
		background: var(--sheet);
		border: 1px solid var(--rule-strong);
		border-radius: var(--corner);
		cursor: pointer;
		font-weight: 400;
	}
	.option.on {
		border-color: var(--verdigris);
		box-shadow: inset 0 0 0 1px var(--verdigris);
		background: var(--verdigris-wash);
	}
	.option input {
		width: 20px;
		height: 20px;
		flex: none;
	}
</style>
