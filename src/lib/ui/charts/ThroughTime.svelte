<!-- How many skills stood secure, between, and as gaps on some days: a bar a day, each part labeled. -->
<script lang="ts">
	import { plural } from '$lib/core/words';
	import { sayDay } from '$lib/core/calendar';
	import { stackUp } from './stackUp';

	interface Moment {
		day: string;
		secure: number;
		between: number;
		gap: number;
	}
	let { moments }: { moments: Moment[] } = $props();

	const HEIGHT = 110;
	const WIDTH = 56;
	/** From one label to the next, and room for them above the bars. */
	const LINE = 14;
	const most = $derived(Math.max(1, ...moments.map(({ secure, between, gap }) => secure + between + gap)));
	const tall = (count: number) => (count / most) * HEIGHT;
	const parts = ({ secure, between, gap }: Moment) => [
		{ kind: 'gap', says: gap === 1 ? 'gap' : 'gaps', count: gap, y: HEIGHT - tall(gap) },
		{ kind: 'between', says: 'forming or slipping', count: between, y: HEIGHT - tall(gap) - tall(between) },
		{ kind: 'secure', says: 'secure', count: secure, y: HEIGHT - tall(gap) - tall(between) - tall(secure) }
	];
	/** Of the last bar, each beside its part, or as near as the one below it leaves room. */
	const labels = $derived.by(() => {
		const shown = moments
			.slice(-1)
			.flatMap(parts)
			.filter(({ count }) => count);
		const heights = stackUp(
			shown.map(({ y, count }) => y + tall(count) / 2 + 4),
			LINE
		);
		return shown.map(({ kind, says, count }, i) => ({ kind, says: `${count} ${says}`, y: heights[i] }));
	});
</script>

<figure>
	<svg
		width={moments.length * WIDTH + 150}
		height={LINE + HEIGHT + 24}
		viewBox="0 {-LINE} {moments.length * WIDTH + 150} {LINE + HEIGHT + 24}"
		role="img"
		aria-label="Skills with answers: {moments
			.map(
				({ day, secure, between, gap }) => `${sayDay(day)}: ${secure} secure, ${between} between, ${plural(gap, 'gap')}`
			)
			.join('; ')}"
	>
		<line x1="0" x2={moments.length * WIDTH} y1={HEIGHT} y2={HEIGHT} />
		{#each moments as moment, i (moment.day)}
			{#each parts(moment) as { kind, count, y } (kind)}
				{#if count}
					<rect class={kind} x={i * WIDTH + 8} width={WIDTH - 16} {y} height={tall(count)} />
					{#if tall(count) > 12}<text class="count {kind}" x={i * WIDTH + WIDTH / 2} y={y + tall(count) / 2 + 4}
							>{count}</text
						>{/if}
				{/if}
			{/each}
			<text x={i * WIDTH + WIDTH / 2} y={HEIGHT + 16}>{i === moments.length - 1 ? 'today' : sayDay(moment.day)}</text>
		{/each}
		{#each labels as { kind, says, y } (kind)}
			<text class="label" x={moments.length * WIDTH + 4} {y}>{says}</text>
		{/each}
	</svg>
</figure>

<style>
	figure {
		margin: 4px 0 0;
	}
	svg {
		max-width: 100%;
		height: auto;
	}
	line {
		stroke: var(--rule-strong);
	}
	rect {
		stroke: var(--sheet);
	}
	rect.secure {
		fill: var(--secure-ground);
	}
	rect.between {
		fill: var(--forming-ground);
	}
	rect.gap {
		fill: var(--gap-ground);
	}
	text {
		font-size: 12px;
		text-anchor: middle;
		fill: var(--ink-soft);
		font-variant-numeric: tabular-nums lining-nums;
	}
	.count {
		fill: var(--ink);
	}
	.label {
		text-anchor: start;
	}
</style>
