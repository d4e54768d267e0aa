<!-- Keeps a draft beside others, or makes its groups real: from and until which day, and when students are first reviewed. -->
<script lang="ts">
	import { plural } from '$lib/core/words';
	import { enhance } from '$app/forms';
	import ActionBar from '../shell/ActionBar.svelte';
	import type { Draft } from './draft.svelte';

	interface Props {
		draft: Draft;
		dates: { startsOn: string; endsOn: string; reviewOn: string };
		/** Limits that are broken, in words. */
		broken: string[];
		regrouped: { slotId: number; focusSkillId: number }[];
		/** Name of the draft that it began with. */
		keptName: string;
		/** Whether it is known how far from the best the draft is; else it cannot be kept before a new search. */
		isProven: boolean;
		/** Called with the id of the adoption. */
		onadopted: (adoption: string) => void;
	}
	let { draft, dates, broken, regrouped, keptName, isProven, onadopted }: Props = $props();

	const groups = $derived(draft.groups.filter(({ studentIds }) => studentIds.length > 0));
	const says = $derived(`${plural(groups.length, 'group')} with ${plural(draft.placed, 'student')}`);
	const goOn = $derived(
		regrouped.filter((old) =>
			groups.some(({ slotId, focusId }) => Number(slotId) === old.slotId && Number(focusId) === old.focusSkillId)
		).length
	);
	const ending = $derived(regrouped.length - goOn);
	const sent = $derived(
		JSON.stringify(groups.map(({ slotId, focusId, tier, studentIds }) => ({ slotId, focusId, tier, studentIds })))
	);
	const students = $derived(draft.posed.students.map(({ id }) => id).join(','));
	const limits = $derived(JSON.stringify(draft.limits));
	let name = $state('');
	const action = (deed: string) => `?/${deed}${location.search ? `&${location.search.slice(1)}` : ''}`;
</script>

<ActionBar {says}>
	{#if regrouped.length}<span class="soft"
			>{goOn ? `${goOn} go on` : ''}{goOn && ending ? ', ' : ''}{ending
				? `${plural(ending, 'ends', 'end')} the day before`
				: ''}</span
		>{/if}
	<form
		class="keep"
		method="POST"
		action={action('keep')}
		use:enhance={() =>
			async ({ result, update }) => {
				await update({ reset: false, invalidateAll: false });
				if (result.type === 'success') name = '';
			}}
	>
		<input type="hidden" name="groups" value={sent} />
		<input type="hidden" name="bound" value={draft.result?.bound ?? 0} />
		<input type="hidden" name="students" value={students} />
		<input type="hidden" name="limits" value={limits} />
		<input
			name="name"
			aria-label="Name of the draft"
			placeholder={keptName || 'name, to keep this draft'}
			maxlength="80"
			required
			bind:value={name}
		/>
		<button disabled={!isProven} title={isProven ? undefined : 'After a new search'}>Keep draft</button>
	</form>
	<form
		method="POST"
		action={action('adopt')}
		use:enhance={() =>
			async ({ result, update }) => {
				if (result.type === 'success') onadopted(String(result.data?.adopted));
				else await update({ reset: false });
			}}
	>
		<input type="hidden" name="groups" value={sent} />
		<input type="hidden" name="students" value={students} />
		<input type="hidden" name="limits" value={limits} />
		<label>From <input type="date" name="startsOn" defaultValue={dates.startsOn} required /></label>
		<label>to <input type="date" name="endsOn" defaultValue={dates.endsOn} required /></label>
		<label>first review <input type="date" name="reviewOn" defaultValue={dates.reviewOn} required /></label>
		<label
			>weekly probes <select name="probeGoal"
				><option value="14">for all, goal 14 of 16</option>
				{#each [10, 12, 15, 16] as goal (goal)}<option value={goal}>for all, goal {goal} of 16</option>{/each}<option
					value="0">not now</option
				></select
			></label
		>
		{#if broken.length}
			<label class="reason"
				>{broken.length === 1 ? '1 limit is' : `${broken.length} limits are`} broken, because
				<input name="reason" maxlength="500" required placeholder="your reason" /></label
			>
		{/if}
		<button class="primary">Adopt {says}</button>
	</form>
</ActionBar>

<style>
	form {
		display: flex;
		flex-wrap: wrap;
		gap: 8px 12px;
		align-items: center;
	}
	.keep {
		gap: 4px;
	}
	.keep input {
		width: 180px;
	}
	.reason {
		color: var(--slipping-ink);
	}
</style>
