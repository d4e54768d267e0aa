<script lang="ts">
	import { enhance } from '$app/forms';
	import { sayDate, sayDay } from '$lib/core/calendar';
	import { FLUENCY_MEASURES, MEASURES } from '$lib/core/fluency';
	import { fullName, number, plural, signed } from '$lib/core/words';
	import ActionButton from '$lib/ui/form/ActionButton.svelte';
	import { keepingScope, setState, withState } from '$lib/ui/shell/address';
	import Notice from '$lib/ui/shell/Notice.svelte';
	import Table from '$lib/ui/table/Table.svelte';
	import MeasureRead from '$lib/ui/track/MeasureRead.svelte';
	import TrackViews from '$lib/ui/track/TrackViews.svelte';

	let { data, form } = $props();
	const { page } = $derived(data);
	type Beginning = NonNullable<typeof page.beginning>;

	/** Fills the line of each one's sheet in where no goal was typed yet. */
	function fillLines({ lines }: Beginning, from: HTMLElement) {
		for (const row of from.closest('form')!.querySelectorAll('tbody tr')) {
			const goal = row.querySelector<HTMLInputElement>('input[name=goals]')!;
			const sheet = row.querySelector<HTMLSelectElement>('select[name=sheets]')!;
			if (!goal.value.trim()) goal.value = String(lines[Number(sheet.value)]);
		}
	}
</script>

<svelte:head><title>Measures · Track · Orderly Compass</title></svelte:head>

<div class="page-head">
	<h1>Measures an adult gives, in {data.scope.inWords}</h1>
	<span class="soft">{plural(page.lines.length, 'series', 'series')}, {page.toGive} still to give this week.</span>
</div>
<TrackViews />
<p class="soft">
	A minute of reading aloud or of facts, week by week, to one student at a time. It describes a pace; no advice on tiers
	comes of it.
</p>

