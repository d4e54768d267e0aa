<script lang="ts">
	import { fullName, plural } from '$lib/core/words';
	import { page } from '$app/state';
	import { addDays, sayDate, sayDay } from '$lib/core/calendar';
	import Needle from '$lib/ui/glyphs/Needle.svelte';
	import { standingWords } from '$lib/ui/glyphs/standings';
	import TierBars from '$lib/ui/glyphs/TierBars.svelte';
	import GapViews from '$lib/ui/gaps/GapViews.svelte';
	import { setState, withState } from '$lib/ui/shell/address';

	let { data } = $props();

	const KINDS = {
		moved: { says: 'what rose or fell', is: (change: string) => change === 'risen' || change === 'fallen' },
		risen: { says: 'what rose', is: (change: string) => change === 'risen' },
		fallen: { says: 'what fell', is: (change: string) => change === 'fallen' },
		all: { says: 'all changes', is: () => true }
	} as const;
	type Kind = keyof typeof KINDS;
	const asked = $derived(page.url.searchParams.get('changes') ?? 'moved');
	const kind = $derived((asked in KINDS ? asked : 'moved') as Kind);
	const studentId = $derived(Number(page.url.searchParams.get('student')));
	const changesOf = $derived(
		new Map(
			data.changes.map(({ id, changed }) => [
				id,
				new Map(changed.filter(({ change }) => KINDS[kind].is(change)).map((one) => [one.skillId, one]))
			])
		)
	);
	const columns = $derived.by(() => {
		const used = new Set([...changesOf.values()].flatMap((own) => [...own.keys()]));
		return data.skills.filter(({ id }) => used.has(id));
	});
	const heads = $derived(
		data.domains
			.map(({ id, name }) => ({ id, name, span: columns.filter(({ domainId }) => domainId === id).length }))
			.filter(({ span }) => span)
	);
	const { counts } = $derived(data);
	const skills = (count: number) => plural(count, 'skill');
</script>

<svelte:head><title>Then and now · Orderly Compass</title></svelte:head>

<GapViews />
<div class="page-head">
	<h1>{data.scope.label}, {sayDay(data.then)} and now</h1>
	<label
		>Then
		<input
			type="date"
			value={data.then}
			max={addDays(data.school.today, -1)}
			onchange={(event) => setState({ then: event.currentTarget.value || null })}
		/></label
	>
	<label
		>Show
		<select
			onchange={(event) =>
				setState({ changes: event.currentTarget.value === 'moved' ? null : event.currentTarget.value })}
		>
			{#each Object.entries(KINDS) as [value, { says }] (value)}<option {value} selected={kind === value}>{says}</option
				>{/each}
		</select></label
	>
</div>
<p>
	Since {sayDate(data.then)}, counted by student and skill: {skills(counts.risen)} rose, {skills(counts.fallen)} fell, {skills(
		counts['first seen']
	)} were first seen{counts['no longer seen'] ? `, ${skills(counts['no longer seen'])} rest on nothing any more` : ''}; {counts.same.toLocaleString(
		'en-US'
	)}
	are as they were.
</p>
<p class="soft">
	In each cell the left needle is then and the right one now. Standings then are worked out from the answers up to the
	end of that day; a skill that is not met fades a little by itself.
</p>

{#if data.changes.length === 0}
	<p>Nobody is in this scope.</p>
{:else if columns.length === 0}
	<p>
		Nothing of this kind has changed since {sayDate(data.then)}. <a href={withState({ changes: 'all' })}>All changes</a>
	</p>
{:else}
	<div class="wide-table">
		<table>
			<thead>
				<tr class="domains">
					<td></td>
					{#each heads as { id, name, span } (id)}<th colspan={span} scope="colgroup" title={name}
							><span>{name}</span></th
						>{/each}
				</tr>
				<tr>
					<th scope="col" class="student">{data.changes.length} students</th>
					{#each columns as { id, code, shortName, level } (id)}
						<th scope="col" title="{code} · {shortName} ({level})"><span class="skill">{shortName}</span></th>
					{/each}
				</tr>
			</thead>
			<tbody>
				{#each data.changes as student (student.id)}
					{@const own = changesOf.get(student.id)!}
					<tr data-student={student.id} class:current={student.id === studentId}>
						<th scope="row" class="student"
							><span
								><a href={withState({ student: student.id })}>{fullName(student)}</a>
								<span class="soft">{own.size || ''}</span><TierBars tier={student.tier} inColumn /></span
							></th
						>
						{#each columns as { id, shortName } (id)}
							{@const one = own.get(id)}
							<td
								>{#if one}<span
										class="pair {one.change.replaceAll(' ', '-')}"
										role="img"
										aria-label="{shortName}: {standingWords[one.from]}, now {standingWords[one.to]}"
										title="{shortName}: {standingWords[one.from]}, now {standingWords[
											one.to
										]}, {one.answers} answers since"
										><Needle state={one.from} size={16} /><Needle state={one.to} size={16} /></span
									>{/if}</td
							>
						{/each}
					</tr>
				{/each}
			</tbody>
		</table>
	</div>
{/if}

<style>
	table {
		border-collapse: separate;
		border-spacing: 0;
		margin-top: 10px;
	}
	th,
	td {
		border: 0;
		padding: 2px;
		height: 24px;
	}
	thead th {
		vertical-align: bottom;
		position: sticky;
		top: var(--bars);
		z-index: 4;
		background: var(--paper);
	}
	.domains th {
		position: static;
		max-width: 0;
		font: 600 0.9rem var(--head);
		border-left: 1px solid var(--rule);
		padding-left: 4px;
	}
	.domains span {
		display: block;
		overflow: hidden;
		white-space: nowrap;
		text-overflow: ellipsis;
	}
	.skill {
		writing-mode: vertical-rl;
		transform: rotate(180deg);
		font-weight: 400;
		font-size: 0.85rem;
		max-height: 158px;
		white-space: nowrap;
		overflow: hidden;
		margin: auto;
	}
	thead tr:nth-child(2) th {
		height: 164px;
		box-shadow: 0 1px 0 var(--rule);
	}
	.student {
		position: sticky;
		left: 0;
		z-index: 3;
		background: var(--paper);
		text-align: left;
		font-weight: 400;
		min-width: 230px;
	}
	thead .student {
		z-index: 6;
	}
	.student > span {
		display: flex;
		gap: 8px;
		align-items: center;
	}
	.student a {
		color: var(--ink);
		text-decoration: none;
	}
	.student .soft {
		margin-left: auto;
	}
	.current .student,
	.current td {
		background: var(--verdigris-wash);
	}
	tbody td {
		min-width: 40px;
	}
	.pair {
		display: inline-flex;
		gap: 2px;
	}
	@media print {
		.student,
		thead th {
			position: static;
		}
	}
</style>
