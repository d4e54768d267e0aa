<!-- Top of the pages on a screening window: which one, its days, and the ways to look at it. -->
<script lang="ts">
	import type { Snippet } from 'svelte';
	import { page } from '$app/state';
	import { keepingScope, setState } from '../shell/address';
	import { sayDate } from '$lib/core/calendar';
	import { windowState } from './windowState';

	interface Props {
		window: { id: number; name: string; opensOn: string; closesOn: string; mode: string; measure: string | null };
		windows: { id: number; name: string }[];
		/** Stands for the window where the page is about all of them. */
		title?: string;
		today: string;
		/** What is said under the heading. */
		children: Snippet;
		tools?: Snippet;
	}
	let { window, windows, title, today, children, tools }: Props = $props();

	const views = $derived([
		['/screen', 'Results'],
		['/screen/sittings', 'Sittings'],
		['/screen/cuts', 'Cut scores'],
		['/screen/windows', 'Windows of the year'],
		...(page.data.can.screen ? [['/screen/calibration', 'Calibration']] : [])
	]);
</script>

<div class="head">
	<div class="line">
		<h1>{title ?? window.name}</h1>
		<nav aria-label="Screening" class="no-print">
			{#each views as [path, name] (path)}
				<a
					href={keepingScope(path, { window: page.url.searchParams.get('window') })}
					aria-current={page.url.pathname === path ? 'page' : undefined}>{name}</a
				>
			{/each}
		</nav>
	</div>
	<p class="soft">
		{#if !title}
			{sayDate(window.opensOn)} to {sayDate(window.closesOn)}, {windowState(window, today)} · {window.mode}{window.measure
				? `: ${window.measure}`
				: ''} ·
		{/if}
		{@render children()}
	</p>
	<div class="tools">
		{#if !title}
			<label>
				Window
				<select onchange={(event) => setState({ window: event.currentTarget.value })}>
					{#each windows as one (one.id)}
						<option value={one.id} selected={one.id === window.id}>{one.name}</option>
					{/each}
				</select>
			</label>
		{/if}
		{@render tools?.()}
	</div>
</div>

<style>
	.head {
		display: grid;
		gap: 6px;
		margin-bottom: 12px;
	}
	.line {
		display: flex;
		flex-wrap: wrap;
		align-items: baseline;
		gap: 6px 28px;
	}
	nav {
		display: flex;
		gap: 18px;
	}
	nav a {
		color: var(--ink-soft);
		text-decoration: none;
		padding-block: 4px;
	}
	nav a:hover {
		color: var(--verdigris);
	}
	nav a[aria-current] {
		color: var(--ink);
		box-shadow: 0 2px 0 var(--verdigris);
	}
	.tools {
		display: flex;
		flex-wrap: wrap;
		gap: 10px;
		align-items: center;
	}
</style>
