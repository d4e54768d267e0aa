import { minutesOf, type WeeklyTime } from '$lib/core/timetable';

/** The part of the day that a week is drawn for, in minutes from midnight: whole hours around all its times. */
export function hoursOf(times: WeeklyTime[]): { from: number; until: number } {
	if (times.length === 0) return { from: 8 * 60, until: 15 * 60 };
	const starts = times.map(({ startsAt }) => minutesOf(startsAt));
	const ends = times.map(({ startsAt, minutes }) => minutesOf(startsAt) + minutes);
	return { from: 60 * Math.floor(Math.min(...starts) / 60), until: 60 * Math.ceil(Math.max(...ends) / 60) };
}

/** Where a time lies between the hours that are drawn, as shares from 0 to 1. */
export function placeOf(
	{ startsAt, minutes }: Pick<WeeklyTime, 'startsAt' | 'minutes'>,
	{ from, until }: { from: number; until: number }
): { start: number; length: number } {
	return { start: (minutesOf(startsAt) - from) / (until - from), length: minutes / (until - from) };
}

/** The full hours from the first to the last. */
export const hourMarks = ({ from, until }: { from: number; until: number }) =>
	Array.from({ length: (until - from) / 60 + 1 }, (_, i) => from + 60 * i);
