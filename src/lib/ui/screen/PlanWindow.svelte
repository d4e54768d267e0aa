<!-- Plans a screening window. -->
<script lang="ts">
	import { enhance } from '$app/forms';
	import Dialog from '../shell/Dialog.svelte';

	interface Props {
		school: { name: string; today: string };
		onclose: () => void;
	}
	let { school, onclose }: Props = $props();
</script>

<Dialog title="Plan a screening window" {onclose}>
	<form
		method="POST"
		action="?/window"
		use:enhance={() =>
			async ({ update }) => {
				onclose();
				await update();
			}}
	>
		<label for="name">Name</label>
		<input id="name" name="name" required maxlength="80" placeholder="Spring screening" />
		<label for="term">Term whose benchmarks count</label>
		<select id="term" name="term"><option>1</option><option>2</option><option selected>3</option></select>
		<label for="opensOn">Opens</label>
		<input id="opensOn" name="opensOn" type="date" required value={school.today} />
		<label for="closesOn">Closes</label>
		<input id="closesOn" name="closesOn" type="date" required value={school.today} />
		<p class="soft">
			All {school.name} students see the diagnostic on their page from the first day through the last.
		</p>
		<button class="primary">Plan the window</button>
	</form>
</Dialog>

<style>
	form {
		display: grid;
		gap: 6px;
		min-width: 320px;
	}
	button {
		margin-top: 8px;
	}
</style>
