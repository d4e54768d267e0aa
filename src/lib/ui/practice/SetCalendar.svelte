<!--
	Sets over the days of a week or a month, in lanes: each a bar from the day it opens to the day it is due. A bar is one
	control: arrows left and right move it (with Shift its due date only), as dragging it or its right end does; up and down
	lead to the next bar. Nothing is moved before it is kept below.
-->
<script lang="ts">
	import { daysBetween, linesOf, sayDate, sayDayAt, shownSpan, type SchoolDate } from '$lib/core/calendar';
	import { plural } from '$lib/core/words';
	import CalendarHead from './CalendarHead.svelte';
	import { oneTabStopOver } from '../table/oneTabStop';
	import { moved, type MovedDays } from './moving';

	interface Bar extends MovedDays {
		setId: number;
		studentId: number | null;
		title: string;
		dueMinute: number | null;
		students: number;
		finished: number;
		/** Students with a later due date of their own, and the last of these; null without one. */
		later: { students: number; until: SchoolDate } | null;
		isTheirs: boolean;
	}
	interface Props {
		days: SchoolDate[];
		today: SchoolDate;
		daysOff: SchoolDate[];
		lanes: { key: string; name: string; says: string; bars: Bar[] }[];
		canMove: boolean;
		/** The bar that is chosen, and where it would be moved to. */
		chosen: { bar: Bar; to: MovedDays } | null;
		/** Keeps what is chosen. */
		keep: () => void;
	}
	let { days, today, daysOff, lanes, canMove, chosen = $bindable(), keep }: Props = $props();

	const isSame = (one: Bar, other: Bar) => one.setId === other.setId && one.studentId === other.studentId;
	const isChosen = (bar: Bar) => chosen !== null && isSame(chosen.bar, bar);
	const daysOf = (bar: Bar): MovedDays => (chosen && isChosen(bar) ? chosen.to : bar);
	const isFree = (bar: Bar) => canMove && bar.isTheirs;

	function placed(bars: Bar[]) {
		const shown = bars.flatMap((bar) => {
			const { opensOn, dueOn } = daysOf(bar);
			const until = dueOn !== null && bar.later && bar.later.until > dueOn ? bar.later.until : dueOn;
			const span = shownSpan({ from: opensOn, until }, days);
			if (!span) return [];
			// The part of it, in percent, in which it is open for those with a later due date only.
			const first = dueOn === null || dueOn >= days[span.last] ? span.last : daysBetween(days[0], dueOn);
			const tail = (100 * (span.last - Math.max(first, span.first - 1))) / (span.last - span.first + 1);
			return [{ bar, span, tail }];
		});
		const lines = linesOf(shown.map(({ span }) => span));
		return shown.map((one, i) => ({ ...one, line: lines[i] }));
	}

	const choose = (bar: Bar) =>
		(chosen = isChosen(bar) ? chosen : { bar, to: { opensOn: bar.opensOn, dueOn: bar.dueOn } });
	function move(bar: Bar, by: number, isDueOnly: boolean) {
		if (!isFree(bar)) return;
		const from = daysOf(bar);
		// A student's own is their due date.
		chosen = { bar, to: moved(from, by, isDueOnly || bar.studentId !== null) };
	}
	function onkeydown(event: KeyboardEvent, bar: Bar) {
		if (event.key === 'ArrowLeft' || event.key === 'ArrowRight') {
			event.preventDefault();
			move(bar, event.key === 'ArrowLeft' ? -1 : 1, event.shiftKey);
		} else if (event.key === 'Escape') chosen = null;
		else if (event.key === 'Enter' && isChosen(bar) && chosen?.to !== undefined && !isAsBefore(bar)) {
			event.preventDefault();
			keep();
		}
	}
	const isAsBefore = (bar: Bar) => {
		const to = daysOf(bar);
		return to.opensOn === bar.opensOn && to.dueOn === bar.dueOn;
	};

	let dragged: { bar: Bar; from: MovedDays; x: number; dayWidth: number; isDueOnly: boolean } | null = null;
	function onpointerdown(event: PointerEvent, bar: Bar, isDueOnly: boolean) {
		if (!isFree(bar) || event.button !== 0) return;
		const lane = (event.currentTarget as HTMLElement).closest<HTMLElement>('.days')!;
		dragged = { bar, from: daysOf(bar), x: event.clientX, dayWidth: lane.clientWidth / days.length, isDueOnly };
		(event.currentTarget as HTMLElement).setPointerCapture(event.pointerId);
		event.stopPropagation();
	}
	function onpointermove(event: PointerEvent) {
		if (!dragged) return;
		const by = Math.round((event.clientX - dragged.x) / dragged.dayWidth);
		const to = moved(dragged.from, by, dragged.isDueOnly || dragged.bar.studentId !== null);
		if (by !== 0 || isChosen(dragged.bar)) chosen = { bar: dragged.bar, to };
	}

	const sayBar = ({ title, students, finished, later, ...bar }: Bar) =>
		`${title}, ${finished} of ${plural(students, 'student')} finished, opens ${sayDate(bar.opensOn)}, ${bar.dueOn ? `due ${sayDayAt(bar.dueOn, bar.dueMinute)}` : 'never due'}${later ? `, for ${later.students} later, until ${sayDate(later.until)}` : ''}`;
	const isMonth = $derived(days.length > 7);
	const todayAt = $derived(days.includes(today) ? daysBetween(days[0], today) : null);
</script>

