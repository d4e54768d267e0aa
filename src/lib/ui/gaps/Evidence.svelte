<!-- Why a cell of the needle map shows what it shows: the standing, what comes before the skill, and the answers. -->
<script lang="ts" module>
	import type { StandingNow } from '$lib/core/mastery';
	import type { Standing } from '$lib/core/mastery';

	interface NamedSkill {
		id: number;
		name: string;
		state: Standing;
		inferred: boolean;
	}

	export interface CellEvidence {
		skill: { shortName: string; code: string; grade: number; term: number; statement: string };
		now: StandingNow | undefined;
		prerequisites: NamedSkill[];
		/** The share of first tries that are right on its usual question, by grade and term alone. */
		expected: number | null;
		/** What that share would be without a part of the evidence; only parts that change it. */
		without: {
			of: 'skill itself' | 'neighbor' | 'domain' | 'other domains';
			name: string | null;
			raises: boolean;
			share: number;
		}[];
		/** Prerequisites that would raise it most were they mastered, each with the way up from it, and the share now and then. */
		causes: { share: { now: number; then: number }; skills: NamedSkill[] }[];
		answers: {
			on: string;
			kind: string;
			seconds: number;
			stemHtml: string;
			givenHtml: string;
			/** Whether it was “I don’t know yet”. */
			notYet: boolean;
			correct: boolean;
			/** The wrong idea that the answer shows, in words. */
			idea: string | null;
		}[];
	}
</script>

<script lang="ts">
	import { sayLevel, sayShare } from '$lib/core/words';
	import Needle from '../glyphs/Needle.svelte';
	import { page } from '$app/state';
	import { sayStanding } from '$lib/core/mastery';
	import { withState } from '../shell/address';
	import { sayDay } from '$lib/core/calendar';

	const PARTS = {
		'skill itself': () => 'Its own answers',
		neighbor: (name: string | null) => `Answers on ${name}`,
		domain: () => 'Answers on the rest of the domain',
		'other domains': () => 'Answers on other domains'
	};

	let { evidence }: { evidence: CellEvidence } = $props();
	const { skill, now, expected, without, prerequisites, causes, answers } = $derived(evidence);
</script>

<section class="evidence">
	<h3>{skill.shortName} <span class="soft">{skill.code} · {sayLevel(skill)}</span></h3>
	<p>{skill.statement}.</p>
	<p>
		<strong>{sayStanding(now, page.data.school.today)}.</strong>
	</p>
	{#if prerequisites.length}
		<p class="soft before">
			Before it: {#each prerequisites as one (one.id)}<span
					><Needle state={one.state} inferred={one.inferred} size={16} />{one.name}</span
				>{/each}
		</p>
	{/if}
	{#if expected !== null}
		<details class="moves">
			<summary>What moves it</summary>
			<ul>
				{#each without as part (`${part.of} ${part.name}`)}
					<li>{PARTS[part.of](part.name)} {part.raises ? 'raise' : 'lower'} it: without, {sayShare(part.share)}</li>
				{/each}
				<li>By grade and term alone: {sayShare(expected)}</li>
			</ul>
		</details>
	{/if}
	{#if causes.length}
		<div class="causes">
			<h4>Where it begins</h4>
			<ol>
				{#each causes as { share: would, skills }, i (i)}
					<li>
						{#each skills as one, k (one.id)}{k ? ' → ' : ''}<a href={withState({ cell: one.id })}
								><Needle state={one.state} inferred={one.inferred} size={16} />{one.name}</a
							>{/each} →
						{skill.shortName}
						<span class="soft">with it mastered {sayShare(would.then)} would be likely, now {sayShare(would.now)}</span>
					</li>
				{/each}
			</ol>
		</div>
	{/if}
	{#if answers.length}
		<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
		<div class="answers" role="region" aria-label="Answers, newest first" tabindex="0">
			<ol>
				{#each answers as answer, i (i)}
					<li>
						<span class="soft">{sayDay(answer.on)}, {answer.kind}, {answer.seconds} s</span>
						<!-- eslint-disable svelte/no-at-html-tags -- escaped on the server -->
						<p class="stem">{@html answer.stemHtml}</p>
						<p>
							{#if !answer.notYet}<strong>{answer.correct ? 'Right' : 'Wrong'}:</strong>{/if}
							{@html answer.givenHtml}
						</p>
						<!-- eslint-enable svelte/no-at-html-tags -->
						{#if answer.idea}<p class="soft">{answer.idea}</p>{/if}
					</li>
				{/each}
			</ol>
		</div>
	{:else}
		<p class="soft">No answers to this skill yet. What is shown comes from what is near it and is never evidence.</p>
	{/if}
	<a href={withState({ cell: null })}>Hide the answers</a>
</section>

<style>
	.moves {
		margin: 6px 0;
	}
	.moves ul {
		margin: 4px 0 0;
		padding-left: 18px;
	}
	.causes h4 {
		margin: 4px 0 2px;
		font-size: 0.95rem;
	}
	.causes ol {
		margin: 0;
		padding-left: 20px;
	}
	.causes a {
		color: var(--ink);
		white-space: nowrap;
	}
	.evidence {
		display: grid;
		gap: 6px;
		background: var(--paper);
		padding: 10px 12px;
		border-radius: var(--corner);
	}
	.answers {
		max-height: 300px;
		overflow-y: auto;
	}
	ol {
		list-style: none;
		margin: 0;
		padding: 0;
	}
	li {
		border-top: 1px solid var(--rule);
		padding: 6px 0;
	}
	.stem {
		font-family: var(--head);
	}
	.before span {
		display: inline-flex;
		align-items: center;
		gap: 4px;
		margin-right: 8px;
	}
</style>
