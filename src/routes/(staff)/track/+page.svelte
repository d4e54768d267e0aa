<script lang="ts">
	import { enhance } from '$app/forms';
	import { page } from '$app/state';
	import ProbeChart from '$lib/ui/charts/ProbeChart.svelte';
	import Spark from '$lib/ui/charts/Spark.svelte';
	import { setState, withState } from '$lib/ui/shell/address';
	import { sayDay } from '$lib/core/calendar';
	import { saySessions } from '$lib/ui/groups/sessions';
	import Notice from '$lib/ui/shell/Notice.svelte';

	let { data, form } = $props();
	type Plan = (typeof data.plans)[number];

	const selectedId = $derived(Number(page.url.searchParams.get('student')));
	const planId = $derived(Number(page.url.searchParams.get('plan')));
	const studentOf = $derived(new Map(data.students.map((student) => [student.id as number, student])));
	const skillOf = $derived(new Map(data.skills.map((skill) => [skill.id, skill])));
	const chosen = $derived(
		data.plans.find(({ id, studentId }) => id === planId && (!selectedId || studentId === selectedId)) ??
			data.plans.find(({ studentId }) => studentId === selectedId) ??
			data.plans[0] ??
			null
	);
	const dueOnly = $derived(page.url.searchParams.get('show') === 'due');
	const listed = $derived(dueOnly ? data.plans.filter(({ due }) => due) : data.plans);
	const { without } = $derived(data);
	const startable = $derived(
		data.groups
			.map((group) => ({
				...group,
				free: group.studentIds.filter(
					(id) => !data.plans.some((plan) => plan.studentId === id && plan.skillId === group.focusSkillId)
				)
			}))
			.filter(({ free }) => free.length)
	);
	const name = (id: number) => {
		const student = studentOf.get(id);
		return student ? `${student.givenName} ${student.familyName}` : '';
	};
	const one = (value: number) => value.toFixed(1).replace('-', '−');

	function sentence(plan: Plan): string {
		if (plan.missing) {
			const parts = [
				plan.missing.probes && `${plan.missing.probes} more ${plan.missing.probes === 1 ? 'probe' : 'probes'}`,
				plan.missing.weeks && `${plan.missing.weeks} more weeks`
			].filter(Boolean);
			return `Not enough yet for a trend: ${parts.join(' and ')} to go.`;
		}
		const { trend, forecast, aimline, goal } = plan;
		return `Growing ${one(trend!.slope)} items a week (80% interval ${one(trend!.interval[0])} to ${one(trend!.interval[1])}); the aimline needs ${one(aimline!.slope)}. Forecast for ${sayDay(plan.goalOn)}: ${one(Math.max(0, Math.min(8, forecast!.expected)))} of 8, ${Math.round(forecast!.chanceOfGoal * 100)}% likely to reach ${goal.y}.`;
	}
</script>

<svelte:head><title>Track · Orderly Compass</title></svelte:head>

<h1>Track {data.scope.inWords}</h1>
<p class="soft">
	{data.plans.length} students’ weekly probes are running, {data.plans.filter(({ due }) => due).length} still to be taken
	this week; {without.length} students in scope have none.
</p>

{#if chosen}
	<section class="chart">
		<h2>{name(chosen.studentId)}: {skillOf.get(chosen.skillId)?.shortName}</h2>
		<p>{sentence(chosen)}</p>
		<p class="soft">
			{chosen.probes.length} probes of 8 equivalent questions.
			{chosen.baseline === null
				? 'The baseline is the median of the first three.'
				: `Baseline ${one(chosen.baseline)}, the median of the first three.`}
			{#if chosen.sessions}{saySessions(chosen.sessions)}{/if}
		</p>
		{#if chosen.probes.length}
			<ProbeChart
				probes={chosen.probes}
				goal={chosen.goal}
				aimline={chosen.aimline}
				trend={chosen.trend}
				forecast={chosen.forecast}
				says="Probes: {chosen.probes.map(({ y }) => y).join(', ')} of 8. {sentence(chosen)}"
			/>
		{/if}
	</section>
{/if}

<p class="show no-print">
	<label
		>Show <select onchange={(event) => setState({ show: event.currentTarget.value || null })}>
			<option value="">everyone</option>
			<option value="due" selected={dueOnly}>this week’s probe still to take</option>
		</select></label
	>
</p>
<div class="two">
	<table>
		<thead
			><tr
				><th>Student</th><th>Skill</th><th>Probes, of 8</th><th class="number">A week</th><th>Goal</th><th>This week</th
				></tr
			></thead
		>
		<tbody>
			{#each listed as plan (plan.id)}
				<tr data-student={plan.studentId} class:current={plan.id === chosen?.id}>
					<th scope="row"><a href={withState({ student: plan.studentId, plan: plan.id })}>{name(plan.studentId)}</a></th
					>
					<td>{skillOf.get(plan.skillId)?.shortName}</td>
					<td
						><Spark values={plan.probes.map(({ y }) => y)} /><span class="visually-hidden"
							>{plan.probes.map(({ y }) => y).join(', ')}</span
						></td
					>
					<td class="number">{plan.trend ? one(plan.trend.slope) : 'not yet'}</td>
					<td
						>{plan.goal.y} by {sayDay(plan.goalOn)}{#if plan.forecast}<span class="soft"
								>, {Math.round(100 * plan.forecast.chanceOfGoal)}%</span
							>{/if}</td
					>
					<td>{plan.due ? 'to take' : 'taken'}</td>
				</tr>
			{/each}
			{#each dueOnly ? [] : without as student (student.id)}
				<tr data-student={student.id} class:current={student.id === selectedId && !chosen}>
					<th scope="row"
						><a href={withState({ student: student.id, plan: null })}>{student.givenName} {student.familyName}</a></th
					>
					<td colspan="5" class="soft">no probes planned</td>
				</tr>
			{/each}
		</tbody>
	</table>

	{#if data.can.probe}
		<section>
			<h2>Start weekly probes</h2>
			{#each startable as group (group.id)}
				<form method="POST" action="?/start" use:enhance>
					<h3>{group.name}</h3>
					{#each group.free as id (id)}<input type="hidden" name="students" value={id} />{/each}
					<input type="hidden" name="skill" value={group.focusSkillId} />
					<input type="hidden" name="group" value={group.id} />
					<label
						>Goal <select name="goalCorrect"><option>6</option><option selected>7</option><option>8</option></select> of 8</label
					>
					<label>by <input type="date" name="goalOn" value={data.goalOn} required /></label>
					<button>Start for {group.free.length} {group.free.length === 1 ? 'student' : 'students'}</button>
				</form>
			{:else}
				<p class="soft">Every group member in scope has weekly probes on the focus. New groups appear here.</p>
			{/each}
		</section>
	{/if}
</div>
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
	table {
		background: var(--sheet);
		width: 100%;
	}
	thead th {
		white-space: nowrap;
	}
	tbody th {
		font-weight: 500;
	}
	tbody th a {
		color: var(--ink);
	}
	.current {
		background: var(--verdigris-wash);
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
