<!-- Choosing one option, or marking several. -->
<script lang="ts">
	import { inWords } from '$lib/core/items';
	import { onEnter, type Answering } from './answering';

	type Props = Answering<'choice' | 'several'> & { optionsHtml: string[]; answer: number | number[] | null };
	let { response, optionsHtml, answer = $bindable(), disabled = false, onenter }: Props = $props();

	const several = $derived(response.kind === 'several');
	const marked = $derived(new Set(Array.isArray(answer) ? answer : answer === null ? [] : [answer]));
	// Bound, so that what was chosen before the page came alive is taken.
	const chosen = {
		get one() {
			return answer as number | null;
		},
		set one(index) {
			answer = index;
		},
		get many() {
			return [...marked];
		},
		set many(indexes) {
			answer = indexes.length ? [...indexes].sort((a, b) => a - b) : null;
		}
	};
</script>

<fieldset {disabled}>
	<legend class={several ? 'soft' : 'visually-hidden'}>{several ? 'More than one can be right.' : 'Choose one'}</legend>
	{#each optionsHtml as html, i (i)}
		<label class="option" class:on={marked.has(i)}>
			{#if several}
				<input
					type="checkbox"
					name="option"
					aria-label={inWords(response.options[i])}
					value={i}
					bind:group={chosen.many}
					onkeydown={onEnter(onenter)}
				/>
			{:else}
				<input
					type="radio"
					name="option"
					aria-label={inWords(response.options[i])}
					value={i}
					bind:group={chosen.one}
					onkeydown={onEnter(onenter)}
				/>
			{/if}
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
