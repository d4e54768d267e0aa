<script lang="ts">
	import { keepValues } from '$lib/ui/form/keepValues';
	import ActionButton from '$lib/ui/form/ActionButton.svelte';
	import { enhance } from '$app/forms';
	import { sayDay, sayMeeting, addDays } from '$lib/core/calendar';
	import { BLOCK_KINDS } from '$lib/core/timetable';
	import GroupViews from '$lib/ui/groups/GroupViews.svelte';
	import ReleaseTable from '$lib/ui/groups/ReleaseTable.svelte';
	import WeekPlan from '$lib/ui/groups/WeekPlan.svelte';
	import { keepingScope } from '$lib/ui/shell/address';
	import Notice from '$lib/ui/shell/Notice.svelte';
	import Pager from '$lib/ui/table/Pager.svelte';

	let { data, form } = $props();

	const DAYS = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri'];
	const plan = $derived(form && 'plan' in form ? form.plan : null);
	const outcome = $derived(form && !('plan' in form) ? form : null);
	const free = $derived(data.slots.filter(({ isHeld }) => !isHeld));
	let file = $state<HTMLInputElement>();
</script>

<svelte:head><title>Timetable · Orderly Compass</title></svelte:head>

{#snippet weekdays()}
	<span class="days">
		{#each DAYS as day, i (day)}<label><input type="checkbox" name="days" value={i + 1} /> {day}</label>{/each}
	</span>
{/snippet}
{#snippet staff(label: string)}
	<label
		>{label}
		<select name="staff" required>
			{#each data.people as { id, displayName } (id)}<option value={id}>{displayName}</option>{/each}
		</select></label
	>
{/snippet}

<GroupViews />
<div class="head">
	<div>
		<h1>Timetable</h1>
		<p class="soft">
			{data.times} weekly meeting times of {data.people.length} staff, {data.free} of them free. Groups are suggested for
			free times at which students’ classes release them.
		</p>
	</div>
	<p class="no-print">
		As iCalendar: <a href="/groups/timetable/calendar.ics" download>all meetings</a
		>{#each data.people as { id, displayName } (id)}, <a href="/groups/timetable/calendar.ics?staff={id}" download
				>{displayName}</a
			>{/each}
	</p>
</div>
{#each data.clashes as clash (clash)}<p class="attention">{clash}.</p>{/each}

<WeekPlan slots={data.slots} people={data.shownPeople} />
<Pager {...data.lanes} total={data.people.length} name="staff" />

<h2>When classes release students</h2>
<p class="soft">Not in a core lesson, not in recess or at lunch: what is shaded is kept by the class.</p>
<ReleaseTable classes={data.shownClasses} blocks={data.blocks} may={data.can.timetable} />
<Pager {...data.rows} total={data.classes.length} name="classes" />

<h2>Staff away</h2>
<ul class="list">
	{#each data.absences as absence (absence.id)}
		<li>
			{absence.staffName}: {sayDay(absence.fromOn)}{addDays(absence.fromOn, 1) < absence.untilOn
				? ` to ${sayDay(addDays(absence.untilOn, -1))}`
				: ''}{absence.note ? `, ${absence.note}` : ''}
			{#if data.can.timetable}
				<ActionButton
					action="?/removeAbsence"
					fields={{ ids: absence.id }}
					label="Remove {absence.staffName}, {sayDay(absence.fromOn)}"
					look="plain">Remove</ActionButton
				>
			{/if}
		</li>
	{:else}
		<li class="soft">Nobody is noted as away.</li>
	{/each}
</ul>

{#if data.can.timetable}
	<div class="forms no-print">
		<form method="POST" action="?/addSlot" use:enhance>
			<h2>Add a meeting time</h2>
			{@render staff('Who')}
			{@render weekdays()}
			<span class="row">
				<label>at <input type="time" name="startsAt" required /></label>
				<label>for <input type="number" name="minutes" min="5" max="120" value="30" required /> min</label>
			</span>
			<span class="row">
				<label>Room <input name="room" maxlength="60" /></label>
				<label
					>Tier
					<select name="tier"
						><option value="">either</option><option value="2">2</option><option value="3">3</option></select
					></label
				>
			</span>
			<button class="primary">Add time</button>
		</form>
		<form method="POST" action="?/addBlock" use:enhance>
			<h2>A class keeps its students</h2>
			<label
				>Classes
				<select name="classes" multiple size="4" required>
					{#each data.classes as { id, name, grade } (id)}<option value={id}>{name}, grade {grade}</option>{/each}
				</select></label
			>
			<label
				>For
				<select name="kind"
					>{#each BLOCK_KINDS as kind (kind)}<option>{kind}</option>{/each}</select
				></label
			>
			{@render weekdays()}
			<span class="row">
				<label>at <input type="time" name="startsAt" required /></label>
				<label>for <input type="number" name="minutes" min="5" max="240" value="45" required /> min</label>
			</span>
			<button>Add</button>
		</form>
		<form method="POST" action="?/addAbsence" use:enhance>
			<h2>Somebody is away</h2>
			{@render staff('Who')}
			<span class="row">
				<label>from <input type="date" name="fromOn" value={data.tomorrow} required /></label>
				<label>to <input type="date" name="lastOn" value={data.tomorrow} required /></label>
			</span>
			<label>Note <input name="note" maxlength="200" /></label>
			<button>Note absence</button>
		</form>
		<form method="POST" action="?/import" enctype="multipart/form-data" use:enhance={keepValues}>
			<h2>Bring a calendar in</h2>
			<p class="soft">
				An iCalendar file: what comes every week becomes a meeting time, whole days become days away. It is shown before
				anything is taken.
			</p>
			{@render staff('Whose')}
			<input
				type="file"
				name="file"
				accept=".ics,text/calendar"
				aria-label="iCalendar file"
				required
				bind:this={file}
			/>
			{#if plan}
				<div class="plan">
					<p><strong>For {plan.staffName}:</strong></p>
					<ul>
						{#each plan.times as text (text)}<li>{text}</li>{/each}
						{#each plan.away as text (text)}<li>away {text}</li>{/each}
						{#if plan.times.length + plan.away.length === 0}<li>Nothing to take.</li>{/if}
						{#each plan.problems as text (text)}<li class="soft">Left out: {text}</li>{/each}
					</ul>
				</div>
				<span class="row">
					{#if plan.times.length + plan.away.length}<button class="primary" name="take" value="yes">Take these</button
						>{/if}
					<button>Look again</button>
				</span>
			{:else}
				<button>Look at it</button>
			{/if}
		</form>
	</div>
	<h2 class="no-print">
		Free times{data.people.length > data.shownPeople.length ? ' of the staff shown' : ''}
	</h2>
	<ul class="list no-print">
		{#each free as slot (slot.id)}
			<li>
				{slot.staffName}, {sayMeeting(slot)}, {slot.minutes} min{slot.room ? `, ${slot.room}` : ''}{slot.tier
					? `, tier ${slot.tier} only`
					: ''}: {slot.releasing} of {data.ownClasses} classes can release students
				<ActionButton
					action="?/endSlot"
					fields={{ slot: slot.id }}
					label="End {slot.staffName}, {sayMeeting(slot)}"
					look="plain">End</ActionButton
				>
			</li>
		{:else}
			<li class="soft">Every one of these meeting times has its group. <a href={keepingScope('/groups')}>Groups</a></li>
		{/each}
	</ul>
{/if}
<Notice {outcome} />

<style>
	.head {
		display: flex;
		flex-wrap: wrap;
		justify-content: space-between;
		gap: 8px 24px;
		margin-bottom: 10px;
	}
	h2 {
		margin-top: 20px;
	}
	.list {
		list-style: none;
		margin: 4px 0 0;
		padding: 0;
	}
	.forms {
		display: grid;
		grid-template-columns: repeat(auto-fit, minmax(260px, 1fr));
		gap: 16px 28px;
		margin-top: 20px;
		border-top: 2px solid var(--ink);
		padding-top: 12px;
	}
	.forms form {
		display: grid;
		grid-template-columns: minmax(0, 1fr);
		gap: 8px;
		justify-items: start;
		align-content: start;
	}
	.row,
	.days {
		display: flex;
		flex-wrap: wrap;
		gap: 8px 12px;
		align-items: center;
	}
	.days label {
		font-weight: 400;
	}
	input[type='number'] {
		width: 64px;
	}
	input[type='file'] {
		max-width: 100%;
	}
	.plan ul {
		margin: 4px 0;
		padding-left: 18px;
	}
</style>
