import ICAL from 'ical.js';
import { addDays, weekday, type SchoolDate } from '../calendar';
import { timeOf, type DayRange, type WeeklyTime } from '../timetable';

/** A group's meetings, as a calendar shows them. */
export interface CalendarMeetings extends WeeklyTime {
	/** Stays the same when the file is made anew, so that calendars update instead of doubling. */
	uid: string;
	title: string;
	note: string;
	room: string;
	first: SchoolDate;
	last: SchoolDate;
	/** Days of the meeting on which it is not held. */
	without: SchoolDate[];
}

const DAYS = ['', 'MO', 'TU', 'WE', 'TH', 'FR', 'SA', 'SU'];

/** Minutes by which a time zone is ahead of UTC at an instant. */
function offsetAt(instant: Date, timeZone: string): number {
	const parts = new Intl.DateTimeFormat('en-US', { timeZone, timeZoneName: 'longOffset' }).formatToParts(instant);
	const [, sign, hours, minutes] = /GMT(?:([+-])(\d\d):(\d\d))?/.exec(
		parts.find(({ type }) => type === 'timeZoneName')!.value
	)!;
	return sign ? (sign === '-' ? -1 : 1) * (60 * Number(hours) + Number(minutes)) : 0;
}

/** The instant at which a clock in a time zone shows a day and time. */
function instantOf(day: SchoolDate, time: string, timeZone: string): Date {
	const asUtc = new Date(`${day}T${time}:00Z`);
	const guess = new Date(asUtc.getTime() - 60_000 * offsetAt(asUtc, timeZone));
	return new Date(asUtc.getTime() - 60_000 * offsetAt(guess, timeZone));
}

const local = (day: SchoolDate, time: string) => ICAL.Time.fromDateTimeString(`${day}T${time}:00`);
const asOffset = (minutes: number) => ICAL.UtcOffset.fromSeconds(60 * minutes);

/** How a time zone's offset goes over some days, one part for each change (RFC 5545, 3.6.5). */
function zoneComponent(timeZone: string, first: SchoolDate, last: SchoolDate): ICAL.Component {
	const zone = new ICAL.Component('vtimezone');
	zone.addPropertyWithValue('tzid', timeZone);
	let day = addDays(first, -1);
	let before = offsetAt(new Date(`${day}T12:00:00Z`), timeZone);
	const add = (offset: number, to: number, at: Date) => {
		const part = new ICAL.Component(to > offset ? 'daylight' : 'standard');
		const shown = new Date(at.getTime() + 60_000 * offset).toISOString();
		part.addPropertyWithValue('dtstart', local(shown.slice(0, 10), shown.slice(11, 16)));
		part.addPropertyWithValue('tzoffsetfrom', asOffset(offset));
		part.addPropertyWithValue('tzoffsetto', asOffset(to));
		zone.addSubcomponent(part);
	};
	add(before, before, new Date(`${day}T00:00:00Z`));
	for (; day <= last; day = addDays(day, 1)) {
		const next = addDays(day, 1);
		const after = offsetAt(new Date(`${next}T12:00:00Z`), timeZone);
		if (after === before) continue;
		// The hour of the change, to the minute.
		let [early, late] = [Date.parse(`${day}T12:00:00Z`), Date.parse(`${next}T12:00:00Z`)];
		while (late - early > 60_000) {
			const middle = Math.floor((early + late) / 120_000) * 60_000;
			if (offsetAt(new Date(middle), timeZone) === before) early = middle;
			else late = middle;
		}
		add(before, after, new Date(late));
		before = after;
	}
	return zone;
}

/** Text of a property: ical.js escapes line feeds, but lets a carriage return end the property. */
const propertyText = (text: string) => text.replace(/\r\n?/g, '\n').replace(/[^\P{Cc}\n\t]/gu, '');

/**
 * Weekly meetings as an iCalendar file (RFC 5545).
 *
 * @param name what calendars call it
 * @param stamp when the file was made
 */
export function writeCalendar(name: string, timeZone: string, meetings: CalendarMeetings[], stamp: Date): string {
	const calendar = new ICAL.Component('vcalendar');
	calendar.addPropertyWithValue('prodid', '-//Orderly Compass//Timetable//EN');
	calendar.addPropertyWithValue('version', '2.0');
	calendar.addPropertyWithValue('x-wr-calname', propertyText(name));
	const held = meetings
		.map((meeting) => ({ meeting, first: firstDay(meeting) }))
		.filter(({ meeting, first }) => first <= meeting.last);
	if (held.length) {
		const days = held.flatMap(({ meeting }) => [meeting.first, meeting.last]).sort();
		calendar.addSubcomponent(zoneComponent(timeZone, days[0], days[days.length - 1]));
	}
	for (const { meeting, first } of held) {
		const event = new ICAL.Component('vevent');
		const timed = (property: string, day: SchoolDate, time: string) => {
			const added = event.addPropertyWithValue(property, local(day, time));
			added.setParameter('tzid', timeZone);
		};
		event.addPropertyWithValue('uid', meeting.uid);
		event.addPropertyWithValue('dtstamp', ICAL.Time.fromJSDate(stamp, true));
		timed('dtstart', first, meeting.startsAt);
		event.addPropertyWithValue('duration', ICAL.Duration.fromSeconds(60 * meeting.minutes));
		event.addPropertyWithValue('summary', propertyText(meeting.title));
		if (meeting.note) event.addPropertyWithValue('description', propertyText(meeting.note));
		if (meeting.room) event.addPropertyWithValue('location', propertyText(meeting.room));
		event.addPropertyWithValue(
			'rrule',
			ICAL.Recur.fromData({
				freq: 'WEEKLY',
				byday: meeting.days.map((day) => DAYS[day]),
				until: ICAL.Time.fromJSDate(instantOf(meeting.last, meeting.startsAt, timeZone), true)
			})
		);
		for (const day of meeting.without) timed('exdate', day, meeting.startsAt);
		calendar.addSubcomponent(event);
	}
	return calendar.toString() + '\r\n';
}

