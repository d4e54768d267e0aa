<script lang="ts">
	import { plural, sayLevel } from '$lib/core/words';
	import Table from '$lib/ui/table/Table.svelte';
	import { enhance } from '$app/forms';
	import { keepingScope } from '$lib/ui/shell/address';

	let { form } = $props();
	let content = $state('');
	let holds = $state<'skills' | 'standards'>('standards');
	let fileProblem = $state('');
	const MOST_MB = 3.5;
	const shown = $derived(form && 'step' in form ? form : null);
	const fieldNames: Record<string, string> = { shortName: 'name', also: 'other words' };

	async function read(event: Event & { currentTarget: HTMLInputElement }) {
		const file = event.currentTarget.files?.[0];
		fileProblem = '';
		if (!file) return;
		if (file.size > MOST_MB * 1e6)
			fileProblem = `${file.name} has ${(file.size / 1e6).toFixed(1)} MB; at most ${MOST_MB} MB can be brought in at once. Split it, or save it as CSV.`;
		else content = await file.text();
	}
</script>

<svelte:head><title>Bring in skills or standards · Orderly Compass</title></svelte:head>

<p><a href={keepingScope('/library')}>Back to the library</a></p>
<h1>Bring in skills or standards</h1>

{#if form && 'problem' in form && form.problem}<p class="problem" role="alert">{form.problem}</p>{/if}

{#if shown?.step === 'taken'}
	<h2>Done</h2>
	{#if shown.plan}
		<p>
			{plural(shown.plan.added.length, 'skill')} added, {shown.plan.changed.length} changed, {shown.plan.same} as before.
		</p>
	{:else if shown.standards}
		<p>
			{plural(shown.standards.count, 'standard')} of {shown.framework} can be found now, {shown.standards.linked} of them
			linked to our skills.
		</p>
	{/if}
	<p><a class="button primary" href={keepingScope('/library')}>See the library</a></p>
{:else if shown?.step === 'check' && shown.problemCount}
	<h2>{plural(shown.problemCount, 'problem')}, so nothing can be taken</h2>
	<ul role="alert">
		{#each shown.problems as problem, i (i)}<li>{problem}</li>{/each}
	</ul>
	{#if shown.problemCount > shown.problems.length}<p>
			And {shown.problemCount - shown.problems.length} more of the same kind.
		</p>{/if}
	<p>Mend them in the file and <a href={keepingScope('/library/import')}>try again</a>. Nothing was changed.</p>
{:else if shown?.step === 'check'}
	<h2>What this would do</h2>
	{#if shown.plan}
		{@const { added, changed, same, untouched, newDomains, newEdges, droppedEdges } = shown.plan}
		<p>
			{plural(added.length, 'skill')} added, {changed.length} changed, {same} as before. {plural(untouched, 'skill')} here
			{untouched === 1 ? 'is' : 'are'} not in the file and {untouched === 1 ? 'stays' : 'stay'}: students have answers
			to
			{untouched === 1 ? 'it' : 'them'}.
		</p>
		{#if 'makesCopy' in shown && shown.makesCopy}
			<p>
				So far your school teaches the skills that came with the program. This gives it a copy of its own: codes,
				answers, groups and practice stay with their skills, and other schools notice nothing.
			</p>
		{/if}
		{#if newDomains.length}<p>New domains: {newDomains.map(({ name }) => name).join(', ')}.</p>{/if}
		{#if newEdges.length || droppedEdges.length}
			<p>
				{plural(newEdges.length, 'prerequisite')} added{#if droppedEdges.length}, {droppedEdges.length} no longer stated:
					{droppedEdges.map(({ prerequisite, skill }) => `${prerequisite} → ${skill}`).join(', ')}{/if}.
			</p>
		{/if}
		{#if changed.length}
			<Table
				says="Changes"
				columns={[{ label: 'Skill' }, { label: 'Now' }, { label: 'Then' }]}
				rows={changed.flatMap(({ code, fields }) => fields.map((field) => ({ code, ...field })))}
				key={(_, i) => i}
				narrow
			>
				{#snippet cells({ code, name, before, after })}
					<th scope="row">{code}, {fieldNames[name] ?? name}</th>
					<td>{before}</td>
					<td>{after}</td>
				{/snippet}
			</Table>
		{/if}
		{#if added.length}
			<h3>New</h3>
			<ul>
				{#each added as skill (skill.code)}<li>
						{skill.code}
						{skill.shortName} <span class="soft">{skill.domain} · {sayLevel(skill)}</span>
					</li>{/each}
			</ul>
		{/if}
		{@render take(
			added.length + changed.length + newEdges.length + droppedEdges.length > 0,
			`Take ${plural(added.length, 'new skill')} and ${plural(changed.length, 'change')}`
		)}
	{:else if shown.standards}
		<p>
			{plural(shown.standards.count, 'standard')} of {shown.framework}; {shown.standards.linked} linked to our skills. Standards
			that are here under the same code take the new text and links.
		</p>
		<ul>
			{#each shown.standards.sample as standard (standard.code)}
				<li>
					<strong>{standard.code}</strong>
					{standard.statement} <span class="soft">{standard.skills.join(' ') || 'no skill linked'}</span>
				</li>
			{/each}
		</ul>
		{#if shown.standards.count > shown.standards.sample.length}<p class="soft">
				And {shown.standards.count - shown.standards.sample.length} more.
			</p>{/if}
		{@render take(shown.standards.count > 0, `Take ${plural(shown.standards.count, 'standard')}`)}
	{/if}
{:else}
	<form method="POST" enctype="multipart/form-data" use:enhance>
		<input type="hidden" name="step" value="check" />
		<fieldset>
			<legend>What the file holds</legend>
			<label
				><input type="radio" name="holds" value="standards" bind:group={holds} /> standards of another framework, to find
				our skills by</label
			>
			<label><input type="radio" name="holds" value="skills" bind:group={holds} /> skills to teach and screen</label>
		</fieldset>
		{#if holds === 'standards'}
			<label for="framework">What the framework is called</label>
			<input id="framework" name="framework" required maxlength="120" placeholder="County mathematics 2026" />
		{/if}
		<label for="file">A CASE package (JSON) or a table (CSV)</label>
		<input id="file" type="file" accept=".json,.csv,application/json,text/csv" onchange={read} />
		{#if fileProblem}<p class="problem" role="alert">{fileProblem} Nothing was changed.</p>{/if}
		<label for="content">or paste it here</label>
		<textarea id="content" name="content" rows="8" bind:value={content} required></textarea>
		<p class="soft">
			{#if holds === 'standards'}A table has the columns code and statement, and may have grade and skills (our codes
				with spaces between).{:else}A table has the columns code, domain, name, statement and grade, and may have domain
				name, term, also and prerequisites. Codes that are here already are changed; nothing is taken out.{/if}
		</p>
		<button class="primary">See what it would do</button>
	</form>
	<h2 class="gap">Take the skills out</h2>
	<p>
		<a href="/library/framework.json" data-sveltekit-reload>As a CASE package</a> or
		<a href="/library/skills.csv" data-sveltekit-reload>as a table</a>; both can be brought in again, here or elsewhere.
	</p>
{/if}

{#snippet take(possible: boolean, words: string)}
	{#if shown}
		<form method="POST" enctype="multipart/form-data" use:enhance>
			<input type="hidden" name="holds" value={shown.holds} />
			<input type="hidden" name="framework" value={shown.framework} />
			<input type="hidden" name="content" value={shown.content} />
			<button class="primary" name="step" value="take" disabled={!possible}>{words}</button>
			<a class="button" href={keepingScope('/library/import')}>Leave it</a>
			{#if !possible}<span class="soft">All of it is here already.</span>{/if}
		</form>
	{/if}
{/snippet}

<style>
	form:has(textarea) {
		display: grid;
		grid-template-columns: minmax(0, 1fr);
		gap: 6px;
		justify-items: start;
		max-width: 640px;
		margin-top: 12px;
	}
	fieldset {
		border: 0;
		padding: 0;
		margin: 0 0 6px;
		display: grid;
		gap: 4px;
	}
	legend {
		font-weight: 500;
	}
	fieldset label {
		font-weight: 400;
	}
	textarea,
	#framework {
		width: 100%;
	}
	h2 {
		margin-top: 14px;
	}
	h2.gap {
		margin-top: 28px;
	}
	p {
		max-width: 75ch;
		margin-top: 6px;
	}
	ul {
		padding-left: 20px;
		margin: 8px 0;
	}
	h3 {
		margin-top: 12px;
	}
	form:not(:has(textarea)) {
		display: flex;
		gap: 10px;
		align-items: center;
		margin-top: 14px;
	}
</style>
