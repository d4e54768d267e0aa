<!-- Lets students try their PINs again: one tap. <LetIn students={[student]} /> -->
<script lang="ts">
	import { fullName } from '$lib/core/words';
	import ActionButton from '../form/ActionButton.svelte';

	interface LockedOut {
		id: number;
		givenName: string;
		familyName: string;
	}
	let { students }: { students: LockedOut[] } = $props();
	const names = $derived(students.map(fullName).join(', '));
</script>

<ActionButton
	action="/students/locked?/letIn"
	fields={{ students: students.map(({ id }) => id).join(',') }}
	label="Let {names} in"
	look="small"
>
	Let {students.length === 1 ? 'in' : `all ${students.length} in`}
</ActionButton>
