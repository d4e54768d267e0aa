<script lang="ts">
	import { enhance } from '$app/forms';
	import { page as here } from '$app/state';
	import { sayDate } from '$lib/core/calendar';
	import { sayTierReason, sayTierRule } from '$lib/core/growth';
	import { fullName, plural } from '$lib/core/words';
	import DecideViews from '$lib/ui/decide/DecideViews.svelte';
	import StaysForm from '$lib/ui/decide/StaysForm.svelte';
	import TierRuleFields from '$lib/ui/decide/TierRuleFields.svelte';
	import ActionButton from '$lib/ui/form/ActionButton.svelte';
	import StudentPicker from '$lib/ui/form/StudentPicker.svelte';
	import TierBars from '$lib/ui/glyphs/TierBars.svelte';
	import { withState } from '$lib/ui/shell/address';
	import Notice from '$lib/ui/shell/Notice.svelte';
	import Pager from '$lib/ui/table/Pager.svelte';
	import SelectShown from '$lib/ui/table/SelectShown.svelte';
	import Table from '$lib/ui/table/Table.svelte';

	let { data, form } = $props();
	const { page } = $derived(data);
	type Named = (typeof page.proposed)[number];
	let chosen = $state<number[]>([]);
	const there = $derived(chosen.filter((id) => page.proposed.some((one) => one.id === id)));
	const query = $derived(here.url.searchParams.toString());
	const sayTier = (tier: number | null) => (tier === null ? 'nothing to say' : `tier ${tier}`);
	const NONE = { farBelow: null, sure: null, gaps: null, word: null, leastWeeks: null, mostWeeks: null };
</script>

<svelte:head><title>Who enters a tier · Decide · Orderly Compass</title></svelte:head>

<div class="page-head">
	<h1>Who enters a tier in {data.scope.inWords}</h1>
	<span class="soft"
		>{plural(page.part.total, 'student')} meant for a higher tier, {page.agree} in the tier that the rule means or a higher
		one, {page.without} without a score.</span
	>
</div>
<DecideViews />

