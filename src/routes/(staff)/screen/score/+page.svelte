<script lang="ts">
	import { fullName } from '$lib/core/words';
	import Table from '$lib/ui/table/Table.svelte';
	import EstimatePath from '$lib/ui/charts/EstimatePath.svelte';
	import { keepingScope } from '$lib/ui/shell/address';
	import { NOT_YET } from '$lib/core/items';
	import { sayDate } from '$lib/core/calendar';

	let { data } = $props();

	const round = Math.round;
	const name = $derived(fullName(data.student));
	const last = $derived(data.steps.at(-1) ?? null);
	const right = $derived(data.steps.filter(({ correct }) => correct).length);
	const notYet = $derived(data.steps.filter((step) => step.notYet).length);
	const fromElsewhere = $derived(data.stored !== null && data.stored.source !== 'diagnostic');
	const waits = $derived(data.sitting?.trust === 'flagged' || data.sitting?.trust === 'set aside');
</script>

<svelte:head><title>Why this score: {name} · Orderly Compass</title></svelte:head>

<div class="page">
	<p><a href={keepingScope('/screen', { window: data.window.id })}>{data.window.name}: results</a></p>
	<h1>
		{name}
		<span class="soft"
			>{data.student.className}, grade {data.student.grade}{data.stored
				? ` · ${round(data.stored.points)} ± ${round(data.stored.error)} points`
				: ''}</span
		>
	</h1>

	{#if fromElsewhere && data.stored}
		<p>
			The score that counts was brought in from {data.stored.source}, taken on {sayDate(data.stored.takenOn)}. Its
			points and their error are as they came; the answers behind it are not here.
		</p>
	{/if}
	{#if !data.steps.length || !data.prior || !last}
		{#if !fromElsewhere}
			<p>{data.student.givenName} has answered nothing in {data.window.name} yet, so there is nothing to go by.</p>
		{/if}
	{:else}
		{#if waits}
			<p class="attention">
				This sitting {data.sitting?.trust === 'flagged'
					? 'needs another look before it counts'
					: 'is set aside and feeds nothing'}:
				{data.sitting?.flags.map(({ reason }) => reason).join(' ')}
			</p>
		{/if}
		<p class="about">
			Before any answer all that is known is the grade: {round(data.prior.points)} ± {round(data.prior.error)} points. Each
			answer moves that: a right one up, a wrong one down, the more the closer the question was to what is known by then.
			{data.steps.length} answers, {right} of them right{notYet
				? ` and ${notYet} “${NOT_YET}” (not right, and no luck is reckoned)`
				: ''}, give
			<strong>{round(last.points)} ± {round(last.error)}</strong>
			(one standard error). The line is at {data.cut}.
		</p>
		<EstimatePath prior={data.prior} steps={data.steps} cut={data.cut} />
		<p class="soft about">
			The dark line and its band: the score and its error after each answer. Dots: the questions at their difficulty,
			where about half of the students at that score are right; filled when answered right.
		</p>

		<h2>By domain</h2>
		<Table
			says="Scores by domain"
			columns={[
				{ label: 'Domain' },
				{ label: 'Answers', isNumber: true },
				{ label: 'Right', isNumber: true },
				{ label: 'Not known yet', isNumber: true },
				{ label: 'Points', isNumber: true }
			]}
			rows={data.domains}
			key={({ name }) => name}
			narrow
		>
			{#snippet cells(domain)}
				<th scope="row">{domain.name}</th>
				<td class="number">{domain.answers}</td>
				<td class="number">{domain.right}</td>
				<td class="number">{domain.notYet}</td>
				<td class="number">{round(domain.points)} <span class="soft">± {round(domain.error)}</span></td>
			{/snippet}
		</Table>
		<p class="soft about">
			A domain draws on the answers in the others too, as students who know more in one mostly know more in another;
			overall is the mean of the domains.
		</p>

		<h2>Answer by answer</h2>
		<Table
			says="Answer by answer"
			columns={[
				{ label: 'No.', isNumber: true },
				{ label: 'Question' },
				{ label: 'Answer' },
				{ label: 'Difficulty', isNumber: true },
				{ label: 'Seconds', isNumber: true },
				{ label: 'Score after it', isNumber: true }
			]}
			rows={data.steps}
			key={(_, i) => i}
			airy
		>
			{#snippet cells(step, i)}
				<td class="number">{i + 1}</td>
				<td>
					<!-- eslint-disable svelte/no-at-html-tags -- escaped on the server -->
					{@html step.stemHtml}
					<span class="soft skill">{step.skill.code} {step.skill.name}, {step.domain}</span>
				</td>
				<td
					>{#if !step.notYet}<strong>{step.correct ? 'Right' : 'Wrong'}:</strong>{/if}
					{@html step.givenHtml}</td
				>
				<!-- eslint-enable svelte/no-at-html-tags -->
				<td class="number">{round(step.difficulty)}</td>
				<td class="number">{step.seconds}{step.isRapid ? ', unread' : ''}</td>
				<td class="number">{round(step.points)} <span class="soft">± {round(step.error)}</span></td>
			{/snippet}
		</Table>
	{/if}
</div>

<style>
	.page {
		display: grid;
		grid-template-columns: minmax(0, 1fr);
		gap: 10px;
		justify-items: start;
	}
	h1 .soft {
		font: 400 1rem var(--text);
		margin-left: 12px;
	}
	.about {
		max-width: 70em;
	}
	.skill {
		display: block;
		font-size: 0.85rem;
	}
</style>
