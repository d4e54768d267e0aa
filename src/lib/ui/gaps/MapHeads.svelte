<!--
	The two rows of heads of the needle map: domains, which fold and unfold, and skills. By keyboard domains are folded from
	the list above the map: to step through heads that lie far to the right would scroll it away.
-->
<script lang="ts">
	import { plural, sayLevel } from '$lib/core/words';
	import type { MapColumn, MapDomain } from './columns';

	interface Props {
		columns: MapColumn[];
		domains: MapDomain[];
		students: number;
		onfold: (domainId: number) => void;
	}
	let { columns, domains, students, onfold }: Props = $props();

	const heads = $derived(
		domains
			.map((domain) => ({
				...domain,
				span: columns.filter(({ domainId }) => domainId === domain.id).length,
				isFolded: columns.some((column) => column.kind === 'folded' && column.domainId === domain.id)
			}))
			.filter(({ span }) => span)
	);
</script>

<thead>
	<tr class="domains">
		<td class="student"></td>
		{#each heads as { id, name, span, isFolded } (id)}
			<th colspan={span} scope="colgroup"
				><button
					class="plain"
					tabindex="-1"
					aria-expanded={!isFolded}
					title="{isFolded ? 'Unfold' : 'Fold'} {name}"
					aria-label="{name}: {isFolded ? 'unfold' : 'fold'}"
					onclick={() => onfold(id)}
					><span aria-hidden="true">{isFolded ? '▸' : '▾'}</span>{isFolded ? '' : ` ${name}`}</button
				></th
			>
		{/each}
	</tr>
	<tr>
		<th class="student" scope="col"><span>{plural(students, 'student')}</span></th>
		{#each columns as column, i (column.kind === 'skill' ? column.skill.id : -column.domainId)}
			{#if column.kind === 'skill'}
				{@const { code, statement, grade, term, shortName } = column.skill}
				<th
					scope="col"
					aria-colindex={i + 2}
					class:first={column.isFirst}
					title="{code} · {statement} ({sayLevel({ grade, term })})"
				>
					<span class="skill">{shortName}</span>
				</th>
			{:else}
				<th scope="col" aria-colindex={i + 2} class="first" title="{column.name}, all {column.skills.length} skills">
					<span class="skill folded">{column.name}</span>
				</th>
			{/if}
		{/each}
	</tr>
</thead>

<style>
	/* Sticky as a whole: a layer for each head would make scrolling stutter. */
	thead {
		position: sticky;
		top: var(--bars);
		z-index: 4;
		background: var(--paper);
	}
	th,
	td {
		border: 0;
		padding: 0;
		vertical-align: bottom;
	}
	.first {
		padding-left: 10px;
	}
	.domains > * {
		height: 26px;
	}
	.domains th {
		max-width: 0;
	}
	.domains button {
		display: block;
		width: 100%;
		min-height: 24px;
		padding: 0 0 0 8px;
		text-align: left;
		font: 600 0.9rem var(--head);
		color: var(--ink);
		white-space: nowrap;
		overflow: hidden;
		text-overflow: ellipsis;
	}
	tr:nth-child(2) > * {
		height: 164px;
		padding-bottom: 4px;
		box-shadow: 0 1px 0 var(--rule);
	}
	.skill {
		writing-mode: sideways-lr;
		font-weight: 400;
		font-size: 0.85rem;
		line-height: 20px;
		max-height: 158px;
		white-space: nowrap;
		overflow: hidden;
	}
	@supports not (writing-mode: sideways-lr) {
		.skill {
			writing-mode: vertical-rl;
			transform: rotate(180deg);
		}
	}
	.folded {
		font-weight: 600;
		line-height: 1.1;
		white-space: normal;
	}
	.student {
		position: sticky;
		left: 0;
		z-index: 6;
		background: var(--paper);
		text-align: left;
		font-weight: 400;
		padding-right: 6px;
	}
	@media print {
		thead,
		.student {
			position: static;
		}
	}
</style>
