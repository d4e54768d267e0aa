<!-- How scores are spread, a dot a student who has finished. <ScoreSpread bins={…} names={…} /> -->
<script lang="ts">
	import type { ScoreBin } from '$lib/core/results';
	import { plural } from '$lib/core/words';

	interface Props {
		bins: ScoreBin[];
		nameOf: (studentId: number) => string;
	}
	let { bins, nameOf }: Props = $props();
	const label = ({ from, to, of }: ScoreBin) => (of === 100 && from !== to ? `${from} to ${to}%` : `${from} of ${of}`);
	const most = $derived(Math.max(1, ...bins.map(({ studentIds }) => studentIds.length)));
</script>

<ul>
	{#each bins as bin (bin.from)}
		<li>
			<span class="label">{label(bin)}</span>
			<span class="bar" style:width="{(100 * bin.studentIds.length) / most}%"></span>
			<span class="count" title={bin.studentIds.map(nameOf).join(', ')}
				>{bin.studentIds.length ? plural(bin.studentIds.length, 'student') : ''}</span
			>
		</li>
	{/each}
</ul>

<style>
	ul {
		list-style: none;
		margin: 0;
		padding: 0;
		max-width: 380px;
	}
	li {
		display: grid;
		grid-template-columns: 84px minmax(0, 1fr) 84px;
		gap: 8px;
		align-items: center;
		min-height: 22px;
		font-variant-numeric: tabular-nums;
	}
	.label,
	.count {
		font-size: 13px;
		color: var(--ink-soft);
		text-align: right;
	}
	.count {
		text-align: left;
	}
	.bar {
		height: 12px;
		background: var(--forming-ink);
		print-color-adjust: exact;
	}
</style>
