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
</script>

<svg width={WIDTH} {height} viewBox="0 0 {WIDTH} {height}" role="img" aria-label={says}>
	<line class="axis" x1="0" x2={WIDTH} y1={height - 1} y2={height - 1} />
	{#if cut !== null}<line class="cut" x1={x(cut)} x2={x(cut)} y1="0" y2={height} />{/if}
	{#each bins as bin (bin.from)}
		{#each bin.members as member, i (member)}
			<circle cx={x(bin.from + BIN / 2)} cy={height - 3 - DOT - i * DOT * 2} r={DOT} />
		{/each}
	{/each}
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
	circle {
		fill: var(--forming-ink);
	}
</style>
