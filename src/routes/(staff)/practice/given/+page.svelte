<script lang="ts">
	import { enhance } from '$app/forms';
	import { page } from '$app/state';
	import { sayInstant } from '$lib/core/calendar';
	import type { MaterialKind } from '$lib/core/practice';
	import { plural } from '$lib/core/words';
	import AddReceiver from '$lib/ui/practice/AddReceiver.svelte';
	import { KIND_NAMES } from '$lib/ui/materials/kindNames';
	import MaterialFields from '$lib/ui/materials/MaterialFields.svelte';
	import NameChips from '$lib/ui/practice/NameChips.svelte';
	import PracticeViews from '$lib/ui/practice/PracticeViews.svelte';
	import { keepingScope, setState } from '$lib/ui/shell/address';
	import Notice from '$lib/ui/shell/Notice.svelte';
	import Pager from '$lib/ui/table/Pager.svelte';
	import Table from '$lib/ui/table/Table.svelte';

	let { data, form } = $props();
	let kind = $state<MaterialKind>('note');
	let title = $state('');
	let out = $state<number[]>([]);
	const students = $derived(data.students.filter(({ id }) => !out.includes(id)));
	/** Of the fields, which begin anew once something was given. */
	let given = $state(0);
	let isSending = $state(false);

	const choose = (key: string) =>
		setState(key.startsWith('group:') ? { for: key, with: null } : { scope: key, for: 'all', with: null });
</script>

<svelte:head><title>Notes and files · Practice · Orderly Compass</title></svelte:head>

<div class="page-head">
	<h1>Practice in {data.scope.inWords}</h1>
	<span class="soft">What students were given beside questions.</span>
</div>
<PracticeViews />

{#if data.can.practice}
	<details class="give" open={page.url.searchParams.has('for')}>
		<summary>Give a note, link, file, message or task</summary>
		<p class="one-line">
			<label
				>To <select value="" aria-label="Class or group" onchange={(event) => choose(event.currentTarget.value)}>
					<option value="" disabled>choose a class or group</option>
					{#each data.choices as { key, label } (key)}<option value={key}>{label}</option>{/each}
				</select></label
			>
			<span class="add">and <AddReceiver not={data.students.map(({ id }) => id)} /></span>
		</p>
		{#if data.students.length}
			<p>
				<strong>{plural(students.length, 'student')}</strong>
				<span class="soft"
					>of {data.who.label}{out.length ? `, ${data.students.length - students.length} left out` : ''}</span
				>
			</p>
			<NameChips
				label="Who gets it"
				students={data.students.map(({ id, name }) => ({ id, name, isOut: out.includes(id) }))}
				leaveOut={(id) => (out = [...out, id])}
				takeBackIn={(id) => (out = out.filter((one) => one !== id))}
			/>
		{/if}
		{#key given}
			<form
				method="POST"
				action="?/give"
				enctype="multipart/form-data"
				use:enhance={() => {
					isSending = true;
					return async ({ update, result }) => {
						await update({ reset: false });
						isSending = false;
						if (result.type !== 'success') return;
						title = '';
						given++;
					};
				}}
			>
				<input type="hidden" name="students" value={students.map(({ id }) => id).join(',')} />
				{#if data.who.groupId}<input type="hidden" name="group" value={data.who.groupId} />{/if}
				<MaterialFields bind:kind bind:title />
				<button class="primary" disabled={students.length === 0 || title.trim() === '' || isSending}
					>{isSending
						? 'Giving it …'
						: students.length === 0
							? 'Choose who gets it'
							: `Give ${title.trim() ? `“${title.trim()}”` : 'it'} to ${plural(students.length, 'student')}`}</button
				>
			</form>
		{/key}
	</details>
{/if}

{#if data.materials.length === 0}
	<p>Nobody here was given anything beside questions yet.</p>
{:else}
	<Table
		says="What students were given"
		columns={[
			{ label: 'What' },
			{ label: 'To', isNumber: true },
			{ label: 'Looked at', isNumber: true },
			{ label: 'Given' },
			{ label: 'Who has it', isSilent: true }
		]}
		rows={data.materials}
		key={({ id }) => id}
	>
		{#snippet cells(material)}
			<th scope="row"
				><a href={keepingScope(`/practice/given/${material.id}`)}>{material.title}</a>
				<span class="soft">{KIND_NAMES[material.kind]}</span></th
			>
			<td class="number">{plural(material.students, 'student')}</td>
			<td class="number">{material.seen} of {material.students}{material.kind === 'task' ? ' done' : ''}</td>
			<td>{sayInstant(material.givenAt, data.school.timeZone)} <span class="soft">by {material.givenBy}</span></td>
			<td><a href={keepingScope(`/practice/given/${material.id}`)}>Who has it</a></td>
		{/snippet}
	</Table>
{/if}
<Pager {...data.part} name="given" />
<Notice outcome={form} />

<style>
	.give {
		margin: 4px 0 16px;
	}
	.give form {
		margin-top: 8px;
	}
	.add {
		display: inline-flex;
		gap: 6px;
		align-items: center;
	}
</style>
