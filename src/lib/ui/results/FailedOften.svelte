<!-- Students who are under the line on a skill again and again, and what may do more than more of the same. -->
<script lang="ts">
	import { plural } from '$lib/core/words';
	import { keepingScope } from '../shell/address';

	interface Props {
		failed: {
			skill: { id: number; name: string };
			students: {
				id: number;
				name: string;
				before: { id: number; name: string } | null;
				why: 'one set' | 'several sets';
				times: number;
			}[];
		}[];
		canAssign: boolean;
	}
	let { failed, canAssign }: Props = $props();
	const ids = (students: { id: number }[]) => students.map(({ id }) => id).join(',');
	/** What comes before, and for whom it is what they have least. */
	const byBefore = (students: Props['failed'][number]['students']) => {
		const found = new Map<number, { name: string; students: typeof students }>();
		for (const student of students) {
			if (!student.before) continue;
			const known = found.get(student.before.id) ?? { name: student.before.name, students: [] };
			found.set(student.before.id, known);
			known.students.push(student);
		}
		return [...found];
	};
</script>

<ul>
	{#each failed as { skill, students } (skill.id)}
		<li>
			<p>
				<strong>{skill.name}</strong>, under the line again and again:
				{#each students as { id, name, why, times }, i (id)}{i ? ', ' : ''}<a
						href={keepingScope(`/students/${id}/answers`, { student: null, skill: skill.id })}>{name}</a
					>
					({why === 'one set' ? plural(times, 'run') : plural(times, 'set')}){/each}
			</p>
			{#if canAssign}
				<p class="one-line no-print">
					{#each byBefore(students) as [id, before] (id)}
						<a
							class="button"
							href={keepingScope('/practice/new', {
								for: `students:${ids(before.students)}`,
								skill: id,
								student: null
							})}
							>Practice what comes before: {before.name}{before.students.length < students.length
								? `, for ${before.students.map(({ name }) => name).join(', ')}`
								: ''}</a
						>
					{/each}
					{#if students.length > 1}<a
							class="button"
							href={keepingScope('/groups/suggest', { students: ids(students), domain: null, student: null })}
							>Small group</a
						>{/if}
					<a class="button" href={keepingScope('/practice/given', { for: `students:${ids(students)}`, student: null })}
						>One to one: a task with you</a
					>
				</p>
			{/if}
		</li>
	{/each}
</ul>

<style>
	ul {
		list-style: none;
		margin: 10px 0 14px;
		padding: 0;
		display: grid;
		gap: 8px;
	}
	li {
		padding: 8px 14px;
		border-left: 4px solid var(--gap-ink);
		background: var(--sheet);
	}
</style>
