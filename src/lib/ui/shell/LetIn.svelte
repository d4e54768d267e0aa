<!-- Lets students try their PINs again: one tap. <LetIn students={[student]} /> -->
<script lang="ts">
	import { enhance } from '$app/forms';

	interface LockedOut {
		id: number;
		givenName: string;
		familyName: string;
	}
	let { students }: { students: LockedOut[] } = $props();
	const names = $derived(students.map(({ givenName, familyName }) => `${givenName} ${familyName}`).join(', '));
</script>

<form method="POST" action="/students/locked?/letIn" use:enhance>
	<input type="hidden" name="students" value={students.map(({ id }) => id).join(',')} />
	<button class="small" aria-label="Let {names} in"
		>Let {students.length === 1 ? 'in' : `all ${students.length} in`}</button
	>
</form>
