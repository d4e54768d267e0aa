<!-- A clock face with two hands. -->
<script lang="ts">
	import { onClock, range } from './figures/figures';

	interface Props {
		/** Null for a face without hands. */
		hour: number | null;
		minute: number;
		/** The same in words; the face is hidden from screen readers without them. */
		words?: string;
	}
	let { hour, minute, words }: Props = $props();

	const long = $derived(onClock(minute * 6, 42));
	const short = $derived(onClock(((hour ?? 0) % 12) * 30 + minute / 2, 26));
</script>

<svg class="small" viewBox="0 0 120 120" role={words ? 'img' : undefined} aria-label={words} aria-hidden={!words}>
	<circle class="face" cx="60" cy="60" r="57" />
	{#each range(60) as i (i)}
		{@const [outer, inner] = [onClock(i * 6, 56), onClock(i * 6, i % 5 ? 54 : 51.5)]}
		<line class="tick" x1={outer.x} y1={outer.y} x2={inner.x} y2={inner.y} />
	{/each}
	{#each range(12) as i (i)}
		{@const at = onClock((i + 1) * 30, 45)}
		<text x={at.x} y={at.y + 3.5} text-anchor="middle">{i + 1}</text>
	{/each}
	{#if hour !== null}
		<line class="short" x1="60" y1="60" x2={short.x} y2={short.y} />
		<line class="long" x1="60" y1="60" x2={long.x} y2={long.y} />
	{/if}
	<circle cx="60" cy="60" r="3" />
</svg>

<style>
	svg {
		display: block;
		width: 100%;
		max-width: 230px;
		font: 10.5px var(--text);
	}
	.face {
		fill: var(--sheet);
		stroke: var(--ink);
		stroke-width: 1.4;
	}
	.tick {
		stroke: var(--ink);
		stroke-width: 0.6;
	}
	.short {
		stroke: var(--ink);
		stroke-width: 4;
		stroke-linecap: round;
	}
	.long {
		stroke: var(--ink);
		stroke-width: 2;
		stroke-linecap: round;
	}
</style>
