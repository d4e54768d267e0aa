<script lang="ts">
	import { enhance } from '$app/forms';
	import { sayDate } from '$lib/core/calendar';
	import { readMissed } from '$lib/core/growth';
	import { fullName, plural } from '$lib/core/words';
	import { keepingScope, setState } from '$lib/ui/shell/address';
	import Notice from '$lib/ui/shell/Notice.svelte';
	import Table from '$lib/ui/table/Table.svelte';
	import TrackViews from '$lib/ui/track/TrackViews.svelte';

	let { data, form } = $props();
	const { page } = $derived(data);
	const whose = $derived(page.group?.name ?? fullName(page.lines[0].student));
	const questions = $derived(page.questions.length);
	const open = $derived(page.lines.filter(({ right, number }) => right === null && number >= 1));
	/** What is typed, by plan. */
	let typed = $state<Record<number, string>>({});
	const read = (planId: number) => readMissed(typed[planId] ?? '', questions);
	function sayRead(planId: number): string {
		const missed = read(planId);
		if (missed === null) return '';
		return typeof missed === 'string' ? missed : `${questions - missed.length} of ${questions} right`;
	}
	const ready = $derived(open.filter(({ planId }) => Array.isArray(read(planId))).length);
	const hasError = $derived(open.some(({ planId }) => typeof read(planId) === 'string'));

	/** Enter goes to the next student; at the last one it sends, as in any form. */
	function goOn(event: KeyboardEvent & { currentTarget: HTMLInputElement }) {
		if (event.key !== 'Enter') return;
		const fields = [...(event.currentTarget.form?.querySelectorAll<HTMLInputElement>('input[name="missed"]') ?? [])];
		const next = fields[fields.indexOf(event.currentTarget) + 1];
		if (!next) return;
		event.preventDefault();
		next.focus();
	}
</script>

<svelte:head><title>Probes on paper · Track · Orderly Compass</title></svelte:head>

<div class="page-head">
	<h1>Probes on paper: {whose}</h1>
	<span class="soft">{page.skill}, {questions} questions</span>
</div>
<TrackViews />

<p class="one-line">
	<label
		>Given on <input
			type="date"
			value={page.asked.on}
			max={page.today}
			onchange={({ currentTarget: { value } }) => value && setState({ on: value })}
		/></label
	>
	<label
		>Form <select value={page.letter} onchange={({ currentTarget: { value } }) => setState({ form: value })}
			>{#each page.letters as { letter, given } (letter)}<option value={letter}
					>{letter}{given ? `, given to ${given}` : ''}</option
				>{/each}</select
		></label
	>
	<a
		href={keepingScope('/track/paper/print', {
			group: page.asked.groupId,
			of: page.asked.studentId,
			form: page.letter
		})}>Print the sheets and the key</a
	>
</p>
<p class="soft">
	Type the numbers of the questions that are not right, with spaces: 3 7 12. Type 0 where all are right, and nothing for
	who was not there. Enter goes to the next student.
</p>

<form
	method="POST"
	action="?/enter"
	use:enhance={() =>
		async ({ update, result }) => {
			if (result.type === 'success') typed = {};
			await update({ reset: false });
		}}
>
	{#if page.asked.groupId}<input type="hidden" name="group" value={page.asked.groupId} />{/if}
	{#if page.asked.studentId}<input type="hidden" name="of" value={page.asked.studentId} />{/if}
	<input type="hidden" name="form" value={page.letter} />
	<input type="hidden" name="on" value={page.asked.on} />
	<Table
		says="Probes on paper of {sayDate(page.asked.on)}"
		columns={[{ label: 'Student' }, { label: 'Missed questions' }, { label: 'That is' }]}
		rows={page.lines}
		key={({ planId }) => planId}
		attributes={({ student }) => ({ 'data-student': student.id })}
	>
		{#snippet cells({ planId, student, right, number })}
			{@const says = sayRead(planId)}
			<th scope="row">{fullName(student)} <span class="soft">{student.className}</span></th>
			{#if right !== null}
				<td class="soft">taken</td>
				<td>{right} of {questions} right</td>
			{:else if number < 1}
				<td class="soft" colspan="2">These probes had not begun on that day.</td>
			{:else}
				<td>
					<input type="hidden" name="plans" value={planId} />
					<input
						name="missed"
						aria-label="Questions that {fullName(student)} missed"
						aria-invalid={typeof read(planId) === 'string'}
						aria-describedby="read-{planId}"
						autocomplete="off"
						inputmode="numeric"
						maxlength="100"
						bind:value={typed[planId]}
						onkeydown={goOn}
						disabled={!data.can.probe}
					/>
				</td>
				<td id="read-{planId}" class:bad={typeof read(planId) === 'string'}>{says}</td>
			{/if}
		{/snippet}
	</Table>
	{#if data.can.probe && open.length}
		<p class="one-line">
			<button class="primary" disabled={ready === 0 || hasError}
				>{ready ? `Keep form ${page.letter} for ${plural(ready, 'student')}` : 'Keep'}</button
			>
			<span class="soft">{open.length - ready ? `${plural(open.length - ready, 'student')} without results.` : ''}</span
			>
		</p>
	{:else if open.length === 0}
		<p>Every probe of this week is there.</p>
	{/if}
</form>
<Notice outcome={form} />

<style>
	form {
		display: grid;
		gap: 10px;
		justify-items: start;
		max-width: 860px;
	}
	td input {
		width: 16em;
	}
	.bad {
		color: var(--alarm);
	}
</style>
