<!-- What a set begins with: nothing, what the school keeps with the skill, or a note, page, file or message made here. -->
<script lang="ts">
	import MaterialFields from '../materials/MaterialFields.svelte';
	import type { NewSet } from './newSet.svelte';

	interface Props {
		newSet: NewSet;
		/** What the school keeps with the skills of the set. */
		materials: { id: number; title: string }[];
	}
	let { newSet, materials }: Props = $props();
	let isMaking = $state(false);
	let isSending = $state(false);
	let title = $state('');
	let problem = $state('');

	/** Makes it on the server; what is kept there and given to nobody goes after two days. */
	async function make(name: string, body: FormData | string) {
		isSending = true;
		problem = '';
		const headers = {
			accept: 'application/json',
			...(typeof body === 'string' && { 'content-type': 'application/json' })
		};
		const answer = await fetch('/api/materials', { method: 'POST', headers, body }).catch(() => null);
		isSending = false;
		const said = (await answer?.json().catch(() => null)) as { id?: number; message?: string } | null;
		if (!answer?.ok || said?.id === undefined) {
			problem = said?.message ?? 'It could not be sent. Nothing was kept; try again.';
			return;
		}
		newSet.lesson = { id: said.id, title: name };
		isMaking = false;
		title = '';
	}
	function choose(value: string) {
		isMaking = value === 'new';
		const own = materials.find(({ id }) => String(id) === value);
		if (own) void make(own.title, JSON.stringify({ skillMaterial: own.id }));
	}
</script>

{#if newSet.lesson}
	<p class="one-line">
		<span>Begins with “{newSet.lesson.title}”</span>
		<button
			type="button"
			class="plain"
			aria-label="Begin without “{newSet.lesson.title}”"
			onclick={() => {
				newSet.lesson = null;
				if (newSet.practice === 0) newSet.practice = 5;
			}}>×</button
		>
	</p>
{:else}
	<p class="one-line">
		<label
			>Lesson before the questions <select
				value={isMaking ? 'new' : ''}
				onchange={(event) => choose(event.currentTarget.value)}
			>
				<option value="">none</option>
				{#each materials as { id, title } (id)}<option value={id}>{title}</option>{/each}
				<option value="new">a note, page, file or message …</option>
			</select></label
		>
		{#if isSending}<span role="status">Keeping it …</span>{/if}
	</p>
	{#if isMaking}
		<form
			class="making"
			aria-label="Lesson"
			onsubmit={(event) => {
				event.preventDefault();
				void make(title.trim(), new FormData(event.currentTarget));
			}}
		>
			<MaterialFields kinds={['note', 'link', 'file', 'recording']} bind:title />
			<button disabled={isSending || title.trim() === ''}>Begin with this</button>
			<button type="button" class="plain" onclick={() => (isMaking = false)}>Without a lesson</button>
		</form>
	{/if}
	{#if problem}<p class="attention" role="alert">{problem}</p>{/if}
{/if}

<style>
	.making {
		border-left: 2px solid var(--rule-strong);
		padding: 4px 0 4px 14px;
		margin: 6px 0;
	}
</style>
