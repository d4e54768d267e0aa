<script lang="ts">
	import { enhance } from '$app/forms';
	import { sayDate, sayDayAt, sayMinute, schoolDateOf } from '$lib/core/calendar';
	import { isPastDue } from '$lib/core/practice';
	import { plural } from '$lib/core/words';
	import type { FoundStudent } from '$lib/ui/form/foundStudent';
	import StudentPicker from '$lib/ui/form/StudentPicker.svelte';
	import { keepValues } from '$lib/ui/form/keepValues';
	import { FOLLOW_WORDS, NOTICE_WORDS, sayFollow } from '$lib/ui/practice/sayFollow';
	import { sayAfterDue, sayDue, sayHow, sayVariation } from '$lib/ui/practice/saySet';
	import { keepingScope } from '$lib/ui/shell/address';
	import ActionButton from '$lib/ui/form/ActionButton.svelte';
	import MaterialView from '$lib/ui/materials/MaterialView.svelte';
	import SetActions from '$lib/ui/practice/SetActions.svelte';
	import SetRules from '$lib/ui/practice/SetRules.svelte';
	import SetViews from '$lib/ui/practice/SetViews.svelte';
	import SetQuestions from '$lib/ui/practice/SetQuestions.svelte';
	import SetHistory from '$lib/ui/practice/SetHistory.svelte';
	import Notice from '$lib/ui/shell/Notice.svelte';
	import SelectShown from '$lib/ui/table/SelectShown.svelte';
	import Table from '$lib/ui/table/Table.svelte';

	let { data, form } = $props();
	const set = $derived(data.set);
	const dates = $derived(set.dates);
	const canChange = $derived(data.can.practice && !set.isWithdrawn);

	let another = $state<FoundStudent | null>(null);
	let chosen = $state<number[]>([]);
	const selected = $derived(data.students.filter(({ id }) => chosen.includes(id)));
	const timeOf = (minute: number | null) => (minute === null ? '' : sayMinute(minute));
	let opensOn = $derived(dates.opensOn);
	let opensAt = $derived(timeOf(dates.opensMinute));
	let dueOn = $derived(dates.dueOn ?? '');
	let dueAt = $derived(timeOf(dates.dueMinute));
	let closes = $derived(dates.closes);
	const isSame = $derived(
		opensOn === dates.opensOn &&
			opensAt === timeOf(dates.opensMinute) &&
			dueOn === (dates.dueOn ?? '') &&
			dueAt === timeOf(dates.dueMinute) &&
			closes === dates.closes
	);
	const minuteIn = (text: string) => (text ? 60 * Number(text.slice(0, 2)) + Number(text.slice(3)) : null);

	const count = (states: string[]) => data.students.filter(({ state }) => states.includes(state)).length;
	const hasBegun = (state: string) => !['not begun', 'excused', 'marked done'].includes(state);
	/** In the run that is theirs now. */
	const begun = $derived(data.students.filter(({ state }) => hasBegun(state)).length);
	const facts = $derived(
		[
			`${count(['finished', 'finished late'])} of ${data.students.length - count(['excused'])} finished`,
			`${count(['under way'])} under way`,
			`${count(['not begun'])} not begun`,
			...(count(['excused']) ? [`${count(['excused'])} excused`] : [])
		].join(', ')
	);
	/** The run before: `before 3 of 5`. */
	const sayBefore = ({ right, answered, isAside }: NonNullable<(typeof data.students)[number]['before']>) =>
		`${isAside ? 'kept aside' : 'before'} ${right} of ${answered}`;
	/** Help that a student has everywhere, where the set says nothing else. */
	function helpOf({ help, variation }: (typeof data.students)[number]): string {
		const parts = [
			help.readAloud && variation.readAloud === null && 'read aloud',
			help.largerType && variation.largerType === null && 'larger type'
		].filter(Boolean);
		return parts.length ? `${parts.join(', ')}, as always` : '';
	}
</script>

<svelte:head><title>{data.title} · Practice · Orderly Compass</title></svelte:head>

