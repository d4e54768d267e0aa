<!-- Marking a place on a number line: slide, or move the mark by the arrow keys. -->
<script lang="ts">
	import NumberLine from '../NumberLine.svelte';
	import { onEnter, type Answering } from './answering';

	let {
		response,
		answer = $bindable(),
		disabled = false,
		onenter
	}: Answering<'line'> & { answer: number | null } = $props();

	const spaces = $derived(Math.round((response.to - response.from) / response.step));
	const at = $derived(answer === null ? 0 : Math.round((answer - response.from) / response.step));
</script>

<NumberLine line={response} mark={answer === null ? null : at} />
<input
	type="range"
	min="0"
	max={spaces}
	step="1"
	bind:value={() => at, (place) => (answer = response.from + place * response.step)}
	{disabled}
	aria-label="Place on the number line"
	aria-valuetext={answer === null ? 'not marked yet' : `mark ${at} from the left`}
	onkeydown={onEnter(onenter)}
/>
<p class="soft">{answer === null ? 'Slide to mark the place.' : 'Slide or use the arrow keys to move the mark.'}</p>

<style>
	input {
		width: 100%;
		min-height: 44px;
		padding: 0;
		margin: 0;
		accent-color: var(--verdigris);
	}
</style>
