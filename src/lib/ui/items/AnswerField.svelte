<!--
	Where a question is answered, by touch, keyboard or screen reader: one component for each response kind. `answer` is
	null until something has been answered.
	<AnswerField response={item.response} optionsHtml={item.optionsHtml} leftHtml={item.leftHtml} bind:answer onenter={submit} />
-->
<script lang="ts">
	import type { Answer, ResponseSpec } from '$lib/core/items';
	import BuildRectangle from './answers/BuildRectangle.svelte';
	import FillBlanks from './answers/FillBlanks.svelte';
	import MatchPairs from './answers/MatchPairs.svelte';
	import Options from './answers/Options.svelte';
	import PlaceOnLine from './answers/PlaceOnLine.svelte';
	import PlotPoint from './answers/PlotPoint.svelte';
	import PutInOrder from './answers/PutInOrder.svelte';
	import SetClock from './answers/SetClock.svelte';
	import ShadeParts from './answers/ShadeParts.svelte';
	import TypedExpression from './answers/TypedExpression.svelte';
	import TypedFraction from './answers/TypedFraction.svelte';
	import TypedNumber from './answers/TypedNumber.svelte';
	import TypedText from './answers/TypedText.svelte';

	interface Props {
		response: ResponseSpec;
		/** Texts escaped on the server. */
		optionsHtml: string[];
		leftHtml: string[];
		answer: Answer | null;
		disabled?: boolean;
		onenter?: () => void;
	}
	let { response, optionsHtml, leftHtml, answer = $bindable(), disabled = false, onenter }: Props = $props();

	const take = (given: Answer | null) => (answer = given);
</script>

{#if response.kind === 'choice' || response.kind === 'several'}
	<Options {response} {optionsHtml} {disabled} {onenter} bind:answer={() => answer as number | number[] | null, take} />
{:else if response.kind === 'order'}
	<PutInOrder {response} {optionsHtml} {disabled} bind:answer={() => answer as number[] | null, take} />
{:else if response.kind === 'match'}
	<MatchPairs
		{response}
		{leftHtml}
		{optionsHtml}
		{disabled}
		{onenter}
		bind:answer={() => answer as number[] | null, take}
	/>
{:else if response.kind === 'number'}
	<TypedNumber {response} {disabled} {onenter} bind:answer={() => answer as string | null, take} />
{:else if response.kind === 'fraction'}
	<TypedFraction {response} {disabled} {onenter} bind:answer={() => answer as string | null, take} />
{:else if response.kind === 'expression'}
	<TypedExpression {response} {disabled} {onenter} bind:answer={() => answer as string | null, take} />
{:else if response.kind === 'text'}
	<TypedText {response} {disabled} {onenter} bind:answer={() => answer as string | null, take} />
{:else if response.kind === 'fill'}
	<FillBlanks {response} {disabled} {onenter} bind:answer={() => answer as string[] | null, take} />
{:else if response.kind === 'line'}
	<PlaceOnLine {response} {disabled} {onenter} bind:answer={() => answer as number | null, take} />
{:else if response.kind === 'shade'}
	<ShadeParts {response} {disabled} bind:answer={() => answer as number | null, take} />
{:else if response.kind === 'rectangle'}
	<BuildRectangle {response} {disabled} bind:answer={() => answer as number[] | null, take} />
{:else if response.kind === 'clock'}
	<SetClock {response} {disabled} {onenter} bind:answer={() => answer as number | null, take} />
{:else}
	<PlotPoint {response} {disabled} bind:answer={() => answer as number[] | null, take} />
{/if}
