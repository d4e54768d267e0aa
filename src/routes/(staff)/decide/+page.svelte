<script lang="ts">
	import { fullName } from '$lib/core/words';
	import Table from '$lib/ui/table/Table.svelte';
	import ActionButton from '$lib/ui/form/ActionButton.svelte';
	import { page } from '$app/state';
	import TierBars from '$lib/ui/glyphs/TierBars.svelte';
	import { keepingScope, withState } from '$lib/ui/shell/address';
	import { sayDate, sayDay } from '$lib/core/calendar';
	import VerdictForm from '$lib/ui/decide/VerdictForm.svelte';
	import Notice from '$lib/ui/shell/Notice.svelte';
	import Pager from '$lib/ui/table/Pager.svelte';
	import { sayErrorRates, sayReason } from '$lib/ui/track/saySeries';

	let { data, form } = $props();
	const studentOf = $derived(new Map(data.students.map((student) => [student.id as number, student])));
	const open = $derived(Number(page.url.searchParams.get('review')));
	const name = (id: number) => {
		const student = studentOf.get(id);
		return student ? fullName(student) : '';
	};
</script>

<svelte:head><title>Decide · Orderly Compass</title></svelte:head>

<h1>Reviews due in {data.scope.inWords}</h1>
{#if data.due.total === 0}
	<p>
		No review is due today.{#if data.later.reviews.length}
			The next is on {sayDate(data.later.reviews[0].dueOn)}.{:else}
			Reviews are set when groups are adopted.{/if}
	</p>
{/if}

{#each data.due.reviews as review (review.id)}
	{@const student = studentOf.get(review.studentId)!}
	{@const { advice, reasons } = review.recommendation}
	{@const rates = sayErrorRates(review.recommendation)}
	<article data-student={review.studentId} class:open={open === review.id}>
		<header>
			<h2><a href={withState({ student: review.studentId })}>{name(review.studentId)}</a></h2>
			<span class="soft"
				>{student.className} · <TierBars tier={student.tier} /> · {review.groupName}, on {review.focus} · due {sayDate(
					review.dueOn
				)}</span
			>
		</header>
		<p class="advice">The rule advises: <strong>{advice}</strong></p>
		<ul>
			{#each reasons as reason (reason.is)}<li>{sayReason(reason)}</li>{/each}
		</ul>
		{#if rates}<p class="soft">{rates}</p>{/if}
		<p class="links no-print">
			<a href={keepingScope('/track/charts', { student: review.studentId })}>See the probes</a>
			<a href={keepingScope('/gaps', { student: review.studentId })}>See the gaps</a>
			{#if data.can.practice}<a
					href={keepingScope('/practice/new', {
						for: `student:${review.studentId}`,
						skill: review.focusSkillId,
						student: null
					})}>Assign practice</a
				>{/if}
			{#if data.can.decide && open !== review.id}
				<a class="button primary" href={withState({ review: review.id, student: review.studentId })}>Record a verdict</a
				>
			{/if}
		</p>
		{#if data.can.decide && open === review.id && data.form}
			<VerdictForm
				{review}
				student={{ name: name(review.studentId), tier: student.tier }}
				choices={data.form}
				advised={advice === 'not enough yet' || advice === 'deliver first' ? 'continue' : advice}
			/>
		{/if}
	</article>
{/each}
<Pager {...data.due} name="due" />

<div class="two">
	<section>
		<h2>Coming</h2>
		<Table
			says="Reviews planned ahead"
			columns={[{ label: 'Student' }, { label: 'Due' }, { label: 'Group' }, { label: 'Advice so far' }]}
			rows={data.later.reviews}
			key={({ id }) => id}
			attributes={(review) => ({ 'data-student': review.studentId })}
		>
			{#snippet cells(review)}
				<th scope="row"><a href={withState({ student: review.studentId })}>{name(review.studentId)}</a></th>
				<td>{sayDate(review.dueOn)}</td>
				<td>{review.groupName}</td>
				<td class="soft">so far: {review.recommendation.advice}</td>
			{/snippet}
			{#snippet empty()}No review is planned ahead in this scope.{/snippet}
		</Table>
		<Pager {...data.later} name="later" />
	</section>
	<section>
		<h2>Decided</h2>
		<Table
			says="Verdicts"
			columns={[
				{ label: 'Student' },
				{ label: 'Verdict' },
				{ label: 'By and why' },
				data.can.decide && { label: 'Undo', isSilent: true }
			]}
			rows={data.decided.reviews}
			key={({ id }) => id}
			attributes={(review) => ({ 'data-student': review.studentId })}
		>
			{#snippet cells(review)}
				<th scope="row"><a href={withState({ student: review.studentId })}>{name(review.studentId)}</a></th>
				<td><strong>{review.verdict}</strong>, tier {review.newTier} from {sayDay(review.effectiveOn ?? '')}</td>
				<td class="soft">by {review.decidedBy}; advice was {review.advice}{review.note ? `. ${review.note}` : ''}</td>
				{#if data.can.decide}
					<td>
						<ActionButton
							action="?/undo"
							fields={{ review: review.id }}
							label="Undo {review.verdict} for {name(review.studentId)}"
							look="plain">Undo</ActionButton
						>
					</td>
				{/if}
			{/snippet}
			{#snippet empty()}No verdict was recorded yet in this scope.{/snippet}
		</Table>
		<Pager {...data.decided} name="decided" />
	</section>
</div>
<Notice outcome={form} />

<style>
	article {
		background: var(--sheet);
		border: 1px solid var(--rule);
		border-radius: var(--corner);
		padding: 12px 16px;
		margin: 12px 0;
		display: grid;
		gap: 6px;
	}
	.open {
		border-color: var(--verdigris);
	}
	header {
		display: flex;
		gap: 14px;
		align-items: baseline;
		flex-wrap: wrap;
	}
	header a {
		color: var(--ink);
	}
	.advice {
		font-size: 1.05rem;
	}
	ul {
		margin: 0;
		padding-left: 20px;
	}
	.links {
		display: flex;
		gap: 16px;
		align-items: center;
	}
	.links .button {
		margin-left: auto;
	}
	.two {
		display: grid;
		grid-template-columns: 1fr 1fr;
		gap: 32px;
		margin-top: 20px;
		align-items: start;
	}
	@media (max-width: 1100px) {
		.two {
			grid-template-columns: 1fr;
		}
	}
</style>
