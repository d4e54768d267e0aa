<!--
	Where a question is answered, by touch or keyboard. `answer` is null until something has been answered.
	<AnswerField item={item} bind:answer onenter={submit} />
-->
<script lang="ts">
	import type { Answer, ResponseSpec } from '$lib/core/items';
	import NumberLine from './NumberLine.svelte';
	import ArrowDown from '@lucide/svelte/icons/arrow-down';
	import ArrowUp from '@lucide/svelte/icons/arrow-up';

	interface Props {
		response: ResponseSpec;
		optionsHtml: string[];
		answer: Answer | null;
		disabled?: boolean;
		onenter?: () => void;
	}
	let { response, optionsHtml, answer = $bindable(), disabled = false, onenter }: Props = $props();

	const order = $derived(
		Array.isArray(answer) && answer.length === optionsHtml.length ? answer : optionsHtml.map((_, i) => i)
	);
	const parts = $derived(typeof answer === 'string' ? answer.split('/') : ['', '']);

	function toggle(index: number) {
		const marked = new Set(Array.isArray(answer) ? answer : []);
		if (!marked.delete(index)) marked.add(index);
		answer = marked.size ? [...marked].sort((a, b) => a - b) : null;
	}
	function move(from: number, step: number) {
		const next = [...order];
		[next[from], next[from + step]] = [next[from + step], next[from]];
		answer = next;
	}
	function fraction(top: string, bottom: string) {
		answer = top.trim() && bottom.trim() ? `${top.trim()}/${bottom.trim()}` : top || bottom ? `${top}/${bottom}` : null;
	}
	const enter = (event: KeyboardEvent) => {
		if (event.key === 'Enter') {
			event.preventDefault();
			onenter?.();
		}
	};
</script>

{#if response.kind === 'choice'}
	<fieldset {disabled}>
		<legend class="visually-hidden">Choose one</legend>
		{#each optionsHtml as html, i (i)}
			<label class="option" class:on={answer === i}>
				<input type="radio" name="choice" checked={answer === i} onchange={() => (answer = i)} onkeydown={enter} />
				<!-- eslint-disable-next-line svelte/no-at-html-tags -- escaped on the server -->
				<span>{@html html}</span>
			</label>
		{/each}
	</fieldset>
{:else if response.kind === 'several'}
	<fieldset {disabled}>
		<legend class="soft">More than one can be right.</legend>
		{#each optionsHtml as html, i (i)}
			<label class="option" class:on={Array.isArray(answer) && answer.includes(i)}>
				<input
					type="checkbox"
					checked={Array.isArray(answer) && answer.includes(i)}
					onchange={() => toggle(i)}
					onkeydown={enter}
				/>
				<!-- eslint-disable-next-line svelte/no-at-html-tags -- escaped on the server -->
				<span>{@html html}</span>
			</label>
		{/each}
	</fieldset>
{:else if response.kind === 'number'}
	<div class="typed">
		<label class="visually-hidden" for="typed">Your answer{response.unit ? ` in ${response.unit}` : ''}</label>
		<input
			id="typed"
			inputmode="decimal"
			autocomplete="off"
			maxlength="20"
			{disabled}
			value={answer ?? ''}
			oninput={(event) => (answer = event.currentTarget.value || null)}
			onkeydown={enter}
		/>
		{#if response.unit}<span>{response.unit}</span>{/if}
		{#if !response.unit}<button
				type="button"
				{disabled}
				aria-label="Change the sign"
				onclick={() =>
					(answer = String(answer ?? '').startsWith('-') ? String(answer).slice(1) || null : `-${answer ?? ''}`)}
				>±</button
			>{/if}
	</div>
{:else if response.kind === 'fraction'}
	<div class="fraction" role="group" aria-label="Your answer, a fraction">
		<input
			inputmode="numeric"
			autocomplete="off"
			maxlength="6"
			aria-label="Top number"
			{disabled}
			value={parts[0]}
			oninput={(event) => fraction(event.currentTarget.value, parts[1] ?? '')}
			onkeydown={enter}
		/>
		<span class="bar"></span>
		<input
			inputmode="numeric"
			autocomplete="off"
			maxlength="6"
			aria-label="Bottom number"
			{disabled}
			value={parts[1] ?? ''}
			oninput={(event) => fraction(parts[0], event.currentTarget.value)}
			onkeydown={enter}
		/>
	</div>
{:else if response.kind === 'line'}
	{@const spaces = Math.round((response.to - response.from) / response.step)}
	{@const at = typeof answer === 'number' ? Math.round((answer - response.from) / response.step) : 0}
	<div class="line">
		<NumberLine line={response} mark={answer === null ? null : at} />
		<input
			type="range"
			min="0"
			max={spaces}
			step="1"
			value={at}
			{disabled}
			aria-label="Place on the number line"
			aria-valuetext={answer === null ? 'not marked yet' : `mark ${at} from the left`}
			oninput={(event) => (answer = response.from + Number(event.currentTarget.value) * response.step)}
			onkeydown={enter}
		/>
		<p class="soft">{answer === null ? 'Slide to mark the place.' : 'Slide or use the arrow keys to move the mark.'}</p>
	</div>
{:else}
	<p class="soft">Move them into order: {response.direction}, from the top.</p>
	<ol>
		{#each order as index, place (index)}
			<li>
				<!-- eslint-disable-next-line svelte/no-at-html-tags -- escaped on the server -->
				<span>{@html optionsHtml[index]}</span>
				<button
					type="button"
					disabled={disabled || place === 0}
					aria-label="Move number {place + 1} up"
					onclick={() => move(place, -1)}><ArrowUp size={20} aria-hidden="true" /></button
				>
				<button
					type="button"
					disabled={disabled || place === order.length - 1}
					aria-label="Move number {place + 1} down"
					onclick={() => move(place, 1)}><ArrowDown size={20} aria-hidden="true" /></button
				>
			</li>
		{/each}
	</ol>
	{#if answer === null}<button type="button" {disabled} onclick={() => (answer = order)}
			>They are in order already</button
		>{/if}
{/if}

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
	.typed {
		display: flex;
		gap: 10px;
		align-items: center;
	}
	.typed input {
		width: 9em;
		min-height: 48px;
		font-size: 1.2em;
	}
	.typed button {
		min-height: 48px;
		min-width: 48px;
	}
	.fraction {
		display: inline-grid;
		gap: 6px;
		width: 5.5em;
	}
	.fraction input {
		min-height: 46px;
		font-size: 1.2em;
		text-align: center;
		width: 100%;
	}
	.bar {
		height: 2px;
		background: var(--ink);
	}
	.line input {
		width: 100%;
		min-height: 44px;
		padding: 0;
		margin: 0;
		accent-color: var(--verdigris);
	}
	ol {
		list-style: none;
		margin: 8px 0;
		padding: 0;
		display: grid;
		gap: 8px;
	}
	li {
		display: flex;
		align-items: center;
		gap: 8px;
		padding: 4px 4px 4px 14px;
		background: var(--sheet);
		border: 1px solid var(--rule-strong);
		border-radius: var(--corner);
	}
	li span {
		flex: 1;
	}
	li button {
		min-width: 44px;
		min-height: 44px;
	}
</style>
