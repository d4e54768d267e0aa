<!--
	Where a question is answered, by touch, keyboard or screen reader: one component for each response kind. `answer` is
	null until something has been answered.
	<AnswerField response={item.response} optionsHtml={item.optionsHtml} leftHtml={item.leftHtml} bind:answer onenter={submit} />
-->
<script lang="ts">
	import type { Answer, ResponseSpec } from '$lib/core/items';
	import { answerFieldOf, loadAnswerField } from './itemParts';

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

	const Field = $derived(answerFieldOf(response.kind));
</script>

{#if Field}
	<Field {response} {optionsHtml} {leftHtml} {disabled} {onenter} bind:answer />
{:else}
	{#await loadAnswerField(response.kind) then Loaded}
		<Loaded {response} {optionsHtml} {leftHtml} {disabled} {onenter} bind:answer />
	{/await}
{/if}
