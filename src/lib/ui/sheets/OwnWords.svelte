<!-- Own words in place of a part of a sheet. <OwnWords sheet="family" language="es" {part} /> -->
<script lang="ts">
	import { enhance } from '$app/forms';
	import { page } from '$app/state';
	import type { SheetPart } from '$lib/core/sheets';

	interface Props {
		sheet: 'plan' | 'family';
		language: string;
		part: SheetPart;
	}
	let { sheet, language, part }: Props = $props();
	const query = $derived(page.url.searchParams.toString());
</script>

<details class="no-print">
	<summary>Say it in your words: {part.heading}</summary>
	<form method="POST" action="?/words&{query}" use:enhance>
		<input type="hidden" name="sheet" value={sheet} />
		<input type="hidden" name="language" value={language} />
		<input type="hidden" name="part" value={part.key} />
		<label
			>{part.heading}, a line each
			<textarea name="words" rows={Math.max(2, part.lines.length)} maxlength="2000" lang={language}
				>{part.lines.join('\n')}</textarea
			></label
		>
		<button>Keep my words</button>
	</form>
	<form method="POST" action="?/words&{query}" use:enhance>
		<input type="hidden" name="sheet" value={sheet} />
		<input type="hidden" name="language" value={language} />
		<input type="hidden" name="part" value={part.key} />
		<input type="hidden" name="words" value="" />
		<button class="plain">What is drawn up, again</button>
	</form>
</details>

<style>
	details {
		font-size: 0.95rem;
	}
	form {
		display: grid;
		gap: 6px;
		justify-items: start;
		margin-top: 6px;
	}
	label,
	textarea {
		display: block;
		width: 100%;
	}
</style>