<div class="page-head">
	<h1>{data.title}</h1>
	<span class="soft">{plural(set.itemCount, 'question')}, {facts}</span>
</div>
<SetViews id={set.id} />
{#if set.isOwnStep}
	<p>Each works on the skill that was their own next step.</p>
{:else}
	{#each data.skills as skill (skill.id)}
		<p>
			<a href={keepingScope(`/library/${skill.code}`)}>{skill.code}</a>: {skill.statement}.
			{#if data.skills.length > 1 || skill.checks || skill.hasExample}<span class="soft"
					>{[
						skill.hasExample && 'a worked example',
						skill.practice && plural(skill.practice, 'question'),
						skill.checks && `${skill.checks} without help at the end`
					]
						.filter(Boolean)
						.join(', ')}</span
				>{/if}
		</p>
	{/each}
{/if}
<p class="soft">
	{data.groupName ? `For ${data.groupName}, by` : 'By'}
	{set.createdBy}, {sayDate(schoolDateOf(set.createdAt, data.school.timeZone))}{#each sayHow(set.how) as part (part)}; {part}{/each}
</p>
{#if data.lesson}
	<details>
		<summary>Begins with “{data.lesson.title}”</summary>
		<MaterialView material={data.lesson} />
	</details>
{/if}
{#if set.task}
	<p>
		Task that an adult leads: {set.task}
		<span class="soft"
			>done with {data.students.filter(({ isTaskDone }) => isTaskDone).length} of {data.students.length}</span
		>
	</p>
{/if}
<p class="soft">
	{#if set.followsId}Set off by <a href={keepingScope(`/practice/${set.followsId}`)}>another set</a> that these students had
		finished.{/if}
	{sayFollow(set.how)}
</p>

{#if set.isWithdrawn}
	<p class="attention">
		This set was taken back: it is on no student’s page. What was answered stays and counts.
		{#if data.can.practice && set.isTheirs}<ActionButton action="?/giveBack" look="plain"
				>Give it back to all</ActionButton
			>{/if}
	</p>
{:else if canChange && set.isTheirs}
	<form method="POST" action="?/dates" class="one-line dates no-print" use:enhance={keepValues}>
		<label>Students see it from <input name="opensOn" type="date" required bind:value={opensOn} /></label>
		<input name="opensAt" type="time" aria-label="Time from which they see it" bind:value={opensAt} />
		<label>due <input name="dueOn" type="date" min={opensOn} bind:value={dueOn} /></label>
		<input name="dueAt" type="time" aria-label="Time when it is due" disabled={!dueOn} bind:value={dueAt} />
		<label
			><input name="closes" type="checkbox" value="yes" disabled={!dueOn} bind:checked={closes} /> closes then</label
		>
		<button disabled={isSame}>Keep for all</button>
		<span class="soft">{sayAfterDue({ dueOn: dueOn || null, dueMinute: minuteIn(dueAt), closes })}</span>
	</form>
{:else}
	<p class="soft">Students see it from {sayDayAt(dates.opensOn, dates.opensMinute)}; {sayDue(dates)}.</p>
{/if}

{#if canChange && set.isTheirs}
	<SetRules
		name={set.name}
		usualName={data.usualName}
		task={set.task}
		how={set.how}
		begun={data.students.filter(({ attempt, state }) => attempt > 1 || hasBegun(state)).length}
	/>
{/if}
{#if canChange && set.isTheirs}
	<SetQuestions
		skills={data.skills.map(({ id, ...skill }) => ({ ...skill, skillId: id }))}
		isOwnStep={set.isOwnStep}
		how={set.how}
		offered={data.offered}
		students={data.students.length}
		{begun}
	/>
{/if}
{#if !set.isWithdrawn}
	<details class="no-print link">
		<summary>Link and QR code for its students</summary>
		<p>
			<code>{data.link}</code><br /><span class="soft"
				>Leads to their page with this set first; who is not signed in signs in before. Others do not get in by it.</span
			>
		</p>
		<!-- eslint-disable-next-line svelte/no-at-html-tags -- drawn by the server from its own address -->
		<div class="qr" role="img" aria-label="QR code of the link">{@html data.qr}</div>
	</details>
{/if}

<Table
	says="Students with this set"
	columns={[
		canChange && { label: 'Select', isSilent: true },
		{ label: 'Student' },
		{ label: 'Class' },
		set.isOwnStep && { label: 'Own next step' },
		{ label: 'How far' },
		!set.how.doneOnly && { label: 'Right at the first try' },
		{ label: 'Active', isNumber: true },
		set.task !== null && { label: 'Task' },
		{ label: 'Due' },
		{ label: 'Otherwise' }
	]}
	rows={data.students}
	key={({ id }) => id}
	attributes={({ id }) => ({ 'data-student': id })}
>
	{#snippet cells(student)}
		{#if canChange}<td
				><input type="checkbox" value={student.id} bind:group={chosen} aria-label="Select {student.name}" /></td
			>{/if}
		<th scope="row"><a href={keepingScope(`/students/${student.id}`)}>{student.name}</a></th>
		<td>{student.className}</td>
		{#if set.isOwnStep}<td>{student.skill}</td>{/if}
		<td
			>{student.state === 'under way'
				? `${student.answered} of ${student.itemCount} answered`
				: student.isTurnedIn
					? `turned in, ${student.answered} of ${student.itemCount} answered`
					: student.state}{#if student.isLeft}<strong>, left: waits for you to let them go on</strong
				>{/if}{#if student.attempt > 1}<span class="soft">, run {student.attempt}</span>{/if}{#if student.isLate}<strong
					>, late</strong
				>{/if}</td
		>
		{#if !set.how.doneOnly}<td
				>{student.answered ? `${student.right} of ${student.answered}` : ''}
				{#if student.before}<span class="soft">{sayBefore(student.before)}</span>{/if}
				{#if student.hasRushed}<span class="soft" title="Three answers in a row within two seconds each, not all right"
						>rushed</span
					>{/if}
				{#if student.followed && student.followed.kind !== 'nothing'}<span class="soft"
						>{#if student.followed.kind === 'notice'}{NOTICE_WORDS[student.followed.why ?? 'below']}{:else}followed by {#if student.followed.followSetId}<a
									href={keepingScope(`/practice/${student.followed.followSetId}`)}
									>{FOLLOW_WORDS[student.followed.kind]}</a
								>{:else}{FOLLOW_WORDS[student.followed.kind]}, taken back{/if}{/if}</span
					>{/if}</td
			>{/if}
		<td class="number">{student.activeMinutes ? `${student.activeMinutes} min` : ''}</td>
		{#if set.task}<td>{student.isTaskDone ? 'done' : 'to do'}</td>{/if}
		<td
			>{student.dueOn ? sayDayAt(student.dueOn, student.dueMinute) : 'never'}{#if student.hasOwnDue}<span class="soft"
					>, own</span
				>{/if}</td
		>
		<td>{sayVariation(student.variation)} <span class="soft">{helpOf(student)}</span></td>
	{/snippet}
</Table>
{#if canChange}
	<form method="POST" action="?/add" class="one-line more no-print" use:enhance>
		<StudentPicker
			label="Give it to another student"
			name="students"
			not={data.students.map(({ id }) => id)}
			bind:chosen={another}
		/>
		<button disabled={!another}>Give it to {another ? another.givenName : 'another student'} too</button>
	</form>
{/if}
{#if canChange}<SelectShown ids={data.students.map(({ id }) => id)} bind:chosen />{/if}

{#if selected.length}<SetActions
		{selected}
		hasTask={set.task !== null}
		{dates}
		moreTime={data.moreTime}
		isOver={isPastDue(dates, { day: data.school.today, minute: data.school.minute })}
		clear={() => (chosen = [])}
	/>{/if}
<SetHistory history={data.history} timeZone={data.school.timeZone} canUndo={data.can.practice} />
<Notice outcome={form} />

<style>
	.dates {
		margin: 10px 0;
	}
	.link {
		margin: 4px 0 8px;
	}
	.qr :global(svg) {
		width: 220px;
		height: 220px;
	}
	.more {
		margin: 10px 0;
	}
</style>
