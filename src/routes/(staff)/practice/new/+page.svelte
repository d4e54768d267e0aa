<script lang="ts">
	import { enhance } from '$app/forms';
	import { page } from '$app/state';
	import { addDays, schoolDayFrom } from '$lib/core/calendar';
	import { MOST_SKILLS } from '$lib/core/practice';
	import SampleItems from '$lib/ui/items/SampleItems.svelte';
	import AfterPart from '$lib/ui/practice/AfterPart.svelte';
	import HowPart from '$lib/ui/practice/HowPart.svelte';
	import { NewSet } from '$lib/ui/practice/newSet.svelte';
	import { sayPlan } from '$lib/ui/practice/sayPlan';
	import SomePart from '$lib/ui/practice/SomePart.svelte';
	import StepTable from '$lib/ui/practice/StepTable.svelte';
	import WhatPart from '$lib/ui/practice/WhatPart.svelte';
	import WhenPart from '$lib/ui/practice/WhenPart.svelte';
	import WhoPart from '$lib/ui/practice/WhoPart.svelte';
	import ActionBar from '$lib/ui/shell/ActionBar.svelte';
	import { keepingScope, withState } from '$lib/ui/shell/address';
	import Notice from '$lib/ui/shell/Notice.svelte';

	let { data, form } = $props();
	const newSet = new NewSet(() => data);
	const skillOf = $derived(new Map(data.skills.map((skill) => [skill.id, skill])));
	/** What the server asks before a set goes to many. */
	const ask = $derived(form && 'ask' in form ? form.ask : null);
	const sentence = $derived(sayPlan(newSet, (id) => skillOf.get(id)!.shortName, data.school.today));
	/** Until when who is given more time has it, unless somebody says otherwise: a week. */
	const moreTime = $derived(
		schoolDayFrom(addDays(newSet.dueOn || newSet.opensOn || data.school.today, 7), data.school.calendar)
	);
	/** The set as it is now, to be tried without anything being stored. */
	const tried = $derived.by(() => {
		const skills = newSet.skills.slice(0, MOST_SKILLS);
		const { feedback, secondTry, hints, solutions } = newSet.how;
		return keepingScope('/practice/try', {
			skill: (skills.length ? skills.map(({ skillId }) => skillId) : [data.sampled]).join(','),
			questions: newSet.practice,
			checks: skills[0]?.checks ?? 0,
			feedback,
			second: secondTry ? null : 'no',
			hints: hints ? null : 'no',
			solutions: solutions ? null : 'no',
			student: null
		});
	});
	const canAssign = $derived(newSet.students.length > 0 && newSet.skills.length > 0 && newSet.opensOn !== '');
</script>

<svelte:head><title>New practice · Orderly Compass</title></svelte:head>

<p><a href={keepingScope('/practice')}>All sets</a></p>
<div class="page-head">
	<h1>New practice</h1>
	<nav aria-label="What each gets" class="kinds">
		<a href={withState({ own: null })} data-sveltekit-replacestate aria-current={data.isOwnStep ? undefined : 'page'}
			>The same for all</a
		>
		<a href={withState({ own: 'yes' })} data-sveltekit-replacestate aria-current={data.isOwnStep ? 'page' : undefined}
			>Each their own next step</a
		>
	</nav>
</div>

{#if data.isOwnStep}
	<WhoPart {newSet} {data} />
	{#if data.students.length}<StepTable {newSet} students={data.students} skills={data.skills} />{/if}
{/if}
<div class="two">
	<div>
		{#if !data.isOwnStep}<WhoPart {newSet} {data} />{/if}
		<WhatPart {newSet} {data} />
		<HowPart {newSet} />
		<WhenPart {newSet} {data} />
		<SomePart {newSet} {moreTime} />
		<AfterPart {newSet} />
	</div>
	<aside aria-label="As a student sees it">
		<p class="soft">As a student sees it: {skillOf.get(data.sampled)?.shortName}</p>
		<p><a class="button" href={tried} target="_blank">Try it as a student</a></p>
		{#key data.sampled}<SampleItems samples={data.samples} />{/key}
	</aside>
</div>

<ActionBar says={canAssign ? sentence : 'Choose who practices, and what.'}>
	<form method="POST" action={`?${page.url.searchParams.toString()}`} use:enhance>
		<input type="hidden" name="plan" value={JSON.stringify(newSet.plan)} />
		{#if ask}
			<strong role="alert">{ask}</strong>
			<input type="hidden" name="sure" value="yes" />
		{/if}
		<button class="primary" disabled={!canAssign}>{ask ? 'Yes, assign' : 'Assign'}</button>
	</form>
</ActionBar>
<Notice outcome={ask ? null : form} />

<style>
	.two {
		display: grid;
		grid-template-columns: minmax(0, 2fr) minmax(280px, 1fr);
		gap: 32px;
		align-items: start;
	}
	aside {
		border-top: 1px solid var(--rule);
		padding-top: 10px;
	}
	.kinds {
		display: flex;
		flex-wrap: wrap;
		gap: 4px 18px;
	}
	.kinds a {
		text-decoration: none;
		padding: 2px 0;
	}
	.kinds [aria-current] {
		color: var(--ink);
		font-weight: 650;
		border-bottom: 2px solid var(--verdigris);
	}
	form {
		margin-left: auto;
		display: flex;
		flex-wrap: wrap;
		gap: 10px;
		align-items: center;
	}
	@media (max-width: 1000px) {
		.two {
			grid-template-columns: minmax(0, 1fr);
		}
	}
</style>
