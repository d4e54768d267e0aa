<script lang="ts">
	import Table from '$lib/ui/table/Table.svelte';
	import { keepValues } from '$lib/ui/form/keepValues';
	import { enhance } from '$app/forms';
	import type { CountedShare } from '$lib/core/screening';
	import ScreenHead from '$lib/ui/screen/ScreenHead.svelte';
	import { setState } from '$lib/ui/shell/address';
	import Dialog from '$lib/ui/shell/Dialog.svelte';
	import Notice from '$lib/ui/shell/Notice.svelte';

	let { data, form } = $props();

	let bringing = $state(false);
	const percent = (share: number) => `${Math.round(100 * share)}%`;
	/** To two places; nothing is rounded up to certainty. */
	const two = (value: number) => (value < 1 && value > 0.995 ? '>0.99' : value.toFixed(2));
	const bad = $derived(form && 'bad' in form && form.bad ? form.bad : []);
</script>

<svelte:head><title>Cut scores · Orderly Compass</title></svelte:head>

{#if !data.window}
	<h1>Cut scores</h1>
	<p>Cut scores belong to a term. Plan a screening window first; its term’s cut scores are shown here.</p>
{:else}
	<ScreenHead window={data.window} windows={data.windows} today={data.today}>
		cut scores of term {data.window.term} in {data.unit}
		{#snippet tools()}
			{#if data.outcomes.length}
				<label>
					Judged by
					<select onchange={(event) => setState({ outcome: event.currentTarget.value })}>
						{#each data.outcomes as { name } (name)}<option selected={name === data.outcome?.name}>{name}</option
							>{/each}
					</select>
				</label>
				<label>
					Suggest a line that catches
					<select onchange={(event) => setState({ catch: event.currentTarget.value })}>
						{#each data.sensitivities as one (one)}<option value={one} selected={one === data.wanted}
								>{percent(one)} of those who did not meet it</option
							>{/each}
					</select>
				</label>
			{/if}
			{#if data.can.cuts}<button onclick={() => (bringing = true)}>Bring in outcomes …</button>{/if}
		{/snippet}
	</ScreenHead>

	<form method="POST" action="?/cuts" use:enhance={keepValues}>
		<input type="hidden" name="term" value={data.window.term} />
		<input type="hidden" name="measure" value={data.window.measure ?? ''} />
		<Table
			says="Cut scores"
			columns={[
				{ label: 'Grade' },
				{ label: 'Cut score' },
				...[
					'Usual',
					'Below',
					'Near the line',
					'Above',
					...(data.outcome ? ['With outcome', 'Did not meet it', 'Area under the curve', 'Catches', 'Spares'] : [])
				].map((label) => ({ label, isNumber: true })),
				Boolean(data.outcome) && { label: 'Suggested' }
			]}
			rows={data.grades}
			key={({ grade }) => grade}
			narrow
			airy
		>
			{#snippet cells({ grade, cut, usual, bands, judgment })}
				<th scope="row">{grade}</th>
				<td>
					{#if data.can.cuts}
						<input type="hidden" name="grades" value={grade} />
						<input
							class="cut"
							name="points"
							inputmode="numeric"
							value={cut === usual ? '' : cut}
							placeholder={String(usual)}
							aria-label="Cut score of grade {grade}"
						/>
					{:else}{cut}{/if}
				</td>
				<td class="number soft">{usual}</td>
				<td class="number">{bands.below}</td>
				<td class="number">{bands.near}</td>
				<td class="number">{bands.above}</td>
				{#if data.outcome}
					<td class="number">{judgment.students}</td>
					<td class="number">{judgment.didBadly}</td>
					{#if judgment.found}
						{@const { area, now, suggested } = judgment.found}
						<td class="number">{two(area.area)} <span class="soft">{two(area.lower)} to {two(area.upper)}</span></td>
						<td class="number">{@render counted(now.catches)}</td>
						<td class="number">{@render counted(now.spares)}</td>
						<td
							>{suggested.cut}
							<span class="soft"
								>catches {suggested.catches.count} of {suggested.catches.of}, spares {suggested.spares.count} of {suggested
									.spares.of}</span
							></td
						>
					{:else}
						<td class="soft" colspan="4">too few of either kind to judge a line by: at least 5 each</td>
					{/if}
				{/if}
			{/snippet}
		</Table>
		{#if data.can.cuts}<p class="row">
				<button class="primary">Set the cut scores of term {data.window.term}</button>
			</p>{/if}
	</form>
	<p class="soft about">
		Usual: {data.window.measure
			? 'three quarters of what is expected of the grade by the end of the term'
			: 'two terms under the grade’s expected median'}. A student is near the line when the score’s error reaches across
		it. {#if data.outcome}Catches: of those who later did not meet {data.outcome.name}, how many were under the line
			(sensitivity). Spares: of those who met it, how many were not (specificity). Each with the 95% interval of the
			share (Wilson). Area under the curve: the chance that of one student of each kind the right one scored lower; 0.5
			says nothing, with its 95% interval (DeLong).{:else}Once outcomes are brought in, such as who met the goal of a
			later test, lines are judged by them.{/if}
	</p>
	{#if bad.length}
		<h2>Lines that were left out</h2>
		<ul>
			{#each bad as { line, problem } (line)}<li>Line {line}: {problem}</li>{/each}
		</ul>
	{/if}
{/if}

{#snippet counted({ count, of, lower, upper }: CountedShare)}
	{count} of {of} <span class="soft">{percent(lower)} to {percent(upper)}</span>
{/snippet}

{#if bringing}
	<Dialog title="Bring in outcomes" onclose={() => (bringing = false)}>
		<form
			class="bring"
			method="POST"
			action="?/outcomes"
			use:enhance={() =>
				async ({ update }) => {
					bringing = false;
					await update();
				}}
		>
			<label for="name">What it was</label>
			<input id="name" name="name" required maxlength="80" placeholder="District check, May" />
			<label for="takenOn">When</label>
			<input id="takenOn" name="takenOn" type="date" required defaultValue={data.today} />
			<label for="rows">Rows: student number, met or not met; a line of column names above</label>
			<textarea id="rows" name="rows" rows="8" required placeholder="S10001,met"></textarea>
			<button class="primary">Take the outcomes</button>
		</form>
	</Dialog>
{/if}
<Notice outcome={form} />

<style>
	td {
		white-space: nowrap;
	}
	td .soft {
		display: block;
	}
	.cut {
		width: 84px;
	}
	.row {
		margin: 12px 0;
	}
	.about {
		max-width: 900px;
	}
	.bring {
		display: grid;
		gap: 6px;
		min-width: min(460px, 84vw);
	}
</style>
