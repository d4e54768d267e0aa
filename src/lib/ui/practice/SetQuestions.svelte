<!-- What a set asks of those who have not begun it: its skills, how many questions each has, and what goes with them. -->
<script lang="ts">
	import { enhance } from '$app/forms';
	import {
		CHECK_QUESTIONS,
		MOST_QUESTIONS,
		MOST_SKILLS,
		NO_VARIATION,
		OLDER_QUESTIONS,
		questionsFor,
		type SetHow,
		type SetSkill
	} from '$lib/core/practice';
	import { plural } from '$lib/core/words';
	import { keepValues } from '../form/keepValues';

	interface Props {
		/** Its skills, in their order. */
		skills: (SetSkill & { shortName: string })[];
		isOwnStep: boolean;
		how: SetHow;
		/** All skills that can be practiced. */
		offered: { id: number; code: string; shortName: string }[];
		/** How many have it, and how many have begun. */
		students: number;
		begun: number;
	}
	let { skills, isOwnStep, how, offered, students, begun }: Props = $props();

	/** Where each has a step of their own, all skills have the same parts: those of the first stand for all. */
	let rows = $derived(isOwnStep ? skills.slice(0, 1) : skills);
	let older = $derived(how.older);
	let untilRight = $derived(how.untilRight);
	let ownQuestions = $derived(how.ownQuestions);

	/** What ends once enough are right has neither a check nor older questions. */
	const own = $derived(
		rows.map(({ skillId, practice, checks, hasExample }) => ({
			...{ skillId, practice, hasExample },
			checks: untilRight === null ? checks : 0
		}))
	);
	const content = $derived({
		skills: isOwnStep ? skills.map(({ skillId }) => ({ ...own[0], skillId })) : own,
		older: untilRight === null ? older : 0,
		...{ untilRight, ownQuestions }
	});
	const isSame = $derived(
		JSON.stringify(content) ===
			JSON.stringify({
				skills: skills.map(({ skillId, practice, hasExample, checks }) => ({ skillId, practice, hasExample, checks })),
				...{ older: how.older, untilRight: how.untilRight, ownQuestions: how.ownQuestions }
			})
	);
	const questions = $derived(questionsFor(own, content, NO_VARIATION));
	const isEmpty = $derived(own.some(({ practice, checks }) => practice + checks === 0));

	const change = (place: number, to: Partial<SetSkill>) =>
		(rows = rows.map((row, i) => (i === place ? { ...row, ...to } : row)));
	/** A further skill has as many questions as the last. */
	function add(id: number) {
		const skill = offered.find((one) => one.id === id)!;
		rows = [...rows, { ...rows[rows.length - 1], skillId: id, shortName: skill.shortName }];
	}
</script>

<details class="no-print">
	<summary>Change its questions{isOwnStep ? '' : ' and skills'}</summary>
	<form method="POST" action="?/questions" use:enhance={keepValues}>
		<input type="hidden" name="content" value={JSON.stringify(content)} />
		{#each rows as row, i (row.skillId)}
			{@const name = isOwnStep ? 'each skill' : row.shortName}
			<p class="one-line">
				<strong>{name}</strong>
				<label
					>with help <input
						type="number"
						min="0"
						max={MOST_QUESTIONS}
						aria-label="Questions with help on {name}"
						value={row.practice}
						oninput={(event) => change(i, { practice: Math.max(0, Math.trunc(Number(event.currentTarget.value))) })}
					/></label
				>
				<label
					><input
						type="checkbox"
						aria-label="A check without help at the end of {name}"
						checked={row.checks > 0}
						disabled={untilRight !== null}
						onchange={(event) => change(i, { checks: event.currentTarget.checked ? CHECK_QUESTIONS : 0 })}
					/>
					check of {row.checks || CHECK_QUESTIONS}</label
				>
				<label
					><input
						type="checkbox"
						aria-label="A worked example before {name}"
						checked={row.hasExample}
						onchange={(event) => change(i, { hasExample: event.currentTarget.checked })}
					/> worked example</label
				>
				{#if rows.length > 1}
					<button
						type="button"
						class="plain"
						aria-label="Take out {name}"
						onclick={() => (rows = rows.filter((one) => one !== row))}>×</button
					>
				{/if}
			</p>
		{/each}
		<p class="one-line">
			{#if !isOwnStep && rows.length < MOST_SKILLS}
				<label
					>And <select
						aria-label="A further skill of this set"
						value=""
						onchange={(event) => add(Number(event.currentTarget.value))}
					>
						<option value="" disabled>a further skill</option>
						{#each offered.filter( ({ id }) => rows.every(({ skillId }) => skillId !== id) ) as { id, code, shortName } (id)}
							<option value={id}>{code} {shortName}</option>
						{/each}
					</select></label
				>
			{/if}
			<label
				>From before, mixed in <select bind:value={older} disabled={untilRight !== null}>
					{#each OLDER_QUESTIONS as count (count)}<option value={count}>{count || 'none'}</option>{/each}
				</select></label
			>
			<label
				>until <input
					type="number"
					class="until"
					min="1"
					max={MOST_QUESTIONS}
					placeholder="all"
					aria-label="Ends once so many are right at the first try; empty: all are asked"
					value={untilRight ?? ''}
					oninput={({ currentTarget: { value } }) => (untilRight = value === '' ? null : Math.trunc(Number(value)))}
				/>
				{untilRight === null ? 'are done' : 'are right at the first try'}</label
			>
			<label><input type="checkbox" bind:checked={ownQuestions} /> numbers of their own</label>
		</p>
		<p class="one-line">
			<button disabled={begun === students || isEmpty || isSame}
				>{plural(questions, 'question')} for {plural(students - begun, 'student')} who {students - begun === 1
					? 'has'
					: 'have'} not begun</button
			>
			<span class="soft"
				>{isEmpty
					? 'A skill has no questions.'
					: begun === 0
						? 'Nobody has begun: it is so for all.'
						: begun === students
							? 'All have begun, and keep their questions. Give it to them once more, or give another set.'
							: `${begun} ${begun === 1 ? 'has begun and keeps' : 'have begun and keep'} their questions.`}</span
			>
		</p>
	</form>
</details>

<style>
	form {
		display: grid;
		gap: 6px;
		margin: 6px 0 10px;
	}
	[type='number'] {
		width: 64px;
	}
	select {
		max-width: 210px;
	}
</style>