/** The first day that a meeting falls on. */
function firstDay({ first, days }: CalendarMeetings): SchoolDate {
	let day = first;
	while (!days.includes(weekday(day))) day = addDays(day, 1);
	return day;
}

/** What a calendar says of a person's weeks. */
export interface CalendarWeeks {
	weekly: (WeeklyTime & { title: string; room: string })[];
	away: (DayRange & { untilOn: SchoolDate; title: string })[];
	/** What was not taken, and why. */
	problems: string[];
}

/** Shortest and longest meeting (minutes) that a timetable holds. */
const [SHORTEST, LONGEST] = [5, 120];
/** More entries than this are no timetable. */
const MOST_ENTRIES = 500;

/**
 * Reads an iCalendar file: what comes every week becomes a meeting time, whole days become days away. Times with a zone
 * are taken as the clock there shows them, UTC ones as the school's clock does.
 *
 * @throws RangeError in plain words when the text is no iCalendar file, or holds too much
 */
export function readCalendar(text: string, timeZone: string): CalendarWeeks {
	let calendar: ICAL.Component;
	try {
		const parsed = ICAL.parse(text);
		calendar = new ICAL.Component(Array.isArray(parsed[0]) ? parsed[0] : parsed);
	} catch {
		throw new RangeError('This is not an iCalendar file');
	}
	if (calendar.name !== 'vcalendar') throw new RangeError('This is not an iCalendar file');
	const events = calendar.getAllSubcomponents('vevent');
	if (events.length > MOST_ENTRIES) throw new RangeError(`The file holds more than ${MOST_ENTRIES} entries`);
	const weeks: CalendarWeeks = { weekly: [], away: [], problems: [] };
	events.forEach((event, i) => {
		const title = String(event.getFirstPropertyValue('summary') ?? '').trim() || `entry ${i + 1}`;
		try {
			const problem = readEvent(event, title, timeZone, weeks);
			if (problem) weeks.problems.push(`“${title}” ${problem}`);
		} catch {
			weeks.problems.push(`“${title}” cannot be read`);
		}
	});
	return weeks;
}

/** Adds an entry to the weeks. @returns why it could not be */
function readEvent(component: ICAL.Component, title: string, timeZone: string, weeks: CalendarWeeks): string | null {
	const event = new ICAL.Event(component);
	const { startDate: start, duration } = event;
	if (!start) return 'says no day';
	const rule = component.getFirstPropertyValue('rrule') as ICAL.Recur | null;
	if (start.isDate) {
		if (rule) return 'is a whole day that comes again; only single ones are taken as days away';
		const fromOn = start.toString();
		const days = Math.max(1, Math.round(duration.toSeconds() / 86_400));
		weeks.away.push({ fromOn, untilOn: addDays(fromOn, days), title });
		return null;
	}
	if (!rule) return 'happens once; only what comes every week, and whole days, are taken';
	if ((rule.freq !== 'WEEKLY' && rule.freq !== 'DAILY') || rule.interval !== 1) return 'does not come every week';
	const shown =
		start.zone === ICAL.Timezone.utcTimezone
			? new Date(start.toJSDate().getTime() + 60_000 * offsetAt(start.toJSDate(), timeZone))
			: new Date(`${start.toString().slice(0, 19)}Z`);
	const named = (rule.parts.BYDAY as string[] | undefined)?.map((day) => DAYS.indexOf(day)) ?? [];
	const all = named.length
		? named
		: rule.freq === 'DAILY'
			? [1, 2, 3, 4, 5]
			: [weekday(shown.toISOString().slice(0, 10))];
	const days = all.filter((day) => day >= 1 && day <= 5).sort((a, b) => a - b);
	if (days.length === 0) return 'falls on no school day';
	const minutes = Math.round(duration.toSeconds() / 60);
	if (minutes < SHORTEST || minutes > LONGEST)
		return `takes ${minutes} minutes; a meeting takes ${SHORTEST} to ${LONGEST}`;
	const startsAt = timeOf(60 * shown.getUTCHours() + shown.getUTCMinutes());
	weeks.weekly.push({ title, room: String(event.location ?? '').trim(), days, startsAt, minutes });
	return null;
}
