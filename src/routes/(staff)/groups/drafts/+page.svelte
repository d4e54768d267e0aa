<script lang="ts">
	import ActionButton from '$lib/ui/form/ActionButton.svelte';
	import { sayDay, sayMeeting } from '$lib/core/calendar';
	import TierBars from '$lib/ui/glyphs/TierBars.svelte';
	import GroupViews from '$lib/ui/groups/GroupViews.svelte';
	import { keepingScope } from '$lib/ui/shell/address';
	import Notice from '$lib/ui/shell/Notice.svelte';

	let { data, form } = $props();

	const slotOf = $derived(new Map(data.slots.map((slot) => [String(slot.id), slot])));
	const skillOf = $derived(new Map(data.skills.map((skill) => [String(skill.id), skill.shortName])));
	const nameOf = $derived(new Map(data.students.map(({ id, name }) => [String(id), name])));
	type Drafted = (typeof data.drafts)[number];
	const rows: { says: string; of: (draft: Drafted) => string }[] = [
		{ says: 'Groups', of: ({ figures }) => String(figures.groups) },
		{ says: 'Students placed', of: ({ figures }) => String(figures.students) },
		{ says: 'Left in no group', of: ({ left }) => String(left) },
		{ says: 'Need met', of: ({ figures }) => figures.needMet.toFixed(2) },
		{ says: 'Proven within, of the best', of: ({ figures }) => `${(100 * figures.gap).toFixed(1)}%` },
		{ says: 'Moved out of groups there are', of: ({ figures }) => String(figures.moved) },
		{ says: 'Staff time a week', of: ({ figures }) => `${figures.staffMinutes} min` }
	];
</script>

<svelte:head><title>Drafts · Orderly Compass</title></svelte:head>

<GroupViews drafts={data.drafts.length} />
<h1>Drafts side by side</h1>
{#if data.drafts.length === 0}
	<p>
		No draft is kept. Ask for <a href={keepingScope('/groups')}>suggested groups</a>, then keep what you want to compare
		under a name.
	</p>
{:else}
	<p class="soft">
		{data.drafts.length} of at most {data.most} are shown. Opening one goes on from it; nothing happens for students until
		it is adopted.
	</p>
	<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
	<div class="wide" role="region" aria-label="Drafts" tabindex="0">
		<div class="wide-table">
			<table>
				<thead>
					<tr>
						<td></td>
						{#each data.drafts as draft (draft.id)}
							<th scope="col">
								<a href={keepingScope('/groups/suggest', { draft: draft.id })}>{draft.name}</a>
								<span class="soft"
									>{draft.kind === 'mixed' ? 'mixed, ' : ''}{draft.savedBy}, {sayDay(
										draft.savedAt.toISOString()
									)}{draft.isAdopted ? ', adopted' : ''}</span
								>
							</th>
						{/each}
					</tr>
				</thead>
				<tbody>
					{#each rows as { says, of } (says)}
						<tr>
							<th scope="row">{says}</th>
							{#each data.drafts as draft (draft.id)}<td class="number">{of(draft)}</td>{/each}
						</tr>
					{/each}
					<tr>
						<th scope="row">Its groups</th>
						{#each data.drafts as draft (draft.id)}
							<td class="groups">
								{#each draft.groups as group (group.slotId)}
									{@const slot = slotOf.get(group.slotId)}
									<p>
										<TierBars tier={group.tier} /> <strong>{skillOf.get(group.focusId)}</strong>
										<span class="soft">{slot ? `${sayMeeting(slot)}, ${slot.staffName}` : 'a time that is gone'}</span
										><br />
										{group.studentIds.map((id) => nameOf.get(id) ?? 'a student who is gone').join(', ')}
									</p>
								{/each}
							</td>
						{/each}
					</tr>
					<tr class="no-print">
						<td></td>
						{#each data.drafts as draft (draft.id)}
							<td>
								<a class="button primary" href={keepingScope('/groups/suggest', { draft: draft.id })}>Open</a>
								<ActionButton action="?/discard" fields={{ draft: draft.id }} label="Put {draft.name} away" look="plain"
									>Put away</ActionButton
								>
							</td>
						{/each}
					</tr>
				</tbody>
			</table>
		</div>
	</div>
{/if}
<Notice outcome={form} />

<style>
	.wide {
		overflow-x: auto;
		margin-top: 10px;
	}
	table {
		background: var(--sheet);
	}
	thead th {
		min-width: 220px;
		vertical-align: bottom;
	}
	thead span {
		display: block;
		font-weight: 400;
	}
	tbody th {
		font-weight: 400;
		white-space: nowrap;
		vertical-align: top;
	}
	.groups {
		vertical-align: top;
		max-width: 320px;
	}
	.groups p {
		padding: 4px 0;
		font-size: 0.92rem;
	}
</style>
