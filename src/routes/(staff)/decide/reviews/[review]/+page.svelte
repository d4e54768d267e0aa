<script lang="ts">
	import { fullName } from '$lib/core/words';
	import DecideViews from '$lib/ui/decide/DecideViews.svelte';
	import ReviewStep from '$lib/ui/decide/ReviewStep.svelte';
	import Notice from '$lib/ui/shell/Notice.svelte';

	let { data, form } = $props();
</script>

<svelte:head><title>Review of {fullName(data.step.student)} · Orderly Compass</title></svelte:head>

<DecideViews />
<ReviewStep step={data.step} today={data.school.today} canDecide={data.can.decide} />
<Notice outcome={form} />
