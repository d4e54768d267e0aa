<script lang="ts">
	import { page } from '$app/state';
	import TierBars from '$lib/ui/glyphs/TierBars.svelte';
	import { keepingScope, setState, withState } from '$lib/ui/shell/address';

	let { data } = $props();

	let all = $state(false);
	const studentId = $derived(Number(page.url.searchParams.get('student')));
	const byId = $derived(new Map(data.students.map((student) => [student.id, student])));
	/** From the first to the last skill that anybody stands at, with one more either way. */
	const places = $derived(data.skills.flatMap((skill, place) => (skill.ready.length > 0 ? [place] : [])));
	const shown = $derived(
		all || places.length === 0
			? data.skills
			: data.skills.slice(Math.max(0, places[0] - 1), places[places.length - 1] + 2)
	);
</script>

<svelte:head><title>{data.domain.name} · Orderly Compass</title></svelte:head>

{#snippet chip(id: number)}
	{@const student = byId.get(id)!}
	<a
		class="chip"
		class:current={id === studentId}
		data-student={id}
		href={withState({ student: id })}
		title={student.level ?? 'no score'}><TierBars tier={student.tier} /> {student.name}</a
	>
{/snippet}

<p>
	<a href={keepingScope('/screen', { window: page.url.searchParams.get('window'), on: data.domain.id, domain: null })}
		>Back to the results</a
	>
</p>
<div class="head">
	<h1>{data.domain.name}: where each of {data.scope.label} is ready next</h1>
	<label>
		Domain
		<select onchange={(event) => setState({ domain: event.currentTarget.value })}>
			{#each data.domains as { id, name } (id)}<option value={id} selected={id === data.domain.id}>{name}</option
				>{/each}
		</select>
	</label>
	<label><input type="checkbox" bind:checked={all} /> all {data.skills.length} skills</label>
</div>
<p class="soft">
	Each student stands at the first skill in teaching order that is not yet secure and whose prerequisites are, by
	answers where there are enough and else as the score suggests. {data.students.length} students.
</p>

<table>
	<thead>
		<tr><th>Skill</th><th>Level</th><th class="number">Gap</th><th class="number">Secure</th><th>Ready next</th></tr>
	</thead>
	<tbody>
		{#each shown as skill (skill.id)}
			<tr class:empty={skill.ready.length === 0}>
				<th scope="row"
					><a href={keepingScope(`/library/${skill.code}`, { domain: null })}>{skill.shortName}</a>
					<span class="soft">{skill.code}</span>
					{#each skill.needs as need (need.classId)}
						<span class="classwide"
							>{need.className}: {need.lacking} of {need.withEvidence} lack it, {need.advice === 'whole class, firm'
								? 'a lesson for the whole class'
								: 'rather a lesson for the whole class'}</span
						>
					{/each}
				</th>
				<td>{skill.level}</td>
				<td class="number">{skill.gaps}</td>
				<td class="number">{skill.secure}</td>
				<td>
					<div class="chips">
						{#each skill.ready as id (id)}{@render chip(id)}{/each}
						{#if skill.ready.length > 1 && data.can.practice}
							<a
								class="assign"
								href={keepingScope('/practice/new', {
									scope: `list:${skill.ready.join(',')}`,
									skill: skill.id,
									domain: null
								})}>practice for these {skill.ready.length}</a
							>
						{/if}
					</div>
				</td>
			</tr>
		{/each}
		{#if data.before.length}
			<tr
				><th scope="row" colspan="4">Something in another domain comes first</th><td
					><div class="chips">
						{#each data.before as id (id)}{@render chip(id)}{/each}
					</div></td
				></tr
			>
		{/if}
		{#if data.beyond.length}
			<tr
				><th scope="row" colspan="4">Every skill of the domain is secure</th><td
					><div class="chips">
						{#each data.beyond as id (id)}{@render chip(id)}{/each}
					</div></td
				></tr
			>
		{/if}
	</tbody>
</table>

<style>
	.head {
		display: flex;
		flex-wrap: wrap;
		align-items: baseline;
		gap: 8px 24px;
	}
	table {
		background: var(--sheet);
		width: 100%;
		margin-top: 10px;
	}
	tbody th {
		font-weight: 500;
		max-width: 420px;
		text-align: left;
	}
	tbody td,
	tbody th {
		vertical-align: top;
		padding-block: 4px;
	}
	.chips {
		display: flex;
		flex-wrap: wrap;
		gap: 4px 6px;
		align-items: center;
	}
	.chip {
		display: inline-flex;
		gap: 5px;
		align-items: center;
		padding: 1px 8px;
		border: 1px solid var(--rule);
		border-radius: var(--corner);
		color: var(--ink);
		text-decoration: none;
		background: var(--paper);
	}
	.chip:hover {
		border-color: var(--verdigris);
	}
	.chip.current {
		border-color: var(--verdigris);
		background: var(--verdigris-wash);
	}
	.assign {
		font-size: 0.85rem;
		margin-left: 6px;
	}
	.classwide {
		display: block;
		font-weight: 400;
		font-size: 0.85rem;
		color: var(--gap-ink);
	}
	.empty td,
	.empty th {
		color: var(--ink-soft);
	}
</style>
