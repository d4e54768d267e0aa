<!-- Accepts an answer that was judged as not right from all who are asked its question: says how many first, and asks why. -->
<script lang="ts">
	import { enhance } from '$app/forms';
	import { plural } from '$lib/core/words';

	interface Props {
		/** Id of an answer that says it. */
		answer: string;
		/** Students who are known to have answered so. */
		students: number;
	}
	let { answer, students }: Props = $props();
</script>

<details class="no-print">
	<summary>Accept this answer for all</summary>
	<form method="POST" action="?/accept" use:enhance>
		<input type="hidden" name="answer" value={answer} />
		<label>Why it is right <input name="why" required maxlength="300" placeholder="The stem allows both" /></label>
		<p class="soft">
			It counts as right for {plural(students, 'student')} here who answered so, for whoever else was asked this question,
			and from now on; standings and scores follow. It stands in the log with your reason, and can be undone.
		</p>
		<button>Accept it for all</button>
	</form>
</details>

<style>
	details {
		margin-top: 2px;
	}
	form {
		display: grid;
		gap: 6px;
		justify-items: start;
		padding: 6px 0 6px 12px;
	}
	p {
		margin: 0;
		max-width: 52ch;
	}
</style>
