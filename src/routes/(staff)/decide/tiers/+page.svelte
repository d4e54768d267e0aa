<script lang="ts">
	import { sayDate, sayDay } from '$lib/core/calendar';
	import { TOLD_FROM, type TierStays } from '$lib/core/growth';
	import { fullName, number, plural } from '$lib/core/words';
	import DecideViews from '$lib/ui/decide/DecideViews.svelte';
	import TiersThrough from '$lib/ui/decide/TiersThrough.svelte';
	import TierBars from '$lib/ui/glyphs/TierBars.svelte';
	import { setState, withState } from '$lib/ui/shell/address';
	import Pager from '$lib/ui/table/Pager.svelte';
	import Table from '$lib/ui/table/Table.svelte';

	let { data } = $props();
	const { page } = $derived(data);
	const sayStays = ({ ended, medianWeeks, running }: TierStays) =>
		`${plural(running, 'student')} now; ${
			medianWeeks === null
				? 'nobody has left it yet'
				: `${plural(ended, 'stay')} ended, half of them after ${number(medianWeeks)} weeks or less`
		}`;
</script>

<svelte:head><title>Tiers through time · Decide · Orderly Compass</title></svelte:head>

<div class="page-head">
	<h1>Tiers in {data.scope.inWords}</h1>
	<span class="soft">Since {sayDate(page.since)}, when the school year began.</span>
</div>
<DecideViews />

<div class="two">
	<section>
		<h2>How many are in each</h2>
		<TiersThrough through={page.through} />
	</section>
	<section>
		<h2>How long they stay, and who comes back</h2>
		<p><TierBars tier={2} /> Tier 2: {sayStays(page.stays[2])}.</p>
		<p><TierBars tier={3} /> Tier 3: {sayStays(page.stays[3])}.</p>
		<p>
			{#if page.comebacks.left}{page.comebacks.back} of {plural(page.comebacks.left, 'student')} who left for tier 1 came
				back within eight weeks{:else}Of nobody who left for tier 1 can it be said yet whether they come back{/if}{page
				.comebacks.tooEarly
				? `; for ${page.comebacks.tooEarly} it is too early to say`
				: ''}.
		</p>
		{#if page.attributes.length}
			<label class="no-print"
				>Tell apart by
				<select
					value={page.by?.name ?? ''}
					onchange={({ currentTarget: { value } }) => setState({ by: value || null })}
				>
					<option value="">nothing</option>
					{#each page.attributes as name (name)}<option>{name}</option>{/each}
				</select></label
			>
		{/if}
		{#if page.by}
			<Table
				says="Tiers by {page.by.name}"
				columns={[
					{ label: page.by.name },
					{ label: 'Tier 1', isNumber: true },
					{ label: 'Tier 2', isNumber: true },
					{ label: 'Tier 3', isNumber: true }
				]}
				rows={page.by.values}
				key={({ value }) => value ?? ''}
				narrow
			>
				{#snippet cells({ value, tiers })}
					<th scope="row">{value ?? 'not said'}</th>
					{#each tiers as count, i (i)}<td class="number">{count ?? 'not told'}</td>{/each}
				{/snippet}
			</Table>
			<p class="soft">
				Counts under {TOLD_FROM}, and what they could be worked out from, are not told: they could point at a student.
			</p>
		{/if}
	</section>
</div>

<section>
	<h2>Who moved</h2>
	<Table
		says="Changes of tier"
		columns={[{ label: 'Student' }, { label: 'From' }, { label: 'To' }, { label: 'On' }]}
		rows={page.moves}
		key={({ studentId, on }) => `${studentId} ${on}`}
		attributes={({ studentId }) => ({ 'data-student': studentId })}
		narrow
	>
		{#snippet cells(move)}
			<th scope="row"
				><a href={withState({ student: move.studentId })}>{fullName(move)}</a>
				<span class="soft">{move.className}</span></th
			>
			<td><TierBars tier={move.from} inColumn /> tier {move.from}</td>
			<td><TierBars tier={move.to} inColumn /> tier {move.to}</td>
			<td>{sayDay(move.on)}</td>
		{/snippet}
		{#snippet empty()}Nobody has changed tiers this school year.{/snippet}
	</Table>
	<Pager {...page.part} name="moves" />
</section>

<style>
	.two {
		display: grid;
		grid-template-columns: minmax(0, 1.4fr) minmax(0, 1fr);
		gap: 32px;
		align-items: start;
		margin-bottom: 16px;
	}
	.two p {
		margin: 4px 0;
	}
	@media (max-width: 1000px) {
		.two {
			grid-template-columns: minmax(0, 1fr);
		}
	}
</style>
