<!-- The fields in which a note, link, file, recorded message or task is made; they go with the form around them. -->
<script lang="ts">
	import { onDestroy } from 'svelte';
	import { MATERIAL_KINDS, MOST_FILE_BYTES, type MaterialKind } from '$lib/core/practice';
	import { Recorder } from './recorder.svelte';

	interface Props {
		/** Which kinds can be chosen. */
		kinds?: readonly MaterialKind[];
		kind?: MaterialKind;
		title?: string;
	}
	let { kinds = MATERIAL_KINDS, kind = $bindable('note'), title = $bindable('') }: Props = $props();

	const NAMES: Record<MaterialKind, string> = {
		note: 'a note',
		link: 'a link',
		file: 'a file',
		recording: 'a recorded message',
		task: 'a task with you'
	};
	const NOTE_LABELS: Record<MaterialKind, string> = {
		note: 'What it says',
		link: 'What to look at there',
		file: 'What to do with it',
		recording: 'What it says, for who cannot listen',
		task: 'What you do together'
	};
	const recorder = new Recorder();
	onDestroy(() => recorder.stop());
	let picked = $state<FileList>();
	let holder = $state<HTMLInputElement>();
	const isTooLarge = $derived((picked?.[0]?.size ?? 0) > MOST_FILE_BYTES);
	/** What was recorded goes with the form like a file that was chosen. */
	$effect(() => {
		if (!holder) return;
		const files = new DataTransfer();
		if (recorder.file) files.items.add(recorder.file);
		holder.files = files.files;
	});
	const heard = $derived(recorder.file ? URL.createObjectURL(recorder.file) : null);
</script>

<fieldset>
	<legend class="visually-hidden">What it is</legend>
	{#each kinds as one (one)}
		<label><input type="radio" name="kind" value={one} bind:group={kind} /> {NAMES[one]}</label>
	{/each}
</fieldset>
<label class="field">Title <input name="title" maxlength="120" required bind:value={title} /></label>
{#if kind === 'link'}
	<label class="field">Address <input name="link" type="url" maxlength="500" required placeholder="https://" /></label>
{:else if kind === 'file'}
	<label class="field"
		>File <input
			name="file"
			type="file"
			required
			accept="image/png,image/jpeg,image/webp,application/pdf,audio/*"
			bind:files={picked}
		/></label
	>
	<p class="soft">A picture (PNG, JPEG, WebP), PDF or sound of up to {MOST_FILE_BYTES / 1_000_000} MB.</p>
	{#if isTooLarge}<p class="attention" role="alert">
			This file has {Math.ceil((picked?.[0]?.size ?? 0) / 1_000_000)} MB: more than can be kept.
		</p>{/if}
{:else if kind === 'recording'}
	<input name="file" type="file" class="visually-hidden" tabindex="-1" aria-hidden="true" bind:this={holder} />
	<p class="one-line">
		{#if recorder.isRecording}
			<button type="button" onclick={() => recorder.stop()}>Stop</button>
			<span role="status">Recording …</span> <span aria-hidden="true">{recorder.seconds} s</span>
		{:else}
			<button type="button" onclick={() => recorder.start()}>{recorder.file ? 'Record anew' : 'Record'}</button>
		{/if}
		{#if heard}<audio controls src={heard} aria-label="What was recorded"></audio>{/if}
	</p>
	{#if recorder.problem}<p class="attention" role="alert">{recorder.problem}</p>{/if}
{/if}
<label class="field"
	>{NOTE_LABELS[kind]} <textarea name="note" rows="3" maxlength="2000" required={kind === 'note'}></textarea></label
>

<style>
	fieldset {
		display: flex;
		flex-wrap: wrap;
		gap: 4px 16px;
		border: 0;
		margin: 0 0 8px;
		padding: 0;
	}
	.field {
		display: grid;
		gap: 2px;
		max-width: 560px;
		margin-bottom: 8px;
	}
</style>
