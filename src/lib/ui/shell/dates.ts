/** A school date as people say it: `Mon, Nov 23`. */
export function sayDate(date: string): string {
	return new Date(`${date.slice(0, 10)}T12:00:00Z`).toLocaleDateString('en-US', {
		weekday: 'short',
		month: 'short',
		day: 'numeric',
		timeZone: 'UTC'
	});
}

/** A school date without its weekday: `Nov 23`. */
export function sayDay(date: string): string {
	return new Date(`${date.slice(0, 10)}T12:00:00Z`).toLocaleDateString('en-US', {
		month: 'short',
		day: 'numeric',
		timeZone: 'UTC'
	});
}

const dayNames = ['', 'Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'];

/** Meeting days and time: `Mon Wed Fri 09:00`. */
export function sayMeeting(slot: { days: number[]; startsAt: string }): string {
	return `${slot.days.map((day) => dayNames[day]).join(' ')} ${slot.startsAt}`;
}
