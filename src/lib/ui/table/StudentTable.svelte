<!--
	A table with a row a student, of any length: heads stay in view and sort by the address, rows are drawn and asked for as
	they are scrolled to, and are selected one by one or all that the list shows. One tab stop, arrows within; J and K walk
	its order. On paper every row is there.

	<StudentTable {rows} {columns} says="Sittings" height={37} bind:selected sort="name">
		{#snippet cells(row)}<td>{row.status}</td>{/snippet}
		{#snippet empty()}Nobody here is absent.{/snippet}
	</StudentTable>
-->
<script lang="ts" generics="Row extends { id: number; givenName: string; familyName: string }">
	import { fullName } from '$lib/core/words';
	import { tick, untrack, type Snippet } from 'svelte';
	import { page } from '$app/state';
	import { withState } from '../shell/address';
	import { legState } from '../shell/legState.svelte';
	import type { Column } from './columns';
	import Heading from './Heading.svelte';
	import { oneTabStop } from './oneTabStop';
	import type { Rows } from './rows.svelte';

	interface Props {
		rows: Rows<Row>;
		/** After the student's name. */
		columns: Column[];
		/** What the table is called. */
		says: string;
		cells: Snippet<[Row]>;
		/** Said where there are no rows. */
		empty: Snippet;
		/** Stands above the heads. */
		above?: Snippet;
		/** Of a row, in pixels. */
		height?: number;
		/** What rows are sorted by now. */
		sort?: string;
		/** Ids of students that are ticked; absent where none can be. */
		selected?: number[];
	}
	let { rows, columns, says, cells, empty, above, height = 34, sort, selected = $bindable() }: Props = $props();

	/** Rows drawn beyond the window, each way. */
	const BEYOND = 12;
	/** As many as are drawn before anything is known of the window. */
	const FIRST = 40;

	let body: HTMLElement;
	let from = $state(0);
	let to = $state(FIRST);
	let onPaper = $state(false);
	const drawn = $derived(onPaper ? rows.ids : rows.ids.slice(from, to));
	const studentId = $derived(Number(page.url.searchParams.get('student')));
	const isAllSelected = $derived(
		selected !== undefined && rows.ids.length > 0 && rows.ids.every((id) => selected!.includes(id))
	);

	function look() {
		const top = -body.getBoundingClientRect().top;
		const first = Math.max(0, Math.floor(top / height) - BEYOND);
		const count = Math.ceil(window.innerHeight / height) + 2 * BEYOND;
		from = Math.min(first, Math.max(0, rows.ids.length - count));
		to = first + count;
		void rows.need(from, to);
	}
	$effect(() => {
		legState.order = rows.ids;
		untrack(look);
		return () => (legState.order = undefined);
	});
	// Whoever is selected by J and K is brought into view, drawn or not; a page that opens begins at its top.
	let inView = untrack(() => studentId);
	$effect(() => {
		if (studentId === inView) return;
		inView = studentId;
		const at = untrack(() => rows.ids.indexOf(studentId));
		if (at < 0) return;
		const y = body.getBoundingClientRect().top + at * height;
		if (y < 140 || y > window.innerHeight - 90) window.scrollBy(0, y - window.innerHeight / 2);
	});

	/** Every row is asked for before the page goes to paper. */
	async function print() {
		await rows.all();
		onPaper = true;
		await tick();
		window.print();
		onPaper = false;
	}
	function toggleAll() {
		selected = isAllSelected ? [] : [...rows.ids];
	}
</script>

<svelte:window
	onscroll={look}
	onresize={look}
	onbeforeprint={() => (onPaper = true)}
	onafterprint={() => (onPaper = false)}
/>

<div class="whole">
	<div class="wide-table">
		<table class="roster" aria-rowcount={rows.ids.length + 1} aria-label={says}>
			<thead>
				{@render above?.()}
				<tr>
					{#if selected}<th
							><input
								type="checkbox"
								checked={isAllSelected}
								onchange={toggleAll}
								disabled={rows.ids.length === 0}
								aria-label="Select all {rows.ids.length} of this list"
								title="Select all {rows.ids.length} of this list"
							/></th
						>{/if}
					<Heading column={{ label: 'Student', sort: sort === undefined ? undefined : 'name' }} {sort} />
					{#each columns as column (column.label + (column.sort ?? ''))}<Heading {column} {sort} />{/each}
				</tr>
			</thead>
			<tbody bind:this={body} {@attach oneTabStop} style:--row="{height}px">
				{#if !onPaper && from > 0}<tr class="skipped" style:height="{from * height}px" aria-hidden="true"></tr>{/if}
				{#each drawn as id, i (id)}
					{@const row = rows.at(id)}
					<tr data-student={id} class:current={id === studentId} aria-rowindex={(onPaper ? 0 : from) + i + 2}>
						{#if row}
							{#if selected}<td
									><input type="checkbox" value={id} bind:group={selected} aria-label="Select {fullName(row)}" /></td
								>{/if}
							<th scope="row"><a href={withState({ student: id })}>{fullName(row)}</a></th>
							{@render cells(row)}
						{:else}
							<td class="soft" colspan={columns.length + 2}>{rows.failed ? 'could not be loaded' : '…'}</td>
						{/if}
					</tr>
				{:else}
					<tr class="none"><td colspan={columns.length + 2} class="soft">{@render empty()}</td></tr>
				{/each}
				{#if !onPaper && to < rows.ids.length}<tr
						class="skipped"
						style:height="{(rows.ids.length - to) * height}px"
						aria-hidden="true"
					></tr>{/if}
			</tbody>
		</table>
	</div>
	{#if rows.ids.length > FIRST}
		<p class="no-print"><button class="plain" onclick={print}>Print all {rows.ids.length} rows</button></p>
	{/if}
	{#if rows.failed}
		<p role="alert">
			Some rows could not be loaded. <button class="plain" onclick={look}>Try again</button>
		</p>
	{/if}
</div>

<style>
	/* In a grid, too, a wide table scrolls in its own place where the page is narrow. */
	@media screen and (max-width: 900px) {
		.whole {
			min-width: 0;
		}
	}
	/* Rows come and go beyond the window, which must not move what is in it. */
	tbody {
		overflow-anchor: none;
	}
	tbody tr:not(.none, .skipped) {
		height: var(--row);
	}
	table :global(:is(th, td)) {
		white-space: nowrap;
	}
	.none td {
		white-space: normal;
	}
</style>
