<!-- Where a student answers on paper. -->
<script lang="ts">
	import type { ResponseSpec } from '$lib/core/items';
	import ClockFace from './ClockFace.svelte';
	import CoordinatePlane from './CoordinatePlane.svelte';
	import { range } from './figures/figures';
	import NumberLine from './NumberLine.svelte';

	interface Props {
		response: ResponseSpec;
		/** The options' texts, and those at the left of a match, escaped on the server. */
		optionsHtml: string[];
		leftHtml: string[];
	}
	let { response, optionsHtml, leftHtml }: Props = $props();
</script>

<!-- eslint-disable svelte/no-at-html-tags -- escaped on the server -->
{#if response.kind === 'choice' || response.kind === 'several'}
	{#if response.kind === 'several'}<p class="soft">Mark every one that is right.</p>{/if}
	<ul>
		{#each optionsHtml as option, i (i)}<li><span class="box {response.kind}"></span> {@html option}</li>{/each}
	</ul>
{:else if response.kind === 'order'}
	<p class="row">
		{#each optionsHtml as option, i (i)}<span>{@html option}</span>{/each}
	</p>
	<p class="soft">In order, {response.direction}:</p>
	<p class="row">
		{#each optionsHtml as _, i (i)}<span class="blank"></span>{/each}
	</p>
{:else if response.kind === 'match'}
	<p class="soft">Draw a line from each at the left to the one it goes with.</p>
	<div class="match">
		<ul>
			{#each leftHtml as left, i (i)}<li>{@html left}</li>{/each}
		</ul>
		<ul>
			{#each optionsHtml as option, i (i)}<li>{@html option}</li>{/each}
		</ul>
	</div>
{:else if response.kind === 'fill'}
	<p class="row">
		{#each response.blanks as { before, after }, i (i)}
			<span>{before} <span class="blank"></span> {after}</span>
		{/each}
	</p>
{:else if response.kind === 'line'}
	<div class="line"><NumberLine line={response} /></div>
{:else if response.kind === 'fraction'}
	<p class="row">
		{#if response.mixed}<span class="blank short"></span>{/if}
		<span class="fraction"><span></span><span></span></span>
		{response.unit ?? ''}
	</p>
{:else if response.kind === 'shade' || response.kind === 'rectangle'}
	{@const [wide, high] = response.kind === 'shade' && response.rows === 1 ? [320 / response.columns, 40] : [24, 24]}
	<svg
		width={response.columns * wide + 2}
		height={response.rows * high + 2}
		class:faint={response.kind === 'rectangle'}
		aria-hidden="true"
	>
		{#each range(response.rows * response.columns) as i (i)}
			<rect
				x={1 + (i % response.columns) * wide}
				y={1 + Math.floor(i / response.columns) * high}
				width={wide}
				height={high}
			/>
		{/each}
	</svg>
{:else if response.kind === 'clock'}
	<div class="clock"><ClockFace hour={null} minute={0} /></div>
{:else if response.kind === 'plot'}
	<CoordinatePlane
		plane={{ kind: 'plane', from: response.from, to: response.to, points: [], segments: response.segments }}
		words="A grid to mark a point on."
	/>
{:else}
	<p class="row">
		{#if response.kind === 'expression' && response.before}<em>{response.before}</em>{/if}
		<span class="blank wide"></span>{response.kind === 'number' ? (response.unit ?? '') : ''}
	</p>
{/if}

<!-- eslint-enable svelte/no-at-html-tags -->

<style>
	ul {
		list-style: none;
		margin: 0;
		padding: 0;
		display: grid;
		gap: 6px;
	}
	li {
		display: flex;
		gap: 10px;
		align-items: center;
	}
	.match {
		display: grid;
		grid-template-columns: auto auto;
		justify-content: start;
		gap: 90px;
	}
	.match ul {
		gap: 14px;
	}
	.box {
		width: 14px;
		height: 14px;
		border: 1px solid var(--ink);
	}
	.choice {
		border-radius: 50%;
	}
	.row {
		display: flex;
		flex-wrap: wrap;
		gap: 12px 28px;
		align-items: end;
	}
	.blank {
		display: inline-block;
		width: 84px;
		height: 34px;
		border-bottom: 1px solid var(--ink);
	}
	.wide {
		width: 180px;
	}
	.short {
		width: 44px;
	}
	.fraction {
		display: inline-grid;
		width: 64px;
	}
	.fraction span {
		height: 34px;
	}
	.fraction span:first-child {
		border-bottom: 1.5px solid var(--ink);
	}
	.line {
		max-width: 520px;
	}
	.clock {
		width: 170px;
	}
	rect {
		fill: none;
		stroke: var(--ink);
		stroke-width: 0.8;
	}
	.faint rect {
		stroke: var(--rule-strong);
	}
</style>
