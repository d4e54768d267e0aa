<script lang="ts">
	import { sayInstant } from '$lib/core/calendar';
	import { fullName, plural } from '$lib/core/words';
	import AcceptAnswer from '$lib/ui/results/AcceptAnswer.svelte';
	import TakeOut from '$lib/ui/results/TakeOut.svelte';
	import { KIND_WORDS } from '$lib/ui/results/sayOutcome';
	import { keepingScope, setState } from '$lib/ui/shell/address';
	import { legState } from '$lib/ui/shell/legState.svelte';
	import { walkByKey } from '$lib/ui/students/walkByKey';
	import Notice from '$lib/ui/shell/Notice.svelte';
	import Pager from '$lib/ui/table/Pager.svelte';
	import Table from '$lib/ui/table/Table.svelte';

	let { data, form } = $props();
	const { student } = $derived(data);
	const history = $derived(data.history);
	const name = $derived(fullName(student));
	const { asked, part } = $derived(history);
	/** The same of another student: narrowed in the same way, from the newest on. */
	const pageOf = (id: number) =>
		keepingScope(`/students/${id}/answers`, {
			student: null,
			...(asked.skillId && { skill: asked.skillId }),
			...(asked.judged && { judged: asked.judged }),
			...(asked.kind && { kind: asked.kind })
		});
	// Here the page itself walks through the roster.
	$effect(() => {
		legState.order = [];
		const stop = walkByKey(data.walk, pageOf);
		return () => {
			legState.order = undefined;
			stop();
		};
	});
	const narrow = (change: Record<string, string | null>) => setState({ ...change, answers: null });
	const isNarrowed = $derived(
		asked.skillId !== null || asked.judged !== null || asked.kind !== null || asked.sittingId !== null
	);
</script>

<svelte:head><title>Answers of {name} · Orderly Compass</title></svelte:head>

<div class="page-head">
	<h1>Answers of <a href={keepingScope(`/students/${student.id}`, { student: null })}>{name}</a></h1>
	<span class="soft">{student.className}, grade {student.grade}, {plural(part.total, 'answer')}</span>
	{#if data.walk && data.walk.size > 1}
		<span class="no-print walk">
			<a href={pageOf(data.walk.before)} aria-label="Answers of the student before">←</a>
			<span class="soft">{data.walk.place} of {data.walk.size} in {data.scope.inWords}</span>
			<a href={pageOf(data.walk.after)} aria-label="Answers of the next student">→</a>
		</span>
	{/if}
</div>
<p class="one-line no-print">
	<label
		>Skill <select
			value={asked.skillId === null ? '' : String(asked.skillId)}
			onchange={({ currentTarget: { value } }) => narrow({ skill: value || null })}
		>
			<option value="">any</option>
			{#each history.skills as { id, code, shortName } (id)}<option value={String(id)}>{code} {shortName}</option
				>{/each}
		</select></label
	>
	<label
		>Judged <select
			value={asked.judged ?? ''}
			onchange={({ currentTarget: { value } }) => narrow({ judged: value || null })}
		>
			<option value="">either way</option>
			<option value="right">right</option>
			<option value="not right">not right</option>
		</select></label
	>
	<label
		>In <select value={asked.kind ?? ''} onchange={({ currentTarget: { value } }) => narrow({ kind: value || null })}>
			<option value="">any work</option>
			{#each Object.entries(KIND_WORDS) as [kind, words] (kind)}<option value={kind}>{words}</option>{/each}
		</select></label
	>
	{#if asked.sittingId !== null}<span
			>Of one run only. <button class="plain small" onclick={() => narrow({ sitting: null })}>All runs</button></span
		>{/if}
</p>

<Table
	says="Answers of {name}"
	columns={[
		{ label: 'When' },
		{ label: 'In' },
		{ label: 'Question' },
		{ label: 'Answer' },
		{ label: 'Judged' },
		{ label: 'Time', isNumber: true }
	]}
	rows={history.answers}
	key={({ id }) => id}
	airy
>
	{#snippet cells(one)}
		<th scope="row">{sayInstant(one.answeredAt, data.school.timeZone)}</th>
		<td
			>{#if one.set}<a
					href={keepingScope(`/practice/${one.set.id}/results`, { student: student.id, question: one.set.question })}
					>{one.set.name ?? KIND_WORDS[one.kind]}</a
				>{:else}{KIND_WORDS[one.kind]}{one.paperForm
					? `, on paper (form ${one.paperForm})`
					: ''}{/if}{#if one.isAside}<span class="soft">, kept aside: counts for nothing</span>{/if}<br /><span
				class="soft">{one.skill}</span
			></td
		>
		<!-- eslint-disable svelte/no-at-html-tags -- escaped on the server -->
		<td class="wide">{@html one.stemHtml}</td>
		<td
			>{@html one.answerHtml}{#if one.keyHtml}<br /><span class="soft">key {@html one.keyHtml}</span>{/if}</td
		>
		<!-- eslint-enable svelte/no-at-html-tags -->
		<td class="wide"
			>{one.correct ? 'right' : 'not right'}{one.attempt > 1 ? `, try ${one.attempt}` : ''}{one.hints
				? `, with ${plural(one.hints, 'hint')}`
				: ''}{#if one.correctedFor}<span class="soft">, accepted since: {one.correctedFor}</span>{/if}{#if one.shows}<br
				/><span class="soft">{one.shows}</span>{/if}
			{#if data.can.practice && history.mayAccept && !one.correct && !one.isNotYet}<AcceptAnswer
					answers={[{ id: one.id, answerHtml: one.answerHtml, students: 1 }]}
				/>{/if}</td
		>
		<td class="number">{one.paperForm ? '' : `${one.seconds} s`}</td>
	{/snippet}
	{#snippet empty()}
		{isNarrowed ? 'No answer is like that.' : `${student.givenName} has not answered anything yet.`}
	{/snippet}
</Table>
<Notice outcome={form} />
{#if part.total}
	<TakeOut
		path="/students/{student.id}/answers"
		state={{ student: null, skill: asked.skillId, judged: asked.judged, kind: asked.kind }}
		hasTable={false}
		whose={part.total > history.answers.length ? `, all ${part.total}` : ''}
	/>
{/if}
<Pager from={part.from} most={part.most} total={part.total} name="answers" />

<style>
	.wide {
		white-space: normal;
		min-width: 180px;
	}
	.walk {
		display: inline-flex;
		gap: 10px;
		margin-left: auto;
	}
</style>
