<!--
	How many students were in tiers 2 and 3 on some days: two lines of bars, each with its count, tier 3 below tier 2.
	<TiersThrough through={[{ day: '2026-09-07', counts: { 1: 20, 2: 4, 3: 1 } }]} />
-->
<script lang="ts">
	import { sayDay } from '$lib/core/calendar';

	let { through }: { through: { day: string; counts: Record<1 | 2 | 3, number> }[] } = $props();

	const HEIGHT = 64;
	const most = $derived(Math.max(1, ...through.flatMap(({ counts }) => [counts[2], counts[3]])));
	const tall = (count: number) => Math.round((count / most) * HEIGHT);
</script>

<div class="wide-table">
	<table aria-label="Students in each tier">
		<thead>
			<tr>
				<td></td>
				{#each through as { day } (day)}<th scope="col">{sayDay(day)}</th>{/each}
			</tr>
		</thead>
		<tbody>
			{#each [2, 3] as const as tier (tier)}
				<tr>
					<th scope="row">tier {tier}</th>
					{#each through as { day, counts } (day)}
						<td class="bar"
							><span>{counts[tier]}</span>
							<svg width="26" height={Math.max(1, tall(counts[tier]))} aria-hidden="true"
								><rect width="26" height="100%" class:third={tier === 3} /></svg
							></td
						>
					{/each}
				</tr>
			{/each}
			<tr>
				<th scope="row">tier 1</th>
				{#each through as { day, counts } (day)}<td>{counts[1]}</td>{/each}
			</tr>
		</tbody>
	</table>
</div>

<style>
	table {
		border-collapse: collapse;
		font-variant-numeric: tabular-nums;
	}
	th,
	td {
		padding: 2px 8px;
		text-align: center;
		font-weight: 400;
		white-space: nowrap;
	}
	th[scope='row'] {
		text-align: left;
		font-weight: 600;
	}
	thead th {
		font-size: 0.9rem;
		color: var(--ink-soft);
	}
	.bar {
		vertical-align: bottom;
		height: 92px;
		border-bottom: 1px solid var(--rule);
	}
	.bar span,
	.bar svg {
		display: block;
		margin: 0 auto;
	}
	rect {
		fill: var(--figure-fill);
	}
	.third {
		fill: var(--verdigris);
	}
</style>
