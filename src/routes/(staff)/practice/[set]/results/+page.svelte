<script lang="ts">
	import { plural } from '$lib/core/words';
	import SetViews from '$lib/ui/practice/SetViews.svelte';
	import AnswersGiven from '$lib/ui/results/AnswersGiven.svelte';
	import MissedQuestions from '$lib/ui/results/MissedQuestions.svelte';
	import ScoreSpread from '$lib/ui/results/ScoreSpread.svelte';
	import TakeOut from '$lib/ui/results/TakeOut.svelte';
	import TideGrid from '$lib/ui/results/TideGrid.svelte';
	import WrongIdeas from '$lib/ui/results/WrongIdeas.svelte';
	import Notice from '$lib/ui/shell/Notice.svelte';
	import { keepingScope, setState } from '$lib/ui/shell/address';
	import { legState } from '$lib/ui/shell/legState.svelte';

	let { data, form } = $props();
	const results = $derived(data.results);
	const students = $derived(results.students);
	const inState = (...states: string[]) => students.filter(({ state }) => states.includes(state));
	const finished = $derived(inState('finished', 'finished late').length);
	const needed = $derived(students.length - inState('excused', 'marked done').length);
	const answered = $derived(students.filter(({ score }) => score.answered > 0));
	const total = (of: 'right' | 'answered') => answered.reduce((sum, { score }) => sum + score[of], 0);
	const nameOf = (id: number) => students.find((one) => one.id === id)!.name;
	let hasGrounds = $state(true);
	/** Whether it is told how many were right; else only counts that it is done. */
	const isScored = $derived(!results.set.how.doneOnly);

	/** Who is not done, each as far as they are. */
	const open = $derived(
		[
			{ says: 'Not begun', who: inState('not begun') },
			{ says: 'Under way', who: inState('under way') },
			{ says: 'Late', who: students.filter(({ isLate, state }) => isLate || state === 'finished late') },
			{ says: 'Left, waiting for you', who: students.filter(({ isLeft }) => isLeft) }
		].filter(({ who }) => who.length > 0)
	);

	// What one student answered stands at the top of the peek; what all did, below the grid.
	$effect(() => {
		legState.peek = results.chosen?.student ? given : undefined;
		return () => (legState.peek = undefined);
	});
</script>

<svelte:head><title>Results of {results.title} · Practice · Orderly Compass</title></svelte:head>

{#snippet given()}{#if results.chosen}<AnswersGiven
			chosen={results.chosen}
			timeZone={data.school.timeZone}
		/>{/if}{/snippet}

<div class="page-head">
	<h1>Results: {results.title}</h1>
	<span class="soft"
		>{finished} of {needed} finished{answered.length && isScored
			? `, ${total('right')} of ${plural(total('answered'), 'answer')} right at the first try`
			: ''}</span
	>
</div>
<SetViews id={results.set.id} />
{#each open as { says, who } (says)}
	<p>
		{says}:
		{#each who as one, i (one.id)}{i ? ', ' : ''}<a href={keepingScope(`/students/${one.id}`)}>{one.name}</a
			>{one.state === 'under way' ? ` (${one.score.answered} of ${one.score.asked})` : ''}{/each}
	</p>
{/each}

<p class="one-line no-print filters">
	<label
		>Sort by <select value={results.sort} onchange={(event) => setState({ sort: event.currentTarget.value })}>
			<option value="how far">how far they are</option>
			<option value="name">name</option>
			{#if isScored}<option value="right">right at the first try</option>{/if}
			<option value="time">time</option>
		</select></label
	>
	<label
		>Show <select value={results.show} onchange={(event) => setState({ show: event.currentTarget.value })}>
			<option value="all">all {students.length}</option>
			<option value="not finished">who has not finished</option>
			{#if isScored}<option value="below the line">who is under {results.set.how.line}%</option>{/if}
		</select></label
	>
	<label><input type="checkbox" bind:checked={hasGrounds} /> grounds</label>
	<span class="soft"
		>Above the line: right (full height at the first try, hollow and half as high later). Hanging below: missed.</span
	>
</p>
<div class="parts beside">
	<div>
		{#if results.rows.length === 0}
			<p>Nobody here is like that. <button class="plain" onclick={() => setState({ show: null })}>Show all</button></p>
		{:else}
			<TideGrid columns={results.columns} rows={results.rows} chosen={results.chosen} {hasGrounds} {isScored} />
		{/if}
		{#if results.chosen && !results.chosen.student}
			<div class="chosen"><AnswersGiven chosen={results.chosen} timeZone={data.school.timeZone} /></div>
		{/if}
	</div>
	<section aria-labelledby="ideas">
		<h2 id="ideas">Wrong ideas</h2>
		<WrongIdeas
			ideas={results.ideas}
			inAll={results.ideasInAll}
			everyone={students}
			answered={answered.length}
			canAssign={data.can.practice}
		/>
	</section>
</div>
<div class="parts">
	{#if answered.length}
		<section aria-labelledby="missed" class="wide">
			<h2 id="missed">Most missed</h2>
			<MissedQuestions missed={results.missed} inAll={results.missedInAll} canAssign={data.can.practice} />
		</section>
	{/if}
	{#if results.bins.length && isScored}
		<section aria-labelledby="spread">
			<h2 id="spread">Right at the first try</h2>
			<p class="soft">{plural(finished, 'student')} who finished.</p>
			<ScoreSpread bins={results.bins} {nameOf} />
		</section>
	{/if}
</div>

<Notice outcome={form} />
<TakeOut
	path="/practice/{results.set.id}/results"
	state={{ student: null, sort: results.sort, show: results.show }}
	hasTable
/>

<style>
	.filters {
		margin: 8px 0;
	}
	.chosen {
		max-width: 640px;
		margin: 16px 0;
		padding: 10px 16px;
		border: 1px solid var(--rule);
		background: var(--sheet);
	}
	.parts {
		display: flex;
		flex-wrap: wrap;
		gap: 12px 36px;
		align-items: flex-start;
		margin-bottom: 20px;
	}
	/* Beside the grid where there is room for both, else below it. */
	.beside > :first-child {
		flex: 0 1 auto;
		max-width: 100%;
	}
	section {
		flex: 1 1 300px;
		min-width: 0;
	}
	.wide {
		flex-grow: 2;
	}
	h2 {
		margin-bottom: 6px;
	}
</style>
