<!-- The selected student, the same on every leg. -->
<script lang="ts">
	import { sayDue } from '../practice/saySet';
	import { fullName, plural } from '$lib/core/words';
	import X from '@lucide/svelte/icons/x';
	import type { Snippet } from 'svelte';
	import type { PeekContent } from './peek';
	import Needle from '../glyphs/Needle.svelte';
	import TierBars from '../glyphs/TierBars.svelte';
	import { POINTS_PER_LOGIT, toPoints } from '$lib/core/measurement';
	import { keepingScope, withState } from './address';
	import { sayDate, sayDay } from '$lib/core/calendar';

	interface Props {
		peek: PeekContent;
		can: { practice: boolean; probe: boolean };
		/** What the leg adds at the top, such as the answers behind a chosen cell. */
		extra?: Snippet;
	}
	let { peek, can, extra }: Props = $props();
	const { student } = $derived(peek);
	const overall = $derived(peek.scores.find((score) => score.domainId === 0));
</script>

<aside aria-label="Selected student" class="no-print">
	<header>
		<div>
			<h2><a href={keepingScope(`/students/${student.id}`)}>{fullName(student)}</a></h2>
			<p class="soft">{student.className} · grade {student.grade} · <TierBars tier={student.tier} /></p>
		</div>
		<a class="close" href={withState({ student: null, cell: null })} aria-label="Close the panel"
			><X size={18} aria-hidden="true" /></a
		>
	</header>

	{@render extra?.()}

	<section>
		<h3>Standings</h3>
		<table>
			<thead class="visually-hidden"
				><tr><th>Domain</th><th>Secure</th><th>Forming</th><th>Slipping</th><th>Gap</th></tr></thead
			>
			<tbody>
				{#each peek.domains as domain (domain.id)}
					<tr>
						<th scope="row">{domain.name}</th>
						{#each ['secure', 'forming', 'slipping', 'gap'] as const as state (state)}
							<td><Needle {state} size={16} /> {domain.counts[state]}</td>
						{/each}
					</tr>
				{/each}
			</tbody>
		</table>
	</section>

	<section>
		<h3>{peek.window ?? 'Screening'}</h3>
		{#if overall}
			<p>
				{Math.round(toPoints(overall.theta))} points, give or take {Math.round(
					POINTS_PER_LOGIT * overall.standardError
				)}
				<span class="soft">({overall.source}, {sayDay(overall.takenOn)})</span>
			</p>
		{:else if peek.sitting}
			<p>{peek.sitting.answered} of {peek.sitting.itemCount} questions answered.</p>
		{:else}
			<p class="soft">Not started.</p>
		{/if}
		{#each peek.sitting?.flags ?? [] as flag (flag.flag)}<p class="flag">{flag.reason}</p>{/each}
	</section>

	<section>
		<h3>Groups</h3>
		{#each peek.groups as group (group.id)}
			<p>
				<a href={keepingScope(`/groups/${group.id}`)}>{group.name}</a>
				<span class="soft">on {group.focus}</span>
			</p>
		{:else}
			<p class="soft">In no group.</p>
		{/each}
	</section>

	<section>
		<h3>Queue</h3>
		{#each peek.checks as check (check.id)}
			<p>
				Skill check: {check.skills.join(', ')}, {check.answered} of {5 * check.skills.length}, due {sayDate(
					check.dueOn
				)}
			</p>
		{/each}
		{#each peek.queue as set (set.id)}
			<p>{set.title}: {set.answered} of {set.itemCount}, {sayDue(set)}</p>
		{:else}
			{#if peek.checks.length === 0}
				<p class="soft">
					Clear queue{peek.openGaps ? `, and ${plural(peek.openGaps, 'open gap')}` : ''}.
				</p>
			{/if}
		{/each}
		{#each peek.results.filter((result) => result.finishedAt).slice(0, 3) as result (result.setId)}
			<p class="soft">
				<a href={keepingScope(`/practice/${result.setId}/results`)}>{result.title}</a>: {result.doneOnly
					? 'done'
					: `${result.correct} of ${result.answered} right at first try`}
			</p>
		{/each}
		<p><a href={keepingScope(`/students/${student.id}/answers`, { student: null })}>All answers</a></p>
		{#if peek.late}
			<p>
				<a href={keepingScope(`/students/${student.id}#late`)}>{plural(peek.late, 'answer')} came too late</a>; they are
				kept aside.
			</p>
		{/if}
	</section>

	<section>
		<h3>Probes and reviews</h3>
		{#each peek.probes as plan (plan.id)}
			<p>
				<a href={keepingScope('/track/charts', { plan: plan.id })}>{plan.skill}</a>: {plan.counts.join(' ') ||
					'none yet'} of {plan.questions}{plan.due ? ' · due this week' : ''}
			</p>
		{:else}
			<p class="soft">No probes planned.</p>
		{/each}
		{#if peek.nextReview}<p><a href={keepingScope('/decide')}>Review</a> on {sayDate(peek.nextReview)}</p>{/if}
		{#each peek.verdicts as verdict (verdict.id)}
			<p class="soft">
				{verdict.verdict} from {sayDate(verdict.effectiveOn ?? '')}, {verdict.groupName ?? 'in no group'}
			</p>
		{/each}
	</section>

	{#if can.practice}
		<p class="actions">
			<a class="button" href={keepingScope('/practice/new', { for: `student:${student.id}` })}>Assign practice</a>
		</p>
	{/if}
</aside>

<style>
	aside {
		width: 340px;
		position: fixed;
		top: var(--bars);
		right: 0;
		z-index: 9;
		bottom: 0;
		align-content: start;
		overflow-y: auto;
		/* Room below for an action bar. */
		padding: 12px 16px 76px;
		background: var(--sheet);
		border-left: 1px solid var(--rule);
		display: grid;
		gap: 14px;
	}
	@media (max-width: 900px) {
		aside {
			position: static;
			width: auto;
			border: 0;
			border-top: 1px solid var(--rule-strong);
		}
	}
	header {
		display: flex;
		justify-content: space-between;
	}
	h2 a {
		color: var(--ink);
	}
	.close {
		color: var(--ink-soft);
		padding: 6px;
	}
	section {
		display: grid;
		gap: 3px;
		border-top: 1px solid var(--rule);
		padding-top: 8px;
	}
	h3 {
		font-size: 0.95rem;
	}
	table {
		width: 100%;
	}
	th,
	td {
		border: 0;
		padding: 1px 4px 1px 0;
		font-weight: 400;
	}
	td {
		white-space: nowrap;
	}
	td :global(svg) {
		display: inline-block;
		vertical-align: -3px;
	}
	.flag {
		border-left: 3px solid var(--slipping-ink);
		padding-left: 8px;
	}
</style>
