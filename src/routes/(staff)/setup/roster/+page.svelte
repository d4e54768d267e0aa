<script lang="ts">
	import { enhance } from '$app/forms';
	import { sayInstant } from '$lib/core/calendar';
	import { ROSTER_EFFECTS, type RosterEffect } from '$lib/core/interchange/roster/effects';
	import { RULED_FIELDS } from '$lib/core/interchange/roster/schoolRoster';
	import { plural } from '$lib/core/words';
	import ActionButton from '$lib/ui/form/ActionButton.svelte';
	import { keepValues } from '$lib/ui/form/keepValues';
	import RosterPlanTable from '$lib/ui/setup/RosterPlanTable.svelte';
	import RosterServiceForm from '$lib/ui/setup/RosterServiceForm.svelte';
	import SetupViews from '$lib/ui/setup/SetupViews.svelte';
	import { withState } from '$lib/ui/shell/address';
	import Notice from '$lib/ui/shell/Notice.svelte';
	import Pager from '$lib/ui/table/Pager.svelte';
	import Table from '$lib/ui/table/Table.svelte';

	let { data, form } = $props();
	const waiting = $derived(data.waiting);
	const problems = $derived(form && 'problems' in form ? form.problems : null);
	const schools = $derived(form && 'schools' in form ? form.schools : null);
	const isFromService = $derived(form !== null && 'isFromService' in form);
	let isReading = $state(false);
	let isSure = $state(false);

	const NAMES: Record<RosterEffect, [string, string]> = {
		settle: ['thing to settle', 'things to settle'],
		join: ['student joins', 'students join'],
		move: ['student moves', 'students move'],
		return: ['student comes back', 'students come back'],
		leave: ['student leaves', 'students leave'],
		change: ['record changes', 'records change'],
		find: ['student is found', 'students are found'],
		classes: ['class', 'classes'],
		sections: ['section changes', 'sections change'],
		adults: ['thing about adults', 'things about adults']
	};
	const FIELD_NAMES = {
		givenName: 'given name',
		familyName: 'family name',
		preferredName: 'preferred name',
		number: 'number',
		grade: 'grade',
		birthDate: 'birth date'
	};
	const when = (at: Date) => sayInstant(at, data.school.timeZone);
	/** Of all students, those who would leave; a share that rounds to nothing is none the less somebody. */
	const share = $derived(waiting ? (100 * waiting.leaving.count) / Math.max(1, waiting.leaving.of) : 0);
	const STATES = { applied: 'applied', undone: 'taken back', 'set aside': 'set aside', planned: 'waits' };
	/** What a run did, in one line. */
	const sayFigures = (figures: Partial<Record<RosterEffect, number>>) =>
		ROSTER_EFFECTS.filter((effect) => figures[effect])
			.map((effect) => plural(figures[effect]!, ...NAMES[effect]))
			.join(', ') || 'nothing to change';
</script>

<svelte:head><title>Roster · Orderly Compass</title></svelte:head>

