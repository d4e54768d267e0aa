<!-- Students who stand at one place of a progression, each with a box to select them. -->
<script module lang="ts">
	import type { Cell } from '$lib/core/mastery';

	/** Pixels of a student's line. */
	export const LINE = 26;

	/** A student, and what is known of them at the skill of the place, where the place is a skill. */
	interface Student extends Partial<Pick<Cell, 'standing' | 'inferred' | 'isSure'>> {
		id: number;
		name: string;
		className: string;
		tier: number;
		score: string | null;
	}
	interface Here {
		/** All who stand there, and those of them that are named. */
		ids: number[];
		students: Student[];
	}

	/** Whether a line leads to more of those who stand at a place, or back to fewer. */
	export function hasMore({ ids, students }: Here, place: number | string, open: string | null): boolean {
		return ids.length > students.length || open === String(place);
	}
</script>

<script lang="ts">
	import Needle from '../glyphs/Needle.svelte';
	import TierBars from '../glyphs/TierBars.svelte';
	import { withState } from '../shell/address';

	interface Props {
		here: Here;
		place: number | string;
		/** The place whose students are all named. */
		open: string | null;
		label: string;
		/** Whether students stand beside each other. */
		inColumns?: boolean;
		/** The student whose line is marked. */
		studentId: number;
		chosen: number[];
	}
	let { here, place, open, label, inColumns = false, studentId, chosen = $bindable() }: Props = $props();
	const unnamed = $derived(here.ids.length - here.students.length);
</script>

{#if here.ids.length}
	<ul class:columns={inColumns} aria-label={label}>
		{#each here.students as student (student.id)}
			<li class:current={student.id === studentId} data-student={student.id}>
				<input type="checkbox" value={student.id} bind:group={chosen} aria-label="Select {student.name}" />
				<a
					href={withState({ student: student.id })}
					title="{student.name}, {student.className}, {student.score ?? 'no score'}">{student.name}</a
				>
				<span class="glyphs"
					>{#if student.standing}<Needle
							state={student.standing}
							inferred={student.inferred}
							quiet={!student.isSure}
							size={16}
						/>{/if}<TierBars tier={student.tier} inColumn /></span
				>
			</li>
		{/each}
		{#if hasMore(here, place, open)}
			<li class="more">
				{#if open === String(place)}
					<a href={withState({ open: null })}>fewer names</a>
					{#if unnamed}<span class="soft">and {unnamed} more: narrow the scope</span>{/if}
				{:else}<a href={withState({ open: place })}>and {unnamed} more</a>{/if}
			</li>
		{/if}
	</ul>
{/if}

<style>
	ul {
		list-style: none;
		margin: 0;
		padding: 0 6px;
	}
	li {
		display: flex;
		align-items: center;
		gap: 6px;
		height: 26px; /* LINE */
		border-top: 1px solid var(--rule);
	}
	li.current {
		background: var(--verdigris-wash);
	}
	li a {
		flex: 1;
		min-width: 0;
		color: var(--ink);
		text-decoration: none;
		white-space: nowrap;
		overflow: hidden;
		text-overflow: ellipsis;
	}
	li.more a {
		flex: none;
		color: var(--verdigris);
		font-size: 0.9rem;
		text-decoration: underline;
	}
	.glyphs {
		display: flex;
		gap: 4px;
		align-items: center;
	}
	.columns {
		display: grid;
		grid-template-columns: repeat(auto-fill, minmax(220px, 1fr));
		gap: 0 16px;
	}
</style>
