import fc from 'fast-check';
import ICAL from 'ical.js';
import { describe, expect, it } from 'vitest';
import { addDays } from '../calendar';
import { meetingDays, timeOf } from '../timetable';
import { readCalendar, writeCalendar, type CalendarMeetings } from './calendarFile';

const ZONE = 'America/New_York';
const meetings = (change: Partial<CalendarMeetings> = {}): CalendarMeetings => ({
	uid: 'group-7@orderly-compass',
	title: 'Compare fractions, "red" table; first\nperiod',
	note: 'Bo, Cy',
	room: 'Room Gull',
	days: [1, 3, 5],
	startsAt: '09:00',
	minutes: 30,
	first: '2026-10-20',
	last: '2026-11-20',
	without: ['2026-11-11'],
	...change
});
const write = (...some: CalendarMeetings[]) => writeCalendar('Saltmarsh', ZONE, some, new Date('2026-11-23T15:00:00Z'));

/** The instants of an event, by the library's own expansion and the file's own time zone. */
function instants(text: string): string[] {
	const calendar = new ICAL.Component(ICAL.parse(text));
	const zone = new ICAL.Timezone(calendar.getFirstSubcomponent('vtimezone')!);
	ICAL.TimezoneService.register(zone);
	const found = calendar.getAllSubcomponents('vevent').flatMap((component) => {
		const event = new ICAL.Event(component);
		const expansion = event.iterator();
		const list: string[] = [];
		for (let next; (next = expansion.next()) && list.length < 400;) {
			const at = next.clone();
			at.zone = zone;
			list.push(at.toJSDate().toISOString());
		}
		return list;
	});
	ICAL.TimezoneService.reset();
	return found;
}

describe('a calendar file of meetings', () => {
	it('falls on the days of the meeting at the school’s clock, across a change of the clock, but for those left out', () => {
		// The clock in New York goes back on November 1, 2026.
		expect(instants(write(meetings()))).toEqual(
			meetingDays({ days: [1, 3, 5] }, '2026-10-20', '2026-11-20')
				.filter((day) => day !== '2026-11-11')
				.map((day) => `${day}T${day < '2026-11-01' ? '13' : '14'}:00:00.000Z`)
		);
	});

	it('says the same of any weekly time', () => {
		fc.assert(
			fc.property(
				fc.subarray([1, 2, 3, 4, 5], { minLength: 1 }),
				fc.integer({ min: 480, max: 900 }),
				fc.integer({ min: 0, max: 70 }),
				(days, start, length) => {
					const last = addDays('2026-09-07', 7 + length);
					const made = meetings({ days, startsAt: timeOf(start), first: '2026-09-07', last, without: [] });
					expect(instants(write(made)).map((at) => at.slice(0, 10))).toEqual(meetingDays({ days }, '2026-09-07', last));
				}
			),
			{ numRuns: 30 }
		);
	});

	it('keeps what people write, folded and escaped as the standard says', () => {
		const text = write(meetings());
		for (const line of text.split('\r\n')) expect(new TextEncoder().encode(line).length).toBeLessThanOrEqual(75);
		const event = new ICAL.Event(new ICAL.Component(ICAL.parse(text)).getFirstSubcomponent('vevent')!);
		expect(event.summary).toBe('Compare fractions, "red" table; first\nperiod');
		expect(event.uid).toBe('group-7@orderly-compass');
		expect(event.location).toBe('Room Gull');
	});

	it('leaves out meetings that fall on no day, and is whole without any', () => {
		expect(write(meetings({ days: [1], first: '2026-11-24', last: '2026-11-27' }))).not.toContain('VEVENT');
		expect(new ICAL.Component(ICAL.parse(write())).name).toBe('vcalendar');
	});
});

const file = (...events: string[]) =>
	`BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:x\r\n${events
		.map(
			(event) =>
				`BEGIN:VEVENT\r\nUID:${event.length}\r\n${event
					.trim()
					.split(/\s*\n\s*/)
					.join('\r\n')}\r\nEND:VEVENT\r\n`
		)
		.join('')}END:VCALENDAR\r\n`;

