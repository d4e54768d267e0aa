import { addDays, mondayOf, type SchoolDate } from '../src/lib/core/calendar';
import type { RootDatabase } from '../src/lib/server/database/pool';
import { fill } from '../src/lib/server/store/bulk';
import { GROUP_STAFF } from './people';
import { classNames } from './names';

const TIMES = ['09:00', '10:05', '11:10', '13:15'];
const MON_WED_FRI = 0b10101;
const TUE_THU = 0b01010;
const ROOMS = ['Gull', 'Tern', 'Heron'];

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
}

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
		winter: window(2, 'Winter screening', 2, addDays(monday, -7))
	};
}

/** Writes cycles, windows, and when staff can hold groups and classes can release students. */
export async function writeTimetable(database: RootDatabase, year: DemoYear): Promise<void> {
	await fill(database, 'cycle', [
		{ id: 1, school_id: 1, number: 1, starts_on: addDays(year.cycleStart, -70), weeks: 8 },
		{ id: 2, school_id: 1, number: 2, starts_on: year.cycleStart, weeks: 8 }
	]);
	await fill(
		database,
		'screening_window',
		[year.autumn, year.winter].map(({ id, name, term, opensOn, closesOn }) => ({
			id,
			school_id: 1,
			name,
			term,
			subject: 'Mathematics',
			mode: id === year.autumn.id ? 'fixed form' : 'adaptive',
			opens_on: opensOn,
			closes_on: closesOn
		}))
	);
	await fill(
		database,
		'window_class',
		[year.autumn, year.winter].flatMap(({ id }) => classNames.map((_, c) => ({ window_id: id, class_id: c + 1 })))
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
	// At one time of day each class has its core lesson and releases nobody.
	const coreLesson = (c: number, days: number) => TIMES[(c + (days === MON_WED_FRI ? 0 : 1)) % TIMES.length];
	await fill(
		database,
		'slot_class',
		slots.flatMap((slot) =>
			classNames.flatMap((_, c) =>
				coreLesson(c, slot.days) === slot.starts_at ? [] : [{ slot_id: slot.id, class_id: c + 1 }]
			)
		)
	);
}
