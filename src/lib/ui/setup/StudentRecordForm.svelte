<!-- What a school writes down of a student, to be changed. Posts to `?/student` of the page. -->
<script lang="ts">
	import { enhance } from '$app/forms';
	import { HIGHEST_GRADE, LONGEST_NAME, LONGEST_NUMBER } from '$lib/core/interchange/studentList';
	import { sayGrade } from '$lib/core/words';

	interface Props {
		student: {
			id: number;
			givenName: string;
			familyName: string;
			preferredName: string | null;
			number: string | null;
			grade: number;
			birthDate: string | null;
		};
		/** Why the last try was refused. */
		problem: string | null;
		ondone: () => void;
	}
	let { student, problem, ondone }: Props = $props();
	const GRADES = Array.from({ length: HIGHEST_GRADE + 1 }, (_, grade) => grade);
</script>

<form
	method="POST"
	action="?/student"
	class="fields"
	use:enhance={() =>
		async ({ update, result }) => {
			await update({ reset: false });
			if (result.type === 'success') ondone();
		}}
>
	<input type="hidden" name="student" value={student.id} />
	<label for="givenName">Given name</label>
	<input id="givenName" name="givenName" required maxlength={LONGEST_NAME} value={student.givenName} />
	<label for="familyName">Family name</label>
	<input id="familyName" name="familyName" required maxlength={LONGEST_NAME} value={student.familyName} />
	<label for="preferredName">Known as</label>
	<input id="preferredName" name="preferredName" maxlength={LONGEST_NAME} value={student.preferredName ?? ''} />
	<label for="number">Number</label>
	<input id="number" name="number" maxlength={LONGEST_NUMBER} value={student.number ?? ''} />
	<label for="grade">Grade</label>
	<select id="grade" name="grade">
		{#each GRADES as grade (grade)}<option value={grade} selected={grade === student.grade}>{sayGrade(grade)}</option
			>{/each}
	</select>
	<label for="birthDate">Born</label>
	<input id="birthDate" name="birthDate" type="date" value={student.birthDate ?? ''} />
	<button class="primary">Keep</button>
</form>
{#if problem}<p class="problem" role="alert">{problem}</p>{/if}

<style>
	.problem {
		margin-top: 12px;
	}
</style>
