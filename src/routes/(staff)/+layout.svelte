<script lang="ts">
	import { tick } from 'svelte';
	import { plural } from '$lib/core/words';
	import { tinykeys } from 'tinykeys';
	import { goto } from '$app/navigation';
	import { navigating, page } from '$app/state';
	import CircleHelp from '@lucide/svelte/icons/circle-question-mark';
	import Bell from '@lucide/svelte/icons/bell';
	import LogOut from '@lucide/svelte/icons/log-out';
	import Mark from '$lib/ui/glyphs/Mark.svelte';
	import NeedleSheet from '$lib/ui/glyphs/NeedleSheet.svelte';
	import { keepingScope, setState } from '$lib/ui/shell/address';
	import CycleRibbon from '$lib/ui/shell/CycleRibbon.svelte';
	import Peek from '$lib/ui/shell/Peek.svelte';
	import { legState } from '$lib/ui/shell/legState.svelte';
	import LockedOut from '$lib/ui/shell/LockedOut.svelte';
	import NoticesHere from '$lib/ui/shell/NoticesHere.svelte';
	import ScopePicker from '$lib/ui/shell/ScopePicker.svelte';
	import Shortcuts from '$lib/ui/shell/Shortcuts.svelte';
	import TopSearch from '$lib/ui/shell/TopSearch.svelte';

	let { data, children } = $props();
	let helpOpen = $state(false);
	let search: TopSearch;

	/** Students as the rows on the page are ordered; null where the page has no rows. */
	function rowOrder(): number[] | null {
		if (legState.order) return legState.order;
		const rows = [...document.querySelectorAll<HTMLElement>('[data-student]')];
		return rows.length ? rows.map((row) => Number(row.dataset.student)) : null;
	}

	/** The student a step away from the selected one, as the rows are ordered, else class by class. */
	async function neighbor(step: 1 | -1): Promise<number | null> {
		const order = rowOrder();
		if (order) {
			const at = order.indexOf(Number(page.url.searchParams.get('student')));
			return order[(at + step + order.length) % order.length] ?? order[0] ?? null;
		}
		const reply = await fetch(`/students/next${page.url.search}`).catch(() => null);
		if (!reply?.ok) return null;
		const place = await reply.json();
		return place && (step === 1 ? place.after : place.before);
	}

	/** Moves to the next or previous student. */
	async function walk(step: 1 | -1) {
		const next = await neighbor(step);
		if (next === null) return;
		await setState({ student: next });
		await tick();
		document.querySelector(`[data-student="${next}"]`)?.scrollIntoView({ block: 'nearest' });
	}

	/** Goes to the answers of the student who is selected, or whose page this is. */
	function goToAnswers() {
		const student = page.params.student ?? page.url.searchParams.get('student');
		if (student) void goto(keepingScope(`/students/${student}/answers`, { student: null }));
	}

	$effect(() => {
		const unlessTyping = (action: () => void) => (event: KeyboardEvent) => {
			const target = event.target as HTMLElement;
			if (target.closest('input, select, textarea, dialog, [role="grid"], [role="listbox"]')) return;
			event.preventDefault();
			action();
		};
		return tinykeys(window, {
			j: unlessTyping(() => walk(1)),
			k: unlessTyping(() => walk(-1)),
			'/': unlessTyping(() => search.focus()),
			a: unlessTyping(() => goToAnswers()),
			'Shift+?': unlessTyping(() => (helpOpen = true)),
			...Object.fromEntries(
				data.legs.map(({ leg }, i) => [`g ${i + 1}`, unlessTyping(() => goto(keepingScope(`/${leg}`)))])
			)
		});
	});
</script>

