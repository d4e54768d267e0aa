<script lang="ts">
	import SheetPaper from '$lib/ui/sheets/SheetPaper.svelte';
	import { keepingScope } from '$lib/ui/shell/address';

	let { data } = $props();
	const meeting = $derived(`/decide/meetings/${data.meeting.id}`);
</script>

<svelte:head><title>{data.sheet.title} · Orderly Compass</title></svelte:head>

<p class="links no-print">
	<a href={keepingScope(meeting)}>Agenda</a>
	<button onclick={() => window.print()}>Print</button>
	<a class="button" href="{meeting}/sheet.pdf" data-sveltekit-reload>PDF</a>
</p>
<SheetPaper sheet={data.sheet} />

<style>
	.links {
		display: flex;
		gap: 12px;
		align-items: center;
		margin-bottom: 10px;
	}
</style>
