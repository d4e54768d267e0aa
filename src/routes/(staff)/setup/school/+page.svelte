<script lang="ts">
	import { enhance } from '$app/forms';
	import { addDays, saySpan, schoolDayFrom } from '$lib/core/calendar';
	import { HIGHEST_GRADE } from '$lib/core/interchange/studentList';
	import { sayGrade } from '$lib/core/words';
	import ActionButton from '$lib/ui/form/ActionButton.svelte';
	import { keepValues } from '$lib/ui/form/keepValues';
	import SetupViews from '$lib/ui/setup/SetupViews.svelte';
	import Notice from '$lib/ui/shell/Notice.svelte';
	import Table from '$lib/ui/table/Table.svelte';

	let { data, form } = $props();
	const WEEKDAYS = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri'];
	const GRADES = Array.from({ length: HIGHEST_GRADE + 1 }, (_, grade) => grade);
	/** The year of today or the next one; null where none is planned. */
	const year = $derived(data.years.find(({ endsOn }) => endsOn >= data.today) ?? null);
	const newest = $derived(data.cycles[0] ?? null);
	/** A year's days across: the weekends before and after count for nothing. */
	const last = ({ untilOn }: { untilOn: string }) => addDays(untilOn, -1);
</script>

<svelte:head><title>School and year · Orderly Compass</title></svelte:head>

<SetupViews />
<h1>School and year</h1>

