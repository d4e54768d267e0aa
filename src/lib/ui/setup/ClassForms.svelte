<!-- What a class or a section is called, and who its adults are. Posts to `?/change` and `?/adults` of the page. -->
<script lang="ts">
	import { enhance } from '$app/forms';
	import { HIGHEST_GRADE } from '$lib/core/interchange/studentList';
	import { sayGrade } from '$lib/core/words';
	import { keepValues } from '$lib/ui/form/keepValues';

	interface Props {
		own: { id: number; name: string; grade: number; adults: { id: number }[] };
		people: { id: number; displayName: string; role: string }[];
		/** What it is: `class` or `section`. */
		noun: string;
	}
	let { own, people, noun }: Props = $props();
	const GRADES = Array.from({ length: HIGHEST_GRADE + 1 }, (_, grade) => grade);
</script>

<form method="POST" action="?/change" use:enhance={keepValues} class="one-line">
	<input type="hidden" name="class" value={own.id} />
	<label>Name <input name="name" required maxlength="60" value={own.name} /></label>
	<label
		>Grade <select name="grade"
			>{#each GRADES as grade (grade)}<option value={grade} selected={grade === own.grade}>{sayGrade(grade)}</option
				>{/each}</select
		></label
	>
	<button>Keep</button>
</form>
<form method="POST" action="?/adults" use:enhance={keepValues}>
	<input type="hidden" name="class" value={own.id} />
	<fieldset class="one-line">
		<legend>Adults of the {noun}, from today on</legend>
		{#each people as { id, displayName, role } (id)}
			<label
				><input type="checkbox" name="adults" value={id} checked={own.adults.some((adult) => adult.id === id)} />
				{displayName} <span class="soft">{role}</span></label
			>
		{/each}
		<button>Keep</button>
	</fieldset>
</form>

<style>
	fieldset {
		margin: 0;
		border: 1px solid var(--rule);
	}
</style>
