<!-- Top of the pages on a screening window: which one, its days, and the ways to look at it. -->
<script lang="ts">
	import type { Snippet } from 'svelte';
	import { page } from '$app/state';
	import { setState } from '../shell/address';
	import Views from '../shell/Views.svelte';
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
		{ path: '/screen', name: 'Results' },
		{ path: '/screen/sittings', name: 'Sittings' },
		{ path: '/screen/cuts', name: 'Cut scores' },
		{ path: '/screen/windows', name: 'Windows of the year' },
		...(page.data.can.screen ? [{ path: '/screen/calibration', name: 'Calibration' }] : [])
	]);
</script>

<Views label="Pages on screening" {views} keep={{ window: page.url.searchParams.get('window') }} />
<div class="head">
	<h1>{title ?? window.name}</h1>
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
	.tools {
		display: flex;
		flex-wrap: wrap;
		gap: 10px;
		align-items: center;
	}
</style>
