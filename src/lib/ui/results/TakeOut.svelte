<!-- Links to what a page of results can be taken out as. <TakeOut path="/practice/3/results" state={{ sort }} hasTable /> -->
<script lang="ts">
	import { keepingScope } from '../shell/address';

	interface Props {
		/** Of the page; the files are named below it. */
		path: string;
		/** What of the page's address its rows follow from. */
		state: Record<string, string | number | null>;
		/** Whether the page has a table beside the one with a row an answer. */
		hasTable: boolean;
		/** Whose they are, where that is not all. */
		whose?: string;
	}
	let { path, state, hasTable, whose = '' }: Props = $props();
	const files = $derived([
		...(hasTable ? [{ file: 'results.csv', says: 'this table (CSV)' }] : []),
		{ file: 'answers.csv', says: 'a row an answer (CSV)' },
		{ file: 'columns.csv', says: 'what the columns mean (CSV)' },
		{ file: 'results.xlsx', says: hasTable ? 'all three (XLSX)' : 'both (XLSX)' },
		{ file: 'answers.jsonl', says: 'answers as xAPI statements (JSON lines)' }
	]);
</script>

<p class="no-print soft">
	Take out{whose}:
	{#each files as { file, says }, i (file)}{i ? ', ' : ''}<a
			href={keepingScope(`${path}/${file}`, state)}
			data-sveltekit-reload>{says}</a
		>{/each}
</p>
