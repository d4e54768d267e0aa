<script lang="ts">
	import { sayDate } from '$lib/core/calendar';
	import { plural } from '$lib/core/words';
	import DecideViews from '$lib/ui/decide/DecideViews.svelte';
	import PlanMeeting from '$lib/ui/decide/PlanMeeting.svelte';
	import ActionButton from '$lib/ui/form/ActionButton.svelte';
	import { keepingScope } from '$lib/ui/shell/address';
	import Notice from '$lib/ui/shell/Notice.svelte';
	import Pager from '$lib/ui/table/Pager.svelte';
	import Table from '$lib/ui/table/Table.svelte';

	let { data, form } = $props();
	const { page } = $derived(data);
	type Meeting = (typeof page.coming.meetings)[number];
</script>

<svelte:head><title>Review meetings · Decide · Orderly Compass</title></svelte:head>

<div class="page-head">
	<h1>Review meetings</h1>
	<span class="soft">{plural(page.coming.total, 'meeting')} to come, {page.past.total} held.</span>
</div>
<DecideViews />

{#snippet list(meetings: Meeting[], says: string, none: string)}
	<Table
		{says}
		columns={[
			{ label: 'Day' },
			{ label: 'Agenda' },
			{ label: 'Invited' },
			{ label: 'About' },
			data.can.decide && { label: 'Call off', isSilent: true }
		]}
		rows={meetings}
		key={({ id }) => id}
	>
		{#snippet cells(meeting)}
			<th scope="row"><a href={keepingScope(`/decide/meetings/${meeting.id}`)}>{sayDate(meeting.on)}</a></th>
			<td>{meeting.decided} of {plural(meeting.reviews, 'review')} decided</td>
			<td>{meeting.invited.map(({ name }) => name).join(', ')}</td>
			<td>{meeting.note}</td>
			{#if data.can.decide}
				<td
					>{#if meeting.decided === 0}<ActionButton
							action="?/callOff"
							fields={{ meeting: meeting.id }}
							label="Call off the meeting of {sayDate(meeting.on)}"
							look="plain">Call off</ActionButton
						>{/if}</td
				>
			{/if}
		{/snippet}
		{#snippet empty()}{none}{/snippet}
	</Table>
{/snippet}

<section>
	<h2>To come</h2>
	{@render list(page.coming.meetings, 'Meetings to come', 'No meeting is planned.')}
	<Pager {...page.coming} name="coming" />
</section>
{#if page.planning}
	{#key data.scope.key}
		<PlanMeeting planning={page.planning} scopeInWords={data.scope.inWords} />
	{/key}
{/if}
<section>
	<h2>Held</h2>
	{@render list(page.past.meetings, 'Meetings that were held', 'None was held yet.')}
	<Pager {...page.past} name="past" />
</section>
<Notice outcome={form} />

<style>
	section {
		margin-bottom: 18px;
	}
</style>
