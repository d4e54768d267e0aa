<!-- Reads a text aloud with the browser's own voice; says nothing where the browser has none. -->
<script lang="ts">
	import { onMount } from 'svelte';
	import Volume from '@lucide/svelte/icons/volume-2';

	let { text }: { text: string } = $props();

	let canSpeak = $state(false);
	let speaking = $state(false);
	onMount(() => {
		canSpeak = 'speechSynthesis' in window;
		return stop;
	});
	// The next question must not be talked over by the last.
	$effect(() => {
		void text;
		return stop;
	});

	function stop() {
		if ('speechSynthesis' in window) speechSynthesis.cancel();
		speaking = false;
	}
	function speak() {
		if (speaking) return stop();
		const voice = new SpeechSynthesisUtterance(text);
		voice.lang = 'en-US';
		voice.rate = 0.9;
		voice.onend = voice.onerror = () => (speaking = false);
		speaking = true;
		speechSynthesis.speak(voice);
	}
</script>

{#if canSpeak}
	<button type="button" onclick={speak} aria-pressed={speaking}>
		<Volume size={20} aria-hidden="true" />
		{speaking ? 'Stop reading' : 'Read it to me'}
	</button>
{/if}

<style>
	button {
		min-height: 44px;
		justify-self: start;
		display: inline-flex;
		align-items: center;
		gap: 8px;
	}
</style>
