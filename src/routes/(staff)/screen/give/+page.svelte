<script lang="ts">
	import { fullName } from '$lib/core/words';
	import GiveMeasure from '$lib/ui/screen/GiveMeasure.svelte';
	import MarkingSheet from '$lib/ui/screen/MarkingSheet.svelte';
	import StudentCopy from '$lib/ui/screen/StudentCopy.svelte';
	import { keepingScope, setState } from '$lib/ui/shell/address';
	import Notice from '$lib/ui/shell/Notice.svelte';
	import { sayDate } from '$lib/core/calendar';

	let { data, form } = $props();

	const student = $derived(data.student);
	const key = $derived(`measure ${data.window.id} ${student.id} ${data.sheet.grade}`);
	const board = $derived(keepingScope('/screen/sittings', { window: data.window.id, student: null }));
	const grades = $derived(Array.from({ length: data.usual }, (_, i) => data.usual - i));
	const giveTo = (id: number) => keepingScope('/screen/give', { window: data.window.id, to: id, student: null });
	/** The sheet that is to be given once more, though it was before. */
	let again = $state('');
	const isDone = $derived(data.given !== null && again !== key);
</script>

<svelte:head><title>{fullName(student)}, {data.window.measure} · Orderly Compass</title></svelte:head>

<div class="no-print page">
	<p><a href={board}>{data.window.name}: sittings</a></p>
	<div class="line">
		<h1>{fullName(student)}</h1>
		<span class="soft"
			>{student.className}, grade {student.grade} · {data.window.measure} · {data.waiting} still to give</span
		>
	</div>
	<div class="tools">
		<label>
			{data.window.measure === 'reading aloud' ? 'Passage' : 'Sheet'} of grade
			<select onchange={(event) => setState({ sheet: event.currentTarget.value })}>
				{#each grades as grade (grade)}<option selected={grade === data.sheet.grade}>{grade}</option>{/each}
			</select>
		</label>
		<span
			>{data.sheet.title}{#if data.sheet.readingGrade !== null}<span class="soft"
					>, {data.sheet.places.length} words, reads like grade {data.sheet.readingGrade.toFixed(1)} (Flesch–Kincaid)</span
				>{:else}<span class="soft">, {data.sheet.places.length} facts</span>{/if}</span
		>
		<button onclick={() => print()}>Print the student’s copy</button>
	</div>
	{#if data.sheet.grade !== data.usual}
		<p class="soft">
			The sheet of a lower grade: its score is shown, but held against no line and no score on another sheet.
		</p>
	{/if}

	{#if !data.isOpen}
		<p class="said">
			The window is open from {sayDate(data.window.opensOn)} to {sayDate(data.window.closesOn)}, not today. To give it
			to
			{student.givenName} afterwards, <a href={board}>let {student.givenName} make up</a> first.
		</p>
	{:else if isDone && data.given}
		<div class="said">
			<p>
				<strong>{Math.round(data.given.correctPerMinute)}</strong>
				{data.unit}
				<span class="soft">± {Math.round(data.given.standardError)}</span>{#if data.given.accuracy !== null},
					{Math.round(100 * data.given.accuracy)}% of {data.given.attempted} right{/if}. Given by {data.given.by}.
			</p>
			<p class="row">
				{#if data.next}<a class="button primary" href={giveTo(data.next.id)}>Next: {fullName(data.next)}</a
					>{:else}Everybody in {data.scope.inWords} has been given it.{/if}
				<button onclick={() => (again = key)}>Give it again</button>
				<a class="button" href={keepingScope('/screen', { window: data.window.id, student: null })}>Results</a>
			</p>
		</div>
		<MarkingSheet places={data.given.sheet.places} aRow={data.given.sheet.aRow} sheet={data.given.marks} />
	{:else}
		{#key key + again}
			<GiveMeasure
				{key}
				sheet={data.sheet}
				measure={data.window.measure}
				givenFor={{ window: data.window.id, sheet: data.sheet.grade }}
				{student}
				onsaved={() => (again = '')}
			/>
		{/key}
	{/if}
</div>
<StudentCopy title={data.sheet.title} places={data.sheet.places} aRow={data.sheet.aRow} />
<Notice outcome={form} />

<style>
	.page {
		display: grid;
		gap: 10px;
		max-width: 980px;
	}
	.line,
	.tools,
	.row {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: 8px 16px;
	}
	.line {
		align-items: baseline;
	}
	.said {
		display: grid;
		gap: 12px;
		background: var(--sheet);
		border: 1px solid var(--rule);
		padding: 14px 18px;
	}
	strong {
		font-size: 1.5rem;
	}
</style>
