<script lang="ts">
	import { enhance } from '$app/forms';
	import { sayInstant, saySpan } from '$lib/core/calendar';
	import { HIGHEST_GRADE } from '$lib/core/interchange/studentList';
	import { plural, sayGrade } from '$lib/core/words';
	import ActionButton from '$lib/ui/form/ActionButton.svelte';
	import SetupViews from '$lib/ui/setup/SetupViews.svelte';
	import ActionBar from '$lib/ui/shell/ActionBar.svelte';
	import Notice from '$lib/ui/shell/Notice.svelte';
	import Table from '$lib/ui/table/Table.svelte';

	let { data, form } = $props();
	const GRADES = Array.from({ length: HIGHEST_GRADE + 1 }, (_, grade) => grade);
	// svelte-ignore state_referenced_locally
	let startsOn = $state(data.proposed?.startsOn ?? '');
	// svelte-ignore state_referenced_locally
	let endsOn = $state(data.proposed?.endsOn ?? '');
	/** What each class becomes, as it is being edited. */
	const rows = $derived.by(() => {
		const rows = $state(
			data.classes.map(({ becomes, ...one }) => ({
				...one,
				nextName: becomes?.name ?? one.name,
				nextGrade: becomes ? String(becomes.grade) : 'leave'
			}))
		);
		return rows;
	});
	const leaving = $derived(rows.filter(({ nextGrade }) => nextGrade === 'leave'));
	const students = (some: typeof rows) => some.reduce((sum, one) => sum + one.students, 0);
	const going = $derived(rows.filter(({ nextGrade }) => nextGrade !== 'leave'));
	const names = $derived(new Set(going.map(({ nextName }) => nextName.trim().toLowerCase())));
</script>

<svelte:head><title>New year · Orderly Compass</title></svelte:head>

<SetupViews />
<h1>A new school year</h1>
{#if data.begun}
	<section class="begun" aria-label="The year that was begun">
		<p>
			A year was begun on {sayInstant(data.begun.begunAt, data.school.timeZone)} by {data.begun.by}. It can be taken
			back as a whole until the first student works.
		</p>
		<ActionButton action="?/back" fields={{ year: data.begun.id }}>Take that year back</ActionButton>
	</section>
{/if}
{#if data.classes.length === 0}
	<p>There is no class that could go on. <a href="/setup/classes">Classes</a></p>
{:else}
	{#if data.runs}
		<p class="wait" role="note">
			The year {saySpan(data.runs)} is still running: this is what the next one would do. It can begin once this one has ended,
			or after its last day is changed on <a href="/setup/school">School and year</a>.
		</p>
	{/if}
	<form
		method="POST"
		action="?/begin"
		use:enhance={() =>
			({ update }) =>
				update({ reset: false })}
	>
		<p class="one-line">
			<label for="starts">First day</label>
			<input id="starts" name="startsOn" type="date" required bind:value={startsOn} />
			<label for="ends">Last day</label>
			<input id="ends" name="endsOn" type="date" required bind:value={endsOn} />
			<label for="adults">Adults and times of a class</label>
			<select id="adults" name="adults">
				<option value="with the name">stay with its name, for other students</option>
				<option value="along">go along with the students</option>
				<option value="nobody">are set anew</option>
			</select>
		</p>
		<div class="plan">
			<Table
				says="What classes become"
				columns={[
					{ label: 'Class' },
					{ label: 'Grade' },
					{ label: 'Students', isNumber: true },
					{ label: 'Becomes' },
					{ label: 'Of grade' }
				]}
				{rows}
				key={({ id }) => id}
				airy
				narrow
			>
				{#snippet cells(row)}
					<th scope="row">{row.name}<input type="hidden" name="class" value={row.id} /></th>
					<td class="grade">{sayGrade(row.grade)}</td>
					<td class="number">{row.students}</td>
					<td>
						{#if row.nextGrade === 'leave'}
							<input type="hidden" name="name" value="" />
							<span class="soft">{row.students ? 'ends; its students leave the school' : 'ends'}</span>
						{:else}
							<input
								name="name"
								aria-label="New name of {row.name}"
								required
								maxlength="60"
								bind:value={row.nextName}
							/>
						{/if}
					</td>
					<td>
						<select name="grade" aria-label="Grade of {row.name} in the new year" bind:value={row.nextGrade}>
							{#each GRADES as one (one)}<option value={String(one)}>{sayGrade(one)}</option>{/each}
							<option value="leave">no more</option>
						</select>
					</td>
				{/snippet}
			</Table>
			<div class="what">
				<p>
					<strong>{plural(students(going), 'student')}</strong> go on in {plural(names.size, 'class', 'classes')}, each
					with a new code for the door; two with the same name and grade become one.
					{#if students(leaving)}
						<strong>{plural(students(leaving), 'student')}</strong> of {leaving
							.filter((one) => one.students)
							.map(({ name }) => name)
							.join(', ')} leave.{/if}
					Who changes to another class, or stays down, is moved afterwards on the page of the class.
				</p>
				<p>
					{data.sections ? `${plural(data.sections, 'section ends', 'sections end')}. ` : ''}{data.groups
						? `${plural(data.groups, 'group')} and what waits for students end: practice that nobody has begun, weekly probes, open reviews, checks.`
						: 'What waits for students ends: practice that nobody has begun, weekly probes, open reviews, checks.'}
					Tiers, caseload, PINs and everything that was answered, taught and decided stay, and so do grades and lines of windows
					that are past.
				</p>
				{#if data.planned}<p class="wait">
						{plural(data.planned, 'student is', 'students are')} planned to join or leave a class on a later day: take that
						back first.
					</p>{/if}
			</div>
		</div>
		<ActionBar says="{plural(students(rows), 'student')} from today on">
			<button class="primary" disabled={data.runs !== null || data.planned > 0}>Begin the new year</button>
		</ActionBar>
	</form>
{/if}
<Notice outcome={form} />

<style>
	.grade {
		white-space: nowrap;
	}
	h1 {
		margin-bottom: 8px;
	}
	.begun,
	.wait {
		margin-bottom: 12px;
		padding: 8px 12px;
		border-left: 3px solid var(--verdigris);
		background: var(--sheet);
		max-width: 90ch;
	}
	.begun p {
		margin-bottom: 6px;
	}
	.one-line {
		margin-bottom: 12px;
	}
	/* What it means stands beside the classes where there is room. */
	.plan {
		display: grid;
		grid-template-columns: auto minmax(0, 1fr);
		gap: 12px 24px;
		align-items: start;
	}
	.what {
		display: grid;
		gap: 8px;
		max-width: 60ch;
	}
	@media (max-width: 1000px) {
		.plan {
			grid-template-columns: minmax(0, 1fr);
		}
	}
</style>
