<!--
	One series of weekly probes: what it says, what that rests on, and its chart.
	<ProbesRead plan={plan} />
-->
<script lang="ts">
	import { PROBE_ITEMS } from '$lib/core/growth';
	import { number, plural } from '$lib/core/words';
	import ProbeChart from '../charts/ProbeChart.svelte';
	import { saySessions } from '../groups/sessions';
	import { sayProbes, type ReadProbes } from './sayProbes';

	let { plan }: { plan: ReadProbes } = $props();
	const says = $derived(sayProbes(plan));
</script>

<p>{says}</p>
<p class="soft">
	{plan.probes.length} probes of {PROBE_ITEMS} equivalent questions.
	{plan.baseline === null
		? 'The baseline is the median of the first three.'
		: `Baseline ${number(plan.baseline, 1)}, the median of the first three.`}
	{#if plan.sessions}{saySessions(plan.sessions)}{/if}
	{plan.practiced
		? `${plural(plan.practiced, 'minute')} of practice since the first week.`
		: 'No practice since the first week.'}
</p>
{#if plan.probes.length}
	<ProbeChart
		probes={plan.probes}
		goal={plan.goal}
		aimline={plan.aimline}
		trend={plan.trend}
		forecast={plan.forecast}
		says="Probes: {plan.probes.map(({ y }) => y).join(', ')} of {PROBE_ITEMS}. {says}"
	/>
{/if}
