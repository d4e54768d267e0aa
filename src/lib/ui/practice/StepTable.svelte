<!-- Each student's own next step: which skill, why, where they stand, how the last set on it went; each can be changed. -->
<script lang="ts">
	import Needle from '../glyphs/Needle.svelte';
	import { describeStanding } from '$lib/core/mastery';
	import Table from '../table/Table.svelte';
	import type { NewSet, SkillChoice, StudentChoice } from './newSet.svelte';

	interface Props {
		newSet: NewSet;
		students: StudentChoice[];
		skills: SkillChoice[];
	}
	let { newSet, students, skills }: Props = $props();
	const skillOf = $derived(new Map(skills.map((skill) => [skill.id, skill])));
	const isOut = (id: number) => newSet.leftOut.some((one) => one.id === id);

	function choose(id: number, value: string) {
		newSet.takeBackIn(id);
		if (value === 'out') newSet.leaveOut(id);
		else newSet.chooseStep(id, Number(value));
	}
	const WHY = { due: 'due by now, and ready', further: 'all due is there: further' };
</script>

<Table
	says="Each their own next step"
	columns={[
		{ label: 'Student' },
		{ label: 'Class' },
		{ label: 'Next step' },
		{ label: 'Why' },
		{ label: 'Standing' },
		{ label: 'Last set' }
	]}
	rows={students}
	key={({ id }) => id}
	attributes={({ id }) => ({ 'data-student': id })}
>
	{#snippet cells(student)}
		{@const skillId = newSet.stepOf(student.id)}
		{@const step = student.steps.find((one) => one.skillId === skillId)}
		<th scope="row">{student.name}</th>
		<td class="soft">{student.className}</td>
		<td>
			{#if student.steps.length}
				<select
					aria-label="Next step of {student.name}"
					value={isOut(student.id) ? 'out' : String(skillId)}
					onchange={(event) => choose(student.id, event.currentTarget.value)}
				>
					{#each student.steps as one (one.skillId)}
						<option value={String(one.skillId)}
							>{skillOf.get(one.skillId)?.code} {skillOf.get(one.skillId)?.shortName}</option
						>
					{/each}
					<option value="out">nothing now</option>
				</select>
			{:else}
				<span class="soft">nothing that is ready has questions</span>
			{/if}
		</td>
		<td class="soft">{step && !isOut(student.id) ? WHY[step.why] : ''}</td>
		<td>
			{#if step && !isOut(student.id)}<span class="standing"
					><Needle
						state={step.now?.inferred ?? step.now?.standing ?? 'unseen'}
						inferred={Boolean(step.now?.inferred)}
						size={16}
					/>
					{describeStanding(step.now ?? undefined)}</span
				>
			{/if}
		</td>
		<td>{step?.last && !isOut(student.id) ? `${step.last.right} of ${step.last.of}` : ''}</td>
	{/snippet}
</Table>

<style>
	.standing {
		display: inline-flex;
		gap: 6px;
		align-items: center;
	}
	select {
		max-width: 230px;
	}
</style>
