<!--
	The agenda of a review meeting: who is talked about in which order and why, who was there, and what can be changed.
	<Agenda {steps} hidden={0} {invited} {adults} canDecide {stepAt} first={1} sheet="/decide/meetings/3/sheet" />
-->
<script lang="ts">
	import { enhance } from '$app/forms';
	import { page } from '$app/state';
	import { type Stake, STAKE_NAMES } from '$lib/core/growth';
	import { fullName, plural } from '$lib/core/words';
	import ActionButton from '../form/ActionButton.svelte';
	import StudentPicker from '../form/StudentPicker.svelte';
	import TierBars from '../glyphs/TierBars.svelte';
	import Table from '../table/Table.svelte';

	interface Step {
		reviewId: number;
		raisedBy: Stake | null;
		isDecided: boolean;
		student: { id: number; givenName: string; familyName: string; className: string; tier: 1 | 2 | 3 };
	}
	interface Props {
		steps: Step[];
		/** Reviews of students whom this person does not see. */
		hidden: number;
		invited: { id: number; name: string; wasThere: boolean }[];
		adults: { id: number; displayName: string }[];
		canDecide: boolean;
		/** The address of a step, from 1. */
		stepAt: (place: number) => string;
		/** The step to begin with. */
		first: number;
		/** The address of the meeting's sheet. */
		sheet: string;
	}
	let { steps, hidden, invited, adults, canDecide, stepAt, first, sheet }: Props = $props();
	const query = $derived(page.url.searchParams.toString());
	/** All reviews as they follow when one of them is moved by one place. */
	function moved(from: number, by: 1 | -1): number[] {
		const ids = steps.map(({ reviewId }) => reviewId);
		[ids[from], ids[from + by]] = [ids[from + by], ids[from]];
		return ids;
	}
	const others = $derived(adults.filter(({ id }) => !invited.some((one) => one.id === id)));
</script>

{#if steps.length}
	<p class="begin">
		<a class="button primary" href={stepAt(first)}>Begin with {fullName(steps[first - 1].student)}</a>
		<a href={sheet}>Sheet for the table</a>
	</p>
{/if}
{#if hidden > 0}
	<p class="soft">
		{plural(hidden, 'review')} on this agenda {hidden === 1 ? 'is' : 'are'} of students you do not see.
	</p>
{/if}
<Table
	says="Agenda"
	columns={[
		{ label: 'Student' },
		{ label: 'Why' },
		{ label: 'Decided' },
		canDecide && { label: 'Order', isSilent: true },
		canDecide && { label: 'Take off', isSilent: true }
	]}
	rows={steps}
	key={({ reviewId }) => reviewId}
>
	{#snippet cells(step, i)}
		{@const name = fullName(step.student)}
		<th scope="row"
			>{i + 1}. <a href={stepAt(i + 1)}>{name}</a>
			<span class="soft">{step.student.className}</span>
			<TierBars tier={step.student.tier} /></th
		>
		<td>{step.raisedBy ? STAKE_NAMES[step.raisedBy.is] : 'review due'}</td>
		<td>{step.isDecided ? 'yes' : 'not yet'}</td>
		{#if canDecide}
			<td class="order">
				<ActionButton
					action="?/order&{query}"
					fields={{ reviews: i > 0 ? moved(i, -1) : [] }}
					label="{name} earlier"
					look="small"
					disabled={i === 0}>↑</ActionButton
				>
				<ActionButton
					action="?/order&{query}"
					fields={{ reviews: i < steps.length - 1 ? moved(i, 1) : [] }}
					label="{name} later"
					look="small"
					disabled={i === steps.length - 1}>↓</ActionButton
				>
			</td>
			<td
				>{#if !step.isDecided}<ActionButton
						action="?/takeOff&{query}"
						fields={{ review: step.reviewId }}
						label="Take {name} off"
						look="plain">Take off</ActionButton
					>{/if}</td
			>
		{/if}
	{/snippet}
	{#snippet empty()}Nobody is on the agenda.{/snippet}
</Table>

{#if canDecide}
	<div class="two no-print">
		<form method="POST" action="?/add&{query}" aria-label="Add a student" use:enhance>
			<h2>One more student</h2>
			<StudentPicker label="Student" name="students" not={steps.map(({ student }) => student.id)} />
			<button>Put on the agenda</button>
		</form>
		<form
			method="POST"
			action="?/there&{query}"
			aria-label="Who was there"
			use:enhance={() =>
				({ update }) =>
					update({ reset: false })}
		>
			<h2>Who was there</h2>
			<div class="adults">
				{#each invited as { id, name, wasThere } (id)}
					<label><input type="checkbox" name="adults" value={id} checked={wasThere} /> {name}</label>
				{/each}
			</div>
			<details>
				<summary>Somebody else came</summary>
				<div class="adults">
					{#each others as { id, displayName } (id)}
						<label><input type="checkbox" name="adults" value={id} /> {displayName}</label>
					{/each}
				</div>
			</details>
			<button>Keep who was there</button>
		</form>
	</div>
{/if}

<style>
	.begin {
		display: flex;
		gap: 16px;
		align-items: center;
		margin-bottom: 10px;
	}
	.order {
		white-space: nowrap;
	}
	.two {
		display: grid;
		grid-template-columns: minmax(0, 1fr) minmax(0, 2fr);
		gap: 24px;
		margin-top: 16px;
	}
	.two form {
		display: grid;
		gap: 8px;
		align-content: start;
		justify-items: start;
	}
	.adults {
		display: flex;
		flex-wrap: wrap;
		gap: 4px 18px;
	}
	@media (max-width: 900px) {
		.two {
			grid-template-columns: minmax(0, 1fr);
		}
	}
</style>
