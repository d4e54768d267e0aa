<script lang="ts">
	import Pager from '$lib/ui/table/Pager.svelte';
	import AssignLinks from '$lib/ui/practice/AssignLinks.svelte';
	import PracticeViews from '$lib/ui/practice/PracticeViews.svelte';
	import SetFilters from '$lib/ui/practice/SetFilters.svelte';
	import Table from '$lib/ui/table/Table.svelte';
	import ActionButton from '$lib/ui/form/ActionButton.svelte';
	import { NOTICE_WORDS } from '$lib/ui/practice/sayFollow';
	import { plural } from '$lib/core/words';
	import { keepingScope, withState } from '$lib/ui/shell/address';
	import { hasOpened } from '$lib/core/practice';
	import { sayDayAt } from '$lib/core/calendar';
	import Notice from '$lib/ui/shell/Notice.svelte';

	let { data, form } = $props();
	const now = $derived({ day: data.school.today, minute: data.school.minute });
	const newest = $derived(data.assigned?.ids ?? []);
	const assigned = $derived.by(() => {
		if (!data.assigned) return null;
		const { ids, title, students } = data.assigned;
		return {
			done: `${title}: assigned to ${plural(students, 'student')}${ids.length > 1 ? `, ${ids.length} sets` : ''}.`,
			undo: { action: '?/withdraw', fields: { sets: ids.join(',') } }
		};
	});
</script>

<svelte:head><title>Practice · Orderly Compass</title></svelte:head>

<div class="head">
	<h1>Practice in {data.scope.inWords}</h1>
	{#if data.can.practice}<a class="button primary" href={keepingScope('/practice/new', { for: 'scope' })}
			>New practice set</a
		>{/if}
</div>

<PracticeViews />
{#if data.notices.length}
	<section class="notices" aria-labelledby="under">
		<h2 id="under">Under the line on your sets</h2>
		<ul>
			{#each data.notices as { id, title, students } (id)}
				<li>
					<p>
						<a href={keepingScope(`/practice/${id}`)}>{title}</a>:
						{#each students as { sittingId, name, right, answered, why }, i (sittingId)}{i ? '; ' : ''}{name}
							<span class="soft">{right} of {answered}{why === 'below' ? '' : `, ${NOTICE_WORDS[why]}`}</span>{/each}
					</p>
					<AssignLinks ids={students.map(({ studentId }) => studentId)} />
					<ActionButton
						action="?/seen"
						fields={{ sittings: students.map(({ sittingId }) => sittingId).join(',') }}
						label="Seen: {title}"
						look="plain">Seen</ActionButton
					>
				</li>
			{/each}
		</ul>
	</section>
{/if}
<section>
	<div class="one-line filters no-print"><SetFilters asked={data.asked} choices={data.choices} /></div>
	{#if data.sets.length === 0 && Object.values(data.asked).some((value) => value !== null)}
		<p>No set here is like that. <a href={withState({ skill: null, author: null, stage: null })}>Show all sets</a></p>
	{:else if data.sets.length === 0}
		<p>No set was assigned to anyone here yet. Start from a group, where its focus is offered, or with a new set.</p>
	{:else}
		<Table
			says="Practice sets"
			columns={[
				{ label: 'Set' },
				{ label: 'For' },
				{ label: 'Due' },
				{ label: 'Finished', isNumber: true },
				{ label: 'Take back', isSilent: true }
			]}
			attributes={(set) => ({ class: { new: newest.includes(set.id) } })}
			rows={data.sets}
			key={({ id }) => id}
		>
			{#snippet cells(set)}
				<th scope="row"
					><a href={keepingScope(`/practice/${set.id}`)}>{set.title}</a>
					<span class="soft">{set.itemCount} questions</span></th
				>
				<td
					>{set.groupId ? (data.groupNames[set.groupId] ?? 'an ended group') : plural(set.students, 'student')}
					<span class="soft">by {set.createdBy}</span></td
				>
				<td
					>{set.dueOn ? sayDayAt(set.dueOn, set.dueMinute) : 'never'}{hasOpened(set, now)
						? ''
						: ` (opens ${sayDayAt(set.opensOn, set.opensMinute)})`}</td
				>
				<td class="number"
					><a
						href={keepingScope(`/practice/${set.id}/results`, { student: null })}
						aria-label="Results of {set.title}: {set.finished} of {set.students} finished"
						>{set.finished} of {set.students}</a
					></td
				>
				<td>
					{#if data.can.practice && (set.dueOn === null || set.dueOn >= data.school.today)}
						<ActionButton
							action="?/withdraw"
							fields={{ sets: set.id }}
							label="Take back {set.title} from {plural(set.students, 'student')}"
							look="plain">Take back</ActionButton
						>
					{/if}
				</td>
			{/snippet}
		</Table>
		<Pager from={data.from} most={data.most} total={data.total} name="sets" />
	{/if}
</section>
<Notice outcome={form ?? assigned} />

<style>
	.notices {
		border-left: 4px solid var(--gap-ink);
		padding: 2px 0 2px 14px;
		margin: 8px 0 16px;
	}
	.notices ul {
		list-style: none;
		margin: 4px 0 0;
		padding: 0;
	}
	.notices li {
		display: flex;
		flex-wrap: wrap;
		gap: 4px 16px;
		align-items: baseline;
		padding: 3px 0;
	}
	.filters {
		margin-bottom: 8px;
	}
	.head {
		display: flex;
		flex-wrap: wrap;
		gap: 6px 20px;
		justify-content: space-between;
		margin-bottom: 12px;
	}
	td:nth-child(n + 3) {
		white-space: nowrap;
	}
</style>