<SetupViews />
<div class="page-head">
	<h1>Roster from elsewhere</h1>
	{#if data.hasStudents}<a href="/setup/roster/school.zip" data-sveltekit-reload>The school as OneRoster 1.2 (ZIP)</a
		>{/if}
</div>

{#if waiting}
	<section aria-label="The roster that waits">
		<p>
			<strong>{waiting.fileName}</strong>{waiting.systemName ? `, from ${waiting.systemName}` : ''}{waiting.isDelta
				? ', changes only'
				: ''}, brought by {waiting.broughtBy} on {when(waiting.broughtAt)}. Nothing is changed before you apply it.
		</p>
		<div class="one-line decide no-print">
			<form method="POST" action="?/apply" use:enhance class="one-line">
				<input type="hidden" name="run" value={waiting.id} />
				<input type="hidden" name="key" value={waiting.key} />
				{#if waiting.isMany}
					<label class="sure"
						><input type="checkbox" name="sure" value="yes" bind:checked={isSure} required />
						{waiting.leaving.count} of {waiting.leaving.of} students ({share < 1 ? 'under 1' : Math.round(share)}%)
						leave: that is so</label
					>
				{/if}
				<button class="primary" disabled={waiting.isMany && !isSure}
					>{waiting.changes ? `Apply ${plural(waiting.changes, 'change')} from today` : 'Keep as seen'}</button
				>
			</form>
			<ActionButton action="?/setAside" fields={{ run: waiting.id }}>Set it aside</ActionButton>
		</div>
		{#if waiting.counts.length === 0}
			<p class="attention">It says what is here already: there is nothing to change.</p>
		{:else}
			<nav class="effects no-print" aria-label="What it would do">
				{#each waiting.counts as { effect, count } (effect)}
					<a
						href={withState({ show: effect, from: null })}
						aria-current={effect === waiting.show ? 'true' : undefined}
						data-sveltekit-noscroll>{plural(count, ...NAMES[effect])}</a
					>
				{/each}
			</nav>
			{#if waiting.show === 'settle'}<p class="soft">
					These are left as they are. Settle them here or where the roster comes from, and bring it again.
				</p>{/if}
			<RosterPlanTable
				says={waiting.show ? NAMES[waiting.show][1] : 'Nothing'}
				rows={waiting.rows}
				classNames={waiting.classNames}
			/>
			<Pager {...waiting.part} name="from" />
		{/if}
	</section>
{:else}
	<form
		method="POST"
		action="?/bring"
		enctype="multipart/form-data"
		class="bring"
		use:enhance={() => {
			isReading = true;
			return async ({ update }) => {
				await update({ reset: false });
				isReading = false;
			};
		}}
	>
		<label for="file">A OneRoster 1.2 package: a ZIP of CSV files, whole or changes only</label>
		<input id="file" name="file" type="file" accept=".zip,application/zip" required />
		{#if schools && !isFromService}
			<label for="school">It holds {plural(schools.length, 'school')}. Which is yours?</label>
			<select id="school" name="school" required>
				<option value="" disabled selected>choose a school</option>
				{#each schools as { sourcedId, name } (sourcedId)}<option value={sourcedId}>{name}</option>{/each}
			</select>
		{/if}
		<button class="primary" disabled={isReading}>{isReading ? 'Reading …' : 'Look at it'}</button>
		<p class="soft">
			What it would change is shown first, line by line. Students are found by the roster’s id, the first time by
			number, or by name with birth date or class.
		</p>
	</form>
{/if}

{#if form && 'problem' in form && form.problem}<p class="problem" role="alert">{form.problem}</p>{/if}
{#if problems}
	<section>
		<h2>The roster was not taken</h2>
		<p class="problem" role="alert">
			{plural(problems.count, 'thing')} in it {problems.count === 1 ? 'is' : 'are'} not as {problems.count === 1
				? 'it'
				: 'they'} should be{problems.count > problems.told.length
				? `; the first ${problems.told.length} are shown`
				: ''}. Nothing was changed.
		</p>
		<Table
			says="What is wrong with the roster"
			columns={[{ label: 'File' }, { label: 'Line', isNumber: true }, { label: 'What is wrong' }]}
			rows={problems.told}
			key={(_, i) => i}
			narrow
			airy
		>
			{#snippet cells({ file, line, says })}
				<th scope="row">{file}</th>
				<td class="number">{line ?? ''}</td>
				<td>{says}</td>
			{/snippet}
		</Table>
	</section>
{/if}

{#if data.runs.length}
	<section>
		<h2>Rosters until now</h2>
		<Table
			says="Rosters until now"
			columns={[
				{ label: 'Brought' },
				{ label: 'File' },
				{ label: 'What it did' },
				{ label: 'Now' },
				{ label: 'What can be done', isSilent: true }
			]}
			rows={data.runs}
			key={({ id }) => id}
			airy
		>
			{#snippet cells(run)}
				<th scope="row">{when(run.broughtAt)}, {run.broughtBy}</th>
				<td>{run.fileName}{run.isDelta ? ' (changes only)' : ''}</td>
				<td>{run.figures ? sayFigures(run.figures) : ''}</td>
				<td
					>{STATES[run.state]}{run.undoneAt
						? `, ${when(run.undoneAt)}`
						: run.appliedAt
							? `, ${when(run.appliedAt)}${run.appliedBy ? ` by ${run.appliedBy}` : ''}`
							: ''}</td
				>
				<td>
					{#if run.id === data.canUndo}<ActionButton
							action="?/undo"
							fields={{ run: run.id }}
							look="small"
							label="Take back the roster {run.fileName}">Take back</ActionButton
						>{/if}
				</td>
			{/snippet}
		</Table>
		<p class="soft">The newest can be taken back for 14 days. Students of whom something has come by then stay.</p>
	</section>
{/if}
<RosterServiceForm source={data.source} schools={isFromService ? (schools ?? null) : null} />
<section class="no-print">
	<h2>How rosters are taken</h2>
	<form method="POST" action="?/rules" use:enhance={keepValues} class="rules">
		<label for="homeClasses">Classes here are</label>
		<select id="homeClasses" name="homeClasses" value={data.rules.homeClasses ?? ''}>
			<option value="">the roster’s homerooms, where it has any</option>
			<option value="homeroom">the roster’s homerooms</option>
			<option value="scheduled">the roster’s scheduled classes</option>
		</select>
		<label for="sections"
			>Of the other kind, those come as sections whose name or course has a word that begins so</label
		>
		<input
			id="sections"
			name="sections"
			maxlength="300"
			size="40"
			placeholder="none; or, say: math, intervention"
			value={data.rules.sections.join(', ')}
		/>
		<fieldset>
			<legend>Once it is here, it stays as it is here</legend>
			{#each RULED_FIELDS as field (field)}
				<label
					><input type="checkbox" name="ours" value={field} checked={data.rules.ours.includes(field)} />
					{FIELD_NAMES[field]}</label
				>
			{/each}
		</fieldset>
		<label
			><input type="checkbox" name="birthDates" value="yes" checked={data.rules.takesBirthDates} /> Take birth dates</label
		>
		<label
			>Ask once more when more leave than
			<input type="number" name="mostLeaving" min="0" max="100" value={data.rules.mostLeaving} /> % of the students</label
		>
		<button>Keep</button>
	</form>
</section>
<Notice outcome={form && 'done' in form ? form : null} />

<style>
	.page-head {
		margin-bottom: 12px;
	}
	section {
		margin-top: 18px;
	}
	h2 {
		margin-bottom: 6px;
	}
	.bring {
		display: grid;
		grid-template-columns: minmax(0, 1fr);
		gap: 6px;
		justify-items: start;
		max-width: 44rem;
	}
	.effects {
		display: flex;
		flex-wrap: wrap;
		gap: 6px 14px;
		margin: 10px 0;
	}
	.effects [aria-current] {
		color: var(--ink);
		font-weight: 600;
		text-decoration: none;
		border-bottom: 2px solid var(--verdigris);
	}
	.decide {
		margin-top: 12px;
		gap: 14px;
	}
	:is(.bring, .rules) :is(input, select) {
		max-width: 100%;
	}
	fieldset {
		border: 1px solid var(--rule);
		display: flex;
		flex-wrap: wrap;
		gap: 4px 16px;
	}
	.rules {
		display: grid;
		grid-template-columns: minmax(0, auto);
		gap: 8px;
		justify-items: start;
		margin-top: 8px;
	}
	input[type='number'] {
		width: 4.5em;
	}
	.problem {
		margin: 10px 0;
	}
</style>
