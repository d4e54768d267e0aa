<!--
	A student's support through time as one line: tiers as bars of their height, groups below, decisions as marks with their words.
	What it shows stands in words beside it.
	<SupportLine tiers={data.tiers} groups={data.groups} verdicts={data.verdicts} today={data.school.today} />
-->
<script lang="ts">
	import { layOutSupport, type SupportSpans } from './supportLine';

	let { tiers, groups, verdicts, today }: SupportSpans & { today: string } = $props();
	const line = $derived(layOutSupport({ tiers, groups, verdicts }, today));

	const WIDTH = 1000;
	const LEFT = 6;
	const x = (at: number) => LEFT + at * (WIDTH - 2 * LEFT);
	const MARK = 16;
	const TIER = 12;
	const GROUP = 20;
	const marksHigh = $derived(line ? MARK * (Math.max(-1, ...line.marks.map(({ row }) => row)) + 1) : 0);
	const tiersLow = $derived(marksHigh + 3 * TIER + 6);
	const groupsLow = $derived(tiersLow + GROUP * (line?.groups.length ?? 0));
</script>

{#if line}
	<svg viewBox="0 0 {WIDTH} {groupsLow + 20}" aria-hidden="true">
		{#each line.months as { at, says } (at)}
			<line class="month" x1={x(at)} x2={x(at)} y1={marksHigh} y2={groupsLow + 4} />
			<text class="soft" x={x(at) + 3} y={groupsLow + 16}>{says}</text>
		{/each}
		{#each line.tiers as { tier, from, width } (`${tier} ${from}`)}
			<rect
				class="tier"
				x={x(from)}
				width={Math.max(1, x(from + width) - x(from) - 1)}
				y={tiersLow - tier * TIER}
				height={tier * TIER}
			/>
			{#if width > 0.06}<text class="on" x={x(from) + 5} y={tiersLow - 4}>tier {tier}</text>{/if}
		{/each}
		{#each line.groups as row, i (i)}
			{#each row as { from, width, says } (from)}
				<rect
					class="group"
					x={x(from)}
					width={Math.max(1, x(from + width) - x(from) - 1)}
					y={tiersLow + GROUP * i + 3}
					height={GROUP - 5}
				/>
				{#if width > 0.1}<text x={x(from) + 5} y={tiersLow + GROUP * i + 15}>{says}</text>{/if}
			{/each}
		{/each}
		{#each line.marks as { at, row, says } (`${at} ${says}`)}
			<line class="mark" x1={x(at)} x2={x(at)} y1={MARK * row + 3} y2={tiersLow} />
			{#if at > 0.8}<text x={x(at) - 4} y={MARK * row + 12} text-anchor="end">{says}</text>
			{:else}<text x={x(at) + 4} y={MARK * row + 12}>{says}</text>{/if}
		{/each}
		<line class="today" x1={x(line.today)} x2={x(line.today)} y1={marksHigh} y2={groupsLow + 4} />
	</svg>
{/if}

<style>
	svg {
		display: block;
		width: 100%;
		min-width: 560px;
		margin: 6px 0;
		background: var(--sheet);
		border: 1px solid var(--rule);
		border-radius: var(--corner);
	}
	text {
		font-size: 12px;
		fill: var(--ink);
	}
	.soft {
		fill: var(--ink-soft);
	}
	.month {
		stroke: var(--rule);
	}
	.today {
		stroke: var(--verdigris);
		stroke-dasharray: 3 3;
	}
	.mark {
		stroke: var(--ink);
	}
	.tier {
		fill: var(--figure-fill);
	}
	.on {
		fill: var(--ink);
		font-weight: 600;
	}
	.group {
		fill: var(--forming-ground);
		stroke: var(--rule-strong);
	}
</style>
