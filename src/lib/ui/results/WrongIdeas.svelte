<!-- Wrong ideas that answers showed, each with who, and what can be done about it now. <WrongIdeas {ideas} … /> -->
<script lang="ts">
	import { plural } from '$lib/core/words';
	import ModelDialog from '../items/ModelDialog.svelte';
	import type { Sample } from '../items/SampleItems.svelte';
	import { keepingScope, withState } from '../shell/address';

	interface Props {
		ideas: {
			misconception: string;
			shows: string;
			attempt: string;
			times: number;
			kinds: number;
			skill: { id: number; name: string };
			students: { id: number; name: string; times: number }[];
			place: { student: number; question: number };
			sample: Sample;
		}[];
		/** Ideas in all; more than these are counted. */
		inAll: number;
		/** All who have the work. */
		everyone: { id: number }[];
		/** Students who answered anything. */
		answered: number;
		canAssign: boolean;
	}
	let { ideas, inAll, everyone, answered, canAssign }: Props = $props();
	let modeled = $state<Sample | null>(null);
	/** One answer by one student may be a slip. */
	const isScattered = ({ times }: Props['ideas'][number]) => times === 1;
	const scattered = $derived(ideas.filter(isScattered));
	const ids = (students: { id: number }[]) => students.map(({ id }) => id).join(',');
	const practice = (students: { id: number }[], skillId: number) =>
		keepingScope('/practice/new', { for: `students:${ids(students)}`, skill: skillId, student: null });
</script>

{#if ideas.length === 0}
	<p>{answered ? 'No answer shows a wrong idea that is known.' : 'Nobody has answered anything yet.'}</p>
{/if}
{#snippet told(list: Props['ideas'])}
	<ul>
		{#each list as { misconception, shows, attempt, times, kinds, skill, students, place, sample } (misconception)}
			<li data-idea={misconception}>
				<p>
					<strong>{shows}</strong>
					<span class="soft"
						>{students.length} of {answered}, {plural(times, 'answer')}{kinds > 1
							? `, in ${kinds} kinds of questions`
							: ''}</span
					>
				</p>
				<p>
					{#each students as one, i (one.id)}{i ? ', ' : ''}<a href={keepingScope(`/students/${one.id}`)}>{one.name}</a
						>{one.times > 1 ? ` ${one.times} times` : ''}{/each}
				</p>
				<p class="soft">
					Try: {attempt}
					<a href={withState({ student: place.student, question: place.question })} data-sveltekit-noscroll
						>{students.find(({ id }) => id === place.student)?.name}’s answer</a
					>
				</p>
				<p class="one-line no-print">
					<button onclick={() => (modeled = sample)}>Model one</button>
					{#if canAssign}
						<a class="button" href={practice(students, skill.id)}
							>Practice for {students.length === 1 ? students[0].name : `these ${students.length}`}</a
						>
						{#if students.length > 1}
							<a
								class="button"
								href={keepingScope('/groups/suggest', { students: ids(students), domain: null, student: null })}
								>Small group</a
							>
						{/if}
						{#if students.length < everyone.length && everyone.length > 1}
							<a class="button" href={practice(everyone, skill.id)}>Practice for all {everyone.length}</a>
						{/if}
					{/if}
				</p>
			</li>
		{/each}
	</ul>
{/snippet}

{@render told(ideas.filter((idea) => !isScattered(idea)))}
{#if scattered.length}
	<details>
		<summary>{plural(scattered.length, 'idea')} in one answer each</summary>
		{@render told(scattered)}
	</details>
{/if}
{#if inAll > ideas.length}<p class="soft">{plural(inAll - ideas.length, 'more idea')} came up less often.</p>{/if}
{#if modeled}<ModelDialog shown={modeled} onclose={() => (modeled = null)} />{/if}

<style>
	ul {
		list-style: none;
		margin: 0;
		padding: 0;
		display: grid;
		gap: 10px;
	}
	li {
		padding: 8px 14px;
		border: 1px solid var(--rule);
		border-left: 3px solid var(--gap-ink);
		background: var(--sheet);
	}
</style>
