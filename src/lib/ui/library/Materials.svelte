<!-- A school's own material for a skill: links and notes, with a form to add one. -->
<script lang="ts">
	import ActionButton from '$lib/ui/form/ActionButton.svelte';
	import { enhance } from '$app/forms';
	import { sayDay } from '$lib/core/calendar';

	interface Material {
		id: number;
		title: string;
		link: string | null;
		note: string;
		addedBy: string;
		addedAt: Date;
	}
	let { materials }: { materials: Material[] } = $props();
</script>

<ul>
	{#each materials as { id, title, link, note, addedBy, addedAt } (id)}
		<li>
			<div>
				{#if link}<a href={link} rel="noreferrer external" target="_blank">{title}</a>{:else}<strong>{title}</strong
					>{/if}
				<span class="soft">{addedBy}, {sayDay(addedAt.toISOString())}</span>
				{#if note}<p>{note}</p>{/if}
			</div>
			<ActionButton action="?/remove" fields={{ material: id }} label="Take {title} away" look="plain"
				>Take away</ActionButton
			>
		</li>
	{:else}
		<li class="soft">None yet. A link or a note you add here stays with the skill, for everyone at the school.</li>
	{/each}
</ul>
<details class="no-print">
	<summary>Add your own material or a link</summary>
	<form method="POST" action="?/add" use:enhance class="add">
		<label for="title">Name</label>
		<input id="title" name="title" required maxlength="120" />
		<label for="link">Link, if it is on the web</label>
		<input id="link" name="link" type="url" maxlength="500" placeholder="https://" />
		<label for="note">Note</label>
		<textarea id="note" name="note" rows="3" maxlength="2000"></textarea>
		<button class="primary">Keep it with the skill</button>
	</form>
</details>

<style>
	ul {
		list-style: none;
		margin: 6px 0;
		padding: 0;
	}
	li {
		display: flex;
		justify-content: space-between;
		gap: 12px;
		padding: 4px 0;
		border-top: 1px solid var(--rule);
	}
	li p {
		white-space: pre-line;
	}
	summary {
		cursor: pointer;
		color: var(--verdigris);
	}
	.add {
		display: grid;
		gap: 6px;
		max-width: 420px;
		justify-items: start;
		padding: 8px 0;
	}
	.add input,
	.add textarea {
		width: 100%;
	}
</style>
