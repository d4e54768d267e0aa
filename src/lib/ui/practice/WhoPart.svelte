<!-- Who a set is for: names, each of which can be left out, what speaks against it, and how others are found. -->
<script lang="ts">
	import { plural } from '$lib/core/words';
	import type { PracticeWarning } from '$lib/core/practice';
	import { page } from '$app/state';
	import AddReceiver from './AddReceiver.svelte';
	import { setState } from '../shell/address';
	import AssignPart from './AssignPart.svelte';
	import NameChips from './NameChips.svelte';
	import type { NewSet, SkillChoice, StudentChoice } from './newSet.svelte';
	import { sayWarning } from './sayWarning';

	interface Props {
		newSet: NewSet;
		data: {
			who: { label: string | null; rule: string | null };
			isOwnStep: boolean;
			students: StudentChoice[];
			skills: SkillChoice[];
			chosen: number[];
			choices: { key: string; label: string; kind: string }[];
			scope: { inWords: string; size: number };
			school: { today: string };
		};
	}
	let { newSet, data }: Props = $props();

	const nameOf = (id: number) => data.students.find((student) => student.id === id)!.name;
	const skillName = (id: number) => data.skills.find((skill) => skill.id === id)?.shortName ?? 'a skill';
	const warned = $derived(new Set(newSet.warnings.flatMap(({ studentIds }) => studentIds)));
	const first = $derived(data.chosen.length ? skillName(data.chosen[0]) : 'a skill');
	const RULES = $derived([
		...(data.isOwnStep
			? []
			: [
					{ key: 'ready', says: `ready for ${first}, and not there yet` },
					{ key: 'below', says: `rather without ${first}, or never seen on it` }
				]),
		{ key: 'clear', says: 'nothing to do, though gaps are open: tiers 2 and 3 and below the line' },
		{ key: 'clear-all', says: 'nothing to do, though gaps are open: everybody' },
		{ key: `absent:${data.school.today}`, says: 'absent from a session today' }
	]);
	const current = $derived(page.url.searchParams.get('for') ?? '');

	/** A whole class or group, in place of who is there. */
	function choose(key: string) {
		if (key.startsWith('group:')) return setState({ for: key, with: null });
		return setState(key === 'all' ? { for: 'all', with: null } : { scope: key, for: null, with: null });
	}
	const instead = ({ skillId, prerequisiteId }: Extract<PracticeWarning, { kind: 'prerequisite is a gap' }>) =>
		data.chosen.map((id) => (id === skillId ? prerequisiteId : id)).join(',');
</script>

<AssignPart name="Who">
	{#if data.students.length}
		<p>
			<strong>{plural(newSet.students.length, 'student')}</strong>
			<span class="soft"
				>{data.who.rule ? `found in ${data.who.label}` : `of ${data.who.label}`}{newSet.leftOut.length
					? `, ${newSet.leftOut.length} left out`
					: ''}{newSet.withoutStep.length ? `, ${newSet.withoutStep.length} with nothing ready` : ''}</span
			>
		</p>
	{:else if data.who.rule}
		<p>Nobody in {data.who.label} is like that. Look at more students with the picker above, or choose otherwise.</p>
	{:else}
		<p>Nobody yet. Choose a class, a group or a rule, or add students by name.</p>
	{/if}
	{#if !data.isOwnStep && data.students.length}
		<NameChips
			label="Students of the set"
			students={data.students.map(({ id, name }) => ({
				...{ id, name },
				isOut: newSet.leftOut.some((one) => one.id === id),
				isWarned: warned.has(id)
			}))}
			leaveOut={(id) => newSet.leaveOut(id)}
			takeBackIn={(id) => newSet.takeBackIn(id)}
		/>
	{/if}
	{#each newSet.warnings as warning (JSON.stringify(warning))}
		<p class="attention">
			{sayWarning(warning, nameOf, skillName)}
			<button class="plain" onclick={() => newSet.leaveOut(...warning.studentIds)}
				>Leave {warning.studentIds.length === 1 ? 'out' : `${warning.studentIds.length} out`}</button
			>
			{#if warning.kind === 'prerequisite is a gap' && data.skills.some(({ id }) => id === warning.prerequisiteId)}
				<button class="plain" onclick={() => setState({ skill: instead(warning) })}
					>Give {skillName(warning.prerequisiteId)} instead</button
				>
			{/if}
		</p>
	{/each}
	<div class="find">
		<label
			>Find by a rule <select
				value={RULES.some(({ key }) => key === current) ? current : ''}
				onchange={(event) => setState({ for: event.currentTarget.value || null, with: null })}
			>
				<option value="">no rule</option>
				{#each RULES as { key, says } (key)}<option value={key}>{says}</option>{/each}
			</select></label
		>
		<label
			>Class or group <select value="" onchange={(event) => choose(event.currentTarget.value)}>
				<option value="" disabled>choose</option>
				<option value="all">everyone in {data.scope.inWords} ({data.scope.size})</option>
				{#each data.choices as { key, label } (key)}<option value={key}>{label}</option>{/each}
			</select></label
		>
		<span class="add">Add <AddReceiver not={data.students.map(({ id }) => id)} /></span>
	</div>
</AssignPart>

<style>
	.find {
		display: flex;
		flex-wrap: wrap;
		gap: 6px 16px;
		align-items: center;
	}
	.find select {
		max-width: 220px;
	}
	.attention button {
		min-height: 26px;
		padding: 0 4px;
	}
	.add {
		display: inline-flex;
		gap: 6px;
		align-items: center;
	}
</style>
