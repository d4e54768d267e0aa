<script lang="ts">
	import { page as here } from '$app/state';
	import { FAMILY_LANGUAGES, fernandezHuerta, fleschKincaidGrade, withParts } from '$lib/core/sheets';
	import { fullName, number } from '$lib/core/words';
	import { keepingScope, setState, withState } from '$lib/ui/shell/address';
	import Notice from '$lib/ui/shell/Notice.svelte';
	import FamilyLetters from '$lib/ui/sheets/FamilyLetters.svelte';
	import OwnWords from '$lib/ui/sheets/OwnWords.svelte';
	import SheetPaper from '$lib/ui/sheets/SheetPaper.svelte';

	let { data, form } = $props();
	const { asked } = $derived(data);
	const sheet = $derived(withParts(data.sheet, asked.parts));
	const shown = $derived(sheet.parts.map(({ key }) => key));
	const KINDS = { evidence: 'Evidence sheet', plan: 'Education plan', family: 'For the family' };
	const headingOf = (part: string) => data.sheet.parts.find(({ key }) => key === part)?.heading ?? part;
	const headings = $derived(Object.fromEntries(data.parts.map((part) => [part, headingOf(part)])));

	/** Shows or leaves out a part; all of them is no choice at all. */
	function choose(part: string, isShown: boolean) {
		const next = data.parts.filter((one) => (one === part ? isShown : shown.includes(one)));
		if (next.length) void setState({ parts: next.length === data.parts.length ? null : next.join(',') });
	}
	/** Of the sheet as it stands, own words among it. */
	const readability = $derived.by(() => {
		if (asked.kind !== 'family') return null;
		const text = sheet.parts.flatMap(({ heading, lines }) => [`${heading}.`, ...lines]).join(' ');
		if (asked.language === 'es') {
			const ease = fernandezHuerta(text);
			return {
				isEasy: ease >= 70,
				says: `Reading ease ${number(Math.min(100, ease))} of 100 by Fernández-Huerta; 70 or more is easy to read.`
			};
		}
		const grade = fleschKincaidGrade(text);
		return {
			isEasy: grade <= 6,
			says: `Reads at grade ${number(Math.max(0, grade), 1)} by Flesch–Kincaid; 6 or lower is easy to read.`
		};
	});
</script>

<svelte:head><title>{data.sheet.title} · Orderly Compass</title></svelte:head>

<div class="choices no-print">
	<p class="line">
		<a href={keepingScope(`/students/${data.student.id}`, { student: null })}>{fullName(data.student)}</a>
		<label
			>Sheet
			<select
				value={asked.kind}
				onchange={({ currentTarget: { value } }) => setState({ for: value, parts: null, language: null })}
			>
				{#each Object.entries(KINDS) as [kind, name] (kind)}<option value={kind}>{name}</option>{/each}
			</select></label
		>
		{#if asked.kind === 'family'}
			<label
				>Language
				<select value={asked.language} onchange={({ currentTarget: { value } }) => setState({ language: value })}>
					{#each Object.entries(FAMILY_LANGUAGES) as [code, { name }] (code)}<option value={code}>{name}</option>{/each}
				</select></label
			>
		{/if}
		<button onclick={() => window.print()}>Print</button>
		<a class="button" href="/students/{data.student.id}/sheet.pdf{here.url.search}" data-sveltekit-reload>PDF</a>
	</p>
	<fieldset class="line">
		<legend class="visually-hidden">Parts</legend>
		{#each data.parts as part (part)}
			<label
				><input
					type="checkbox"
					checked={shown.includes(part)}
					disabled={shown.length === 1 && shown.includes(part)}
					onchange={({ currentTarget: { checked } }) => choose(part, checked)}
				/>
				{headings[part]}</label
			>
		{/each}
		{#if asked.parts.length}<a href={withState({ parts: null })}>All parts</a>{/if}
	</fieldset>
	{#if readability}<p class="soft">
			{#if !readability.isEasy}<strong>Hard to read.</strong>{/if}
			{readability.says}
		</p>{/if}
</div>

<SheetPaper {sheet}>
	{#snippet part(one)}
		{#if one.editable && data.can.note && asked.kind !== 'evidence'}
			{#key `${asked.language} ${one.key} ${one.lines.join('\n')}`}
				<OwnWords sheet={asked.kind} language={asked.kind === 'plan' ? 'en' : asked.language} part={one} />
			{/key}
		{/if}
	{/snippet}
</SheetPaper>
{#if asked.kind === 'family'}
	<FamilyLetters letters={data.letters} today={data.school.today} language={asked.language} canNote={data.can.note} />
{/if}
<Notice outcome={form} />

<style>
	.choices {
		margin-bottom: 12px;
		display: grid;
		gap: 6px;
	}
	.line {
		display: flex;
		flex-wrap: wrap;
		gap: 6px 16px;
		align-items: center;
		margin: 0;
		padding: 0;
		border: 0;
	}
</style>
