<!--
	Shading parts of a grid: tap a part or draw over several; by keyboard, the arrow keys go from part to part and the
	space bar shades.
-->
<script lang="ts">
	import type { Answering } from './answering';

	let { response, answer = $bindable(), disabled = false }: Answering<'shade'> & { answer: number | null } = $props();

	const parts = $derived(response.rows * response.columns);
	// A new question makes a new component.
	// svelte-ignore state_referenced_locally
	let shaded = $state<boolean[]>(Array.from({ length: parts }, (_, i) => i < (answer ?? 0)));
	let focused = $state(0);
	/** Whether drawing shades or clears; null when nothing is drawn. */
	let drawing: boolean | null = null;
	let grid = $state<HTMLElement>();

	function set(i: number, on: boolean) {
		shaded[i] = on;
		answer = shaded.filter(Boolean).length || null;
	}
	const partAt = (event: PointerEvent) =>
		Number(
			document.elementFromPoint(event.clientX, event.clientY)?.closest<HTMLElement>('[data-part]')?.dataset.part ?? -1
		);

	function start(event: PointerEvent) {
		const i = partAt(event);
		if (disabled || i < 0) return;
		drawing = !shaded[i];
		focused = i;
		set(i, drawing);
	}
	function draw(event: PointerEvent) {
		const i = partAt(event);
		if (drawing !== null && i >= 0 && shaded[i] !== drawing) set(i, drawing);
	}
	function keydown(event: KeyboardEvent) {
		const step = { ArrowRight: 1, ArrowLeft: -1, ArrowDown: response.columns, ArrowUp: -response.columns }[event.key];
		if (event.key === ' ') set(focused, !shaded[focused]);
		else if (step && focused + step >= 0 && focused + step < parts) focused += step;
		else return;
		event.preventDefault();
		grid?.querySelector<HTMLElement>(`[data-part="${focused}"]`)?.focus();
	}
</script>

<svelte:window onpointerup={() => (drawing = null)} onpointercancel={() => (drawing = null)} />

<!-- svelte-ignore a11y_no_noninteractive_element_interactions -->
<div
	bind:this={grid}
	class="grid"
	role="group"
	aria-label="{response.rows} by {response.columns} parts to shade"
	style:--columns={response.columns}
	style:--ratio={response.rows === 1 ? 6 : response.columns / response.rows}
	onpointerdown={start}
	onpointermove={draw}
	onkeydown={keydown}
>
	{#each shaded as on, i (i)}
		<span
			data-part={i}
			class:on
			role="checkbox"
			aria-checked={on}
			aria-disabled={disabled}
			aria-label="Part {i + 1}"
			tabindex={i === focused ? 0 : -1}
			onfocus={() => (focused = i)}
		></span>
	{/each}
</div>
<p class="soft" role="status">{answer === null ? 'Tap parts to shade them.' : `${answer} of ${parts} shaded.`}</p>

<style>
	.grid {
		display: grid;
		grid-template-columns: repeat(var(--columns), 1fr);
		width: min(100%, 360px);
		max-height: 300px;
		aspect-ratio: var(--ratio);
		border: 1.5px solid var(--ink);
		touch-action: none;
		user-select: none;
	}
	span {
		border: 0.5px solid var(--ink-soft);
		background: var(--sheet);
		cursor: pointer;
	}
	.on {
		background: var(--figure-fill);
	}
	span:focus-visible {
		outline: 3px solid var(--verdigris);
		outline-offset: -3px;
	}
	p {
		margin-top: 8px;
	}
</style>
