<!-- Building a rectangle of unit squares: tap where its lower right corner shall be, or set rows and squares a row. -->
<script lang="ts">
	import { describeAnswer } from '$lib/core/items';
	import Stepper from './Stepper.svelte';
	import type { Answering } from './answering';

	let {
		response,
		answer = $bindable(),
		disabled = false
	}: Answering<'rectangle'> & { answer: number[] | null } = $props();

	const CELL = 30;
	let dragging = false;
	const built = $derived(answer ?? [0, 0]);

	function place(event: PointerEvent) {
		if (disabled) return;
		const box = (event.currentTarget as Element).getBoundingClientRect();
		const clamp = (share: number, most: number) => Math.min(most, Math.max(1, Math.ceil(share * most)));
		answer = [
			clamp((event.clientY - box.top) / box.height, response.rows),
			clamp((event.clientX - box.left) / box.width, response.columns)
		];
	}
</script>

<svelte:window onpointerup={() => (dragging = false)} />

<svg
	viewBox="0 0 {response.columns * CELL} {response.rows * CELL}"
	role="img"
	aria-label={answer ? describeAnswer({ response }, answer) : 'No squares yet.'}
	onpointerdown={(event) => {
		dragging = true;
		place(event);
	}}
	onpointermove={(event) => dragging && place(event)}
>
	{#each Array.from({ length: response.rows * response.columns }) as _, i (i)}
		{@const [row, column] = [Math.floor(i / response.columns), i % response.columns]}
		<rect
			class:on={row < built[0] && column < built[1]}
			x={column * CELL + 1}
			y={row * CELL + 1}
			width={CELL - 2}
			height={CELL - 2}
		/>
	{/each}
</svg>
<Stepper
	label="Rows"
	value={answer ? built[0] : null}
	min={1}
	max={response.rows}
	{disabled}
	onchange={(rows) => (answer = [rows, built[1] || 1])}
/>
<Stepper
	label="In each row"
	value={answer ? built[1] : null}
	min={1}
	max={response.columns}
	{disabled}
	onchange={(columns) => (answer = [built[0] || 1, columns])}
/>

<style>
	svg {
		width: min(100%, 320px);
		display: block;
		margin-bottom: 12px;
		touch-action: none;
		cursor: pointer;
	}
	rect {
		fill: var(--sheet);
		stroke: var(--rule-strong);
	}
	.on {
		fill: var(--figure-fill);
		stroke: var(--ink);
	}
</style>
