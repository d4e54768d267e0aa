<!--
	Students × skills as a grid of needles. Only the rows in view are drawn. One cell has the focus; arrow keys, Page Up
	and Down, Home and End move it, Enter chooses it.
-->
<script lang="ts">
	import { createWindowVirtualizer } from '@tanstack/svelte-virtual';
	import { tick, untrack } from 'svelte';
	import { get } from 'svelte/store';
	import { readCell } from '$lib/core/mastery';
	import type { MapSkill, MapStudent } from './map';
	import { describeCell } from '../glyphs/standings';
	import TierBars from '../glyphs/TierBars.svelte';
	import { withState } from '../shell/address';
	import { legState } from '../shell/legState.svelte';

	interface Props {
		students: MapStudent[];
		skills: MapSkill[];
		domains: { id: number; name: string }[];
		ground: boolean;
		/** Student whose row is marked, and skill whose cell of it is. */
		studentId: number;
		skillId: number;
		/** Ids of students that are ticked. */
		selected: number[];
		onchoose: (studentId: number, skillId: number) => void;
	}
	let { students, skills, domains, ground, studentId, skillId, selected = $bindable(), onchoose }: Props = $props();

	const ROW = 24;
	let map = $state<HTMLTableElement>();
	let focusRow = $state(0);
	let focusColumn = $state(0);
	const heads = $derived(
		domains
			.map((domain) => ({ ...domain, span: skills.filter((skill) => skill.domainId === domain.id).length }))
			.filter(({ span }) => span)
	);
	const startsDomain = $derived(skills.map(({ domainId }, c) => c === 0 || skills[c - 1].domainId !== domainId));

	const virtualizer = createWindowVirtualizer<HTMLTableRowElement>({
		count: 0,
		estimateSize: () => ROW,
		overscan: 12,
		initialRect: { width: 1280, height: 800 }
	});
	$effect.pre(() => {
		const options = { count: students.length, scrollMargin: map?.offsetTop ?? 0 };
		untrack(() => get(virtualizer).setOptions(options));
	});
	const visible = $derived($virtualizer.getVirtualItems().filter(({ index }) => index < students.length));
	const above = $derived(visible.length ? visible[0].index * ROW : 0);
	const below = $derived(visible.length ? (students.length - 1 - visible[visible.length - 1].index) * ROW : 0);

	$effect(() => {
		legState.order = students.map(({ id }) => id);
		return () => (legState.order = undefined);
	});
	// A student chosen elsewhere, by J and K or by name, comes into view even when the row is not drawn.
	$effect(() => {
		const row = students.findIndex(({ id }) => id === studentId);
		if (row >= 0) reveal(row);
	});

	/** Scrolls a row into view: near it first where it is not drawn, then to the row itself. */
	async function reveal(row: number) {
		await tick();
		const find = () => map?.querySelector(`[aria-rowindex="${row + 2}"]`);
		if (!find()) get(virtualizer).scrollToIndex(row, { align: 'auto' });
		requestAnimationFrame(() => find()?.scrollIntoView({ block: 'nearest' }));
	}

	async function focusCell(row: number, column: number) {
		focusRow = Math.max(0, Math.min(students.length - 1, row));
		focusColumn = Math.max(0, Math.min(skills.length - 1, column));
		$virtualizer.scrollToIndex(focusRow, { align: 'auto' });
		await tick();
		map?.querySelector<HTMLElement>(`[data-at="${focusRow} ${focusColumn}"]`)?.focus();
	}

	function onkeydown(event: KeyboardEvent) {
		const steps: Record<string, [number, number]> = {
			ArrowUp: [-1, 0],
			ArrowDown: [1, 0],
			ArrowLeft: [0, -1],
			ArrowRight: [0, 1],
			PageDown: [15, 0],
			PageUp: [-15, 0],
			Home: [0, -skills.length],
			End: [0, skills.length]
		};
		const step = steps[event.key];
		if (step) focusCell(focusRow + step[0], focusColumn + step[1]);
		else if (event.key === 'Enter' || event.key === ' ') onchoose(students[focusRow].id, skills[focusColumn].id);
		else return;
		event.preventDefault();
	}
</script>

<!-- The grid itself handles keys; focus roves among its cells. -->
<table
	class:flat={!ground}
	role="grid"
	aria-label="Needle map: students and skills"
	aria-rowcount={students.length + 1}
	bind:this={map}
	{onkeydown}
