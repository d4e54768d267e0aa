<!-- What a set is about: its skills, each with its parts and minutes, older ones mixed in, and what it is called. -->
<script lang="ts">
	import {
		CHECK_QUESTIONS,
		MANY_SKILLS,
		MOST_PICKED,
		MOST_SKILLS,
		OLDER_QUESTIONS,
		setsOf,
		setTitle
	} from '$lib/core/practice';
	import { plural, sayLevel } from '$lib/core/words';
	import { setState } from '../shell/address';
	import LessonPart from './LessonPart.svelte';
	import AssignPart from './AssignPart.svelte';
	import type { NewSet, SkillChoice } from './newSet.svelte';

	interface Props {
		newSet: NewSet;
		data: {
			isOwnStep: boolean;
			domains: { id: number; name: string }[];
			skills: SkillChoice[];
			chosen: number[];
			offered: number[];
			focusId: number | null;
			materials: { id: number; title: string }[];
		};
	}
	let { newSet, data }: Props = $props();
	const skillOf = $derived(new Map(data.skills.map((skill) => [skill.id, skill])));
	const choose = (ids: number[]) => setState({ skill: ids.join(',') });
	/** What can be picked whole: each domain and each step of it, with how many skills that are. */
	const wholes = $derived(
		data.domains
			.map(({ id, name }) => {
				const own = data.skills.filter(({ domainId }) => domainId === id);
				const steps = new Map<string, number[]>();
				for (const skill of own) steps.set(sayLevel(skill), [...(steps.get(sayLevel(skill)) ?? []), skill.id]);
				const whole = { says: `all of it, ${plural(own.length, 'skill')}`, ids: own.map((skill) => skill.id) };
				return {
					domain: name,
					choices: [
						...(own.length <= MOST_PICKED ? [whole] : []),
						...[...steps].map(([level, ids]) => ({ says: `${level}, ${plural(ids.length, 'skill')}`, ids }))
					]
				};
			})
			.filter(({ choices }) => choices.length > 0)
	);
	const usualName = $derived(
		newSet.skills.length
			? setTitle(
					{ name: null, isOwnStep: data.isOwnStep, skillIds: newSet.skills.map(({ skillId }) => skillId) },
					(id) => skillOf.get(id)!.shortName
				)
			: ''
	);
</script>

