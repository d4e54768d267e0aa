<!--
	Where a student works from a verdict on: stays in the group, leaves it, or moves to one of the tier that has a place.
	Says what leaving ends before it is done, and when a group of another tier would be stayed in.
	<VerdictGroup groupName="Tern two" tier={3} own={{ tier: 2 }} isExit={false} {fitting} {work} />
-->
<script lang="ts">
	import { sayLeaving, type GroupWork } from '$lib/core/grouping';
	import { plural } from '$lib/core/words';

	interface Props {
		groupName: string;
		/** From the verdict on. */
		tier: number;
		/** The group that the review is about; null where it has ended. */
		own: { tier: number } | null;
		/** An exit leaves the group. */
		isExit: boolean;
		fitting: {
			id: number;
			name: string;
			tier: number;
			focusSkillId: number;
			focus: string;
			when: string;
			members: number;
		}[];
		work: GroupWork;
	}
	let { groupName, tier, own, isExit, fitting, work }: Props = $props();

	const offered = $derived(fitting.filter((group) => group.tier === tier));
	let chosen = $state('stays');
	const group = $derived(
		isExit
			? 'leaves'
			: chosen === 'stays' || chosen === 'leaves' || offered.some(({ id }) => String(id) === chosen)
				? chosen
				: 'stays'
	);
	const to = $derived(offered.find(({ id }) => String(id) === group) ?? null);
</script>

<label
	>Group from then on
	<select bind:value={() => group, (value) => (chosen = value)} disabled={isExit}>
		<option value="stays">stays in {groupName}</option>
		<option value="leaves">leaves {groupName}</option>
		{#if offered.length}
			<optgroup label="moves to a tier {tier} group">
				{#each offered as { id, name, focus, when, members } (id)}
					<option value={String(id)}>{name}: {focus} ({when}; {plural(members, 'student')} now)</option>
				{/each}
			</optgroup>
		{/if}
	</select>
</label>
<input type="hidden" name="group" value={group} />
<p class="says soft" aria-live="polite">
	{#if group === 'stays'}
		{#if own && tier !== own.tier}
			<strong>{groupName} is a tier {own.tier} group.</strong>
			{#if tier === 1}Tier 1 has no small groups.
			{:else if !offered.length}No tier {tier} group has a place at a time when the class can spare the student.{/if}
		{/if}
	{:else}
		{sayLeaving([work], to?.focusSkillId ?? null)}
	{/if}
</p>

<style>
	select {
		max-width: 34em;
	}
	.says {
		width: 100%;
	}
	.says:empty {
		display: none;
	}
</style>
