<!-- Brings one more student onto the board, by typing a name. -->
<script lang="ts">
	import { deserialize } from '$app/forms';
	import type { GroupingProblem } from '$lib/core/grouping';
	import type { BoardStudent, NeedWhy } from './board';
	import type { FoundStudent } from '../form/foundStudent';
	import StudentPicker from '../form/StudentPicker.svelte';
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
		onadded: (added: Added) => void;
	}
	let { draft, onadded }: Props = $props();

	let student = $state<FoundStudent | null>(null);
	let problem = $state('');
	const seated = $derived(draft.posed.students.map(({ id }) => Number(id)));

	async function add(event: SubmitEvent) {
		event.preventDefault();
		problem = student ? '' : 'Choose a student first.';
		if (!student) return;
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
		student = null;
	}
</script>

<form onsubmit={add}>
	<StudentPicker label="Add a student" not={seated} bind:chosen={student} />
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
</style>
