<!-- Typing a word. -->
<script lang="ts">
	import { onEnter, type Answering } from './answering';

	let { answer = $bindable(), disabled = false, onenter }: Answering<'text'> & { answer: string | null } = $props();
</script>

<label class="visually-hidden" for="typed">Your answer, a word</label>
<input
	id="typed"
	autocomplete="off"
	autocapitalize="none"
	spellcheck="false"
	maxlength="40"
	{disabled}
	bind:value={() => answer ?? '', (typed) => (answer = typed || null)}
	onkeydown={onEnter(onenter)}
/>

<style>
	input {
		width: min(100%, 16em);
		min-height: 48px;
		font-size: 1.2em;
	}
</style>