>
	<thead>
		<tr class="domains">
			<td></td>
			{#each heads as domain (domain.id)}<th colspan={domain.span} scope="colgroup"><span>{domain.name}</span></th
				>{/each}
		</tr>
		<tr>
			<th class="student" scope="col"
				><span>{students.length} {students.length === 1 ? 'student' : 'students'}</span></th
			>
			{#each skills as skill, c (skill.id)}
				<th
					scope="col"
					class:first={startsDomain[c]}
					title="{skill.code} · {skill.statement} ({skill.grade}·{skill.term})"
				>
					<span class="skill">{skill.shortName}</span>
				</th>
			{/each}
		</tr>
	</thead>
	<tbody>
		{#if above}<tr aria-hidden="true"><td style:height="{above}px"></td></tr>{/if}
		{#each visible as { index } (students[index].id)}
			{@const student = students[index]}
			<tr data-student={student.id} class:current={student.id === studentId} aria-rowindex={index + 2}>
				<th class="student" scope="row">
					<span>
						<input
							type="checkbox"
							value={student.id}
							bind:group={selected}
							tabindex="-1"
							aria-label="Select {student.givenName} {student.familyName}"
						/>
						<a href={withState({ student: student.id, cell: null })} tabindex="-1"
							>{student.givenName} {student.familyName}</a
						>
						<span class="soft">{student.className}</span>
						<TierBars tier={student.tier} />
					</span>
				</th>
				{#each skills as skill, c (skill.id)}
					{@const cell = readCell(student.cells, skill.place)}
					{@const said = `${skill.shortName}: ${describeCell(cell)}`}
					<td
						role="gridcell"
						class:first={startsDomain[c]}
						class:chosen={student.id === studentId && skill.id === skillId}
						data-at="{index} {c}"
						tabindex={index === focusRow && c === focusColumn ? 0 : -1}
						aria-label={said}
						title={said}
						onfocus={() => {
							focusRow = index;
							focusColumn = c;
						}}
						onclick={() => onchoose(student.id, skill.id)}
					>
						<svg width="20" height="20"
							><use href="#{cell.inferred ? 'hollow' : 'needle'}-{cell.standing}" />{#if cell.readyNext}<use
									href="#ready-ring"
								/>{/if}</svg
						>
					</td>
				{/each}
			</tr>
		{/each}
		{#if below}<tr aria-hidden="true"><td style:height="{below}px"></td></tr>{/if}
	</tbody>
</table>

<style>
	table {
		border-collapse: separate;
		border-spacing: 0;
	}
	.flat {
		--ground-opacity: 0;
	}
	th,
	td {
		border: 0;
		padding: 0;
	}
	/* What the bars and the heads cover above, and the action bar below. */
	tbody :is(tr, td) {
		scroll-margin: 302px 0 64px 260px;
	}
	td[role='gridcell'] {
		width: 22px;
		height: 24px;
		padding: 2px 1px;
		cursor: pointer;
	}
	td:focus-visible {
		outline-offset: -2px;
	}
	.chosen {
		box-shadow: inset 0 0 0 2px var(--ink);
		border-radius: 4px;
	}
	td svg {
		display: block;
	}
	.first {
		padding-left: 10px !important;
	}
	thead th,
	thead td {
		position: sticky;
		z-index: 4;
		background: var(--paper);
		vertical-align: bottom;
	}
	.domains > * {
		top: 100px;
		height: 22px;
	}
	.domains th span {
		display: block;
		padding-left: 10px;
		font: 600 0.9rem var(--head);
		white-space: nowrap;
		overflow: hidden;
		text-overflow: ellipsis;
	}
	.domains th {
		max-width: 0;
	}
	thead tr:nth-child(2) > * {
		top: 122px;
		height: 164px;
		padding-bottom: 4px;
		box-shadow: 0 1px 0 var(--rule);
	}
	.skill {
		writing-mode: vertical-rl;
		transform: rotate(180deg);
		font-weight: 400;
		font-size: 0.85rem;
		line-height: 20px;
		max-height: 158px;
		white-space: nowrap;
		overflow: hidden;
	}
	.student {
		position: sticky;
		left: 0;
		z-index: 3;
		background: var(--paper);
		text-align: left;
		font-weight: 400;
		min-width: 252px;
		padding-right: 6px;
	}
	thead .student {
		z-index: 6;
	}
	tbody .student > span {
		display: flex;
		align-items: center;
		gap: 7px;
		height: 24px;
		white-space: nowrap;
	}
	.student a {
		color: var(--ink);
		text-decoration: none;
		overflow: hidden;
		text-overflow: ellipsis;
		max-width: 150px;
	}
	.student .soft {
		margin-left: auto;
		font-size: 0.85rem;
	}
	.current .student,
	.current td {
		background: var(--verdigris-wash);
	}
	@media print {
		thead th,
		thead td,
		.student {
			position: static;
		}
	}
</style>
