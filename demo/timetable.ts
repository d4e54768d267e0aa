import { addDays, mondayOf, type SchoolDate } from '../src/lib/core/calendar';
import type { RootDatabase } from '../src/lib/server/database/pool';
import { fill } from '../src/lib/server/database/seeding';
import { GROUP_STAFF, SCHOOL_ID } from './people';
import { classNames } from './names';

const TIMES = ['09:00', '10:05', '11:10', '13:15'];
const MON_WED_FRI = 0b10101;
const TUE_THU = 0b01010;
const EVERY_DAY = 0b11111;
const ROOMS = ['Gull', 'Tern', 'Heron'];

/** With its holidays; it ends on a Friday. */
const WEEKS_OF_YEAR = 41;

export interface DemoWindow {
	id: number;
	name: string;
	term: number;
	opensOn: SchoolDate;
	closesOn: SchoolDate;
}

/** The demo's year, laid out around its today: week 5 of 8 of cycle 2, in the middle of the winter screening. */
export interface DemoYear {
	startsOn: SchoolDate;
	cycleStart: SchoolDate;
	cycleEnd: SchoolDate;
	autumn: DemoWindow;
	winter: DemoWindow;
	/** Windows in which class teachers listen to reading aloud. */
	reading: { autumn: DemoWindow; winter: DemoWindow };
}

/** The Friday on which the cycle's last week of school ends. */
export const lastSchoolDay = ({ cycleEnd }: DemoYear): SchoolDate => addDays(cycleEnd, -2);

export function layOutYear(today: SchoolDate): DemoYear {
	const monday = mondayOf(today);
	const cycleStart = addDays(monday, -28);
	const window = (id: number, name: string, term: number, opensOn: SchoolDate): DemoWindow => ({
		id,
		name,
		term,
		opensOn,
		closesOn: addDays(opensOn, 18)
	});
	return {
		startsOn: addDays(cycleStart, -84),
		cycleStart,
		cycleEnd: addDays(cycleStart, 7 * 8 - 1),
		autumn: window(1, 'Autumn screening', 1, addDays(cycleStart, -35)),
		winter: window(2, 'Winter screening', 2, addDays(monday, -7)),
		reading: {
			autumn: window(3, 'Autumn reading aloud', 1, addDays(cycleStart, -38)),
			winter: window(4, 'Winter reading aloud', 2, addDays(monday, -10))
		}
	};
}

/** Writes the year with its breaks, cycles, windows, and when staff can hold groups and classes can release students. */
export async function writeTimetable(database: RootDatabase, year: DemoYear): Promise<void> {
	await fill(database, 'school_year', [
		{ school_id: SCHOOL_ID, starts_on: year.startsOn, ends_on: addDays(year.startsOn, 7 * WEEKS_OF_YEAR - 3) }
	]);
	// A break after the first cycle, and one after the present one.
	await fill(
		database,
		'day_off',
		[
			{ name: 'Harvest days', from_on: addDays(year.cycleStart, -3), until_on: year.cycleStart },
			{ name: 'Winter break', from_on: addDays(year.cycleEnd, 1), until_on: addDays(year.cycleEnd, 15) }
		].map((off) => ({ school_id: SCHOOL_ID, ...off }))
	);
	await fill(database, 'cycle', [
		{ id: 1, school_id: SCHOOL_ID, number: 1, starts_on: addDays(year.cycleStart, -70), weeks: 8 },
		{ id: 2, school_id: SCHOOL_ID, number: 2, starts_on: year.cycleStart, weeks: 8 }
	]);
	await fill(
		database,
		'screening_window',
		[
			{ ...year.autumn, mode: 'fixed form', subject: 'Mathematics', measure: null },
			{ ...year.winter, mode: 'adaptive', subject: 'Mathematics', measure: null },
			...[year.reading.autumn, year.reading.winter].map((window) => ({
				...window,
				mode: 'teacher-given',
				subject: 'Reading',
				measure: 'reading aloud'
			}))
		].map(({ opensOn, closesOn, ...window }) => ({
			...window,
			school_id: SCHOOL_ID,
			opens_on: opensOn,
			closes_on: closesOn
		}))
	);
	await fill(
		database,
		'window_class',
		[year.autumn, year.winter, year.reading.autumn, year.reading.winter].flatMap(({ id }) =>
			classNames.map((_, c) => ({ window_id: id, class_id: c + 1 }))
		)
	);
	const slots = GROUP_STAFF.flatMap((staffId, s) =>
		TIMES.flatMap((time, t) =>
			[MON_WED_FRI, TUE_THU].map((days, d) => ({
				id: s * 8 + t * 2 + d + 1,
				staff_id: staffId,
				days,
				starts_at: time,
				minutes: 30,
				room: `Room ${ROOMS[s]}`
			}))
		)
	);
	await fill(database, 'slot', slots);
	// At one time of day each class has its core lesson and releases nobody; all have recess before ten, and lunch.
	const coreLesson = (c: number, days: number) => TIMES[(c + (days === MON_WED_FRI ? 0 : 1)) % TIMES.length];
	await fill(
		database,
		'class_block',
		classNames.flatMap((_, c) => [
			...[MON_WED_FRI, TUE_THU].map((days) => ({
				class_id: c + 1,
				kind: 'core lesson',
				days,
				starts_at: coreLesson(c, days),
				minutes: 50
			})),
			{ class_id: c + 1, kind: 'recess', days: EVERY_DAY, starts_at: '09:40', minutes: 20 },
			{ class_id: c + 1, kind: 'lunch', days: EVERY_DAY, starts_at: c < 6 ? '12:00' : '12:30', minutes: 30 }
		])
	);
	await fill(database, 'staff_absence', [
		{
			staff_id: GROUP_STAFF[2],
			from_on: addDays(year.cycleEnd, -9),
			until_on: addDays(year.cycleEnd, -7),
			note: 'At a training'
		}
	]);
}
