<script lang="ts">
	import Table from '$lib/ui/table/Table.svelte';
	import { fullName, plural } from '$lib/core/words';
	import { enhance } from '$app/forms';
	import { page } from '$app/state';
	import { sayDate } from '$lib/core/calendar';
	import TierBars from '$lib/ui/glyphs/TierBars.svelte';
	import ActionBar from '$lib/ui/shell/ActionBar.svelte';
	import { keepingScope, withState } from '$lib/ui/shell/address';
	import Notice from '$lib/ui/shell/Notice.svelte';

	let { data, form } = $props();

	const nameOf = $derived(new Map(data.skills.map(({ id, shortName }) => [id, shortName])));
	/** By student: skills that are asked; what is proposed until somebody changes it. */
	let changed = $state<Record<number, number[]>>({});
	const askedOf = (student: { id: number; proposed: number[] }) => changed[student.id] ?? student.proposed;
	const asked = $derived(data.students.filter((student) => askedOf(student).length));
	const skills = $derived(new Set(asked.flatMap(askedOf)).size);
	const wanted = $derived(asked.map((student) => `${student.id}:${askedOf(student).join(',')}`).join(';'));
	const people = (count: number) => `${plural(count, 'student')}`;
	const back = $derived.by(() => {
		const [kind, value] = (page.url.searchParams.get('back') ?? '').split(':');
		if (kind === 'draft' && /^\d+$/.test(value)) return keepingScope('/groups/suggest', { draft: value });
		if (page.url.searchParams.has('students'))
			return keepingScope('/groups/suggest', { students: page.url.searchParams.get('students') });
		return keepingScope('/gaps');
	});

	function toggle(student: { id: number; proposed: number[] }, skillId: number, isAsked: boolean) {
		const now = askedOf(student);
		changed = {
			...changed,
			[student.id]: isAsked ? [...now, skillId] : now.filter((one) => one !== skillId)
		};
	}
</script>

<svelte:head><title>Skill check · Orderly Compass</title></svelte:head>

<p><a href={back}>Back</a></p>
<h1>Skill check</h1>
<p class="soft">
	{data.items} questions on each skill, at most four skills a student: what is only inferred, or rests on few answers, and
	would decide a group. Answers count as evidence as soon as they are given; students see no right or wrong.
</p>

{#if data.students.length === 0}
	<p>Nobody is in this scope.</p>
{:else}
	<Table
		says="Skills to check"
		columns={[
			{ label: 'Student' },
			{ label: 'Class' },
			{ label: 'Skills to check' },
			{ label: 'Questions', isNumber: true }
		]}
		rows={data.students}
		key={({ id }) => id}
		attributes={(student) => ({
			'data-student': student.id,
			class: { current: student.id === Number(page.url.searchParams.get('student')) }
		})}
	>
		{#snippet cells(student)}
			<th scope="row"
				><a href={withState({ student: student.id })}>{fullName(student)}</a>
				<TierBars tier={student.tier} /></th
			>
			<td>{student.className}</td>
			<td>
				{#each student.proposed as skillId (skillId)}
					<label
						><input
							type="checkbox"
							checked={askedOf(student).includes(skillId)}
							onchange={(event) => toggle(student, skillId, event.currentTarget.checked)}
							aria-label="{nameOf.get(skillId)} for {fullName(student)}"
						/>
						{nameOf.get(skillId)}</label
					>
				{/each}
				{#if student.waiting.length}
					<span class="soft">waiting: {student.waiting.map((skillId) => nameOf.get(skillId)).join(', ')}</span>
				{:else if student.proposed.length === 0}
					<span class="soft">nothing to confirm: what matters rests on answers</span>
				{/if}
			</td>
			<td class="number">{data.items * askedOf(student).length || ''}</td>
		{/snippet}
	</Table>
	{#if asked.length}
		<ActionBar says="{people(asked.length)}, {plural(skills, 'skill')}">
			<form method="POST" action="?/assign{page.url.search ? `&${page.url.search.slice(1)}` : ''}" use:enhance>
				<input type="hidden" name="wanted" value={wanted} />
				<label>Due <input type="date" name="dueOn" defaultValue={data.dueOn} required /></label>
				<span class="soft">Open from now; after {sayDate(data.dueOn)} it stays open and counts as late.</span>
				<button class="primary">Assign to {people(asked.length)}</button>
			</form>
		</ActionBar>
	{/if}
{/if}
<Notice outcome={form} />

<style>
	td label {
		font-weight: 400;
		margin-right: 14px;
		white-space: nowrap;
	}
	form {
		display: flex;
		flex-wrap: wrap;
		gap: 12px;
		align-items: center;
	}
</style>
