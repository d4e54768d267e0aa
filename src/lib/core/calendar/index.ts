export * from './monthsBefore';
export * from './hours';
export * from './words';
export * from './monthView';

/** A day in the school's time zone, written `YYYY-MM-DD`. Plain text, so it sorts and compares as days do. */
export type SchoolDate = string;

const DAY = 86_400_000;

// By its parts: twice as fast as Date.parse, and a map of a whole school asks for it a hundred thousand times.
const toDayNumber = (date: SchoolDate) =>
	Date.UTC(Number(date.slice(0, 4)), Number(date.slice(5, 7)) - 1, Number(date.slice(8, 10))) / DAY;

const names = new Map<number, SchoolDate>();
/** More days than any school looks at; only rubbish asks for others. */
const MOST_NAMES = 20_000;

/** A day by its number, each written out once. */
function toDate(dayNumber: number): SchoolDate {
	let name = names.get(dayNumber);
	if (name === undefined) {
		name = new Date(dayNumber * DAY).toISOString().slice(0, 10);
		if (names.size === MOST_NAMES) names.clear();
		names.set(dayNumber, name);
	}
	return name;
}

/** Whether a text is a real calendar day written `YYYY-MM-DD`. */
export function isSchoolDate(text: string): text is SchoolDate {
	return /^\d{4}-\d{2}-\d{2}$/.test(text) && addDays(text, 0) === text;
}

/** The day so many days later (or earlier, when negative). */
export function addDays(date: SchoolDate, days: number): SchoolDate {
	return toDate(toDayNumber(date) + days);
}

/** Days from `from` to `to`; negative when `to` is earlier. */
export function daysBetween(from: SchoolDate, to: SchoolDate): number {
	return toDayNumber(to) - toDayNumber(from);
}

/** Weeks from `from` to `to`, with fractions. */
export function weeksBetween(from: SchoolDate, to: SchoolDate): number {
	return daysBetween(from, to) / 7;
}

/** ISO weekday, 1 Monday to 7 Sunday. */
export function weekday(date: SchoolDate): number {
	return ((toDayNumber(date) + 3) % 7) + 1;
}

/** The Monday of the week the day lies in. */
export function mondayOf(date: SchoolDate): SchoolDate {
	return addDays(date, 1 - weekday(date));
}

/** On which days a school has school. */
export interface SchoolCalendar {
	/** ISO weekdays, 1 Monday … 5 Friday. */
	schoolDays: number[];
	/** No school from the first day up to, not including, the second. */
	off: { fromOn: SchoolDate; untilOn: SchoolDate; name: string }[];
}

/** The days off that a day lies in; null where it lies in none. */
export function dayOff(day: SchoolDate, { off }: Pick<SchoolCalendar, 'off'>) {
	return off.find(({ fromOn, untilOn }) => fromOn <= day && day < untilOn) ?? null;
}

/** Days in a row that are looked through for a day of school. */
const LONGEST_BREAK = 150;

function schoolDayNear(date: SchoolDate, calendar: SchoolCalendar, step: 1 | -1): SchoolDate {
	for (let days = 0; days < LONGEST_BREAK; days++) {
		const day = addDays(date, step * days);
		if (calendar.schoolDays.includes(weekday(day)) && !dayOff(day, calendar)) return day;
	}
	return date;
}

/** The day itself, or the last day of school before it. */
export const schoolDayBy = (date: SchoolDate, calendar: SchoolCalendar) => schoolDayNear(date, calendar, -1);

/** The day itself, or the first day of school after it. */
export const schoolDayFrom = (date: SchoolDate, calendar: SchoolCalendar) => schoolDayNear(date, calendar, 1);

/** Making a formatter costs a hundred times what using it does. */
const dayFormats = new Map<string, Intl.DateTimeFormat>();

/** The day of an instant in a time zone. */
export function schoolDateOf(instant: Date, timeZone: string): SchoolDate {
	let format = dayFormats.get(timeZone);
	if (!format) {
		format = new Intl.DateTimeFormat('en-CA', { timeZone, year: 'numeric', month: '2-digit', day: '2-digit' });
		dayFormats.set(timeZone, format);
	}
	return format.format(instant);
}

/** Whether a text names a time zone that days can be told in. */
export function isTimeZone(text: string): boolean {
	try {
		return new Intl.DateTimeFormat('en-US', { timeZone: text }).resolvedOptions().timeZone.length > 0;
	} catch {
		return false;
	}
}

/** The instant at which a day begins in a time zone, to the minute. */
export function beginningOf(day: SchoolDate, timeZone: string): Date {
	// Noon in Greenwich is on the same day nearly everywhere, midnight there in the rest of the world.
	const within = [12, 0].map((hour) => new Date(Date.parse(`${day}T00:00:00Z`) + hour * 3_600_000));
	return dayBegins(
		within.find((instant) => schoolDateOf(instant, timeZone) === day)!,
		timeZone
	);
}

/** Which week of a cycle a day falls in: 1 in the first week, 0 before it starts. */
export function cycleWeek(startsOn: SchoolDate, today: SchoolDate): number {
	return Math.max(0, Math.floor(daysBetween(startsOn, today) / 7) + 1);
}

/** The instant at which the day of an instant began in a time zone, to the minute. */
export function dayBegins(instant: Date, timeZone: string): Date {
	const day = schoolDateOf(instant, timeZone);
	let [before, after] = [instant.getTime() - 26 * 3_600_000, instant.getTime()];
	while (after - before > 60_000) {
		const middle = Math.floor((before + after) / 2);
		if (schoolDateOf(new Date(middle), timeZone) < day) before = middle;
		else after = middle;
	}
	return new Date(after - (after % 60_000));
}

/** A moment by the clock on the wall of a school: its day, and minutes since midnight. */
export interface SchoolMoment {
	day: SchoolDate;
	minute: number;
}

const clockFormats = new Map<string, Intl.DateTimeFormat>();

/** What the clock on the wall of a school shows at an instant. */
export function momentOf(instant: Date, timeZone: string): SchoolMoment {
	let format = clockFormats.get(timeZone);
	if (!format) {
		format = new Intl.DateTimeFormat('en-GB', { timeZone, hour: '2-digit', minute: '2-digit', hourCycle: 'h23' });
		clockFormats.set(timeZone, format);
	}
	const [hours, minutes] = format.format(instant).split(':').map(Number);
	return { day: schoolDateOf(instant, timeZone), minute: 60 * hours + minutes };
}

/**
 * The instant at which the clock on the wall of a school first shows a minute of a day, or one past it: clocks that are put
 * on skip some, and those that are put back show some twice.
 */
export function instantOf({ day, minute }: SchoolMoment, timeZone: string): Date {
	const begins = beginningOf(day, timeZone).getTime();
	const shows = (instant: number) => {
		const now = momentOf(new Date(instant), timeZone);
		return now.day > day || (now.day === day && now.minute >= minute);
	};
	// Clocks are put on or back by two hours at most.
	const first = Math.max(begins, begins + (minute - 120) * 60_000);
	for (let instant = first; instant < first + 300 * 60_000; instant += 60_000)
		if (shows(instant)) return new Date(instant);
	return new Date(first);
}
