<!-- Questions that were missed at the first try, most students first, each leading on. <MissedQuestions {missed} … /> -->
<script lang="ts">
	import { plural } from '$lib/core/words';
	import ModelDialog from '../items/ModelDialog.svelte';
	import type { Sample } from '../items/SampleItems.svelte';
	import { keepingScope, withState } from '../shell/address';

	interface Props {
		missed: {
			positions: number[];
			isKind: boolean;
			answered: number;
			missed: number;
			later: number;
			skill: { id: number; name: string };
			students: { id: number; name: string }[];
			sample: Sample;
		}[];
		inAll: number;
		canAssign: boolean;
	}
	let { missed, inAll, canAssign }: Props = $props();
	/** Missed by one of several: told of last. */
	const isSingle = ({ students, answered }: Props['missed'][number]) => students.length === 1 && answered > 2;
	const single = $derived(missed.filter(isSingle));
	let modeled = $state<Sample | null>(null);
</script>

{#if missed.length === 0}<p>Nothing was missed at the first try.</p>{/if}
{#snippet told(list: Props['missed'])}
	<ol>
		{#each list as { positions, isKind, students, sample, skill, ...one } (`${positions.join()} ${sample.stemHtml}`)}
			<li>
				<!-- eslint-disable-next-line svelte/no-at-html-tags -- escaped on the server -->
				<p>{@html sample.stemHtml}</p>
				<p class="soft">
					{isKind
						? `Questions of this kind, ${skill.name}:`
						: `Question ${positions.map((place) => place + 1).join(', ')}:`}
					missed {one.missed} of {plural(one.answered, 'time')}{one.later ? `, ${one.later} right later` : ''}.
					{students.map(({ name }) => name).join(', ')}
				</p>
				<p class="one-line no-print">
					<button onclick={() => (modeled = sample)}>Model it</button>
					{#if !isKind}<a
							class="button"
							href={withState({ question: positions[0], student: null })}
							data-sveltekit-noscroll>What they answered</a
						>{/if}
					{#if canAssign}<a
							class="button"
							href={keepingScope('/practice/new', {
								for: `students:${students.map(({ id }) => id).join(',')}`,
								skill: skill.id,
								student: null
							})}>Practice for {students.length === 1 ? students[0].name : `these ${students.length}`}</a
						>{/if}
				</p>
			</li>
		{/each}
	</ol>
{/snippet}

{@render told(missed.filter((one) => !isSingle(one)))}
{#if single.length}
	<details>
		<summary>{plural(single.length, 'question')} missed by one student each</summary>
		{@render told(single)}
	</details>
{/if}
{#if inAll > missed.length}<p class="soft">{plural(inAll - missed.length, 'more question')} missed by fewer.</p>{/if}
{#if modeled}<ModelDialog shown={modeled} onclose={() => (modeled = null)} />{/if}

<style>
	ol {
		list-style: none;
		margin: 0;
		padding: 0;
		display: grid;
	}
	li {
		padding: 8px 0;
		border-top: 1px solid var(--rule);
	}
</style>
