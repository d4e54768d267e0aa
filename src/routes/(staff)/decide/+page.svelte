<script lang="ts">
	import { sayDate, sayDay } from '$lib/core/calendar';
	import { fullName, plural } from '$lib/core/words';
	import DecideViews from '$lib/ui/decide/DecideViews.svelte';
	import ActionButton from '$lib/ui/form/ActionButton.svelte';
	import TierBars from '$lib/ui/glyphs/TierBars.svelte';
	import { keepingScope, withState } from '$lib/ui/shell/address';
	import Notice from '$lib/ui/shell/Notice.svelte';
	import Pager from '$lib/ui/table/Pager.svelte';
	import Table from '$lib/ui/table/Table.svelte';
	import { sayReason } from '$lib/core/growth';

	let { data, form } = $props();
	const studentOf = $derived(new Map(data.students.map((student) => [student.id as number, student])));
	const name = (id: number) => {
		const student = studentOf.get(id);
		return student ? fullName(student) : '';
	};
	const columns = $derived([
		{ label: 'Student' },
		{ label: 'Group' },
		{ label: 'Due' },
		{ label: 'The rules advise' },
		{ label: 'Why' },
		{ label: 'Decide', isSilent: true }
	]);
</script>

<svelte:head><title>Decide · Orderly Compass</title></svelte:head>

<div class="page-head">
	<h1>Reviews due in {data.scope.inWords}</h1>
	<span class="soft"
		>{plural(data.due.total, 'review')} due, {data.later.total} planned ahead. Together they are decided at a
		<a href={keepingScope('/decide/meetings')}>review meeting</a>.</span
	>
</div>
<DecideViews />

{#if data.tasks.length}
	<section aria-labelledby="tasks">
		<h2 id="tasks">Yours to do</h2>
		<ul class="tasks">
			{#each data.tasks as task (task.id)}
				<li>
					<span
						><strong>{task.what}</strong> for
						<a href={withState({ student: task.studentId })}>{fullName(task)}</a>
						<span class="soft" class:late={task.dueOn < data.school.today}>by {sayDate(task.dueOn)}</span></span
					>
					<ActionButton action="?/done" fields={{ task: task.id }} label="Done: {task.what}" look="small"
						>Done</ActionButton
					>
				</li>
			{/each}
		</ul>
	</section>
{/if}

{#snippet list(reviews: typeof data.due.reviews, says: string, none: string)}
	<Table
		{says}
		{columns}
		rows={reviews}
		key={({ id }) => id}
		attributes={(review) => ({ 'data-student': review.studentId })}
		airy
	>
		{#snippet cells(review)}
			{@const student = studentOf.get(review.studentId)!}
			<th scope="row"
				><a href={withState({ student: review.studentId })}>{name(review.studentId)}</a>
				<span class="soft">{student.className}</span>
				<TierBars tier={student.tier} /></th
			>
			<td
				>{review.groupName ?? 'none'}{#if review.focus}<br /><span class="soft">{review.focus}</span>{/if}</td
			>
			<td>{sayDay(review.dueOn)}</td>
			<td><strong>{review.recommendation.advice}</strong></td>
			<td class="why">{sayReason(review.recommendation.reasons[0])}</td>
			<td
				><a
					class="button small"
					href={keepingScope(`/decide/reviews/${review.id}`, { student: null })}
					aria-label="Review {name(review.studentId)}">{data.can.decide ? 'Decide' : 'Look'}</a
				></td
			>
		{/snippet}
		{#snippet empty()}{none}{/snippet}
	</Table>
{/snippet}

<section>
	<h2>Due</h2>
	{@render list(
		data.due.reviews,
		'Reviews due',
		`No review is due today. ${
			data.later.reviews.length
				? `The next is on ${sayDate(data.later.reviews[0].dueOn)}.`
				: 'Reviews are set when groups are adopted.'
		}`
	)}
	<Pager {...data.due} name="due" />
</section>
<section>
	<h2>Coming</h2>
	{@render list(data.later.reviews, 'Reviews planned ahead', 'No review is planned ahead in this scope.')}
	<Pager {...data.later} name="later" />
</section>
<Notice outcome={form} />

<style>
	section {
		margin-bottom: 18px;
	}
	.tasks {
		list-style: none;
		margin: 6px 0 0;
		padding: 0;
		max-width: 900px;
	}
	.tasks li {
		display: flex;
		gap: 12px;
		justify-content: space-between;
		align-items: center;
		padding: 4px 0;
		border-bottom: 1px solid var(--rule);
	}
	.late {
		font-weight: 650;
		color: var(--ink);
	}
	.why {
		max-width: 480px;
		white-space: normal;
	}
</style>
