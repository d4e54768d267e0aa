<script lang="ts">
	import Table from '$lib/ui/table/Table.svelte';
	import { keepValues } from '$lib/ui/form/keepValues';
	import ActionButton from '$lib/ui/form/ActionButton.svelte';
	import { plural } from '$lib/core/words';
	import { enhance } from '$app/forms';
	import { addDays, schoolDayFrom } from '$lib/core/calendar';
	import PlanWindow from '$lib/ui/screen/PlanWindow.svelte';
	import { windowState } from '$lib/ui/screen/windowState';
	import ScreenHead from '$lib/ui/screen/ScreenHead.svelte';
	import { withState } from '$lib/ui/shell/address';
	import { sayDate } from '$lib/core/calendar';
	import Notice from '$lib/ui/shell/Notice.svelte';

	let { data, form } = $props();

	let planning = $state(false);
	type Window = (typeof data.windows)[number];

	/** What one press does to a window's days: open it today, close it after today, open it again for a week. */
	function oneStep(window: Window): { says: string; opensOn: string; closesOn: string } {
		if (data.today < window.opensOn) return { says: 'Open today', opensOn: data.today, closesOn: window.closesOn };
		if (data.today > window.closesOn)
			return {
				says: 'Open a week more',
				opensOn: window.opensOn,
				closesOn: schoolDayFrom(addDays(data.today, 7), data.school.calendar)
			};
		return { says: 'Close after today', opensOn: window.opensOn, closesOn: data.today };
	}
</script>

<svelte:head><title>Windows of the year · Orderly Compass</title></svelte:head>

{#if data.window}
	<ScreenHead window={data.window} windows={data.windows} today={data.today}>
		{plural(data.windows.length, 'window')} planned
		{#snippet tools()}
			{#if data.can.screen}<button class="primary" onclick={() => (planning = true)}>Plan a window</button>{/if}
		{/snippet}
	</ScreenHead>
	<Table
		says="Screenings of the year"
		columns={[
			{ label: 'Window' },
			{ label: 'Subject' },
			{ label: 'How' },
			{ label: 'Open' },
			{ label: 'State' },
			{ label: 'Classes', isNumber: true },
			{ label: 'Students', isNumber: true },
			{ label: 'Begun', isNumber: true },
			{ label: 'Scored', isNumber: true },
			{ label: 'What can be done', isSilent: true }
		]}
		rows={data.windows}
		key={({ id }) => id}
		attributes={(window) => ({ class: { current: window.id === data.window?.id } })}
	>
		{#snippet cells(window)}
			{@const step = oneStep(window)}
			<th scope="row"><a href={withState({ window: window.id })}>{window.name}</a></th>
			<td>{window.subject}</td>
			<td class="how">{window.mode}{window.measure ? `, ${window.measure}` : ''}</td>
			<td>
				{#if data.can.screen}
					<form method="POST" action="?/move" use:enhance={keepValues}>
						<input type="hidden" name="window" value={window.id} />
						<input type="date" name="opensOn" value={window.opensOn} required aria-label="{window.name} opens" />
						<span class="soft">to</span>
						<input type="date" name="closesOn" value={window.closesOn} required aria-label="{window.name} closes" />
						<button class="small">Set</button>
					</form>
				{:else}{sayDate(window.opensOn)} to {sayDate(window.closesOn)}{/if}
			</td>
			<td>{windowState(window, data.today)}</td>
			<td class="number">{window.classes}</td>
			<td class="number">{window.students}</td>
			<td class="number">{window.begun}</td>
			<td class="number">{window.scored}</td>
			<td>
				{#if data.can.screen}
					<span class="steps">
						<ActionButton
							action="?/move"
							fields={{ window: window.id, opensOn: step.opensOn, closesOn: step.closesOn }}
							label="{step.says}: {window.name}"
							look="small">{step.says}</ActionButton
						>
						{#if window.begun === 0 && window.scored === 0}
							<ActionButton
								action="?/withdraw"
								fields={{ window: window.id }}
								label="Take away {window.name}"
								look="small">Take away</ActionButton
							>
						{/if}
					</span>
				{/if}
			</td>
		{/snippet}
	</Table>
{:else}
	<h1>Windows of the year</h1>
	<p>
		No window is planned yet. A window says which classes are screened from when to when; students see their diagnostic
		only while it is open.
	</p>
	{#if data.can.screen}<p><button class="primary" onclick={() => (planning = true)}>Plan a window</button></p>{/if}
{/if}

{#if planning}
	<PlanWindow
		today={data.today}
		subjects={data.subjects}
		modes={data.modes}
		years={data.years}
		classes={data.classes}
		onclose={() => (planning = false)}
	/>
{/if}
<Notice outcome={form} />

<style>
	td,
	th {
		white-space: nowrap;
	}
	.how {
		min-width: 140px;
		white-space: normal;
	}
	form,
	.steps {
		display: flex;
		gap: 6px;
		align-items: center;
	}
</style>
