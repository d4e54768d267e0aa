<script lang="ts">
	import PaperQuestions from '$lib/ui/items/PaperQuestions.svelte';
	import { keepingScope, setState } from '$lib/ui/shell/address';

	let { data } = $props();
</script>

<svelte:head><title>{data.title}, on paper · Orderly Compass</title></svelte:head>

<div class="bar no-print">
	<a href={keepingScope(`/practice/${data.set.id}`)}>Back to {data.title}</a>
	{#if !data.set.isOwnStep}
		<label
			>Versions <select
				value={String(data.versions)}
				onchange={(event) => setState({ versions: event.currentTarget.value })}
			>
				<option value="1">one</option>
				{#each ['2', '3', '4'] as versions (versions)}<option value={versions}>{versions}, with other numbers</option
					>{/each}
			</select></label
		>
	{/if}
	<label
		><input
			type="checkbox"
			checked={data.withKey}
			onchange={(event) => setState({ key: event.currentTarget.checked ? 'on' : null })}
		/> answers on a sheet of their own</label
	>
	<button class="primary" onclick={() => print()}>Print</button>
	{#if data.set.ownQuestions || data.set.older}
		<p class="soft">
			{data.set.ownQuestions
				? 'On screen each student has numbers of their own; these are the first student’s. '
				: ''}{data.set.older ? 'Questions from before, which are each student’s own, are not on paper.' : ''}
		</p>
	{/if}
</div>

<h1 class:visually-hidden={data.sheets.length > 1}>{data.title}</h1>
{#each data.sheets as sheet, n (n)}
	<section class:next={n > 0} aria-label={sheet.name || data.title}>
		{#if sheet.name}<h2>{data.title === sheet.name ? sheet.name : `${data.title}: ${sheet.name}`}</h2>{/if}
		{#if sheet.students.length}<p class="no-print soft">For {sheet.students.join(', ')}</p>{/if}
		<p class="soft">Name ______________________________</p>
		<PaperQuestions questions={sheet.questions} />
	</section>
{/each}
{#if data.withKey}
	<section class="next" aria-label="Answers">
		<h2>Answers: {data.title}</h2>
		{#each data.sheets as sheet, n (n)}
			{#if sheet.name}<h3>{sheet.name}</h3>{/if}
			{#if sheet.students.length}<p class="soft">{sheet.students.join(', ')}</p>{/if}
			<PaperQuestions questions={sheet.questions} as="keys" />
		{/each}
	</section>
{/if}

<style>
	.bar {
		display: flex;
		flex-wrap: wrap;
		gap: 6px 20px;
		align-items: center;
		margin-bottom: 12px;
	}
	.next {
		border-top: 1px solid var(--rule);
		margin-top: 16px;
		padding-top: 16px;
	}
	@media print {
		.next {
			break-before: page;
			border: 0;
			margin: 0;
			padding: 0;
		}
	}
</style>