<section class="rule">
	<h2>{page.isOwn ? 'The school’s rule' : 'The shipped rule'}</h2>
	<ul>
		{#each sayTierRule(page.rule) as sentence (sentence)}<li>{sentence}</li>{/each}
	</ul>
	{#if !page.isOwn}
		<p class="soft">
			Shipped so because one score is not enough: its 80% band is some 20 points wide, most of what a school year
			brings. What it leaves open is left to other evidence.
		</p>
	{/if}
	{#if data.can.decide}
		<details open={Boolean(page.tried)}>
			<summary>Try another rule</summary>
			{#key JSON.stringify(page.tried?.rule ?? page.rule)}
				<TierRuleFields rule={page.tried?.rule ?? page.rule} />
			{/key}
			{#if page.isOwn}<ActionButton action="?/usual&{query}" look="plain">Take the shipped rule again</ActionButton
				>{/if}
		</details>
	{/if}
</section>

{#if page.tried}
	<section class="tried" aria-labelledby="tried">
		<h2 id="tried">What that rule would change</h2>
		<ul>
			{#each sayTierRule(page.tried.rule) as sentence (sentence)}<li>{sentence}</li>{/each}
		</ul>
		<Table
			says="Whom the other rule means for another tier"
			columns={[
				{ label: 'Student' },
				{ label: 'Now' },
				{ label: 'By the rule' },
				{ label: 'By that rule' },
				{ label: 'Why' }
			]}
			rows={page.tried.changes}
			key={({ id }) => id}
		>
			{#snippet cells(one)}
				<th scope="row">{fullName(one)} <span class="soft">{one.className}</span></th>
				<td>tier {one.tierNow}</td>
				<td>{sayTier(one.tierBefore)}</td>
				<td>{sayTier(one.tier)}</td>
				<td class="why">{one.reasons.map(sayTierReason).join(' ')}</td>
			{/snippet}
			{#snippet empty()}Nobody here: that rule means the same tiers.{/snippet}
		</Table>
		<p class="line">
			<a href={withState(NONE)}>Leave it</a>
			<ActionButton
				action="?/rule"
				fields={{
					farBelow: page.tried.rule.farBelow,
					sure: Math.round(100 * page.tried.rule.sure),
					gaps: page.tried.rule.gaps ?? 0,
					word: page.tried.rule.word ? ['yes'] : [],
					leastWeeks: page.tried.rule.leastWeeks,
					mostWeeks: page.tried.rule.mostWeeks
				}}
				look="primary">Take that rule</ActionButton
			>
			<span class="soft">Taking it moves nobody.</span>
		</p>
	</section>
{/if}

{#snippet who(one: Named)}
	<a href={withState({ student: one.id })}>{fullName(one)}</a> <span class="soft">{one.className}</span>
{/snippet}

<section>
	<h2>Meant for a higher tier</h2>
	<form method="POST" action="?/move&{query}" use:enhance>
		<Table
			says="Meant for a higher tier"
			columns={[
				data.can.decide && { label: 'Move', isSilent: true },
				{ label: 'Student' },
				{ label: 'Now' },
				{ label: 'By the rule' },
				{ label: 'Points', isNumber: true },
				{ label: 'Why' }
			]}
			rows={page.proposed}
			key={({ id }) => id}
			attributes={({ id }) => ({ 'data-student': id })}
		>
			{#snippet cells(one)}
				{#if data.can.decide}<td
						><input
							type="checkbox"
							name="students"
							value={one.id}
							bind:group={chosen}
							aria-label="Move {fullName(one)}"
						/></td
					>{/if}
				<th scope="row">{@render who(one)}</th>
				<td><TierBars tier={one.tierNow} inColumn /></td>
				<td><TierBars tier={one.tier ?? 1} inColumn /></td>
				<td class="number">{one.points ?? ''}</td>
				<td class="why">{one.reasons.map(sayTierReason).join(' ')}</td>
			{/snippet}
			{#snippet empty()}Everybody is in the tier that the rule means, or in a higher one.{/snippet}
		</Table>
		{#if data.can.decide && page.proposed.length}
			<Pager {...page.part} name="proposed" />
			<SelectShown ids={page.proposed.map(({ id }) => id)} bind:chosen />
			<p class="line">
				<label>From <input type="date" name="on" defaultValue={page.on} required /></label>
				<button class="primary" disabled={there.length === 0}
					>Move {plural(there.length, 'student')} to the tier the rule means</button
				>
			</p>
		{/if}
	</form>
</section>

{#if data.can.decide && page.proposed.length}
	<StaysForm students={page.proposed} />
{/if}
{#if page.stay.length}
	<section>
		<h2>Stay as they are all the same</h2>
		<ul class="plain">
			{#each page.stay as one (one.id)}
				{#each one.words.filter(({ says }) => says === 'stays').slice(0, 1) as word (word.id)}
					<li>
						<span
							>{@render who(one)}: {word.reason}
							<span class="soft">{word.by}, until {sayDate(word.untilOn)}</span></span
						>
						{#if data.can.decide}<ActionButton
								action="?/takeBackWord&{query}"
								fields={{ word: word.id }}
								label="Take back that {fullName(one)} stays"
								look="plain small">Take back</ActionButton
							>{/if}
					</li>
				{/each}
			{/each}
		</ul>
	</section>
{/if}
{#if data.can.note}
	<section>
		<h2>A word for the rule</h2>
		<p class="soft">Whoever sees that a student needs more says so here; it counts where the score leaves it open.</p>
		<form method="POST" action="?/word&{query}" class="line" aria-label="A word for the rule" use:enhance>
			<input type="hidden" name="says" value="needs more" />
			<StudentPicker label="Student" name="student" />
			<label class="wide">Needs more, because <input name="reason" minlength="3" maxlength="300" required /></label>
			<button>Say it</button>
		</form>
	</section>
{/if}
<Notice outcome={form} />

<style>
	section {
		margin-bottom: 16px;
	}
	.tried {
		padding: 10px 16px;
		background: var(--sheet);
		border: 1px solid var(--verdigris);
		border-radius: var(--corner);
	}
	ul {
		margin: 4px 0;
		padding-left: 20px;
	}
	.plain {
		list-style: none;
		padding: 0;
	}
	.plain li {
		display: flex;
		gap: 12px;
		align-items: center;
	}
	.line {
		display: flex;
		flex-wrap: wrap;
		gap: 8px 16px;
		align-items: center;
		margin-top: 8px;
	}
	.why {
		max-width: 520px;
		white-space: normal;
	}
	.wide {
		display: flex;
		gap: 8px;
		align-items: center;
		flex: 1 1 320px;
	}
	.wide input {
		flex: 1;
	}
</style>
