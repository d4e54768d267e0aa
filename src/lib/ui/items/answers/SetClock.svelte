<!-- Setting the hands of a clock: drag the long hand around, or slide each hand; the short hand follows the long one. -->
<script lang="ts">
	import ClockFace from '../ClockFace.svelte';
	import { onEnter, type Answering } from './answering';

	let {
		response,
		answer = $bindable(),
		disabled = false,
		onenter
	}: Answering<'clock'> & { answer: number | null } = $props();

	const time = $derived(answer ?? 0);
	const hour = $derived(Math.floor(time / 60));
	const minute = $derived(time % 60);
	let dragging: 'hour' | 'minute' | null = null;

	/** Sets the hand that is nearer to where the face was touched. */
	function place(event: PointerEvent, face: Element) {
		const box = face.getBoundingClientRect();
		const [x, y] = [event.clientX - box.left - box.width / 2, event.clientY - box.top - box.height / 2];
		const turn = (Math.atan2(x, -y) / (2 * Math.PI) + 1) % 1;
		if (dragging === 'minute') answer = hour * 60 + ((Math.round((turn * 60) / response.step) * response.step) % 60);
		else answer = (Math.floor(turn * 12 - minute / 60 + 12.5) % 12) * 60 + minute;
	}
	function start(event: PointerEvent) {
		if (disabled) return;
		const face = event.currentTarget as Element;
		const box = face.getBoundingClientRect();
		const distance = Math.hypot(event.clientX - box.left - box.width / 2, event.clientY - box.top - box.height / 2);
		dragging = distance < box.width * 0.25 ? 'hour' : 'minute';
		face.setPointerCapture(event.pointerId);
		place(event, face);
	}
</script>

<div
	class="face"
	role="presentation"
	onpointerdown={start}
	onpointermove={(event) => dragging && place(event, event.currentTarget)}
	onpointerup={() => (dragging = null)}
>
	<ClockFace {hour} {minute} />
</div>
<label>
	<span>Short hand</span>
	<input
		type="range"
		min="0"
		max="11"
		value={hour}
		{disabled}
		aria-valuetext="{minute ? 'past' : 'at'} {hour || 12}"
		oninput={(event) => (answer = Number(event.currentTarget.value) * 60 + minute)}
		onkeydown={onEnter(onenter)}
	/>
</label>
<label>
	<span>Long hand</span>
	<input
		type="range"
		min="0"
		max={60 - response.step}
		step={response.step}
		value={minute}
		{disabled}
		aria-valuetext={minute % 5 ? `minute mark ${minute}` : `at ${minute / 5 || 12}`}
		oninput={(event) => (answer = hour * 60 + Number(event.currentTarget.value))}
		onkeydown={onEnter(onenter)}
	/>
</label>
{#if answer === null}
	<button type="button" {disabled} onclick={() => (answer = 0)}>The clock shows it already</button>
{/if}

<style>
	.face {
		width: 210px;
		margin-bottom: 8px;
		touch-action: none;
		cursor: pointer;
	}
	label {
		display: grid;
		grid-template-columns: 6em 1fr;
		gap: 10px;
		align-items: center;
		max-width: 420px;
		font-weight: 400;
	}
	input {
		min-height: 44px;
		padding: 0;
		accent-color: var(--verdigris);
	}
</style>
