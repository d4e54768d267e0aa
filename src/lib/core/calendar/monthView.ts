import { addDays, mondayOf, type SchoolDate } from '.';

/** Days that a calendar shows at once. */
export const CALENDAR_VIEWS = ['week', 'month'] as const;
export type CalendarView = (typeof CALENDAR_VIEWS)[number];

/** Days of a view, whole weeks from Monday on, and a day in the views before and after it. */
export interface CalendarDays {
	days: SchoolDate[];
	before: SchoolDate;
	after: SchoolDate;
}

/** The week that a day lies in, or all weeks that its month touches. */
export function calendarDays(day: SchoolDate, view: CalendarView): CalendarDays {
	const first = view === 'week' ? mondayOf(day) : `${day.slice(0, 7)}-01`;
	// The first day of the next month: no month has 32 days, and 32 days on lies within the next.
	const after = view === 'week' ? addDays(first, 7) : `${addDays(first, 31).slice(0, 7)}-01`;
	const from = mondayOf(first);
	const days: SchoolDate[] = [];
	for (let one = from; one < after || days.length % 7 !== 0; one = addDays(one, 1)) days.push(one);
	return { days, before: addDays(first, -1), after };
}

/** Days that something takes; an open end is null. */
export interface DaySpan {
	from: SchoolDate;
	until: SchoolDate | null;
}

/** Which days of a view, counted from 0, a span covers, and whether it goes on beyond either end of the view. */
export interface ShownSpan {
	first: number;
	last: number;
	beginsBefore: boolean;
	endsAfter: boolean;
}

/** Where a span stands among days in a row; null where none of them is of it. */
export function shownSpan({ from, until }: DaySpan, days: SchoolDate[]): ShownSpan | null {
	const [start, end] = [days[0], days[days.length - 1]];
	if (from > end || (until !== null && until < start)) return null;
	const beginsBefore = from < start;
	const endsAfter = until === null || until > end;
	return {
		first: beginsBefore ? 0 : days.indexOf(from),
		last: endsAfter ? days.length - 1 : days.indexOf(until),
		beginsBefore,
		endsAfter
	};
}

/**
 * Puts spans on as few lines as they go, so that no two on a line share a day: each on the first line that is free when it
 * begins, the earliest first (interval partitioning; Kleinberg & Tardos 2006, section 4.1).
 *
 * @returns the line of each, from 0, in the order in which they were given
 */
export function linesOf(spans: { first: number; last: number }[]): number[] {
	const lines: number[] = new Array(spans.length);
	const taken: number[] = [];
	const byBegin = spans.map((_, i) => i).sort((a, b) => spans[a].first - spans[b].first || a - b);
	for (const i of byBegin) {
		let line = taken.findIndex((last) => last < spans[i].first);
		if (line < 0) line = taken.length;
		taken[line] = spans[i].last;
		lines[i] = line;
	}
	return lines;
}