<div class="parts">
	<section aria-labelledby="school">
		<h2 id="school">The school</h2>
		<form method="POST" action="?/profile" use:enhance={keepValues} class="fields">
			<label for="name">Name</label>
			<input id="name" name="name" required maxlength="120" value={data.profile.name} />
			<label for="zone">Time zone</label>
			<input id="zone" name="timeZone" required maxlength="60" list="zones" value={data.profile.timeZone} />
			<datalist id="zones"
				>{#each data.timeZones as zone (zone)}<option value={zone}></option>{/each}</datalist
			>
			<span id="days">School days</span>
			<span role="group" aria-labelledby="days" class="inline">
				{#each WEEKDAYS as day, i (day)}<label
						><input type="checkbox" name="schoolDays" value={i + 1} checked={data.profile.schoolDays.includes(i + 1)} />
						{day}</label
					>{/each}
			</span>
			<label for="first">Grades</label>
			<span class="inline">
				<select id="first" name="firstGrade" aria-label="First grade">
					{#each GRADES as one (one)}<option value={one} selected={one === data.profile.firstGrade}
							>{sayGrade(one)}</option
						>{/each}
				</select>
				to
				<select name="lastGrade" aria-label="Last grade">
					{#each GRADES as one (one)}<option value={one} selected={one === data.profile.lastGrade}
							>{sayGrade(one)}</option
						>{/each}
				</select>
			</span>
			<label for="pin">Digits of a PIN</label>
			<input id="pin" name="pinLength" type="number" min="4" max="8" required value={data.profile.pinLength} />
			<button class="primary">Keep</button>
		</form>
	</section>

	{#if data.singleSignOn}
		<section aria-labelledby="single">
			<h2 id="single">Signing in with {data.singleSignOn.name}</h2>
			<p class="soft">For whom the roster knows by the id that is said there; by a name nobody is known.</p>
			<form method="POST" action="?/signOn" use:enhance={keepValues} class="fields">
				<label for="mode">Staff and students</label>
				<select id="mode" name="mode" value={data.singleSignOn.mode}>
					<option value="off">sign in with a password or PIN</option>
					<option value="beside">can do either</option>
					<option value="instead">sign in there only</option>
				</select>
				<button>Keep</button>
			</form>
		</section>
	{/if}

	<section aria-labelledby="year">
		<h2 id="year">School year</h2>
		<p class="soft">Norms go by the week of the year. Whose benchmarks count is chosen with each window.</p>
		<form method="POST" action="?/year" use:enhance={keepValues} class="fields">
			<input type="hidden" name="was" value={year?.startsOn ?? ''} />
			<label for="starts">First day</label>
			<input id="starts" name="startsOn" type="date" required value={year?.startsOn ?? ''} />
			<label for="winter">Winter begins</label>
			<input id="winter" name="winterOn" type="date" value={year?.winterOn ?? ''} />
			<label for="spring">Spring begins</label>
			<input id="spring" name="springOn" type="date" value={year?.springOn ?? ''} />
			<label for="ends">Last day</label>
			<input id="ends" name="endsOn" type="date" required value={year?.endsOn ?? ''} />
			<button class="primary">{year ? 'Change the year' : 'Plan the year'}</button>
		</form>
	</section>

	<section aria-labelledby="cycles">
		<h2 id="cycles">Intervention cycles</h2>
		<Table
			says="Intervention cycles"
			columns={[
				{ label: 'Cycle' },
				{ label: 'Days' },
				{ label: 'Weeks', isNumber: true },
				{ label: 'What can be done', isSilent: true }
			]}
			rows={data.cycles}
			key={({ id }) => id}
			narrow
		>
			{#snippet cells(cycle)}
				<th scope="row">{cycle.number}</th>
				<td>{saySpan(cycle)}</td>
				<td class="number">{cycle.weeks}</td>
				<td
					><ActionButton
						action="?/removeCycle"
						fields={{ cycle: cycle.id }}
						label="Take away cycle {cycle.number}"
						look="small">Take away</ActionButton
					></td
				>
			{/snippet}
			{#snippet empty()}No cycle is planned. Six to ten weeks from screening to reviews make one.{/snippet}
		</Table>
		{#key newest?.id}
			<form method="POST" action="?/cycle" use:enhance class="one-line">
				<input type="hidden" name="cycle" value="" />
				<label
					>Cycle <input
						name="number"
						type="number"
						min="1"
						max="20"
						required
						value={(newest?.number ?? 0) + 1}
					/></label
				>
				<label
					>from <input
						name="startsOn"
						type="date"
						required
						value={newest ? schoolDayFrom(addDays(newest.endsOn, 1), data.school.calendar) : ''}
					/></label
				>
				<label
					>for <input name="weeks" type="number" min="1" max="20" required value={newest?.weeks ?? 8} /> weeks</label
				>
				<button>Plan it</button>
			</form>
		{/key}
	</section>

	<section aria-labelledby="off">
		<h2 id="off">Days off</h2>
		<Table
			says="Days off ahead"
			columns={[{ label: 'Name' }, { label: 'Days' }, { label: 'What can be done', isSilent: true }]}
			rows={data.off}
			key={({ id }) => id}
			narrow
		>
			{#snippet cells(one)}
				<th scope="row">{one.name}</th>
				<td>{saySpan({ startsOn: one.fromOn, endsOn: last(one) })}</td>
				<td
					><ActionButton action="?/removeDaysOff" fields={{ days: one.id }} label="Take away {one.name}" look="small"
						>Take away</ActionButton
					></td
				>
			{/snippet}
			{#snippet empty()}None ahead. Type them, or take the whole days of a calendar file.{/snippet}
		</Table>
		<form method="POST" action="?/dayOff" use:enhance class="one-line">
			<label>Name <input name="name" required maxlength="80" /></label>
			<label>from <input name="fromOn" type="date" required /></label>
			<label>to <input name="toOn" type="date" /></label>
			<button>Add</button>
		</form>
		<form method="POST" action="?/calendar" use:enhance enctype="multipart/form-data" class="one-line">
			<label>Calendar file (iCalendar) <input name="file" type="file" accept=".ics,text/calendar" required /></label>
			<button>Take its days</button>
		</form>
	</section>

	<section aria-labelledby="tiers">
		<h2 id="tiers">Tiers</h2>
		<p class="soft">How large groups are, and how long they meet in a week.</p>
		<form method="POST" action="?/tiers" use:enhance={keepValues} class="fields tiers">
			{#each [2, 3] as const as tier (tier)}
				{@const { size, minutesAWeek } = data.plans[tier]}
				<span id="tier{tier}">Tier {tier}</span>
				<span role="group" aria-labelledby="tier{tier}" class="inline">
					<input
						name="least{tier}"
						type="number"
						min="1"
						max="12"
						required
						value={size.minimum}
						aria-label="Fewest students"
					/>
					to
					<input
						name="most{tier}"
						type="number"
						min="1"
						max="12"
						required
						value={size.maximum}
						aria-label="Most students"
					/>
					students,
					<input
						name="minutes{tier}"
						type="number"
						min="5"
						max="600"
						required
						value={minutesAWeek}
						aria-label="Minutes a week"
					/> minutes a week
				</span>
			{/each}
			<button class="primary">Keep</button>
		</form>
	</section>
</div>
<Notice outcome={form} />

<style>
	.parts {
		display: grid;
		grid-template-columns: repeat(auto-fit, minmax(min(34rem, 100%), 1fr));
		gap: 24px 48px;
		margin-top: 16px;
	}
	section {
		min-width: 0;
	}
	h2 {
		margin-bottom: 8px;
	}
	.soft {
		margin-bottom: 8px;
	}
	.one-line {
		margin-top: 10px;
	}
	.tiers {
		grid-template-columns: max-content minmax(0, 1fr);
	}
	input[type='number'] {
		width: 4.5rem;
	}
</style>
