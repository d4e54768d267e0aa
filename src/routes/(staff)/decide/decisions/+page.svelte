<script lang="ts">
	import { sayDate, sayDay } from '$lib/core/calendar';
	import { VERDICTS } from '$lib/core/growth';
	import { fullName, plural } from '$lib/core/words';
	import DecideViews from '$lib/ui/decide/DecideViews.svelte';
	import { keepingScope, setState, withState } from '$lib/ui/shell/address';
	import Pager from '$lib/ui/table/Pager.svelte';
	import Table from '$lib/ui/table/Table.svelte';

	let { data } = $props();
	const { page } = $derived(data);
	const { filter } = $derived(page);
	const studentOf = $derived(new Map(page.students.map((student) => [student.id as number, student])));
	const change = (name: string) => (event: { currentTarget: HTMLInputElement | HTMLSelectElement }) =>
		setState({ [name]: event.currentTarget.value || null, decisions: null });
	const isFiltered = $derived(Object.values(filter).some((value) => value !== null));
	const NONE = { from: null, until: null, verdict: null, advised: null, group: null, by: null, decisions: null };
</script>

<svelte:head><title>Decisions · Decide · Orderly Compass</title></svelte:head>

<div class="page-head">
	<h1>Decisions on {data.scope.inWords}</h1>
	<span class="soft">{plural(page.part.total, 'decision')}{isFiltered ? ' of this kind' : ''}.</span>
</div>
<DecideViews />

<div class="one-line no-print">
	<label>From <input type="date" value={filter.from ?? ''} onchange={change('from')} /></label>
	<label>to <input type="date" value={filter.until ?? ''} onchange={change('until')} /></label>
	<label
		>Verdict
		<select value={filter.verdict ?? ''} onchange={change('verdict')}>
			<option value="">any</option>
			{#each VERDICTS as verdict (verdict)}<option>{verdict}</option>{/each}
		</select></label
	>
	<label
		>As advised
		<select value={filter.asAdvised === null ? '' : filter.asAdvised ? 'yes' : 'no'} onchange={change('advised')}>
			<option value="">yes or no</option>
			<option value="yes">yes</option>
			<option value="no">no</option>
		</select></label
	>
	<label
		>Group
		<select value={filter.groupId ?? ''} onchange={change('group')}>
			<option value="">any</option>
			{#each page.groups as { id, name } (id)}<option value={id}>{name}</option>{/each}
		</select></label
	>
	<label
		>Recorded by
		<select value={filter.byId ?? ''} onchange={change('by')}>
			<option value="">anybody</option>
			{#each page.adults as { id, displayName } (id)}<option value={id}>{displayName}</option>{/each}
		</select></label
	>
	{#if isFiltered}<a href={withState(NONE)}>Show all</a>{/if}
</div>

<Table
	says="Decisions"
	columns={[
		{ label: 'Student' },
		{ label: 'Decided' },
		{ label: 'Verdict' },
		{ label: 'Group' },
		{ label: 'Advice' },
		{ label: 'Agreed' },
		{ label: 'By' }
	]}
	rows={page.decisions}
	key={({ id }) => id}
	attributes={(review) => ({ 'data-student': review.studentId })}
	airy
>
	{#snippet cells(review)}
		{@const student = studentOf.get(review.studentId)}
		<th scope="row"
			><a href={withState({ student: review.studentId })}>{student ? fullName(student) : ''}</a>
			<span class="soft">{student?.className ?? ''}</span></th
		>
		<td
			><a href={keepingScope(`/decide/reviews/${review.id}`, { student: null })}>{sayDay(review.decidedOn ?? '')}</a
			></td
		>
		<td><strong>{review.verdict}</strong>, tier {review.newTier} from {sayDay(review.effectiveOn ?? '')}</td>
		<td>{review.groupName ?? 'none'}</td>
		<td
			>{review.isAsAdvised ? 'followed' : `was ${review.advice}`}{#if review.against}<br /><span class="soft"
					>{review.against}</span
				>{/if}</td
		>
		<td class="agreed"
			>{[
				review.change,
				review.note.replace(/\.$/, ''),
				review.tasks.all && `${review.tasks.done} of ${plural(review.tasks.all, 'task')} done`
			]
				.filter(Boolean)
				.join('; ')}</td
		>
		<td>{review.decidedBy}</td>
	{/snippet}
	{#snippet empty()}{isFiltered ? 'No decision of this kind.' : 'Nothing was decided yet in this scope.'}{/snippet}
</Table>
<Pager {...page.part} name="decisions" />

<section>
	<h2>The advice, and what became of it</h2>
	<p class="soft">
		Verdicts of the school year since {sayDate(page.since)}. Better: the next verdict was to fade or exit, or the
		student stayed out for eight weeks. Worse: the next one changed the plan or gave more, or the student came back
		within eight weeks.
	</p>
	<Table
		says="The advice, and what became of it"
		columns={[
			{ label: 'Advice' },
			{ label: 'Verdict' },
			{ label: 'How often', isNumber: true },
			{ label: 'Better since', isNumber: true },
			{ label: 'The same', isNumber: true },
			{ label: 'Worse', isNumber: true },
			{ label: 'Too early to say', isNumber: true }
		]}
		rows={page.lines}
		key={({ advice, asAdvised }) => `${advice} ${asAdvised}`}
		narrow
	>
		{#snippet cells(line)}
			<th scope="row">{line.advice}</th>
			<td>{line.asAdvised ? 'as advised' : 'another'}</td>
			<td class="number">{line.verdicts}</td>
			<td class="number">{line.better}</td>
			<td class="number">{line.same}</td>
			<td class="number">{line.worse}</td>
			<td class="number">{line.open}</td>
		{/snippet}
		{#snippet empty()}Nothing was decided this school year.{/snippet}
	</Table>
</section>

<style>
	.one-line {
		margin-bottom: 8px;
	}
	.agreed {
		max-width: 320px;
		white-space: normal;
	}
	section {
		margin-top: 20px;
	}
</style>
