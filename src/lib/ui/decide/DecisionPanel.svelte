<!--
	The decision on one student, in view whatever is scrolled: the verdict, from when, which group, and the sentence that will
	happen. What is advised is chosen at first; all else stands behind "More".
	<DecisionPanel {step} isInMeeting onrecorded={next} />
-->
<script lang="ts">
	import { untrack } from 'svelte';
	import { enhance } from '$app/forms';
	import { page } from '$app/state';
	import { isAsAdvised, sayDecision, VERDICTS } from '$lib/core/growth';
	import { sayLeaving } from '$lib/core/grouping';
	import { plural } from '$lib/core/words';
	import type { ShownStep } from './shownStep';
	import { Decision } from './decision.svelte';
	import DecisionMore from './DecisionMore.svelte';

	interface Props {
		step: ShownStep;
		/** Whether another student follows. */
		hasNext?: boolean;
		/** Called once it is stored. */
		onrecorded?: () => void;
	}
	let { step, hasNext = false, onrecorded }: Props = $props();

	const decision = untrack(() => {
		const { student, recommendation, review, form, asked } = step;
		return new Decision({
			name: student.givenName,
			tier: student.tier,
			advice: recommendation.advice,
			groupName: review.groupName,
			own: form.own,
			fitting: form.fitting,
			dates: form.dates,
			goal: asked && { right: asked.plan.goal.right, on: asked.plan.goalOn }
		});
	});
	const skillName = (id: number) => step.skillNames[id] ?? '';
	const says = $derived(sayDecision(decision.said(skillName)));
	const ends = $derived(decision.group === 'stays' ? '' : sayLeaving([step.form.work], decision.joins?.focusSkillId));
	const isOtherTier = $derived(
		decision.group === 'stays' && step.form.own !== null && decision.tier !== step.form.own.tier
	);
	let isMore = $state(false);
	let isSending = $state(false);

	/** A field that stands behind “More” and is wrong is shown. */
	function openFor({ target }: Event) {
		if ((target as HTMLElement).closest('#more')) isMore = true;
	}
</script>

<form
	method="POST"
	action="?/verdict&{page.url.searchParams.toString()}"
	aria-label="Decision"
	class="panel no-print"
	oninvalidcapture={openFor}
	use:enhance={() => {
		isSending = true;
		return async ({ result, update }) => {
			await update({ reset: false });
			isSending = false;
			if (result.type === 'success') onrecorded?.();
		};
	}}
>
	<input type="hidden" name="review" value={step.review.id} />
	<div class="line">
		<fieldset>
			<legend class="visually-hidden">Verdict</legend>
			{#each VERDICTS as verdict (verdict)}
				<label class="verdict" class:chosen={decision.verdict === verdict}>
					<input
						type="radio"
						name="verdict"
						value={verdict}
						checked={decision.verdict === verdict}
						onchange={() => decision.choose(verdict)}
					/>
					{verdict}{#if isAsAdvised(verdict, step.recommendation.advice)}<span class="soft"> advised</span>{/if}
				</label>
			{/each}
		</fieldset>
		<label>from <input type="date" name="effectiveOn" bind:value={decision.effectiveOn} required /></label>
		<label class="group"
			>group
			<select
				bind:value={() => decision.group, (group) => (decision.group = group)}
				disabled={decision.verdict === 'exit'}
			>
				{#if step.review.groupName}
					<option value="stays">stays in {step.review.groupName}</option>
					<option value="leaves">leaves it</option>
				{:else}
					<option value="stays">none</option>
				{/if}
				{#if decision.offered.length}
					<optgroup label="joins a tier {decision.tier} group with a free place">
						{#each decision.offered as { id, name, focus, when, places } (id)}
							<option value={String(id)}>{name}: {focus} ({when}; {plural(places, 'place')} free)</option>
						{/each}
					</optgroup>
				{/if}
			</select>
		</label>
		<input type="hidden" name="group" value={decision.group} />
		<input type="hidden" name="newTier" value={decision.tier} />
	</div>
	{#if !decision.isAsAdvised || decision.verdict === 'adjust'}
		<div class="line">
			{#if !decision.isAsAdvised}
				<label class="wide"
					>Why not as advised
					<input name="against" bind:value={decision.against} maxlength="500" required /></label
				>
			{/if}
			{#if decision.verdict === 'adjust'}
				<label class="wide"
					>What is done in another way
					<input
						name="change"
						bind:value={decision.change}
						maxlength="120"
						list="ways"
						required={decision.group === 'stays' && !decision.focus}
					/></label
				>
				<datalist id="ways">
					{#each ['smaller steps', 'worked examples first', 'with things to handle', 'more answers aloud', 'longer sessions', 'another time of day'] as way (way)}
						<option value={way}></option>
					{/each}
				</datalist>
			{/if}
		</div>
	{/if}
	<div id="more" hidden={!isMore}><DecisionMore {decision} {step} /></div>
	<div class="line">
		<p class="says" aria-live="polite">
			<strong>{says}</strong>
			{#if isOtherTier}<span class="soft">“{step.review.groupName}” is a tier {step.form.own?.tier} group.</span>{/if}
			{#if ends}<span class="soft">{ends}</span>{/if}
		</p>
		<button type="button" aria-expanded={isMore} aria-controls="more" onclick={() => (isMore = !isMore)}
			>{isMore ? 'Less' : 'More'}</button
		>
		<button class="primary" disabled={isSending}>{hasNext ? 'Record and next' : 'Record'}</button>
	</div>
</form>

<style>
	.panel {
		position: sticky;
		bottom: 0;
		z-index: 10;
		display: grid;
		grid-template-columns: minmax(0, 1fr);
		gap: 8px;
		margin: 16px -24px -24px;
		padding: 10px 24px 12px;
		max-height: 75vh;
		overflow: auto;
		background: var(--sheet);
		border-top: 1px solid var(--rule-strong);
	}
	.line {
		display: flex;
		flex-wrap: wrap;
		gap: 8px 14px;
		align-items: center;
	}
	fieldset {
		display: flex;
		flex-wrap: wrap;
		gap: 8px;
		margin: 0;
		padding: 0;
		border: 0;
	}
	.verdict {
		position: relative;
		display: inline-flex;
		align-items: center;
		min-height: 32px;
		padding: 4px 12px;
		border: 1px solid var(--rule-strong);
		border-radius: var(--corner);
		font-weight: 600;
		cursor: pointer;
	}
	.verdict .soft {
		font-weight: 400;
		margin-left: 6px;
	}
	.verdict input {
		position: absolute;
		inset: 0;
		opacity: 0;
		margin: 0;
		cursor: pointer;
	}
	.verdict:has(:focus-visible) {
		outline: 2px solid var(--verdigris);
		outline-offset: 2px;
	}
	.chosen {
		border: 2px solid var(--verdigris);
		padding: 3px 11px;
		background: var(--verdigris-wash);
	}
	.group {
		display: flex;
		align-items: center;
		gap: 6px;
		flex: 1 1 260px;
		min-width: 0;
	}
	.group select {
		flex: 1;
		min-width: 0;
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
	.says {
		flex: 1 1 300px;
	}
	@media (max-width: 900px) {
		.panel {
			margin-inline: -12px;
			padding-inline: 12px;
			position: static;
			max-height: none;
		}
	}
</style>