describe('reading a calendar file', () => {
	it('takes what comes every week as meeting times, and whole days as days away', () => {
		const text = file(
			`SUMMARY:Fractions
			LOCATION:Gull
			DTSTART;TZID=America/New_York:20261026T090000
			DTEND;TZID=America/New_York:20261026T093000
			RRULE:FREQ=WEEKLY;BYDAY=FR,MO`,
			`SUMMARY:Morning
			DTSTART:20261102T150500Z
			DURATION:PT25M
			RRULE:FREQ=WEEKLY`,
			`SUMMARY:Training
			DTSTART;VALUE=DATE:20261207
			DTEND;VALUE=DATE:20261209`,
			`SUMMARY:Dentist
			DTSTART;VALUE=DATE:20261211`
		);
		expect(readCalendar(text, ZONE)).toEqual({
			weekly: [
				{ title: 'Fractions', room: 'Gull', days: [1, 5], startsAt: '09:00', minutes: 30 },
				{ title: 'Morning', room: '', days: [1], startsAt: '10:05', minutes: 25 }
			],
			away: [
				{ title: 'Training', fromOn: '2026-12-07', untilOn: '2026-12-09' },
				{ title: 'Dentist', fromOn: '2026-12-11', untilOn: '2026-12-12' }
			],
			problems: []
		});
	});

	it('is written so that no text ends its line, whatever it holds', () => {
		const text = write(meetings({ title: 'Thirds\r\nATTENDEE:x\rEND:VEVENT', note: 'a\rb', room: '\u0000R' }));
		expect(text).not.toMatch(/\r(?!\n)|(?<!\r)\n|\r\nATTENDEE/);
		expect(text).toContain('SUMMARY:Thirds\\nATTENDEE:x\\nEND:VEVENT\r\n');
		expect(readCalendar(text, ZONE).weekly).toMatchObject([{ title: 'Thirds\nATTENDEE:x\nEND:VEVENT', room: 'R' }]);
	});

	it('says of each entry that it does not take why', () => {
		const at = `DTSTART:20261026T090000\nDTEND:20261026T093000`;
		const text = file(
			`SUMMARY:Once\n${at}`,
			`SUMMARY:Second week\n${at}\nRRULE:FREQ=WEEKLY;INTERVAL=2`,
			`SUMMARY:Monthly\n${at}\nRRULE:FREQ=MONTHLY`,
			`SUMMARY:Weekend\n${at}\nRRULE:FREQ=WEEKLY;BYDAY=SA`,
			`SUMMARY:Long\nDTSTART:20261026T090000\nDTEND:20261026T150000\nRRULE:FREQ=WEEKLY`,
			`SUMMARY:Name day\nDTSTART;VALUE=DATE:20261207\nRRULE:FREQ=YEARLY`,
			`SUMMARY:No day`
		);
		const { weekly, away, problems } = readCalendar(text, ZONE);
		expect([weekly, away]).toEqual([[], []]);
		expect(problems.map((text) => text.replace(/^“(.+)”.*/, '$1'))).toEqual([
			'Once',
			'Second week',
			'Monthly',
			'Weekend',
			'Long',
			'Name day',
			'No day'
		]);
		expect(problems[4]).toBe('“Long” takes 360 minutes; a meeting takes 5 to 120');
	});

	it('reads back what it wrote', () => {
		const { title: _, ...time } = readCalendar(write(meetings()), ZONE).weekly[0];
		expect(time).toEqual({ room: 'Room Gull', days: [1, 3, 5], startsAt: '09:00', minutes: 30 });
	});

	it('refuses what is no calendar', () => {
		for (const text of ['', 'hello', 'BEGIN:VCARD\r\nEND:VCARD', '<html>', 'BEGIN:VCALENDAR'])
			expect(() => readCalendar(text, ZONE), text).toThrow(/not an iCalendar file/);
	});
});
