<script lang="ts">
	import { number, plural, signed } from '$lib/core/words';
	import ActionButton from '$lib/ui/form/ActionButton.svelte';
	import GapViews from '$lib/ui/gaps/GapViews.svelte';
	import { standingWords } from '$lib/core/mastery';
	import JobUnderWay from '$lib/ui/shell/JobUnderWay.svelte';
	import Notice from '$lib/ui/shell/Notice.svelte';
	import Table from '$lib/ui/table/Table.svelte';

	let { data, form } = $props();

	/** Each assumption in words, with its unit and digits. */
	const WORDS = {
		above: {
			says: 'How far the school is above the expected median',
			note: 'on average over students, at the same grade and term',
			say: (value: number) => `${signed(value, 1)} points`
		},
		general: {
			says: 'How far students differ in all skills alike',
			note: 'one student in three differs by more',
			say: (value: number) => `${number(value, 1)} points`
		},
		domain: {
			says: 'How far they differ in one domain, beyond that',
			note: 'likewise',
			say: (value: number) => `${number(value, 1)} points`
		},
		skill: {
			says: 'How far they differ in one skill, beyond that',
			note: 'likewise',
			say: (value: number) => `${number(value, 1)} points`
		},
		coupling: {
			says: 'How closely a skill goes with what it builds on',
			note: 'correlation of what is the skills’ own: 0 not at all, 1 wholly',
			say: (value: number) => number(value, 2)
		}
	};
	const isUnderWay = $derived(data.job?.state === 'waiting' || data.job?.state === 'running');
	const isApplied = $derived(data.version !== null && data.version.jobId === data.job?.id);
	const progress = $derived(data.job?.progress ?? null);
	const others = $derived(data.report?.standings.others.reduce((sum, { count }) => sum + count, 0) ?? 0);
	const columns = $derived([
		{ label: 'What is assumed' },
		{ label: 'Shipped', isNumber: true },
		data.version !== null && { label: `Version ${data.version.number}, in use`, isNumber: true },
		data.report !== null && { label: 'Found', isNumber: true },
		data.report !== null && { label: '95% interval', isNumber: true }
	]);
	const stepWords = { 'one half': 'one half of the students', everybody: 'all students' };
</script>

<svelte:head><title>Assumptions · Orderly Compass</title></svelte:head>

<GapViews />
<div class="page-head">
	<h1>Assumptions</h1>
	{#if data.can.calibrate && !isUnderWay}
		<ActionButton action="?/start" look={!data.report || isApplied ? 'primary' : undefined}
			>Find them from this school’s answers</ActionButton
		>
	{/if}
</div>

<p class="about">
	A standing follows from a student’s answers and from what is assumed before any of them: how far students differ, and
	how skills go together. The shipped figures are made up. Those that make this school’s own answers most likely can be
	found; nothing is used before it is approved.
</p>
<div class="about use">
	{#if data.version}
		<span>In use: <strong>version {data.version.number}</strong>, approved by {data.version.appliedBy}.</span>
		{#if data.can.calibrate}
			<ActionButton action="?/withdraw" fields={{ version: data.version.id }} look="plain">Take it back</ActionButton>
		{/if}
	{:else}In use: what is shipped.{/if}
</div>

<div class="table">
	<Table says="Assumptions" {columns} rows={data.rows} key={({ name }) => name} airy narrow>
		{#snippet cells({ name, shipped, inUse, found })}
			{@const { says, note, say } = WORDS[name]}
			<th scope="row">{says} <span class="soft">({note})</span></th>
			<td class="number">{say(shipped)}</td>
			{#if data.version}<td class="number">{say(inUse)}</td>{/if}
			{#if found}
				<td class="number"><strong>{say(found.value)}</strong></td>
				<td class="number">{say(found.lower)} to {say(found.upper)}</td>
			{/if}
		{/snippet}
	</Table>
</div>

{#if isUnderWay && data.job}
	<JobUnderWay job={data.job} depends="job:constants" mayCancel={data.can.calibrate}>
		{#if !progress}Waiting to begin.
		{:else if progress.step === 'reading'}Reading: {plural(progress.students, 'student')} with answers enough so far.
		{:else if progress.step === 'standings'}Working out which standings would be others.
		{:else}Finding them from {stepWords[progress.step]}: pass {progress.iteration}. It ends when a pass changes nothing.{/if}
	</JobUnderWay>
{:else if data.problem}
	<p class="problem">Nothing was found. {data.problem}</p>
{:else if data.job?.state === 'canceled'}
	<p class="soft">The last search was canceled.</p>
{/if}

{#if data.report && data.job && !isUnderWay}
	{@const { students, answers, heldOut, isBetter, standings, converged } = data.report}
	<section class="found">
		<h2>What was found</h2>
		<p>
			From {plural(answers, 'first try', 'first tries')} of {plural(students, 'student')}.
			{#if isBetter}
				<strong>It fits better.</strong> Found from every second student, they foretell the answers of the other
				{heldOut.students} better than those that were in use then, by more than chance would
			{:else}
				<strong>It does not fit better for certain.</strong> Found from every second student, they foretell the answers
				of the other {heldOut.students} no better than those that were in use then, or not by more than chance would
			{/if}
			(log-likelihood {signed(heldOut.gain, 1)}, standard error {number(heldOut.standardError, 1)}).
			{#if !converged}The search had not come to an end.{/if}
		</p>
		<p>
			{#if others}
				With them {others.toLocaleString('en-US')} of {plural(standings.all, 'standing')} of these students would be others:
			{:else}With them no standing of these students would be another.{/if}
		</p>
		{#if others}
			<ul>
				{#each standings.others as { from, to, count } (from + to)}
					<li>{standingWords[from]} → {standingWords[to]}: {count}</li>
				{/each}
			</ul>
		{/if}
		{#if isApplied}<p>They are in use.</p>
		{:else if data.can.calibrate}
			<p class="row">
				<ActionButton action="?/apply" fields={{ job: data.job.id }} look={isBetter ? 'primary' : undefined}
					>Use them, as a new version</ActionButton
				>
				<span class="soft">All standings of the school are worked out anew. It can be taken back.</span>
			</p>
		{/if}
	</section>
{/if}
<Notice outcome={form} />

<style>
	.about {
		max-width: 74em;
		margin-block: 6px 8px;
	}
	.use {
		display: flex;
		gap: 10px;
		align-items: center;
	}
	.table {
		margin-top: 12px;
	}
	.found {
		max-width: 74em;
		margin-top: 16px;
	}
	ul {
		margin: 4px 0 8px;
		padding-left: 1.2em;
	}
</style>
