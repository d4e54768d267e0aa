<!--
	A student's standings in all domains: the working level and scores of each, a needle for each skill in teaching order,
	and the skills that are secure, slipping and gaps in words.
	<DomainStandings studentId={student.id} domains={data.domains} />
-->
<script lang="ts">
	import { sayLevel } from '$lib/core/words';
	import { sayDay } from '$lib/core/calendar';
	import { type StandingNow, describeStanding } from '$lib/core/mastery';
	import type { GradeTerm } from '$lib/core/measurement';
	import NeedleKey from '../gaps/NeedleKey.svelte';
	import Needle from '../glyphs/Needle.svelte';
	import { keepingScope } from '../shell/address';

	interface Props {
		studentId: number;
		domains: {
			id: number;
			name: string;
			level: GradeTerm | null;
			scores: { points: number; error: number; takenOn: string }[];
			skills: { id: number; shortName: string; level: string; now: StandingNow | null; isReady: boolean }[];
		}[];
	}
	let { studentId, domains }: Props = $props();

	const WORDS = [
		{ says: 'Secure', is: 'secure' },
		{ says: 'Slipping', is: 'slipping' },
		{ says: 'Gaps', is: 'gap' }
	];
</script>

<h2>All domains</h2>
<NeedleKey ground />
<table class="domains">
	<tbody>
		{#each domains as domain (domain.id)}
			<tr>
				<th scope="row">
					{domain.name}
					<span class="soft"
						>{domain.level
							? `works at ${sayLevel(domain.level)}`
							: 'no score yet'}{#each domain.scores as score, i (i)}<br />{score.points} ± {score.error}, {sayDay(
								score.takenOn
							)}{/each}</span
					>
				</th>
				<td>
					<ul class="needles">
						{#each domain.skills as skill (skill.id)}
							{@const said = `${skill.shortName} (${skill.level}): ${describeStanding(skill.now ?? undefined)}${skill.isReady ? '; ready next' : ''}`}
							<li>
								<a
									href={keepingScope('/gaps', {
										scope: `list:${studentId}`,
										student: studentId,
										cell: skill.id,
										columns: 'all'
									})}
									title={said}
									aria-label={said}
									><Needle
										state={skill.now?.inferred ?? skill.now?.standing ?? 'unseen'}
										inferred={Boolean(skill.now?.inferred)}
										ready={skill.isReady}
									/></a
								>
							</li>
						{/each}
					</ul>
					<p class="words">
						{#each WORDS as { says, is } (is)}
							{@const named = domain.skills.filter(({ now }) => now?.standing === is)}
							{#if named.length}<span
									><strong>{says}:</strong> {named.map(({ shortName }) => shortName).join(', ')}.</span
								>{/if}
						{/each}
					</p>
				</td>
			</tr>
		{/each}
	</tbody>
</table>

<style>
	.domains {
		width: 100%;
		margin-top: 6px;
	}
	.domains th {
		width: 220px;
		vertical-align: top;
	}
	.domains .soft {
		display: block;
		font-weight: 400;
		font-size: 0.92rem;
	}
	.needles {
		display: flex;
		flex-wrap: wrap;
		gap: 3px;
		list-style: none;
		margin: 0;
		padding: 0;
	}
	.needles a {
		display: block;
		padding: 2px;
	}
	.needles :global(svg) {
		display: block;
	}
	.words span {
		margin-right: 0.6em;
	}
	.words {
		font-size: 0.92rem;
		margin-top: 2px;
	}
</style>