{#if page.tooMany}
	<p>{page.tooMany} students are too many for one look. Choose a class, a grade or your caseload at the top.</p>
{:else}
	{#if page.chosen}
		{@const { student, measure, sheetGrade, givings } = page.chosen}
		{@const { units } = MEASURES[measure]}
		<section class="chosen" aria-labelledby="chosen">
			<h2 id="chosen">
				{fullName(student)}: {measure}
				<span class="soft">{student.className} · sheets of grade {sheetGrade}</span>
			</h2>
			<MeasureRead series={page.chosen} />
			<Table
				says="What was given"
				columns={[
					{ label: 'Day' },
					{ label: `Correct ${units} a minute`, isNumber: true },
					{ label: 'Right of those reached' },
					{ label: 'Given by' },
					{ label: 'If it does not count' }
				]}
				rows={[...givings].reverse()}
				key={({ id }) => id}
			>
				{#snippet cells({ id, on, by, inScreening, correctPerMinute, standardError, correct, attempted })}
					<th scope="row">{sayDate(on)}</th>
					<td class="number">{number(correctPerMinute)} <span class="soft">± {number(standardError)}</span></td>
					<td>{correct} of {attempted}</td>
					<td
						>{by}{#if inScreening}<span class="soft">, in a screening</span>{/if}</td
					>
					<td
						>{#if !inScreening}<ActionButton
								action="?/aside"
								fields={{ id, aside: 'yes' }}
								label="Set what was given on {sayDate(on)} aside"
								look="plain small">Set aside</ActionButton
							>{/if}</td
					>
				{/snippet}
				{#snippet empty()}Nothing was given yet.{/snippet}
			</Table>
		</section>
	{/if}

	<section>
		<Table
			says="Series of measures"
			columns={[
				{ label: 'Student' },
				{ label: 'Measure' },
				{ label: 'The newest, a minute' },
				{ label: 'A week', isNumber: true },
				{ label: 'Goal' },
				{ label: 'Newest on the line to it' },
				{ label: 'To do' }
			]}
			rows={page.lines}
			key={({ id }) => id}
			attributes={({ student }) => ({ 'data-student': student.id })}
		>
			{#snippet cells(line)}
				<th scope="row"
					><a href={withState({ series: line.id, begin: null })}>{fullName(line.student)}</a>
					<span class="soft">{line.student.className}</span></th
				>
				<td>{line.measure} <span class="soft">grade {line.sheetGrade}</span></td>
				<td
					>{#if line.newest.length}{line.newest.map((value) => number(value)).join(', ')}
						<span class="soft">± {number(line.standardError!)}</span>{:else}<span class="soft">none yet</span>{/if}</td
				>
				<td class="number">{line.rise === null ? '' : signed(line.rise, 1)}</td>
				<td>{line.goal} <span class="soft">by {sayDay(line.goalOn)}</span></td>
				<td>{line.aboveAim ? `${line.aboveAim.count} of ${line.aboveAim.of}` : ''}</td>
				<td class="no-print"
					><span class="acts">
						<a
							class:soft={!line.isToGive}
							href={keepingScope('/track/measures/give', { to: line.student.id, series: line.id, student: null })}
							aria-label="Give {line.measure} to {fullName(line.student)}"
							>{line.isToGive ? 'Give it' : 'Give it again'}</a
						>
						{#if data.can.probe}<ActionButton
								action="?/end"
								fields={{ series: line.id, student: line.student.id, end: 'yes' }}
								label="End {line.measure} of {fullName(line.student)}"
								look="plain small">End</ActionButton
							>{/if}</span
					></td
				>
			{/snippet}
			{#snippet empty()}No measure is given week by week in this scope.{/snippet}
		</Table>
	</section>

	{#if data.can.probe}
		<section class="begin no-print">
			<h2>Begin a series</h2>
			<p class="one-line">
				{#each FLUENCY_MEASURES as measure (measure)}<a
						class="button"
						class:primary={page.beginning?.measure === measure}
						aria-current={page.beginning?.measure === measure ? 'true' : undefined}
						href={withState({ begin: measure, series: null })}>{measure}</a
					>{/each}
			</p>
			{#if page.beginning?.isTooMany}
				<p>For so many at once choose a class or a group at the top.</p>
			{:else if page.beginning && page.beginning.students.length === 0}
				<p>Everybody in {data.scope.inWords} is given {page.beginning.measure} week by week already.</p>
			{:else if page.beginning}
				{@const beginning = page.beginning}
				<form method="POST" action="?/begin" use:enhance>
					<input type="hidden" name="measure" value={beginning.measure} />
					<p class="one-line">
						<label
							>The goal is for <input
								type="date"
								name="goalOn"
								value={beginning.goalOn}
								onchange={({ currentTarget: { value } }) => value && setState({ goalOn: value })}
								required
							/></label
						>
						<button type="button" onclick={({ currentTarget }) => fillLines(beginning, currentTarget)}
							>Fill in the line of each sheet</button
						>
						<span class="soft">Who has no goal typed does not begin.</span>
					</p>
					<Table
						says="Who begins"
						columns={[
							{ label: 'Student' },
							{ label: 'The newest, a minute' },
							{ label: 'Sheets of grade' },
							{ label: 'Goal, correct a minute' }
						]}
						rows={beginning.students}
						key={({ id }) => id}
					>
						{#snippet cells(student)}
							<th scope="row"
								><input type="hidden" name="students" value={student.id} />{fullName(student)}
								<span class="soft">{student.className}</span></th
							>
							<td
								>{#if student.last}{number(student.last.correctPerMinute)}
									<span class="soft"
										>± {number(student.last.standardError)}, sheet of grade {student.last.sheetGrade}, {sayDay(
											student.last.on
										)}</span
									>{:else}<span class="soft">none</span>{/if}</td
							>
							<td
								><select name="sheets" aria-label="Sheets for {fullName(student)}"
									>{#each Array.from({ length: student.sheetGrade }, (_, i) => student.sheetGrade - i) as grade (grade)}<option
											value={grade}>{grade}: line {beginning.lines[grade]}</option
										>{/each}</select
								></td
							>
							<td
								><input
									name="goals"
									inputmode="numeric"
									maxlength="3"
									size="4"
									aria-label="Goal of {fullName(student)}"
								/></td
							>
						{/snippet}
					</Table>
					<p class="soft">
						The line is the school’s cut score of a sheet’s grade at the goal’s day, or three quarters of the made-up
						norm where none was set.
					</p>
					<button class="primary">Begin</button>
				</form>
			{/if}
		</section>
	{/if}
{/if}
<Notice outcome={form} />

<style>
	.chosen,
	.begin {
		background: var(--sheet);
		border: 1px solid var(--rule);
		border-radius: var(--corner);
		padding: 12px 16px;
		margin: 8px 0 16px;
		display: grid;
		gap: 8px;
	}
	h2 .soft {
		font-family: inherit;
		font-size: 0.95rem;
		font-weight: 400;
	}
	.one-line,
	.acts {
		display: flex;
		flex-wrap: wrap;
		gap: 8px 14px;
		align-items: center;
	}
	.begin form {
		display: grid;
		gap: 10px;
		justify-items: start;
	}
</style>
