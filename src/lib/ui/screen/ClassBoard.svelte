<!-- How each class stands in a window: one row a class, one part of its bar a status, with its count. -->
<script lang="ts">
	import Table from '$lib/ui/table/Table.svelte';
	import { SCREENING_STATUSES, type ScreeningStatus } from '$lib/core/screening';
	import { withState } from '../shell/address';
	import type { ClassTally } from '$lib/core/screening';

	let { tallies }: { tallies: ClassTally[] } = $props();

	const shown = $derived(SCREENING_STATUSES.filter((status) => tallies.some(({ counts }) => counts.has(status))));
	const done = (counts: Map<ScreeningStatus, number>) =>
		(counts.get('finished') ?? 0) + (counts.get('from a file') ?? 0) + (counts.get('excused') ?? 0);
</script>

<Table
	says="Classes"
	columns={[
		{ label: 'Class' },
		{ label: 'Students', isNumber: true },
		{ label: 'Done' },
		...shown.map((status) => ({ label: status, isNumber: true }))
	]}
	rows={tallies}
	key={({ classId }) => classId}
	narrow
>
	{#snippet cells({ classId, className, grade, students, counts })}
		<th scope="row"
			><a href={withState({ scope: `class:${classId}`, student: null })}>{className}</a>
			<span class="soft">grade {grade}</span></th
		>
		<td class="number">{students}</td>
		<td class="share">
			<svg width="90" height="8" role="img" aria-label="{done(counts)} of {students} done"
				><rect width="90" height="8" /><rect class="part" width={(90 * done(counts)) / students} height="8" /></svg
			>
		</td>
		{#each shown as status (status)}
			{@const count = counts.get(status) ?? 0}
			<td class="number"
				>{#if count}<a href={withState({ scope: `class:${classId}`, status, student: null })}>{count}</a>{:else}<span
						class="soft">0</span
					>{/if}</td
			>
		{/each}
	{/snippet}
</Table>

<style>
	th,
	td {
		padding-block: 2px;
		white-space: nowrap;
	}
	rect {
		fill: var(--rule);
	}
	.part {
		fill: var(--verdigris);
	}
</style>
