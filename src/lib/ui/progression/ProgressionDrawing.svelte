<!--
	Skills in columns, joined by what leads to what, scrolled sideways in a place of its own and as wide as the page in print.
	<ProgressionDrawing label="Progression of Multiply" columns={[[1], [2, 3]]} {edges}>{#snippet box(skill)}…{/snippet}</ProgressionDrawing>
-->
<script lang="ts">
	import type { Snippet } from 'svelte';
	import { BOX, layOutColumns } from './layOutColumns';

	interface Props {
		label: string;
		/** Skill ids, from left to right. */
		columns: number[][];
		edges: { prerequisite: number; skill: number }[];
		/** What a skill's box holds; the box is a list item. */
		box: Snippet<[number]>;
		heightOf?: (skill: number) => number;
		/** The skill that the drawing is about: its edges and its box stand out. */
		about?: number;
	}
	let { label, columns, edges, box, heightOf, about }: Props = $props();

	const drawn = $derived(layOutColumns(columns, edges, heightOf));
</script>

<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
<div class="scroll" role="region" aria-label={label} tabindex="0">
	<div class="drawing" style:--wide={drawn.width} style:width="{drawn.width}px" style:height="{drawn.height}px">
		<svg width={drawn.width} height={drawn.height} aria-hidden="true">
			{#each drawn.paths as { prerequisite, skill, path } (`${prerequisite} ${skill}`)}
				<path d={path} class:near={prerequisite === about || skill === about} />
			{/each}
		</svg>
		<ul>
			{#each drawn.boxes as { id, x, y, height } (id)}
				<li
					class:about={id === about}
					class:bare={heightOf && height === BOX.head}
					style:left="{x}px"
					style:top="{y}px"
					style:width="{BOX.width}px"
					style:height="{height}px"
				>
					{@render box(id)}
				</li>
			{/each}
		</ul>
	</div>
</div>

<style>
	.scroll {
		overflow-x: auto;
		padding: 8px 4px 12px;
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
		background: var(--sheet);
		border: 1px solid var(--rule-strong);
		border-radius: var(--corner);
	}
	/* With nobody at it, where students stand in the boxes. */
	.bare {
		background: var(--paper);
		border-color: var(--rule);
	}
	.about {
		border: 2px solid var(--verdigris);
		background: var(--verdigris-wash);
	}
	@media print {
		/* As wide as the page. */
		.drawing {
			zoom: min(1, calc(680 / var(--wide)));
		}
	}
</style>
