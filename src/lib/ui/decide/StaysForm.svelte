<!-- Says that somebody whom the rule means for a higher tier stays as they are, with why. <StaysForm students={proposed} /> -->
<script lang="ts">
	import { enhance } from '$app/forms';
	import { page } from '$app/state';
	import { fullName } from '$lib/core/words';

	let { students }: { students: { id: number; givenName: string; familyName: string }[] } = $props();
</script>

<form
	method="POST"
	action="?/word&{page.url.searchParams.toString()}"
	aria-label="Stays all the same"
	class="no-print"
	use:enhance
>
	<input type="hidden" name="says" value="stays" />
	<label
		>Not this one:
		<select name="student">
			{#each students as one (one.id)}<option value={one.id}>{fullName(one)}</option>{/each}
		</select></label
	>
	<label class="wide">stays, because <input name="reason" minlength="3" maxlength="300" required /></label>
	<button>Leave as they are</button>
</form>

<style>
	form {
		display: flex;
		flex-wrap: wrap;
		gap: 8px 16px;
		align-items: center;
		margin: -6px 0 16px;
	}
	.wide {
		display: flex;
		gap: 8px;
		align-items: center;
		flex: 1 1 320px;
	}
	.wide input {
		flex: 1;
	}
</style>
