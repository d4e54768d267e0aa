<!--
	Records a verdict on a review: what is advised is chosen at first, the tier follows from the verdict until another is
	chosen.
	<VerdictForm {review} student={{ name: 'Ada Marsh', tier: 2 }} choices={data.form} advised="continue" />
-->
<script lang="ts">
	import { untrack, type ComponentProps } from 'svelte';
	import { enhance } from '$app/forms';
	import { page } from '$app/state';
	import type { Verdict } from '$lib/core/growth';
	import { withState } from '../shell/address';
	import VerdictGroup from './VerdictGroup.svelte';

	interface Props {
		review: { id: number; groupName: string };
		student: { name: string; tier: number };
		/** Where the student could go, what leaving ends, and usual dates. */
		choices: Pick<ComponentProps<typeof VerdictGroup>, 'own' | 'fitting' | 'work'> & {
			dates: { effectiveOn: string; nextReviewOn: string };
		};
		advised: Verdict;
	}
	let { review, student, choices, advised }: Props = $props();

	const VERDICTS: Record<Verdict, string> = {
		continue: 'same plan, look again later',
		adjust: 'same tier, another plan',
		intensify: 'more: a higher tier',
		fade: 'less often, watch whether it holds',
		exit: 'leaves the group; tier 1'
	};
	/** The tier that goes with a verdict. */
	const TIER_AFTER: Record<Verdict, (tier: number) => number> = {
		continue: (tier) => tier,
		adjust: (tier) => tier,
		intensify: (tier) => Math.min(3, tier + 1),
		fade: (tier) => Math.max(1, tier - 1),
		exit: () => 1
	};
	let verdict = $state(untrack(() => advised));
	/** Where another than the verdict's usual one was chosen. */
	let chosenTier = $state<number | null>(null);
	const tier = $derived(chosenTier ?? TIER_AFTER[verdict](student.tier));
</script>

<form method="POST" action="?/verdict&{page.url.searchParams.toString()}" use:enhance>
	<input type="hidden" name="review" value={review.id} />
	<fieldset>
		<legend>Verdict</legend>
		{#each Object.entries(VERDICTS) as [value, meaning] (value)}
			<label
				><input
					type="radio"
					name="verdict"
					{value}
					bind:group={verdict}
					onchange={() => (chosenTier = null)}
					required
				/>
				{value} <span class="soft">{meaning}</span></label
			>
		{/each}
	</fieldset>
	<label
		>Tier from then on
		<select name="newTier" bind:value={() => tier, (wanted) => (chosenTier = wanted)}>
			{#each [1, 2, 3] as one (one)}<option value={one}>tier {one}{one === student.tier ? ' (as now)' : ''}</option
				>{/each}
		</select>
	</label>
	<VerdictGroup
		groupName={review.groupName}
		{tier}
		isExit={verdict === 'exit'}
		own={choices.own}
		fitting={choices.fitting}
		work={choices.work}
	/>
	<label>From <input type="date" name="effectiveOn" defaultValue={choices.dates.effectiveOn} required /></label>
	{#if verdict !== 'exit'}<label
			>Look again on <input type="date" name="nextReviewOn" defaultValue={choices.dates.nextReviewOn} required /></label
		>{/if}
	<label class="note"
		>Who was there and what was agreed <textarea name="note" rows="3" maxlength="2000"></textarea></label
	>
	<p>
		<button class="primary">Record {verdict} for {student.name}</button>
		<a class="button" href={withState({ review: null })}>Not now</a>
	</p>
</form>

<style>
	form {
		display: flex;
		flex-wrap: wrap;
		gap: 10px 20px;
		align-items: center;
		border-top: 1px solid var(--rule);
		padding-top: 10px;
	}
	fieldset {
		border: 0;
		padding: 0;
		margin: 0;
		width: 100%;
		display: flex;
		flex-wrap: wrap;
		gap: 4px 20px;
	}
	legend {
		font-weight: 600;
	}
	.note {
		width: 100%;
		display: grid;
	}
</style>
