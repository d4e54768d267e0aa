<!-- One question with what was answered to it, the idea behind each answer, and how it is done. <AnswersGiven {chosen} /> -->
<script lang="ts">
	import { plural } from '$lib/core/words';
	import type { ComponentProps } from 'svelte';
	import SampleItems, { type Sample } from '../items/SampleItems.svelte';
	import { withState } from '../shell/address';
	import AcceptAnswer from './AcceptAnswer.svelte';
	import AcceptedAnswers from './AcceptedAnswers.svelte';

	interface Props {
		chosen: {
			position: number;
			student: { id: number; name: string } | null;
			sample: Sample;
			/** Whether the person may accept another answer for all. */
			mayAccept: boolean;
			accepted: ComponentProps<typeof AcceptedAnswers>['accepted'];
			tries: {
				id: string;
				isNotYet: boolean;
				student: { id: number; name: string };
				attempt: number;
				answerHtml: string;
				correct: boolean;
				seconds: number;
				hints: number;
				shows: string | null;
			}[];
		};
		timeZone: string;
	}
	let { chosen, timeZone }: Props = $props();

	/** Answers that say the same, most often given first. */
	const answers = $derived.by(() => {
		const found = new Map<string, { first: Props['chosen']['tries'][number]; names: string[]; students: number[] }>();
		for (const one of chosen.tries) {
			const known = found.get(one.answerHtml) ?? { first: one, names: [], students: [] };
			found.set(one.answerHtml, known);
			known.students.push(one.student.id);
			known.names.push(one.attempt > 1 ? `${one.student.name} (try ${one.attempt})` : one.student.name);
		}
		return [...found.values()].sort((one, other) => other.names.length - one.names.length);
	});
	/** What could be accepted for all, where the person may. */
	const wrong = $derived(
		answers
			.filter(({ first }) => !first.correct && !first.isNotYet)
			.map(({ first, students }) => ({
				id: first.id,
				answerHtml: first.answerHtml,
				students: new Set(students).size
			}))
	);
</script>

<section aria-label="Question {chosen.position + 1}">
	<p class="soft">
		Question {chosen.position + 1}{chosen.student ? `, ${chosen.student.name}` : ', all who have answered it'}
		<a href={withState({ question: null })} data-sveltekit-noscroll>Close</a>
	</p>
	<!-- eslint-disable svelte/no-at-html-tags -- escaped on the server -->
	{#if chosen.student}
		<ol>
			{#each chosen.tries as one (one.attempt)}
				<li>
					<strong>{@html one.answerHtml}</strong>
					{one.correct ? 'right' : 'not right'}
					<span class="soft">{one.seconds} s{one.hints ? `, with ${plural(one.hints, 'hint')}` : ''}</span>
					{#if one.shows}<br /><span>{one.shows}</span>{/if}
				</li>
			{:else}<li class="soft">Not answered.</li>{/each}
		</ol>
	{:else}
		<ul>
			{#each answers as { first, names } (first.answerHtml)}
				<li>
					<strong>{@html first.answerHtml}</strong>
					{first.correct ? 'right' : 'not right'}, {names.length}:
					<span class="soft">{names.join(', ')}</span>
					{#if first.shows}<br /><span>{first.shows}</span>{/if}
				</li>
			{/each}
		</ul>
	{/if}
	<!-- eslint-enable svelte/no-at-html-tags -->
	{#if chosen.mayAccept && wrong.length}{#key `${chosen.position} ${chosen.student?.id}`}<AcceptAnswer
				answers={wrong}
			/>{/key}{/if}
	<AcceptedAnswers accepted={chosen.accepted} {timeZone} />
	{#key chosen.sample}<SampleItems samples={[chosen.sample]} />{/key}
</section>

<style>
	ol,
	ul {
		margin: 6px 0 12px;
		padding-left: 20px;
		display: grid;
		gap: 6px;
	}
</style>
