<script lang="ts">
	import { ASKS, STAKES, STAKE_NAMES, sayStake } from '$lib/core/growth';
	import { enhance } from '$app/forms';
	import { addDays, sayDay } from '$lib/core/calendar';
	import { number, plural, sayChance } from '$lib/core/words';
	import TierBars from '$lib/ui/glyphs/TierBars.svelte';
	import ActionBar from '$lib/ui/shell/ActionBar.svelte';
	import { keepingScope, setState, withState } from '$lib/ui/shell/address';
	import Notice from '$lib/ui/shell/Notice.svelte';
	import { Rows } from '$lib/ui/table/rows.svelte';
	import StudentTable from '$lib/ui/table/StudentTable.svelte';
	import SeriesSpark from '$lib/ui/track/SeriesSpark.svelte';
	import TrackViews from '$lib/ui/track/TrackViews.svelte';

	let { data, form } = $props();
	type Row = (typeof data.track.rows)[number];

	const { track } = $derived(data);
	const rows = new Rows(() => ({ ids: track.ids, first: track.rows }));
	let selected = $state<number[]>([]);
	const chosen = $derived.by(() => {
		const there = new Set<number>(track.ids);
		return selected.filter((id) => there.has(id));
	});
	const skillName = (id: number) => track.skillNames[id] ?? '';
	const columns = [
		{ label: 'Tier', sort: 'tier' },
		{ label: 'What is at stake', sort: 'stake' },
		{ label: 'Weekly probes' },
		{ label: 'Right now', sort: 'level' },
		{ label: 'Goal', sort: 'goal' },
		{ label: 'Sessions', sort: 'sessions' },
		{ label: 'Last probe', sort: 'probe' }
	];
	const ago = (days: number) => (days === 0 ? 'today' : days === 1 ? 'yesterday' : `${days} days ago`);
	/** The plan that is shown of several: that which something is at stake in, else one with probes. */
	const planOf = ({ plans, stakes }: Row) =>
		plans.find(({ id }) => stakes.some((stake) => 'planId' in stake && stake.planId === id)) ??
		plans.find(({ reading }) => reading) ??
		plans[0];
</script>

<svelte:head><title>Caseload · Track · Orderly Compass</title></svelte:head>

<div class="page-head">
	<h1>Who needs somebody in {data.scope.inWords}</h1>
	<span class="soft"
		>{plural(track.inTiers, 'student')} in tiers 2 and 3; something is at stake for {track.atStake}. Weekly probes run
		for
		{track.running}, {track.due} still to take this week’s.</span
	>
