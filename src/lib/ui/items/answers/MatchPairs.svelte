<!-- Matching: for each text at the left, the one it goes with. Choosing one that is taken takes it over. -->
<script lang="ts">
	import { inWords } from '$lib/core/items';
	import { onEnter, type Answering } from './answering';

	type Props = Answering<'match'> & { leftHtml: string[]; optionsHtml: string[]; answer: number[] | null };
	let { response, leftHtml, optionsHtml, answer = $bindable(), disabled = false, onenter }: Props = $props();

	// A new question makes a new component.
	// svelte-ignore state_referenced_locally
	let chosen = $state<(number | null)[]>(answer ?? leftHtml.map(() => null));

	// Bound, so that what was chosen before the page came alive is taken.
	// svelte-ignore state_referenced_locally
	const rows = leftHtml.map((_, row) => ({
		get option() {
			return chosen[row];
		},
		set option(option) {
			if (option !== null) choose(row, option);
		}
	}));

	function choose(row: number, option: number) {
		chosen = chosen.map((taken, i) => (i === row ? option : taken === option ? null : taken));
		answer = chosen.every((one) => one !== null) ? [...chosen] : null;
	}
</script>

{#each leftHtml as left, row (row)}
	<fieldset {disabled}>
		<!-- eslint-disable svelte/no-at-html-tags -- escaped on the server -->
		<legend>{@html left}</legend>
		{#each optionsHtml as option, i (i)}
			<label class:on={chosen[row] === i} class:taken={chosen[row] !== i && chosen.includes(i)}>
				<input
					type="radio"
					name="match-{row}"
					aria-label="{inWords(response.left[row])}: {inWords(response.options[i])}"
					value={i}
					bind:group={rows[row].option}
					onkeydown={onEnter(onenter)}
				/>
				<span>{@html option}</span>
			</label>
		{/each}
		<!-- eslint-enable svelte/no-at-html-tags -->
	</fieldset>
{/each}

<style>
	fieldset {
		border: 0;
		border-top: 1px solid var(--rule);
		margin: 0;
		padding: 8px 0 12px;
		display: flex;
		flex-wrap: wrap;
		gap: 8px;
	}
	legend {
		float: left;
		width: 100%;
		font-weight: 600;
		padding: 0 0 6px;
	}
	label {
		display: inline-flex;
		align-items: center;
		gap: 8px;
		min-height: 44px;
		padding: 4px 14px;
		background: var(--sheet);
		border: 1px solid var(--rule-strong);
		border-radius: var(--corner);
		cursor: pointer;
		font-weight: 400;
	}
	.on {
		border-color: var(--verdigris);
		box-shadow: inset 0 0 0 1px var(--verdigris);
		background: var(--verdigris-wash);
	}
	.taken {
		border-style: dashed;
		color: var(--ink-soft);
	}
	input {
		width: 18px;
		height: 18px;
	}
</style>
