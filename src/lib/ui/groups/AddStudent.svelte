<!-- Brings one more student onto the board, by typing a name. -->
<script lang="ts">
	import { deserialize } from '$app/forms';
	import type { GroupingProblem } from '$lib/core/grouping';
	import type { BoardStudent, NeedWhy } from './board';
	import type { Draft } from './draft.svelte';

	interface Added {
		student: BoardStudent;
		posed: GroupingProblem['students'][number];
		why: Record<string, NeedWhy>;
		alsoIn: string[];
		openAt: string[];
	}
	interface Props {
		draft: Draft;
		/** Who can be added: everybody in scope. */
		choices: BoardStudent[];
		onadded: (added: Added) => void;
	}
	let { draft, choices, onadded }: Props = $props();

	let typed = $state('');
	let problem = $state('');
	const full = ({ givenName, familyName, className }: BoardStudent) => `${givenName} ${familyName}, ${className}`;
	const isThere = (id: number) => draft.posed.students.some((student) => student.id === String(id));
	const open = $derived(choices.filter(({ id }) => !isThere(id)));

	async function add(event: SubmitEvent) {
		event.preventDefault();
		const wanted = typed.trim().toLowerCase();
		const found = open.filter((student) => full(student).toLowerCase().includes(wanted));
		const exact = found.filter((student) => full(student).toLowerCase() === wanted);
		const [student] = exact.length ? exact : found;
		problem = '';
		if (!wanted) return;
		if (!student) problem = `Nobody else in scope is called “${typed.trim()}”.`;
		else if (found.length > 1 && !exact.length) problem = `${found.length} students fit: type more of the name.`;
		if (problem) return;
		const body = new FormData();
		body.set('student', String(student.id));
		const search = location.search.slice(1);
		const reply = await fetch(`?/add${search ? `&${search}` : ''}`, {
			method: 'POST',
			body,
			headers: { 'x-sveltekit-action': 'true' }
		}).catch(() => null);
		const result = reply && deserialize(await reply.text());
		if (result?.type !== 'success') {
			problem = 'The student could not be added; nothing was changed.';
			return;
		}
		const added = (result.data as unknown as { added: Added }).added;
		onadded(added);
		draft.add(added.posed, added.openAt);
		typed = '';
	}
</script>

<form onsubmit={add}>
	<label
		>Add a student
		<input list="students-to-add" bind:value={typed} placeholder="type a name" autocomplete="off" />
	</label>
	<datalist id="students-to-add">
		{#each open as student (student.id)}<option value={full(student)}></option>{/each}
	</datalist>
	<button>Add</button>
	{#if problem}<p role="alert">{problem}</p>{/if}
</form>

<style>
	form {
		display: flex;
		flex-wrap: wrap;
		align-items: end;
		gap: 4px 8px;
		margin-top: 8px;
	}
	label {
		display: grid;
		flex: 1;
	}
	input {
		width: 100%;
	}
</style>
