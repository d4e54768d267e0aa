/** Making a formatter costs a hundred times what using it does. */
const format = (options: Intl.DateTimeFormatOptions) =>
	new Intl.DateTimeFormat('en-US', { ...options, timeZone: 'UTC' });
const long = format({ weekday: 'short', month: 'short', day: 'numeric' });
const short = format({ month: 'short', day: 'numeric' });
const noonOf = (date: string) => Date.parse(`${date.slice(0, 10)}T12:00:00Z`);

/** A school date as people say it: `Mon, Nov 23`. */
export const sayDate = (date: string): string => long.format(noonOf(date));

/** A school date without its weekday: `Nov 23`. */
export const sayDay = (date: string): string => short.format(noonOf(date));

const dayNames = ['', 'Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'];

/** Meeting days and time: `Mon Wed Fri 09:00`. */
export function sayMeeting(slot: { days: number[]; startsAt: string }): string {
	return `${slot.days.map((day) => dayNames[day]).join(' ')} ${slot.startsAt}`;
}
