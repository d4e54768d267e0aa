<!-- A note, link, file, recorded message or task as students see it. <MaterialView {material} /> -->
<script lang="ts">
	import type { ShownMaterial } from '$lib/core/practice';

	let { material }: { material: ShownMaterial } = $props();
	const address = $derived(`/api/materials/${material.id}/file`);
	/** Of a link, whose page it is. */
	const host = $derived(material.link ? new URL(material.link).hostname : '');
</script>

{#if material.note}<p class="note">{material.note}</p>{/if}
{#if material.link}
	<p>
		<a class="button" href={material.link} target="_blank" rel="noopener noreferrer external">Open the page</a>
		<span class="soft">{host}</span>
	</p>
{:else if material.file?.shape === 'picture'}
	<a href={address} target="_blank"><img src={address} alt={material.title} loading="lazy" /></a>
{:else if material.file?.shape === 'sound'}
	<audio controls preload="none" src={address} aria-label={material.title}></audio>
{:else if material.file}
	<p><a class="button" href={address} target="_blank">Open {material.file.name}</a></p>
{/if}

<style>
	.note {
		white-space: pre-wrap;
		max-width: 60ch;
	}
	img {
		max-width: 100%;
		max-height: 420px;
		border: 1px solid var(--rule);
		border-radius: var(--corner);
	}
	audio {
		width: 100%;
		max-width: 420px;
	}
	.button {
		min-height: 44px;
	}
</style>
