<script lang="ts">
	import ActionButton from '$lib/ui/form/ActionButton.svelte';
	import { number } from '$lib/core/words';
	import { invalidate } from '$app/navigation';
	import CalibrationTable from '$lib/ui/screen/CalibrationTable.svelte';
	import ScreenHead from '$lib/ui/screen/ScreenHead.svelte';
	import Notice from '$lib/ui/shell/Notice.svelte';

	let { data, form } = $props();

	const LOOK_AGAIN_MS = 1_000;
	const count = (number: number, one: string, many = `${one}s`) =>
		`${number.toLocaleString('en-US')} ${number === 1 ? one : many}`;

	const inUse = $derived(data.versions.find(({ withdrawn }) => !withdrawn) ?? null);
	const isUnderWay = $derived(data.job?.state === 'waiting' || data.job?.state === 'running');
	const isApplied = $derived(data.versions.some(({ jobId, withdrawn }) => jobId === data.job?.id && !withdrawn));
	const progress = $derived(data.job?.progress ?? null);

	$effect(() => {
		if (!isUnderWay) return;
		const timer = setInterval(() => void invalidate('job:calibration'), LOOK_AGAIN_MS);
		return () => clearInterval(timer);
	});
</script>

<svelte:head><title>Calibration · Orderly Compass</title></svelte:head>

{#if data.window}
	<ScreenHead title="Calibration" window={data.window} windows={data.windows} today={data.today}>
		Questions of the diagnostics of all windows
		{#snippet tools()}
			{#if data.can.calibrate && !isUnderWay && data.counted.sittings}
				<ActionButton action="?/start" look={!data.found || isApplied ? 'primary' : undefined}
					>Calibrate from {count(data.counted.answers, 'answer')} in {count(
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
	Calibration works it out from the answers of diagnostics that count: {count(data.counted.answers, 'answer')} of
	{count(data.counted.students, 'student')} so far. Nothing is used before it is approved.
</p>
<div class="about use">
	{#if inUse}
		<span
			>In use: <strong>version {inUse.number}</strong> with {count(inUse.families, 'family', 'families')}, approved by
			{inUse.appliedBy}; {count(inUse.sittings, 'sitting')} begun with it.</span
		>
		{#if data.can.calibrate}
			<ActionButton action="?/withdraw" fields={{ version: inUse.id }} look="plain">Take it back</ActionButton>
		{/if}
	{:else}In use: what is supposed at first.{/if}
</div>

{#if isUnderWay && data.job}
	<div class="running">
		<p role="status">
			{#if !progress}Waiting to begin.
			{:else if progress.step === 'reading'}Reading: {count(progress.sittings, 'sitting')} of {count(
					data.counted.sittings,
					'sitting'
				)}.
			{:else}Fitting: pass {progress.iteration}, log-likelihood {number(progress.logLikelihood, 2)}. It ends when a pass
				changes nothing.{/if}
			Asked for by {data.job.askedBy}.
		</p>
		{#if progress?.step === 'reading'}
			<progress max={data.counted.sittings} value={progress.sittings} aria-label="Sittings read"></progress>
		{:else}<progress aria-label="Fitting"></progress>{/if}
		{#if data.can.calibrate}
			<ActionButton action="?/cancel" fields={{ job: data.job.id }}>Cancel</ActionButton>
		{/if}
	</div>
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
	.running {
		display: flex;
		gap: 16px;
		align-items: center;
		background: var(--sheet);
		border: 1px solid var(--rule);
		padding: 10px 14px;
		margin-top: 10px;
	}
	progress {
		accent-color: var(--verdigris);
	}
</style>
