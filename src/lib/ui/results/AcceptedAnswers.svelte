<!-- What is accepted beside the key of a question: by whom, why, how many answers are right by it; each with Undo. -->
<script lang="ts">
	import { sayDate, schoolDateOf } from '$lib/core/calendar';
	import { plural } from '$lib/core/words';
	import ActionButton from '../form/ActionButton.svelte';
	import JobUnderWay from '../shell/JobUnderWay.svelte';

	interface Props {
		accepted: {
			id: number;
			answerHtml: string;
			why: string;
			by: string;
			at: Date;
			answers: number;
			mayUndo: boolean;
			progress: { done: number; of: number } | null;
		}[];
		timeZone: string;
	}
	let { accepted, timeZone }: Props = $props();
</script>

{#each accepted as one (one.id)}
	<div class="accepted">
		<p>
			<!-- eslint-disable-next-line svelte/no-at-html-tags -- escaped on the server -->
			<strong>{@html one.answerHtml}</strong> counts as right, too: “{one.why}”
			<span class="soft"
				>{one.by}, {sayDate(schoolDateOf(one.at, timeZone))}; {plural(one.answers, 'answer is', 'answers are')} right by it.</span
			>
			{#if one.mayUndo}<ActionButton
					action="?/refuse"
					fields={{ correction: one.id }}
					look="plain"
					label="No longer accept this answer">Undo</ActionButton
				>{/if}
		</p>
		{#if one.progress}
			<JobUnderWay
				job={{ id: one.id, askedBy: one.by }}
				depends="job:regrade"
				mayCancel={false}
				share={one.progress.of ? one.progress.done / one.progress.of : undefined}
				>Judging anew: {one.progress.done} of {plural(one.progress.of, 'student run')}.</JobUnderWay
			>
		{/if}
	</div>
{/each}

<style>
	.accepted {
		border-left: 3px solid var(--verdigris);
		padding-left: 10px;
		margin: 8px 0;
	}
</style>
