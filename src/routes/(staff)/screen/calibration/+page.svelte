<script lang="ts">
	import ActionButton from '$lib/ui/form/ActionButton.svelte';
	import { number, plural } from '$lib/core/words';
	import CalibrationTable from '$lib/ui/screen/CalibrationTable.svelte';
	import ScreenHead from '$lib/ui/screen/ScreenHead.svelte';
	import JobUnderWay from '$lib/ui/shell/JobUnderWay.svelte';
	import Notice from '$lib/ui/shell/Notice.svelte';

	let { data, form } = $props();

	const inUse = $derived(data.versions.find(({ withdrawn }) => !withdrawn) ?? null);
	const isUnderWay = $derived(data.job?.state === 'waiting' || data.job?.state === 'running');
	const isApplied = $derived(data.versions.some(({ jobId, withdrawn }) => jobId === data.job?.id && !withdrawn));
	const progress = $derived(data.job?.progress ?? null);
</script>

<svelte:head><title>Calibration · Orderly Compass</title></svelte:head>

{#if data.window}
	<ScreenHead title="Calibration" window={data.window} windows={data.windows} today={data.today}>
		Questions of the diagnostics of all windows
		{#snippet tools()}
			{#if data.can.calibrate && !isUnderWay && data.counted.sittings}
				<ActionButton action="?/start" look={!data.found || isApplied ? 'primary' : undefined}
					>Calibrate from {plural(data.counted.answers, 'answer')} in {plural(
						data.counted.sittings,
						'sitting'
					)}</ActionButton
				>
			{/if}
		{/snippet}
	</ScreenHead>
{:else}
	<h1>Calibration</h1>
{/if}

<p class="about">
	How hard a family of questions is, and how well it tells students apart, is supposed at first from its skill and kind.
	Calibration works it out from the answers of diagnostics that count: {plural(data.counted.answers, 'answer')} of
	{plural(data.counted.students, 'student')} so far. Nothing is used before it is approved.
</p>
<div class="about use">
	{#if inUse}
		<span
			>In use: <strong>version {inUse.number}</strong> with {plural(inUse.families, 'family', 'families')}, approved by
			{inUse.appliedBy}; {plural(inUse.sittings, 'sitting')} begun with it.</span
		>
		{#if data.can.calibrate}
			<ActionButton action="?/withdraw" fields={{ version: inUse.id }} look="plain">Take it back</ActionButton>
		{/if}
	{:else}In use: what is supposed at first.{/if}
</div>

{#if isUnderWay && data.job}
	<JobUnderWay
		job={data.job}
		depends="job:calibration"
		mayCancel={data.can.calibrate}
		share={progress?.step === 'reading' ? progress.sittings / data.counted.sittings : undefined}
	>
		{#if !progress}Waiting to begin.
		{:else if progress.step === 'reading'}Reading: {plural(progress.sittings, 'sitting')} of {plural(
				data.counted.sittings,
				'sitting'
			)}.
		{:else}Fitting: pass {progress.iteration}, log-likelihood {number(progress.logLikelihood, 2)}. It ends when a pass
			changes nothing.{/if}
	</JobUnderWay>
{:else if data.problem}
	<p class="problem">The calibration came to nothing. {data.problem}</p>
{:else if data.job?.state === 'canceled'}
	<p class="soft">The last calibration was canceled.</p>
{:else if data.counted.sittings === 0}
	<p>No diagnostic counts yet. Once students have sat one, its answers can be used.</p>
{/if}

{#if data.found && data.job && !isUnderWay}
	{#key data.job.id}
		<CalibrationTable jobId={data.job.id} found={data.found} {isApplied} mayApply={data.can.calibrate && !isApplied} />
	{/key}
{/if}
<Notice outcome={form} />

<style>
	.about {
		max-width: 74em;
		margin-bottom: 8px;
	}
	.use {
		display: flex;
		gap: 10px;
		align-items: center;
	}
</style>
