<!-- Where a skill stands in its progression: what leads to it on the left, what it opens on the right. -->
<script lang="ts">
	import { sayLevel } from '$lib/core/words';
	import ProgressionDrawing from '../progression/ProgressionDrawing.svelte';
	import { keepingScope } from '../shell/address';

	interface Props {
		skillId: number;
		progression: { before: number[][]; after: number[][]; edges: { prerequisite: number; skill: number }[] };
		skills: { id: number; code: string; shortName: string; grade: number; term: number }[];
	}
	let { skillId, progression, skills }: Props = $props();

	const columns = $derived([...progression.before.toReversed(), [skillId], ...progression.after]);
	const skillOf = $derived(new Map(skills.map((skill) => [skill.id, skill])));
	const after = $derived(new Set(progression.after.flat()));
	const place = (id: number) => (id === skillId ? 'this skill' : after.has(id) ? 'opens from it' : 'leads to it');
</script>

<ProgressionDrawing
	label="Progression of {skillOf.get(skillId)!.shortName}"
	{columns}
	edges={progression.edges}
	about={skillId}
>
	{#snippet box(id)}
		{@const skill = skillOf.get(id)!}
		<a
			href={keepingScope(`/library/${encodeURIComponent(skill.code)}`)}
			aria-current={id === skillId ? 'page' : undefined}
		>
			{skill.shortName}
			<span class="soft">{skill.code} · {sayLevel(skill)}</span>
			<span class="visually-hidden">, {place(id)}</span>
		</a>
	{/snippet}
</ProgressionDrawing>

<style>
	a {
		display: grid;
		align-content: center;
		height: 100%;
		padding: 2px 8px;
		line-height: 1.2;
		color: var(--ink);
		text-decoration: none;
		overflow: hidden;
		white-space: nowrap;
		text-overflow: ellipsis;
	}
	a:hover {
		text-decoration: underline;
	}
	.soft {
		font-size: 0.8rem;
	}
</style>
