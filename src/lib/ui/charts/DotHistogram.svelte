<!--
	Scores of a class as stacked dots, one a student, on an axis that neighboring charts share; a dashed line is the cut
	score. Described in words for those who do not see it.
-->
<script lang="ts">
	import { binScores } from '$lib/core/screening';

	interface Props {
		scores: number[];
		cut: number | null;
		from: number;
		to: number;
		says: string;
	}
	let { scores, cut, from, to, says }: Props = $props();

	const WIDTH = 260;
	const BIN = 5;
	const DOT = 1.9;
	const bins = $derived(binScores(scores, BIN));
	const tallest = $derived(Math.max(5, ...bins.map(({ members }) => members.length)));
	const height = $derived(tallest * DOT * 2 + 4);
	const x = (points: number) => 2 + ((points - from) / (to - from)) * (WIDTH - 4);
	/** Round ends of lines without length: one path, however many students. */
	const dots = $derived(
		bins
			.flatMap((bin) =>
				bin.members.map(
					(_, i) => `M${x(bin.from + BIN / 2).toFixed(1)} ${(height - 3 - DOT - i * DOT * 2).toFixed(1)}h0`
				)
			)
			.join('')
	);
</script>

<svg width={WIDTH} {height} viewBox="0 0 {WIDTH} {height}" role="img" aria-label={says}>
	<line class="axis" x1="0" x2={WIDTH} y1={height - 1} y2={height - 1} />
	{#if cut !== null}<line class="cut" x1={x(cut)} x2={x(cut)} y1="0" y2={height} />{/if}
	<path class="dots" d={dots} stroke-width={2 * DOT} />
</svg>

<style>
	svg {
		display: block;
	}
	.axis {
		stroke: var(--rule-strong);
	}
	.cut {
		stroke: var(--ink);
		stroke-width: 1.2;
		stroke-dasharray: 2 2;
	}
	.dots {
		stroke: var(--forming-ink);
		stroke-linecap: round;
	}
</style>