{#snippet parts(skillId: number, of: string)}
	{@const own = newSet.partsOf(skillId)}
	<label
		><input
			type="checkbox"
			aria-label="A worked example before {of}"
			checked={own.hasExample}
			onchange={(event) => newSet.setParts(skillId, { hasExample: event.currentTarget.checked })}
		/> worked example</label
	>
	<label class:soft={newSet.untilRight !== null}
		><input
			type="checkbox"
			aria-label="A check of {CHECK_QUESTIONS} at the end of {of}"
			disabled={newSet.untilRight !== null}
			checked={own.hasChecks && newSet.untilRight === null}
			onchange={(event) => newSet.setParts(skillId, { hasChecks: event.currentTarget.checked })}
		/>
		check of {CHECK_QUESTIONS}</label
	>
{/snippet}

<AssignPart name="What">
	{#if data.isOwnStep}
		<p>
			What each is ready for and needs most: {plural(newSet.skills.length, 'skill')} for {plural(
				newSet.students.length,
				'student'
			)}.
		</p>
		<p class="row">{@render parts(0, 'each')}</p>
	{:else}
		<p class="offers">
			{#each data.offered as id (id)}
				<button aria-pressed={data.chosen.includes(id)} onclick={() => choose([id])}
					>{skillOf.get(id)?.shortName}{id === data.focusId ? ' (focus)' : ''}</button
				>
			{/each}
		</p>
		{#if newSet.sets > 1}
			<p>
				<strong>{plural(data.chosen.length, 'skill')}</strong> in {newSet.sets} sets. They are assigned together, and taken
				back together.
			</p>
			<ol class="sets">
				{#each setsOf(newSet.skills) as part, i (i)}
					<li>{part.map(({ skillId }) => skillOf.get(skillId)?.shortName).join(', ')}</li>
				{/each}
			</ol>
			<p class="row">{@render parts(0, 'each')}</p>
		{/if}
		{#each newSet.sets > 1 ? [] : newSet.skills as skill (skill.skillId)}
			{@const { code, shortName, statement, grade, term } = skillOf.get(skill.skillId)!}
			<p class="row">
				<span><strong>{shortName}</strong> <span class="soft">{code}, {sayLevel({ grade, term })}</span></span>
				<span>practice <strong>{skill.practice}</strong></span>
				{@render parts(skill.skillId, shortName)}
				<span class="soft">about {newSet.minutesOn(skill)} min</span>
				{#if data.chosen.length > 1}
					<button
						class="plain"
						aria-label="Take out {shortName}"
						onclick={() => choose(data.chosen.filter((id) => id !== skill.skillId))}>×</button
					>
				{/if}
			</p>
			{#if statement}<p class="soft">{statement}.</p>{/if}
		{/each}
		{#if data.chosen.length >= MANY_SKILLS && newSet.sets === 1}
			<p class="attention">{data.chosen.length} skills at once are much: two sets are often easier to learn from.</p>
		{/if}
		<p class="row">
			<label
				>Instead <select
					aria-label="Another skill"
					value=""
					onchange={(event) => choose([Number(event.currentTarget.value)])}
				>
					<option value="" disabled>another skill</option>
					{#each data.skills as skill (skill.id)}<option value={skill.id}>{skill.code} {skill.shortName}</option>{/each}
				</select></label
			>
			{#if data.chosen.length < MOST_SKILLS}
				<label
					>And <select
						aria-label="A further skill"
						value=""
						onchange={(event) => choose([...data.chosen, Number(event.currentTarget.value)])}
					>
						<option value="" disabled>a further skill</option>
						{#each data.skills.filter(({ id }) => !data.chosen.includes(id)) as skill (skill.id)}<option
								value={skill.id}>{skill.code} {skill.shortName}</option
							>{/each}
					</select></label
				>
			{/if}
		</p>
		<p class="row">
			<label
				>All of <select
					class="whole"
					aria-label="All of a domain, or of a step of it"
					value=""
					onchange={(event) => choose(event.currentTarget.value.split(',').map(Number))}
				>
					<option value="" disabled>a domain or a step of it</option>
					{#each wholes as { domain, choices } (domain)}
						<optgroup label={domain}>
							{#each choices as { says, ids } (says)}<option value={ids.join(',')}>{says}</option>{/each}
						</optgroup>
					{/each}
				</select></label
			>
		</p>
	{/if}
	<p class="row">
		<label class:soft={newSet.untilRight !== null}
			>From before, mixed in <select bind:value={newSet.older} disabled={newSet.untilRight !== null}>
				{#each OLDER_QUESTIONS as count (count)}<option value={count}>{count || 'none'}</option>{/each}
			</select></label
		>
		<label>Task that you lead <input maxlength="120" placeholder="none" bind:value={newSet.task} /></label>
		<label>Called <input maxlength="80" placeholder={usualName} bind:value={newSet.name} /></label>
	</p>
	<LessonPart {newSet} materials={data.materials} />
</AssignPart>

<style>
	.offers,
	.row {
		display: flex;
		flex-wrap: wrap;
		gap: 6px 16px;
		align-items: center;
	}
	.offers {
		gap: 6px;
	}
	.row select {
		max-width: 190px;
	}
	.row .whole {
		max-width: 260px;
	}
	.row button {
		min-height: 26px;
	}
	.sets {
		margin: 0;
		padding-left: 22px;
	}
	[aria-pressed='true'] {
		border-color: var(--verdigris);
		box-shadow: inset 0 0 0 1px var(--verdigris);
		background: var(--verdigris-wash);
	}
</style>
