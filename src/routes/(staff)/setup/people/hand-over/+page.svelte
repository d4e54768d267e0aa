<script lang="ts">
	import { enhance } from '$app/forms';
	import { plural } from '$lib/core/words';
	import SetupViews from '$lib/ui/setup/SetupViews.svelte';
	import Notice from '$lib/ui/shell/Notice.svelte';

	let { data, form } = $props();
	const isNothing = $derived(data.times.length + data.students.length + data.classes.length === 0);
</script>

<svelte:head><title>Hand over · Orderly Compass</title></svelte:head>

<SetupViews />
<h1>What {data.from.name} runs</h1>
{#if isNothing}
	<p>
		{data.from.name} holds no meeting time, is responsible for no student and is the adult of no class.
		<a href="/setup/people">All staff</a>
	</p>
{:else}
	<p class="soft">
		What is ticked goes to one colleague today, or nothing of it does. Sessions held, notes, sets and verdicts up to now
		stay with {data.from.name}. To divide it, hand over one part after another.
	</p>
	<form
		method="POST"
		action="?/hand"
		use:enhance={() =>
			({ update }) =>
				update({ reset: false })}
	>
		<input type="hidden" name="from" value={data.from.id} />
		{#if data.times.length}
			<fieldset>
				<legend>Meeting times and their groups</legend>
				{#each data.times as { id, when, room, groups } (id)}
					<label>
						<input type="checkbox" name="slots" value={id} checked />
						<span>{when}{room ? `, ${room}` : ''}: {groups.length ? groups.join('; ') : 'no group'}</span>
					</label>
				{/each}
			</fieldset>
		{/if}
		{#if data.students.length}
			<fieldset>
				<legend>Caseload</legend>
				<label>
					<input type="checkbox" name="students" value={data.students.map(({ id }) => id).join(',')} checked />
					<span
						>{plural(data.students.length, 'student')}: {data.students.map(({ name }) => name).join(', ')}
						<span class="soft">(some of them: on <a href="/setup/caseload?whose={data.from.id}">Caseload</a>)</span
						></span
					>
				</label>
			</fieldset>
		{/if}
		{#if data.classes.length}
			<fieldset>
				<legend>Adult of</legend>
				{#each data.classes as { id, name } (id)}
					<label><input type="checkbox" name="classes" value={id} checked /> <span>{name}</span></label>
				{/each}
			</fieldset>
		{/if}
		<p class="one-line">
			<label for="to">To</label>
			<select id="to" name="to" required>
				<option value="">Choose a colleague</option>
				{#each data.others as { id, displayName, role } (id)}<option value={id}>{displayName}, {role}</option>{/each}
			</select>
			<button class="primary">Hand over from today on</button>
			<a href="/setup/people">All staff</a>
		</p>
	</form>
{/if}
<Notice outcome={form} />

<style>
	h1 + p {
		margin: 4px 0 12px;
		max-width: 75ch;
	}
	form {
		display: grid;
		gap: 14px;
	}
	fieldset {
		border: 0;
		padding: 0;
		display: grid;
		gap: 6px;
	}
	legend {
		padding: 0;
		font-weight: 600;
		margin-bottom: 4px;
	}
	fieldset label {
		display: grid;
		grid-template-columns: auto 1fr;
		gap: 8px;
		align-items: start;
		max-width: 90ch;
		font-weight: 400;
	}
</style>
