<!-- What was understood of a list of students, to be corrected before anything is stored. -->
<script lang="ts">
	import { HIGHEST_GRADE, HOME_LANGUAGE, problemOf } from '$lib/core/interchange/studentList';
	import type { PlannedEffect, PlannedStudent } from '$lib/core/interchange/studentPlan';
	import { sayGrade } from '$lib/core/words';
	import Table from '../table/Table.svelte';

	interface Props {
		students: PlannedStudent[];
		today: string;
		/** Whether the list names the class of each. */
		hasClasses: boolean;
	}
	let { students = $bindable(), today, hasClasses }: Props = $props();

	const SAYS: Record<PlannedEffect, string> = {
		new: 'new',
		here: 'is here already',
		moves: 'moves here from another class',
		returns: 'comes back',
		bad: 'is left out'
	};
	const GRADES = Array.from({ length: HIGHEST_GRADE + 1 }, (_, grade) => grade);
	const hasLanguages = $derived(students.some(({ homeLanguage }) => homeLanguage));
	const TEXTS = ['familyName', 'givenName', 'preferredName', 'number'] as const;
	const LABELS = {
		familyName: 'Family name',
		givenName: 'Given name',
		preferredName: 'Known as',
		number: 'Number'
	};
	/** Rows that are open for correction: those that cannot be taken, and those that somebody opened. */
	let opened = $state<number[]>([]);
	const wasBad = $derived(new Set(students.flatMap(({ effect }, i) => (effect === 'bad' ? [i] : []))));
	/** Once corrected it is looked at anew when it is stored. */
	function corrected(student: PlannedStudent) {
		student.problem = problemOf(student, today);
	}
</script>

<Table
	says="The list as it was understood"
	columns={[
		{ label: 'Line', isNumber: true },
		...TEXTS.map((name) => ({ label: LABELS[name] })),
		{ label: 'Grade' },
		{ label: 'Born' },
		hasLanguages && { label: HOME_LANGUAGE },
		hasClasses && { label: 'Class' },
		{ label: 'What happens' },
		{ label: 'What can be done', isSilent: true }
	]}
	rows={students}
	key={(_, i) => i}
	attributes={({ problem }) => ({ class: { bad: problem !== '' } })}
>
	{#snippet cells(student, i)}
		<td class="number">{i + 1}</td>
		{#if wasBad.has(i) || opened.includes(i)}
			{#each TEXTS as name (name)}
				<td
					><input
						bind:value={student[name]}
						oninput={() => corrected(student)}
						maxlength="60"
						aria-label="{LABELS[name]}, line {i + 1}"
					/></td
				>
			{/each}
			<td>
				<select bind:value={student.grade} onchange={() => corrected(student)} aria-label="Grade, line {i + 1}">
					<option value={null}>as the class</option>
					{#each GRADES as grade (grade)}<option value={grade}>{sayGrade(grade)}</option>{/each}
				</select>
			</td>
			<td
				><input
					type="date"
					bind:value={() => student.birthDate ?? '', (day) => (student.birthDate = day || null)}
					onchange={() => corrected(student)}
					aria-label="Born, line {i + 1}"
				/></td
			>
		{:else}
			<th scope="row">{student.familyName}</th>
			<td>{student.givenName}</td>
			<td>{student.preferredName}</td>
			<td>{student.number}</td>
			<td>{student.grade === null ? '' : sayGrade(student.grade)}</td>
			<td>{student.birthDate ?? ''}</td>
		{/if}
		{#if hasLanguages}<td>{student.homeLanguage}</td>{/if}
		{#if hasClasses}<td>{student.className}</td>{/if}
		<td class="happens"
			>{student.problem || (student.effect === 'bad' ? 'is looked at again' : SAYS[student.effect])}</td
		>
		<td class="steps">
			{#if !wasBad.has(i) && !opened.includes(i)}
				<button class="small" onclick={() => (opened = [...opened, i])} aria-label="Correct line {i + 1}"
					>Correct</button
				>
			{/if}
			<button
				class="small"
				onclick={() => {
					students = students.filter((_, other) => other !== i);
					opened = opened.filter((other) => other !== i).map((other) => (other > i ? other - 1 : other));
				}}
				aria-label="Leave out line {i + 1}">Leave out</button
			>
		</td>
	{/snippet}
</Table>

<style>
	input:not([type='date']) {
		width: 9rem;
	}
	.happens {
		min-width: 12rem;
	}
	.steps {
		white-space: nowrap;
	}
</style>
