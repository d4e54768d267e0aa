<!--
	What helps a student to read a question, one tap away for everyone: the browser's own voice, which reads each question
	as it comes once it is on, and larger type. What was chosen is kept on the device for the sitting.
	<Supports sittingId={7} text={spoken} readsAloud={true} bind:larger />
-->
<script lang="ts">
	import { onMount } from 'svelte';
	import Type from '@lucide/svelte/icons/a-large-small';
	import Volume from '@lucide/svelte/icons/volume-2';

	interface Props {
		sittingId: number;
		/** What is read of the question on the page. */
		text: string;
		/** Whether questions are read aloud from the start. */
		readsAloud: boolean;
		larger: boolean;
	}
	let { sittingId, text, readsAloud, larger = $bindable() }: Props = $props();

	let canSpeak = $state(false);
	let speaking = $state(false);
	// svelte-ignore state_referenced_locally
	let aloud = $state(readsAloud);
	const key = $derived(`support in sitting ${sittingId}`);

	onMount(() => {
		const kept = keptChoice();
		aloud = kept.aloud ?? aloud;
		larger = kept.larger ?? larger;
		canSpeak = 'speechSynthesis' in window;
		return stop;
	});
	// Each question as it comes; it must not be talked over by the last.
	$effect(() => {
		void text;
		if (canSpeak && aloud) speak();
		return stop;
	});

	/** Nothing where the browser keeps nothing, or keeps what cannot be read. */
	function keptChoice(): { aloud?: boolean; larger?: boolean } {
		try {
			return JSON.parse(localStorage.getItem(key) ?? '{}');
		} catch {
			return {};
		}
	}
	function keep() {
		try {
			localStorage.setItem(key, JSON.stringify({ aloud, larger }));
		} catch {
			// It holds for this page then.
		}
	}

	function stop() {
		if ('speechSynthesis' in window) speechSynthesis.cancel();
		speaking = false;
	}
	function speak() {
		const voice = new SpeechSynthesisUtterance(text);
		voice.lang = 'en-US';
		voice.rate = 0.9;
		voice.onend = voice.onerror = () => (speaking = false);
		speaking = true;
		speechSynthesis.speak(voice);
	}
</script>

<div class="supports" role="group" aria-label="Help with reading">
	{#if canSpeak}
		<button
			type="button"
			aria-pressed={aloud}
			onclick={() => {
				aloud = !aloud;
				keep();
			}}><Volume size={20} aria-hidden="true" /> Read aloud</button
		>
		{#if aloud}
			<button type="button" onclick={() => (speaking ? stop() : speak())}>{speaking ? 'Stop' : 'Again'}</button>
		{/if}
	{/if}
	<button
		type="button"
		aria-pressed={larger}
		onclick={() => {
			larger = !larger;
			keep();
		}}><Type size={22} aria-hidden="true" /> Larger type</button
	>
</div>

<style>
	.supports {
		display: flex;
		flex-wrap: wrap;
		gap: 6px;
		margin-bottom: 16px;
	}
	button {
		min-height: 44px;
		display: inline-flex;
		align-items: center;
		gap: 6px;
		/* As large as it is, whatever the type of the question. */
		font-size: 15px;
		padding: 0 12px;
	}
	button[aria-pressed='true'] {
		border-color: var(--verdigris);
		color: var(--verdigris);
		box-shadow: inset 0 0 0 1px var(--verdigris);
	}
</style>
