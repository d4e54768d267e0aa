<!-- What the student reads from, on paper only: a passage in large type, or facts without their answers. -->
<script lang="ts">
	import { sheetParts } from './sheetParts';

	interface Props {
		title: string;
		places: { text: string; part: number }[];
		aRow: number | null;
	}
	let { title, places, aRow }: Props = $props();
	const parts = $derived(sheetParts(places));
</script>

<section aria-hidden="true">
	<h1>{title}</h1>
	{#if aRow}
		<table>
			<tbody>
				{#each parts as row, i (i)}
					<tr
						>{#each row as { text }, j (j)}<td>{text}</td>{/each}</tr
					>
				{/each}
			</tbody>
		</table>
	{:else}
		{#each parts as words, i (i)}<p>{words.map(({ text }) => text).join(' ')}</p>{/each}
	{/if}
</section>

<style>
	section {
		display: none;
	}
	@media print {
		section {
			display: block;
		}
		h1 {
			font-size: 20pt;
			margin-bottom: 16pt;
		}
		p {
			font-size: 15pt;
			line-height: 1.9;
			margin-bottom: 12pt;
		}
		td {
			border: 0;
			font-size: 17pt;
			padding: 10pt 14pt;
			white-space: nowrap;
		}
	}
</style>
