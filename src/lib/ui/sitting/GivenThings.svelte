<!-- What an adult gave a student beside questions: what they have not looked at, and below what they have. -->
<script lang="ts">
	import { enhance } from '$app/forms';
	import type { ShownMaterial } from '$lib/core/practice';
	import MaterialView from '../materials/MaterialView.svelte';

	interface Props {
		given: (ShownMaterial & { by: string; isSeen: boolean })[];
		/** Tasks of sets, which an adult leads. */
		tasks: { setId: number; task: string; by: string }[];
	}
	let { given, tasks }: Props = $props();
	const fresh = $derived(given.filter(({ isSeen }) => !isSeen));
	const seen = $derived(given.filter(({ isSeen }) => isSeen));
</script>

{#if given.length || tasks.length}
	<h2>For you</h2>
	{#each tasks as { setId, task, by } (setId)}
		<article>
			<h3>{task}</h3>
			<p class="soft">You do this together with {by}.</p>
		</article>
	{/each}
	{#each fresh as material (material.id)}
		<article>
			<h3>{material.title}</h3>
			<p class="soft">
				{material.kind === 'task' ? `You do this together with ${material.by}.` : `From ${material.by}`}
			</p>
			<MaterialView {material} />
			{#if material.kind !== 'task'}
				<form method="POST" action="?/see" use:enhance>
					<input type="hidden" name="material" value={material.id} />
					<button aria-label="I have looked at {material.title}">I have looked at it</button>
				</form>
			{/if}
		</article>
	{/each}
	{#if seen.length}
		<details>
			<summary>What you have looked at ({seen.length})</summary>
			{#each seen as material (material.id)}
				<article>
					<h3>{material.title}</h3>
					<MaterialView {material} />
				</article>
			{/each}
		</details>
	{/if}
{/if}

<style>
	h2 {
		margin-top: 28px;
	}
	h3 {
		font-size: 1em;
		font-family: inherit;
		margin: 0;
	}
	article {
		display: grid;
		gap: 8px;
		padding: 14px 0;
		border-top: 1px solid var(--rule);
	}
	article .soft {
		font-size: 0.85em;
	}
	button,
	summary {
		min-height: 44px;
	}
	summary {
		display: list-item;
		padding: 10px 0;
	}
</style>
