<!-- Something the school wants to see of students and narrow lists by, said of some at once. Posts to `?/say` of the page. -->
<script lang="ts">
	import { HOME_LANGUAGE } from '$lib/core/interchange/studentList';
	import { enhance } from '$app/forms';
	import { plural } from '$lib/core/words';

	interface Props {
		students: { id: number; said: { name: string; value: string }[] }[];
		/** What is said of students of the school so far. */
		known: { name: string; choices: { value: string }[] }[];
		/** Why the last try was refused. */
		problem: string | null;
		ondone: () => void;
	}
	let { students, known, problem, ondone }: Props = $props();

	/** What most schools ask first. */
	let name = $state('');
	let value = $state('');
	const names = $derived([...new Set([HOME_LANGUAGE, ...known.map((one) => one.name)])]);
	const values = $derived(known.find((one) => one.name === name)?.choices ?? []);
	const having = $derived(students.filter(({ said }) => said.some((one) => one.name === name)).length);
</script>

<form
	method="POST"
	action="?/say"
	class="fields"
	use:enhance={() =>
		async ({ update, result }) => {
			await update({ reset: false });
			if (result.type === 'success') ondone();
		}}
>
	{#each students as { id } (id)}<input type="hidden" name="students" value={id} />{/each}
	<label for="said-name">What</label>
	<input id="said-name" name="name" list="said-names" required maxlength="60" autocomplete="off" bind:value={name} />
	<datalist id="said-names"
		>{#each names as one (one)}<option value={one}></option>{/each}</datalist
	>
	<label for="said-value">Is</label>
	<input id="said-value" name="value" list="said-values" maxlength="120" autocomplete="off" bind:value />
	<datalist id="said-values"
		>{#each values as one (one.value)}<option value={one.value}></option>{/each}</datalist
	>
	<button class="primary" disabled={!name.trim() || (!value.trim() && having === 0)}
		>{value.trim() || having === 0 ? 'Keep' : 'Take away'} for {plural(
			value.trim() ? students.length : having || students.length,
			'student'
		)}</button
	>
</form>
<p class="soft note">
	Screening results can be narrowed by it. {having
		? `It is said of ${having} of them now; leave “Is” empty to take it away.`
		: 'Say only what helps to teach.'}
</p>
{#if problem}<p class="problem" role="alert">{problem}</p>{/if}

<style>
	.note {
		margin-top: 12px;
	}
</style>
