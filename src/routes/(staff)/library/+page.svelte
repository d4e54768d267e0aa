<script lang="ts">
	import Table from '$lib/ui/table/Table.svelte';
	import { plural, sayLevel } from '$lib/core/words';
	import { page } from '$app/state';
	import FindBox from '$lib/ui/library/FindBox.svelte';
	import { keepingScope, withState } from '$lib/ui/shell/address';

	let { data } = $props();

	const GRADES = [1, 2, 3, 4, 5, 6, 7, 8];
	const domainCode = $derived(page.url.searchParams.get('domain'));
	const grade = $derived(Number(page.url.searchParams.get('grade')) || null);
	const chosenDomain = $derived(data.domains.find(({ code }) => code === domainCode) ?? null);
	const listed = $derived(
		data.skills.filter(
			(skill) => (!chosenDomain || skill.domainId === chosenDomain.id) && (grade === null || skill.grade === grade)
		)
	);
	const count = (domainId: number | null, of: number | null) =>
		data.skills.filter(
			(skill) => (domainId === null || skill.domainId === domainId) && (of === null || skill.grade === of)
		).length;
	const skillOf = $derived(new Map(data.skills.map((skill) => [skill.id, skill])));
	const own = $derived(data.shelf.filter(({ own }) => own));
	const shared = $derived(data.shelf.filter(({ own }) => !own));
</script>

<svelte:head><title>Library · Orderly Compass</title></svelte:head>

<div class="top">
	<h1>Library</h1>
	{#if data.can.library}<a class="button no-print" href={keepingScope('/library/import')}>Bring in or take out</a>{/if}
</div>
<FindBox typed={data.typed} hits={data.hits} />

<div class="two">
	<section>
		<h2>By domain and grade</h2>
		<div class="wide-table">
			<table class="grid">
				<thead>
					<tr>
						<th scope="col">Domain</th>
						{#each GRADES as one (one)}
							<th scope="col"
								><a href={withState({ grade: one, domain: null })} aria-current={grade === one && !chosenDomain}
									>Grade {one}</a
								></th
							>
						{/each}
						<th scope="col">All</th>
					</tr>
				</thead>
				<tbody>
					{#each data.domains as domain (domain.id)}
						<tr>
							<th scope="row"
								><a
									href={withState({ domain: domain.code, grade: null })}
									aria-current={chosenDomain?.id === domain.id && grade === null}>{domain.name}</a
								></th
							>
							{#each GRADES as one (one)}
								{@const skills = count(domain.id, one)}
								<td class:chosen={chosenDomain?.id === domain.id && grade === one}>
									{#if skills}<a
											href={withState({ domain: domain.code, grade: one })}
											aria-label="{domain.name}, grade {one}: {plural(skills, 'skill')}">{skills}</a
										>{:else}<span class="soft" aria-label="{domain.name}, grade {one}: no skills">·</span>{/if}
								</td>
							{/each}
							<td>{count(domain.id, null)}</td>
						</tr>
					{/each}
				</tbody>
			</table>
		</div>

		<h2 class="gap">
			{plural(listed.length, 'skill')}{chosenDomain ? ` of ${chosenDomain.name}` : ''}{grade === null
				? ''
				: `, grade ${grade}`}
			{#if chosenDomain || grade !== null}<a class="all" href={withState({ domain: null, grade: null })}>Show all</a
				>{/if}
		</h2>
		<Table
			says="Skills"
			columns={[
				{ label: 'Code' },
				{ label: 'Skill' },
				{ label: 'Statement' },
				{ label: 'Level' },
				{ label: 'Kinds of question', isNumber: true }
			]}
			rows={listed}
			key={({ id }) => id}
			airy
		>
			{#snippet cells(skill)}
				<td>{skill.code}</td>
				<th scope="row"><a href={keepingScope(`/library/${encodeURIComponent(skill.code)}`)}>{skill.shortName}</a></th>
				<td>{skill.statement}</td>
				<td>{sayLevel(skill)}</td>
				<td class="number">{skill.families || 'none yet'}</td>
			{/snippet}
			{#snippet empty()}No skill of this domain belongs to this grade.{/snippet}
		</Table>
	</section>

	<section>
		<h2>My shelf</h2>
		<ul>
			{#each own as { skillId, shared: isShared } (skillId)}
				<li>
					<a href={keepingScope(`/library/${encodeURIComponent(skillOf.get(skillId)!.code)}`)}
						>{skillOf.get(skillId)!.shortName}</a
					>
					<span class="soft">{isShared ? 'shared' : ''}</span>
				</li>
			{:else}
				<li class="soft">Empty. A skill’s page puts it here for later.</li>
			{/each}
		</ul>
		<h2 class="gap">Shared by colleagues</h2>
		<ul>
			{#each shared as { skillId, owner } (skillId + owner)}
				<li>
					<a href={keepingScope(`/library/${encodeURIComponent(skillOf.get(skillId)!.code)}`)}
						>{skillOf.get(skillId)!.shortName}</a
					>
					<span class="soft">{owner}</span>
				</li>
			{:else}
				<li class="soft">Nobody at the school shares a skill now.</li>
			{/each}
		</ul>
	</section>
</div>

<style>
	.top {
		display: flex;
		justify-content: space-between;
	}
	.two {
		display: grid;
		grid-template-columns: minmax(0, 1fr) 240px;
		gap: 36px;
		margin-top: 20px;
		align-items: start;
	}
	.gap {
		margin-top: 20px;
	}
	table {
		background: var(--sheet);
		width: 100%;
		margin-top: 6px;
	}
	.grid td,
	.grid thead th:not(:first-child) {
		text-align: center;
	}
	.grid td a {
		display: block;
	}
	.chosen,
	[aria-current='true'] {
		background: var(--verdigris-wash);
	}
	tbody th {
		font-weight: 500;
	}
	.all {
		font:
			400 0.95rem 'Atkinson Hyperlegible Next Variable',
			sans-serif;
		margin-left: 12px;
	}
	ul {
		list-style: none;
		margin: 6px 0 0;
		padding: 0;
	}
	li {
		padding: 3px 0;
	}
	@media (max-width: 1000px) {
		.two {
			grid-template-columns: minmax(0, 1fr);
		}
	}
</style>
