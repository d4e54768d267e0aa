<script lang="ts">
	import { sayDate } from '$lib/core/calendar';
	import { fullName, number } from '$lib/core/words';
	import GiveMeasure from '$lib/ui/screen/GiveMeasure.svelte';
	import StudentCopy from '$lib/ui/screen/StudentCopy.svelte';
	import { keepingScope } from '$lib/ui/shell/address';
	import Notice from '$lib/ui/shell/Notice.svelte';

	let { data, form } = $props();
	const { page } = $derived(data);
	const { student, sheet, last } = $derived(page);
	const key = $derived(`measure series ${page.series} ${page.nextSheet}`);
	const giveTo = (to: number, series: number) => keepingScope('/track/measures/give', { to, series, student: null });
	/** The sheet that is given though this week’s was. */
	let again = $state('');
	const isDone = $derived(page.isGiven && again !== key);
</script>

<svelte:head><title>{fullName(student)}, {page.measure} · Orderly Compass</title></svelte:head>

<div class="no-print page">
	<p>
		<a href={keepingScope('/track/measures', { series: page.series, student: null })}
			>Measures in {data.scope.inWords}</a
		>
	</p>
	<div class="line">
		<h1>{fullName(student)}</h1>
		<span class="soft"
			>{student.className}, grade {student.grade} · {page.measure} · {page.waiting} more to give this week</span
		>
	</div>
	{#if isDone && last}
		<div class="said">
			<p>
				<strong>{number(last.correctPerMinute)}</strong> correct {page.unit} a minute
				<span class="soft">± {number(last.standardError)}</span>, {last.correct} of {last.attempted} right, on {sayDate(
					last.on
				)}. Given by {last.by}.
			</p>
			<p class="line">
				{#if page.next}<a class="button primary" href={giveTo(page.next.student.id, page.next.series)}
						>Next: {fullName(page.next.student)}</a
					>{:else}This week {page.measure} was given to everybody in {data.scope.inWords}.{/if}
				<button onclick={() => (again = key)}>Give another sheet</button>
			</p>
		</div>
	{:else}
		<div class="line">
			<span
				>{sheet.title}<span class="soft"
					>, sheet {page.nextSheet} of the series, {sheet.places.length}
					{page.unit}{sheet.readingGrade === null
						? ''
						: `, reads like grade ${number(sheet.readingGrade, 1)} (Flesch–Kincaid)`}</span
				></span
			>
			<button onclick={() => print()}>Print the student’s copy</button>
		</div>
		{#key key}
			<GiveMeasure
				{key}
				{sheet}
				measure={page.measure}
				givenFor={{ series: page.series, sheet: page.nextSheet }}
				{student}
				onsaved={() => (again = '')}
			/>
		{/key}
	{/if}
</div>
<StudentCopy title={sheet.title} places={sheet.places} aRow={sheet.aRow} />
<Notice outcome={form} />

<style>
	.page {
		display: grid;
		gap: 10px;
		max-width: 980px;
	}
	.line {
		display: flex;
		flex-wrap: wrap;
		align-items: baseline;
		gap: 8px 16px;
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
