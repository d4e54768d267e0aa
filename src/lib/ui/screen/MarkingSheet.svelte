<!--
	The words of a passage or the facts of a sheet, to be tapped while a student reads or answers. By keyboard: arrow
	keys move, Space or Enter taps, L says that the last one reached is here, Backspace takes the last mark back.
-->
<script lang="ts">
	import type { Sheet } from '$lib/core/fluency';
	import { sheetParts } from './sheetParts';

	interface Props {
		places: { text: string; key: string | null; part: number }[];
		/** Places in a row of a grid; null where they run as text. */
		aRow: number | null;
		sheet: Pick<Sheet, 'stage' | 'missed' | 'reached'>;
		/** Left out where the sheet is only to be looked at. */
		marking?: Marking;
	}
	interface Marking {
		ontap: (place: number) => void;
		onreach: (place: number) => void;
		ontakeback: () => void;
	}
	let { places, aRow, sheet, marking }: Props = $props();

	let focused = $state(0);
	let board: HTMLElement;
	const parts = $derived(sheetParts(places.map((place, i) => ({ ...place, i }))));
	const missed = $derived(new Set(sheet.missed));
	const isMissed = (i: number) => missed.has(i) && !isBeyond(i);
	const isBeyond = (i: number) => sheet.stage === 'done' && i >= sheet.reached;

	const isLast = (i: number) => sheet.stage === 'done' && i === sheet.reached - 1;
	function sayPlace(i: number): string {
		const { text, key } = places[i];
		return [key === null ? text : `${text} is ${key}`, isMissed(i) && 'missed', isLast(i) && 'last reached']
			.filter(Boolean)
			.join(', ');
	}

	const button = (i: number) => board.querySelector<HTMLElement>(`[data-place="${i}"]`)!;
	/** The place that stands nearest below or above in the running text. */
	function inNextLine(step: 1 | -1): number {
		if (aRow) return focused + step * aRow;
		const here = button(focused).getBoundingClientRect();
		const middle = here.left + here.width / 2;
		let best = focused;
		let line: number | null = null;
		let distance = Infinity;
		for (let i = focused + step; i >= 0 && i < places.length; i += step) {
			const there = button(i).getBoundingClientRect();
			if (Math.abs(there.top - here.top) < here.height / 2) continue;
			line ??= there.top;
			if (Math.abs(there.top - line) > here.height / 2) break;
			const away = Math.abs(there.left + there.width / 2 - middle);
			if (away < distance) [best, distance] = [i, away];
		}
		return best;
	}
	function keydown(event: KeyboardEvent) {
		const moves: Record<string, () => number> = {
			ArrowRight: () => focused + 1,
			ArrowLeft: () => focused - 1,
			ArrowDown: () => inNextLine(1),
			ArrowUp: () => inNextLine(-1),
			Home: () => 0,
			End: () => places.length - 1
		};
		if (event.key in moves) {
			const to = moves[event.key]();
			if (to >= 0 && to < places.length) button((focused = to)).focus();
		} else if (event.key === 'l' || event.key === 'L') marking?.onreach(focused);
		else if (event.key === 'Backspace') marking?.ontakeback();
		else return;
		event.preventDefault();
	}
</script>

{#snippet printed(text: string, key: string | null)}
	<span class="text">{text}</span>{#if key !== null}<span class="key">{key}</span>{/if}
{/snippet}

<div
	class="board"
	class:grid={aRow}
	class:waiting={marking && sheet.stage === 'last reached'}
	bind:this={board}
	role="group"
	aria-label={marking ? 'Sheet to mark' : 'Marked sheet'}
>
	{#each parts as own, part (part)}
		<p style:grid-template-columns={aRow ? `repeat(${aRow}, 1fr)` : null}>
			{#each own as { text, key, i } (i)}
				{#if marking}
					<button
						class="place"
						data-place={i}
						class:missed={isMissed(i)}
						class:beyond={isBeyond(i)}
						class:last={isLast(i)}
						tabindex={i === focused ? 0 : -1}
						aria-pressed={isMissed(i)}
						aria-label={sayPlace(i)}
						onfocus={() => (focused = i)}
						onclick={() => marking.ontap(i)}
						onkeydown={keydown}>{@render printed(text, key)}</button
					>
				{:else}
					<span class="place" class:missed={isMissed(i)} class:beyond={isBeyond(i)} class:last={isLast(i)}
						>{@render printed(text, key)}{#if isMissed(i)}<span class="visually-hidden">, missed</span
							>{/if}{#if isLast(i)}<span class="visually-hidden">, last reached</span>{/if}</span
					>
				{/if}
			{/each}
		</p>
	{/each}
</div>

<style>
	.board {
		background: var(--sheet);
		border: 1px solid var(--rule);
		padding: 12px 18px;
		user-select: none;
		touch-action: manipulation;
	}
	.waiting {
		border-color: var(--verdigris);
		box-shadow: 0 0 0 1px var(--verdigris);
	}
	p {
		display: flex;
		flex-wrap: wrap;
		gap: 0 3px;
		margin-bottom: 8px;
	}
	.grid p {
		display: grid;
		gap: 4px;
		max-width: 720px;
		margin-bottom: 4px;
	}
	.place {
		display: inline-flex;
		min-height: 30px;
		padding: 0 3px;
		align-items: center;
		font-size: 1.1rem;
		border: 1px solid transparent;
		border-radius: var(--corner);
		background: none;
	}
	.grid .place {
		justify-content: space-between;
		gap: 8px;
		min-height: 34px;
		padding: 3px 10px;
		border-color: var(--rule);
		font-variant-numeric: tabular-nums;
	}
	.key {
		color: var(--ink-soft);
		font-size: 0.9rem;
	}
	.missed {
		background: var(--gap-ground);
	}
	.missed .text {
		text-decoration: line-through;
		text-decoration-thickness: 2px;
	}
	.beyond,
	.beyond .key {
		color: var(--ink-soft);
		font-style: italic;
	}
	.last {
		box-shadow: inset -4px 0 0 var(--verdigris);
	}
</style>
