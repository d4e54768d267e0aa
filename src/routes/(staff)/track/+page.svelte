<script lang="ts">
	import { PROBE_ITEMS } from '$lib/core/growth';
	import { fullName, number, plural, sayChance } from '$lib/core/words';
	import type { Snippet } from 'svelte';
	import { enhance } from '$app/forms';
	import { page } from '$app/state';
	import ProbesRead from '$lib/ui/track/ProbesRead.svelte';
	import Spark from '$lib/ui/charts/Spark.svelte';
	import { setState, withState } from '$lib/ui/shell/address';
	import { sayDay } from '$lib/core/calendar';
	import Notice from '$lib/ui/shell/Notice.svelte';
	import { Rows } from '$lib/ui/table/rows.svelte';
	import StudentTable from '$lib/ui/table/StudentTable.svelte';

	let { data, form } = $props();
	type Plan = (typeof data.track.rows)[number]['plans'][number];

	const planId = $derived(Number(page.url.searchParams.get('plan')));
	const { track } = $derived(data);
	const { chosen, skillNames } = $derived(track);
	const rows = new Rows(() => ({ ids: track.ids, first: track.rows }));
	const columns = [
		{ label: 'Skill' },
		{ label: `Probes, of ${PROBE_ITEMS}` },
		{ label: 'A week', isNumber: true },
		{ label: 'Goal' },
		{ label: 'This week' }
	];
	const one = (value: number) => number(value, 1);
</script>

<svelte:head><title>Track · Orderly Compass</title></svelte:head>

<h1>Track {data.scope.inWords}</h1>
<p class="soft">
	{track.running} students’ weekly probes are running, {track.due} still to be taken this week; {plural(
		track.without,
		'student'
	)} in scope {track.without === 1 ? 'has' : 'have'} none.
</p>

{#if chosen}
	{@const { plan } = chosen}
	<section class="chart">
		<h2>{fullName(chosen)}: {skillNames[plan.skillId]}</h2>
		<ProbesRead {plan} />
	</section>
{/if}

<p class="show no-print">
	<label
		>Show <select onchange={(event) => setState({ show: event.currentTarget.value || null })}>
			<option value="">everyone</option>
			<option value="due" selected={track.dueOnly}>this week’s probe still to take</option>
		</select></label
	>
</p>
<div class="two">
	<StudentTable {rows} {columns} says="Weekly probes" height={31}>
		{#snippet cells(row)}
			{#if row.plans.length === 0}
				<td colspan="5" class="soft">no probes planned</td>
			{:else}
				<td>{@render each(row.plans, skill)}</td>
				<td>{@render each(row.plans, counts)}</td>
				<td class="number">{@render each(row.plans, slope)}</td>
				<td>{@render each(row.plans, goal)}</td>
				<td>{@render each(row.plans, due)}</td>
			{/if}
		{/snippet}
		{#snippet empty()}
			No probe is still to be taken this week. <a href={withState({ show: null })}>Show everyone</a>
		{/snippet}
	</StudentTable>

	{#if data.can.probe}
		<section>
			<h2>Start weekly probes</h2>
			{#each track.groups as group (group.id)}
				<form method="POST" action="?/start" use:enhance>
					<h3>{group.name}</h3>
					{#each group.free as id (id)}<input type="hidden" name="students" value={id} />{/each}
					<input type="hidden" name="skill" value={group.focusSkillId} />
					<input type="hidden" name="group" value={group.id} />
					<label
						>Goal <select name="goalCorrect"
							>{#each [PROBE_ITEMS - 2, PROBE_ITEMS - 1, PROBE_ITEMS] as goal (goal)}<option
									selected={goal === PROBE_ITEMS - 1}>{goal}</option
								>{/each}</select
						>
						of {PROBE_ITEMS}</label
					>
					<label>by <input type="date" name="goalOn" defaultValue={track.goalOn} required /></label>
					<button>Start for {plural(group.free.length, 'student')}</button>
				</form>
			{:else}
				<p class="soft">Every group member in scope has weekly probes on the focus. New groups appear here.</p>
			{/each}
		</section>
	{/if}
</div>
{#snippet each(plans: Plan[], part: Snippet<[Plan]>)}
	{#each plans as plan (plan.id)}<div>{@render part(plan)}</div>{/each}
{/snippet}
{#snippet skill(plan: Plan)}<a class="plan" href={withState({ student: plan.studentId, plan: plan.id })}
		>{skillNames[plan.skillId]}</a
	>{/snippet}
{#snippet counts(plan: Plan)}<Spark values={plan.probes.map(({ y }) => y)} /><span class="visually-hidden"
		>{plan.probes.map(({ y }) => y).join(', ')}</span
	>{/snippet}
{#snippet slope(plan: Plan)}{plan.trend ? one(plan.trend.slope) : 'not yet'}{/snippet}
{#snippet goal(plan: Plan)}{plan.goal.y} by {sayDay(plan.goalOn)}{#if plan.forecast}<span class="soft"
			>, {sayChance(plan.forecast.chanceOfGoal)}</span
		>{/if}{/snippet}
{#snippet due(plan: Plan)}{plan.due ? 'to take' : 'taken'}{/snippet}
<Notice outcome={form} />
{#if planId && !chosen}<p><button class="plain" onclick={() => setState({ plan: null })}>Show all</button></p>{/if}

<style>
	.show {
		margin-bottom: 8px;
	}
	.chart {
		background: var(--sheet);
		border: 1px solid var(--rule);
		padding: 12px 16px 4px;
		margin: 12px 0;
	}
	.two {
		display: grid;
		grid-template-columns: 3fr 1fr;
		gap: 28px;
		align-items: start;
	}
	.plan {
		color: var(--ink);
	}
	form {
		display: grid;
		gap: 6px;
		justify-items: start;
		border-top: 1px solid var(--rule);
		padding: 8px 0 12px;
	}
	@media (max-width: 1100px) {
		.two {
			grid-template-columns: 1fr;
		}
	}
</style>
