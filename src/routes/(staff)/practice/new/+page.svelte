<script lang="ts">
	import { fullName, plural, sayLevel } from '$lib/core/words';
	import { enhance } from '$app/forms';
	import { page } from '$app/state';
	import Needle from '$lib/ui/glyphs/Needle.svelte';
	import { describeStanding } from '$lib/ui/glyphs/standings';
	import SampleItems from '$lib/ui/items/SampleItems.svelte';
	import { keepingScope, setState } from '$lib/ui/shell/address';
	import { sayDate } from '$lib/core/calendar';
	import Notice from '$lib/ui/shell/Notice.svelte';

	let { data, form } = $props();
	// svelte-ignore state_referenced_locally
	let dueOn = $state(data.dates.dueOn);
	// svelte-ignore state_referenced_locally
	let opensOn = $state(data.dates.opensOn);
	const skillOf = $derived(new Map(data.skills.map((skill) => [skill.id, skill])));
	let length = $state<number>(5);
	const minutes = $derived(data.lengths.find(({ questions }) => questions === length)!.minutes);
	const count = $derived(`${plural(data.students.length, 'student')}`);
	/** What the server asks before a set goes to many. */
	const ask = $derived(form && 'ask' in form ? form.ask : null);
	const named = (kind: string) => data.choices.filter((choice) => choice.kind === kind);
	const choose = (skillId: number | string) => setState({ skill: skillId });
</script>

<svelte:head><title>New practice set · Orderly Compass</title></svelte:head>

<p><a href={keepingScope('/practice')}>Back to practice</a></p>
<h1>{data.label ? `Practice for ${data.label}` : 'New practice set'}</h1>

<div class="two">
	<section>
		<h2>Skill</h2>
		<p class="offers">
			{#each data.offered as skillId (skillId)}
				<button aria-pressed={skillId === data.skill.id} onclick={() => choose(skillId)}
					>{skillOf.get(skillId)?.shortName}{skillId === data.focusId ? ' (focus)' : ''}</button
				>
			{/each}
			<select aria-label="Another skill" onchange={(event) => choose(event.currentTarget.value)}>
				{#each data.skills as skill (skill.id)}<option value={skill.id} selected={skill.id === data.skill.id}
						>{skill.code} {skill.shortName}</option
					>{/each}
			</select>
		</p>
		<p>{data.skill.statement}. <span class="soft">{data.skill.code}, {sayLevel(data.skill)}</span></p>

		<h2 class="gap">Sample questions</h2>
		{#key data.skill.id}<SampleItems samples={data.samples} />{/key}
	</section>

	<section>
		<h2>Who: {data.students.length ? count : 'nobody yet'}</h2>
		{#if data.students.length === 0}
			<p>Choose a class or a group; for some students, select them in Gaps or in the library.</p>
			{#each ['Classes', 'Groups'] as kind (kind)}
				{#if named(kind).length}
					<h3>{kind}</h3>
					<ul class="offers">
						{#each named(kind) as { key, label } (key)}
							<li><button onclick={() => setState({ scope: key, for: null })}>{label}</button></li>
						{/each}
					</ul>
				{/if}
			{/each}
			<p>
				<button class="plain" onclick={() => setState({ for: 'all' })}
					>Everyone in {data.scope.inWords} ({data.scope.size})</button
				>
			</p>
		{/if}
		<ul class="who">
			{#each data.students as student, i (student.id)}
				{@const now = data.standings[i]}
				<li>
					<Needle state={now?.inferred ?? now?.standing ?? 'unseen'} inferred={Boolean(now?.inferred)} size={16} />
					{fullName(student)} <span class="soft">{describeStanding(now ?? undefined)}</span>
				</li>
			{/each}
		</ul>

		<h2 class="gap">How long and when</h2>
		<form method="POST" action={`?${page.url.searchParams.toString()}`} use:enhance>
			<input type="hidden" name="skill" value={data.skill.id} />
			<fieldset>
				<legend>Length</legend>
				{#each data.lengths as { questions, minutes } (questions)}
					<label
						><input type="radio" name="length" value={questions} bind:group={length} />
						{questions} questions <span class="soft">about {minutes} min</span></label
					>
				{/each}
			</fieldset>
			<label for="opensOn">Students see it from</label>
			<input id="opensOn" name="opensOn" type="date" bind:value={opensOn} min={data.dates.opensOn} required />
			<label for="dueOn">Due</label>
			<input id="dueOn" name="dueOn" type="date" bind:value={dueOn} min={opensOn} required />
			<p class="soft">
				After {dueOn ? sayDate(dueOn) : 'the due date'} the set stays open; what comes later is accepted and marked late.
			</p>
			{#if ask}
				<p role="alert" class="ask">{ask}</p>
				<input type="hidden" name="sure" value="yes" />
			{/if}
			<button class="primary" disabled={data.students.length === 0}
				>{ask ? 'Yes, assign' : 'Assign'}
				{length} questions (about {minutes} min) to {count}, {opensOn <= data.dates.opensOn
					? 'now'
					: `from ${sayDate(opensOn)}`}</button
			>
		</form>
	</section>
</div>
<Notice outcome={ask ? null : form} />

<style>
	.two {
		display: grid;
		grid-template-columns: 3fr 2fr;
		gap: 36px;
		margin-top: 12px;
		align-items: start;
	}
	@media (max-width: 900px) {
		.two {
			grid-template-columns: minmax(0, 1fr);
		}
	}
	.gap {
		margin-top: 18px;
	}
	.who {
		max-height: 320px;
		overflow-y: auto;
	}
	.offers {
		display: flex;
		flex-wrap: wrap;
		gap: 6px;
		margin: 8px 0;
	}
	h3 {
		margin-top: 10px;
	}
	.ask {
		border-left: 4px solid var(--slipping-ink);
		padding: 6px 12px;
	}
	.offers select {
		max-width: 180px;
	}
	[aria-pressed='true'] {
		border-color: var(--verdigris);
		box-shadow: inset 0 0 0 1px var(--verdigris);
		background: var(--verdigris-wash);
	}
	ul {
		list-style: none;
		padding: 0;
		margin: 6px 0;
	}
	li {
		display: flex;
		gap: 6px;
		align-items: center;
	}
	form {
		display: grid;
		gap: 6px;
		justify-items: start;
	}
	fieldset {
		border: 0;
		padding: 0;
		margin: 0;
		display: flex;
		flex-wrap: wrap;
		gap: 4px 16px;
	}
	legend {
		font-weight: 500;
	}
	fieldset label {
		font-weight: 400;
		white-space: nowrap;
	}
	form button {
		margin-top: 8px;
	}
</style>
