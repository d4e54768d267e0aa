<!-- Where a skill stands in its progression: what leads to it on the left, what it opens on the right. -->
<script lang="ts">
	import { keepingScope } from '../shell/address';
	import { BOX, layOut } from './progressionLayout';

	interface Props {
		skillId: number;
		progression: { before: number[][]; after: number[][]; edges: { prerequisite: number; skill: number }[] };
		skills: { id: number; code: string; shortName: string; grade: number; term: number }[];
	}
	let { skillId, progression, skills }: Props = $props();

	const placed = $derived(layOut(skillId, progression));
	const skillOf = $derived(new Map(skills.map((skill) => [skill.id, skill])));
	const own = $derived(placed.skills.find(({ id }) => id === skillId)!.column);
	const place = (column: number) => (column < own ? 'leads to it' : column > own ? 'opens from it' : 'this skill');
</script>

<div class="scroll">
	<div class="drawing" style:--wide={placed.width} style:width="{placed.width}px" style:height="{placed.height}px">
		<svg width={placed.width} height={placed.height} aria-hidden="true">
			{#each placed.edges as { from, to, path } (`${from.id} ${to.id}`)}
				<path d={path} class:near={from.id === skillId || to.id === skillId} />
			{/each}
		</svg>
		<ul>
			{#each placed.skills as { id, x, y, column } (id)}
				{@const skill = skillOf.get(id)!}
				<li style:left="{x}px" style:top="{y}px" style:width="{BOX.width}px" style:height="{BOX.height}px">
					<a
						href={keepingScope(`/library/${encodeURIComponent(skill.code)}`)}
						aria-current={id === skillId ? 'page' : undefined}
					>
						{skill.shortName}
						<span class="soft">{skill.code} · {skill.grade}·{skill.term}</span>
						<span class="visually-hidden">, {place(column)}</span>
					</a>
				</li>
			{/each}
		</ul>
	</div>
</div>

<style>
	.scroll {
		overflow-x: auto;
		padding: 4px 2px 12px;
	}
	.drawing {
		position: relative;
	}
	svg {
		position: absolute;
		inset: 0;
	}
	path {
		fill: none;
		stroke: var(--rule-strong);
		stroke-width: 1;
	}
	.near {
		stroke: var(--verdigris);
		stroke-width: 1.5;
	}
	ul {
		list-style: none;
		margin: 0;
		padding: 0;
	}
	li {
		position: absolute;
	}
	a {
		display: grid;
		align-content: center;
		height: 100%;
		padding: 2px 8px;
		line-height: 1.2;
		color: var(--ink);
		background: var(--sheet);
		border: 1px solid var(--rule-strong);
		border-radius: var(--corner);
		text-decoration: none;
		overflow: hidden;
		white-space: nowrap;
		text-overflow: ellipsis;
	}
	a:hover {
		border-color: var(--verdigris);
	}
	a[aria-current] {
		border: 2px solid var(--verdigris);
		background: var(--verdigris-wash);
	}
	.soft {
		font-size: 0.8rem;
	}
	@media print {
		/* As wide as the page. */
		.drawing {
			zoom: min(1, calc(680 / var(--wide)));
		}
	}
</style>
