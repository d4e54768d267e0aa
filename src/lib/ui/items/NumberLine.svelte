<!-- A number line with its ticks and labels, and a mark where one is given. -->
<script lang="ts">
	import { formatNumber, type SpecOf } from '$lib/core/items';

	interface Props {
		line: SpecOf<'line'>;
		/** Steps from the left end at which the mark stands; none when null. */
		mark?: number | null;
		/** Values that are marked, too. */
		marks?: number[];
	}
	let { line, mark = null, marks = [] }: Props = $props();

	const LENGTH = 320;
	const spaces = $derived(Math.round((line.to - line.from) / line.step));
	const at = (step: number) => (step * LENGTH) / spaces;
	const isWhole = (value: number) => Math.abs(value - Math.round(value)) < 1e-6;
	const ticks = $derived(
		Array.from({ length: spaces + 1 }, (_, step) => {
			const value = line.from + step * line.step;
			const labeled = isWhole(value / line.labelEvery) || step === 0 || step === spaces || Math.abs(value) < 1e-6;
			return { step, labeled, label: formatNumber(Math.round(value * 100) / 100) };
		})
	);
</script>

<svg viewBox="-12 0 {LENGTH + 24} 46" aria-hidden="true">
	<line x1="0" x2={LENGTH} y1="14" y2="14" />
	{#each ticks as { step, labeled, label } (step)}
		<line x1={at(step)} x2={at(step)} y1={labeled ? 5 : 9} y2={labeled ? 23 : 19} />
		{#if labeled}<text x={at(step)} y="40" text-anchor="middle">{label}</text>{/if}
	{/each}
	{#each marks as value (value)}<circle cx={at((value - line.from) / line.step)} cy="14" r="6" />{/each}
	{#if mark !== null}<circle cx={at(mark)} cy="14" r="7" />{/if}
</svg>

<style>
	svg {
		display: block;
		width: 100%;
		font: 13px var(--text);
	}
	line {
		stroke: var(--ink);
	}
	text {
		fill: var(--ink);
	}
	circle {
		fill: var(--verdigris);
	}
</style>