</div>
<TrackViews />
<div class="one-line filters no-print">
	<label
		>Show <select
			value={track.show ?? ''}
			onchange={({ currentTarget: { value } }) => setState({ show: value || null })}
		>
			<option value="">everyone</option>
			<option value="something">whoever has something at stake ({track.atStake})</option>
			{#each STAKES as kind (kind)}{#if track.counts[kind]}<option value={kind}
						>{STAKE_NAMES[kind]} ({track.counts[kind]})</option
					>{/if}{/each}
			<option value="tiers">tiers 2 and 3 ({track.inTiers})</option>
			<option value="due">this week’s probe still to take ({track.due})</option>
		</select></label
	>
	<span class="soft">A student without a tier, a group or probes stands at the end.</span>
</div>

<StudentTable {rows} {columns} says="Caseload" height={46} sort={track.sort} bind:selected>
	{#snippet cells(row)}
		<td><TierBars tier={row.tier} /></td>
		<td class="stake">
			{#if row.stakes.length}
				{sayStake(row.stakes[0], skillName)}
				{#if row.stakes.length > 1}<span
						class="soft"
						title={row.stakes
							.slice(1)
							.map((stake) => sayStake(stake, skillName))
							.join(' ')}>and {row.stakes.length - 1} more</span
					>{/if}
			{:else}<span class="soft">{row.plans.length || row.groups.length ? 'nothing now' : ''}</span>{/if}
		</td>
		{#if row.plans.length}
			{@const plan = planOf(row)}
			<td>
				<div class="probes">
					{#if plan.reading}<SeriesSpark reading={plan.reading} weeks={plan.weeks} />{:else}<span class="soft"
							>none taken</span
						>{/if}
					<a href={keepingScope('/track/charts', { student: row.id, plan: plan.id })}>{skillName(plan.skillId)}</a>
					{#each row.plans.filter(({ id }) => id !== plan.id) as other (other.id)}<a
							href={keepingScope('/track/charts', { student: row.id, plan: other.id })}>{skillName(other.skillId)}</a
						>{/each}
				</div>
			</td>
			<td class="number"
				>{#if plan.reading}{@const now = plan.reading.levels[plan.reading.levels.length - 1]}
					{number(now.value)} of {plan.reading.probes[plan.reading.probes.length - 1].of}<br /><span class="soft"
						>{number(now.lower)} to {number(now.upper)}</span
					>{/if}</td
			>
			<td
				>{#if plan.reading}{sayChance(plan.reading.chanceOfGoal)}<br />{/if}<span class="soft"
					>by {sayDay(plan.goalOn)}</span
				></td
			>
		{:else}
			<td class="soft">no probes planned</td>
			<td></td>
			<td></td>
		{/if}
		<td
			>{#each row.groups as group (group.id)}<div>
					{#if group.sessions?.planned}{group.sessions.attended} of {group.sessions.planned}{:else}<span class="soft"
							>none yet</span
						>{/if}
				</div>{:else}<span class="soft">{row.tier > 1 ? 'no group' : ''}</span>{/each}</td
		>
		<td
			>{#each row.plans.slice(0, 1) as plan (plan.id)}{plan.lastDaysAgo === null
					? 'none yet'
					: ago(plan.lastDaysAgo)}{#if plan.due}<br /><span class="soft">this week’s to take</span>{/if}{/each}</td
		>
	{/snippet}
	{#snippet empty()}
		{#if track.show}
			Nobody here. <a href={withState({ show: null })}>Show everyone</a>
		{:else}Nobody is in this scope.{/if}
	{/snippet}
</StudentTable>

{#if chosen.length}
	<ActionBar says="{plural(chosen.length, 'student')} selected">
		<a class="button" href={keepingScope('/track/charts', { scope: `list:${chosen.join(',')}`, student: null })}
			>Charts side by side</a
		>
		{#if data.can.decide}<a
				class="button"
				href={keepingScope('/decide/meetings', { scope: `list:${chosen.join(',')}`, chosen: 'all', student: null })}
				>Talk about them at a meeting</a
			>{/if}
		<a class="button" href={keepingScope('/groups', { scope: `list:${chosen.join(',')}`, student: null })}
			>Their groups: focus and times</a
		>
		{#if data.can.practice}<a
				class="button"
				href={keepingScope('/practice/new', { for: `list:${chosen.join(',')}`, own: 'yes', student: null })}
				>Give each their next step</a
			>{/if}
		{#if data.can.decide}
			<form
				method="POST"
				action="?/ask"
				class="one-line"
				use:enhance={() =>
					({ update }) =>
						update({ reset: false })}
			>
				<input type="hidden" name="students" value={chosen.join(',')} />
				<label
					>Ask their groups’ adults to <select name="what"
						>{#each ASKS as what (what)}<option>{what}</option>{/each}</select
					></label
				>
				<label
					>by <input
						type="date"
						name="dueOn"
						value={addDays(data.school.today, 7)}
						min={data.school.today}
						required
					/></label
				>
				<button>Ask for {chosen.length}</button>
			</form>
		{/if}
		<button class="plain" onclick={() => (selected = [])}>Clear</button>
	</ActionBar>
{/if}

<Notice outcome={form} />

<style>
	.filters {
		margin-bottom: 8px;
	}
	.stake {
		max-width: 300px;
		white-space: normal;
	}
	.probes {
		display: flex;
		align-items: center;
		gap: 10px;
		line-height: 1.15;
	}
</style>
