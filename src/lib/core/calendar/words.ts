/** Making a formatter costs a hundred times what using it does. */
const format = (options: Intl.DateTimeFormatOptions) =>
	new Intl.DateTimeFormat('en-US', { ...options, timeZone: 'UTC' });
const long = format({ weekday: 'short', month: 'short', day: 'numeric' });
const short = format({ month: 'short', day: 'numeric' });
const whole = format({ weekday: 'short', month: 'short', day: 'numeric', year: 'numeric' });
const noonOf = (date: string) => Date.parse(`${date.slice(0, 10)}T12:00:00Z`);

/** A school date as people say it: `Mon, Nov 23`. */
export const sayDate = (date: string): string => long.format(noonOf(date));

/** A school date that may be years away: `Mon, Nov 23, 2026`. */
export const sayWholeDate = (date: string): string => whole.format(noonOf(date));

/** A school date without its weekday: `Nov 23`. */
export const sayDay = (date: string): string => short.format(noonOf(date));

const clocks = new Map<string, Intl.DateTimeFormat>();

/** An instant as a clock at the school shows it: `Mon, Nov 23, 10:05 AM`. */
export function sayInstant(instant: Date, timeZone: string): string {
	let clock = clocks.get(timeZone);
	if (!clock) {
		const options = { weekday: 'short', month: 'short', day: 'numeric', hour: 'numeric', minute: '2-digit' } as const;
		clocks.set(timeZone, (clock = new Intl.DateTimeFormat('en-US', { ...options, timeZone })));
	}
	return clock.format(instant);
}

const dayNames = ['', 'Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'];

/** Meeting days and time: `Mon Wed Fri 09:00`. */
export function sayMeeting(slot: { days: number[]; startsAt: string }): string {
	return `${slot.days.map((day) => dayNames[day]).join(' ')} ${slot.startsAt}`;
}

/** Days from the first to the last: `Mon, Dec 21 to Fri, Jan 1`, or the one day. */
export const saySpan = ({ startsOn, endsOn }: { startsOn: string; endsOn: string }): string =>
	startsOn === endsOn ? sayDate(startsOn) : `${sayDate(startsOn)} to ${sayDate(endsOn)}`;

/** A minute of the day: `08:05`. */
export const sayMinute = (minute: number): string =>
	`${String(Math.floor(minute / 60)).padStart(2, '0')}:${String(minute % 60).padStart(2, '0')}`;

/** A day, and the minute of it where one is named: `Fri, Dec 4, 16:00`. */
export const sayDayAt = (day: string, minute: number | null): string =>
	minute === null ? sayDate(day) : `${sayDate(day)}, ${sayMinute(minute)}`;

const longDay = format({ weekday: 'long' });

/** A day’s name: `Tuesday`. */
export const sayWeekday = (date: string): string => longDay.format(noonOf(date));

/** A day that something is due by, as one says it to a child: `today`, `by tomorrow`, `by Friday`, `by Fri, Dec 4`. */
export function sayBy(day: string, today: string): string {
	const days = Math.round((noonOf(day) - noonOf(today)) / 86_400_000);
	if (days === 0) return 'today';
	if (days === 1) return 'by tomorrow';
	return `by ${days > 1 && days < 7 ? sayWeekday(day) : sayDate(day)}`;
}