<div class="calendar" style:--days={days.length} class:month={isMonth}>
	<CalendarHead {days} {today} />
	<div {@attach oneTabStopOver('li')}>
		{#each lanes as { key, name, says, bars } (key)}
			{@const shown = placed(bars)}
			<section class="lane" aria-label={name}>
				<h2>{name} <span class="soft">{says}</span></h2>
				<ul class="days">
					{#each days as day, i (day)}
						{#if daysOff.includes(day)}<li
								class="ground off"
								style:grid-column="{i + 1} / {i + 2}"
								aria-hidden="true"
							></li>{/if}
					{/each}
					{#if todayAt !== null}<li
							class="ground now"
							style:grid-column="{todayAt + 1} / {todayAt + 2}"
							aria-hidden="true"
						></li>{/if}
					{#each shown as { bar, span, tail, line } (`${bar.setId} ${bar.studentId}`)}
						<li
							style:grid-column="{span.first + 1} / {span.last + 2}"
							style:grid-row={line + 1}
							class:before={span.beginsBefore}
							class:after={span.endsAfter}
						>
							<button
								class:done={bar.students > 0 && bar.finished === bar.students}
								class:late={bar.dueOn !== null &&
									bar.dueOn < today &&
									bar.finished + (bar.later?.students ?? 0) < bar.students}
								class:chosen={isChosen(bar)}
								class:free={isFree(bar)}
								aria-label={sayBar(bar)}
								aria-pressed={isChosen(bar)}
								title={sayBar(bar)}
								onclick={() => choose(bar)}
								onkeydown={(event) => onkeydown(event, bar)}
								onpointerdown={(event) => onpointerdown(event, bar, false)}
								{onpointermove}
								onpointerup={() => (dragged = null)}
								onpointercancel={() => (dragged = null)}
							>
								{#if tail}<span class="tail" style:width="{tail}%"></span>{/if}
								<span class="title">{bar.title}</span>
								{#if bar.studentId === null}<span class="count">{bar.finished} of {bar.students}</span
									>{:else if bar.finished}<span class="count">done</span>{/if}
								{#if isFree(bar) && bar.dueOn !== null && !span.endsAfter}<span
										class="end"
										role="presentation"
										onpointerdown={(event) => onpointerdown(event, bar, true)}
										{onpointermove}
										onpointerup={() => (dragged = null)}
									></span>{/if}
							</button>
						</li>
					{:else}
						<li class="soft nothing" style:grid-column="1 / -1">nothing in these days</li>
					{/each}
				</ul>
			</section>
		{/each}
	</div>
</div>

<style>
	.calendar {
		overflow-x: auto;
		border-top: 1px solid var(--rule);
	}
	.lane {
		display: grid;
		grid-template-columns: 190px minmax(0, 1fr);
		min-width: 560px;
	}
	.month .lane {
		min-width: 980px;
	}
	.days {
		display: grid;
		grid-template-columns: repeat(var(--days), minmax(0, 1fr));
		list-style: none;
		margin: 0;
		padding: 0;
	}
	.lane {
		border-top: 1px solid var(--rule);
	}
	.lane h2 {
		position: sticky;
		left: 0;
		z-index: 1;
		margin: 0;
		padding: 6px 10px 6px 0;
		background: var(--paper);
		font: 650 15px/1.3 var(--sans, inherit);
	}
	.lane h2 .soft {
		display: block;
		font-weight: 400;
		font-size: 13px;
	}
	.lane .days {
		position: relative;
		padding: 4px 0;
		row-gap: 4px;
		min-height: 40px;
		align-content: start;
	}
	.ground {
		position: absolute;
		inset: 0;
	}
	.ground.off {
		background: color-mix(in srgb, var(--rule) 35%, transparent);
	}
	.ground.now {
		border-left: 2px solid var(--verdigris);
	}
	li:not(.ground) {
		position: relative;
		min-width: 0;
	}
	.nothing {
		padding: 4px 8px;
		font-size: 13px;
	}
	button {
		position: relative;
		display: flex;
		gap: 6px;
		width: 100%;
		min-height: 28px;
		padding: 2px 8px;
		justify-content: space-between;
		align-items: center;
		font-size: 13px;
		text-align: left;
		background: var(--sheet);
		border: 1px solid var(--rule-strong);
		touch-action: pan-y;
	}
	.title {
		overflow: hidden;
		text-overflow: ellipsis;
		white-space: nowrap;
	}
	.title,
	.count {
		position: relative;
	}
	/* Open for some only. */
	.tail {
		position: absolute;
		inset: 0 0 0 auto;
		border-left: 1px dashed var(--rule-strong);
		background: color-mix(in srgb, var(--rule) 45%, transparent);
	}
	.count {
		flex: none;
		color: var(--ink-soft);
	}
	.free {
		cursor: grab;
	}
	.done {
		background: var(--paper);
		border-style: solid none solid solid;
	}
	.done .title {
		color: var(--ink-soft);
	}
	.late {
		border-right: 5px solid var(--gap-ink);
	}
	.chosen {
		border: 2px dashed var(--verdigris);
		background: var(--verdigris-wash);
	}
	.before button {
		border-left-style: dotted;
		border-top-left-radius: 0;
		border-bottom-left-radius: 0;
	}
	.after button {
		border-right-style: dotted;
		border-top-right-radius: 0;
		border-bottom-right-radius: 0;
	}
	.end {
		position: absolute;
		inset: 0 0 0 auto;
		width: 10px;
		cursor: ew-resize;
	}
	@media (max-width: 700px) {
		.lane {
			grid-template-columns: 110px minmax(0, 1fr);
		}
	}
</style>
