<!-- The members of a group: where they stand on its focus, sessions, practice, probes, the next review, and the last note. -->
<script lang="ts">
	import { sayDate, sayDay } from '$lib/core/calendar';
	import { type StandingNow, describeStanding } from '$lib/core/mastery';
	import Needle from '../glyphs/Needle.svelte';
	import { keepingScope, withState } from '../shell/address';
	import Table from '../table/Table.svelte';

	interface Member {
		id: number;
		name: string;
		className: string;
		tier: number;
		/** Whether they help others in a mixed group. */
		helps: boolean;
		now: StandingNow | null;
		sessions: { attended: number; planned: number } | null;
		/** Minutes in the week before, and in this one. */
		practiced: { before: number; now: number };
		probes: { id: number; taken: { right: number }[] } | null;
		reviewOn: string | null;
		notes: { on: string; text: string }[];
	}
	interface Props {
		members: Member[];
		/** Of the group. */
		tier: number;
		isOver: boolean;
		/** Whose row is marked. */
		chosen: number;
	}
	let { members, tier, isOver, chosen }: Props = $props();
</script>

<Table
	says="Members"
	columns={[
		{ label: 'Member' },
		{ label: 'On the focus' },
		{ label: 'Sessions', isNumber: true },
		{ label: 'Practice' },
		{ label: 'Probes' },
		{ label: 'Next review' },
		{ label: 'Note' }
	]}
	rows={members}
	key={({ id }) => id}
	attributes={({ id }) => ({ 'data-student': id, class: { current: id === chosen } })}
>
	{#snippet cells(student)}
		<th scope="row"
			><a href={withState({ student: student.id })}>{student.name}</a>
			<span class="soft">{student.className}{student.helps ? ', helps' : ''}</span>
			{#if student.tier !== tier && !student.helps}<strong>now tier {student.tier}</strong>{/if}</th
		>
		<td class="standing" title={describeStanding(student.now ?? undefined)}
			><Needle
				state={student.now?.inferred ?? student.now?.standing ?? 'unseen'}
				inferred={Boolean(student.now?.inferred)}
				size={18}
			/>
			{student.now?.inferred ? 'inferred' : (student.now?.standing ?? 'unseen')}
			<span class="soft">{student.now ? `${student.now.answers} answers` : ''}</span></td
		>
		<td class="number">{student.sessions ? `${student.sessions.attended} of ${student.sessions.planned}` : '–'}</td>
		<td>{student.practiced.before} min last week, {student.practiced.now} this</td>
		<td
			>{#if student.probes}<a href={keepingScope('/track/charts', { student: student.id, plan: student.probes.id })}
					>{student.probes.taken.map(({ right }) => right).join(' ') || 'none yet'}</a
				>{:else}<span class="soft">none planned</span>{/if}</td
		>
		<td>{student.reviewOn ? sayDate(student.reviewOn) : '–'}</td>
		<td class="soft">{student.notes[0] ? `${sayDay(student.notes[0].on)}: ${student.notes[0].text}` : ''}</td>
	{/snippet}
	{#snippet empty()}The group has no members {isOver ? 'on record' : 'now'}.{/snippet}
</Table>

<style>
	.standing {
		white-space: nowrap;
	}
	.standing :global(svg) {
		display: inline-block;
		vertical-align: -4px;
	}
</style>