<NeedleSheet />
<a class="skip" href="#work">Skip to the work area</a>
<div class="fixed no-print">
	<header>
		<a class="mark" href={keepingScope('/screen')}><Mark /> <span>Orderly Compass</span></a>
		<ScopePicker label={data.scope.label} count={data.scope.size} />
		<TopSearch bind:this={search} scopeInWords={data.scope.inWords} />
		<span class="week soft" title={data.school.name}>
			{#if data.cycle}cycle {data.cycle.number}, {data.cycle.week > data.cycle.weeks
					? 'ended'
					: `week ${data.cycle.week} of ${data.cycle.weeks}`} ·{/if}
			{#if data.staff.servesOthers}<a href={keepingScope('/account')} title="Go to another of your schools"
					>{data.school.name}</a
				>{:else}{data.school.name}{/if}
		</span>
		<a
			class="library"
			href={keepingScope('/library')}
			aria-current={page.url.pathname.startsWith('/library') ? 'page' : undefined}>Library</a
		>
		{#if data.can.setUp}<a
				href={keepingScope('/setup')}
				aria-current={page.url.pathname.startsWith('/setup') ? 'page' : undefined}>Setup</a
			>{/if}
		<a
			class="bell"
			href={keepingScope('/notices')}
			aria-label={data.notices.count ? plural(data.notices.count, 'notice') : 'Notices'}
			aria-current={page.url.pathname === '/notices' ? 'page' : undefined}
			><Bell size={18} aria-hidden="true" />{#if data.notices.count}<span>{data.notices.count}</span>{/if}</a
		>
		<button class="plain" aria-label="Keyboard shortcuts" onclick={() => (helpOpen = true)}
			><CircleHelp size={18} aria-hidden="true" /></button
		>
		<a class="who" href={keepingScope('/account')}>{data.staff.name} <span class="soft">{data.staff.role}</span></a>
		<form method="POST" action="/sign-out">
			<button class="plain" aria-label="Sign out"><LogOut size={18} aria-hidden="true" /></button>
		</form>
	</header>
	<CycleRibbon legs={data.legs} />
	{#if navigating.to}<div class="moving" role="progressbar" aria-label="Loading"></div>{/if}
</div>

<main id="work" tabindex="-1" class:beside={data.peek}>
	{#if data.locked.length && page.url.pathname !== '/students/locked'}
		<LockedOut students={data.locked} />
	{/if}
	<NoticesHere notices={data.notices.here} />
	{@render children()}
</main>
{#if data.peek}<Peek peek={data.peek} can={data.can} extra={legState.peek} />{/if}

{#if helpOpen}<Shortcuts onclose={() => (helpOpen = false)} />{/if}

<style>
	.skip {
		position: absolute;
		left: -999px;
	}
	.skip:focus {
		left: 8px;
		top: 8px;
		z-index: 50;
		background: var(--sheet);
		padding: 8px;
	}
	.fixed {
		position: fixed;
		inset: 0 0 auto;
		height: var(--bars);
		z-index: 20;
		background: var(--paper);
	}
	header {
		display: flex;
		align-items: center;
		gap: 12px;
		height: 44px;
		padding: 0 16px;
	}
	.mark {
		display: flex;
		align-items: center;
		gap: 8px;
		color: var(--ink);
		text-decoration: none;
		font: 600 1.1rem var(--head);
	}
	.week {
		margin-left: auto;
		min-width: 0;
		overflow: hidden;
		text-overflow: ellipsis;
	}
	header > * {
		flex: none;
		white-space: nowrap;
	}
	header > .week {
		flex: 0 1 auto;
	}
	.library {
		margin-left: 8px;
		font-weight: 500;
	}
	.bell {
		display: inline-flex;
		align-items: center;
		gap: 3px;
		min-height: 24px;
		color: var(--ink);
		text-decoration: none;
		font-variant-numeric: tabular-nums;
	}
	.who {
		white-space: nowrap;
		color: var(--ink);
		text-underline-offset: 3px;
	}
	.moving {
		height: 2px;
		background: var(--verdigris);
		animation: wait 1s 0.4s both;
	}
	@keyframes wait {
		from {
			opacity: 0;
			width: 10%;
		}
		to {
			opacity: 1;
			width: 90%;
		}
	}
	main {
		outline: none;
	}
	@media screen {
		/* Under what is fixed above, and beside the panel. */
		main {
			padding: 16px 24px 72px;
			margin-top: var(--bars);
		}
		.beside {
			--beside: 340px;
			margin-right: var(--beside);
		}
	}
	@media screen and (max-width: 900px) {
		.fixed {
			position: static;
			height: auto;
		}
		header {
			flex-wrap: wrap;
			height: auto;
			padding: 6px 12px;
			gap: 6px 12px;
		}
		header > .week {
			display: none;
		}
		main {
			padding-inline: 12px;
		}
		.beside {
			--beside: 0px;
			margin-right: 0;
		}
	}
</style>
