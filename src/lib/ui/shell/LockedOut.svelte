<!-- Students who cannot sign in until tomorrow, named on every staff page so that somebody lets them in. -->
<script lang="ts">
	import { fullName } from '$lib/core/words';
	import LetIn from './LetIn.svelte';

	interface Props {
		students: { id: number; givenName: string; familyName: string; className: string }[];
	}
	let { students }: Props = $props();

	/** Students who are named; the others are counted. */
	const NAMED = 3;
</script>

<aside class="no-print" aria-label="Students who are locked out">
	<span>
		Locked out after too many wrong PINs: {students
			.slice(0, NAMED)
			.map((student) => `${fullName(student)} (${student.className})`)
			.join(', ')}{#if students.length > NAMED}, <a href="/students/locked">{students.length - NAMED} more</a>{/if}
	</span>
	<LetIn {students} />
</aside>

<style>
	aside {
		display: flex;
		align-items: center;
		gap: 12px;
		width: fit-content;
		margin-bottom: 12px;
		padding: 6px 12px;
		background: var(--sheet);
		border: 1px solid var(--rule-strong);
		border-radius: var(--corner);
	}
</style>
