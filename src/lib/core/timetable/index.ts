import { addDays, weekday, type SchoolDate } from '../calendar';

/** A time that comes every week. Weekdays are ISO, 1 Monday … 5 Friday; times of day are `HH:MM`. */
export interface WeeklyTime {
	days: number[];
	startsAt: string;
	minutes: number;
}

/** Weekdays as one number: bit 0 Monday … bit 4 Friday. */
export const bitsOf = (days: number[]) => days.reduce((bits, day) => bits | (1 << (day - 1)), 0);
/** ISO weekdays of such a number. */
export const daysOf = (bits: number) => [1, 2, 3, 4, 5].filter((day) => bits & (1 << (day - 1)));

export const BLOCK_KINDS = ['core lesson', 'recess', 'lunch', 'other'] as const;
export type BlockKind = (typeof BLOCK_KINDS)[number];

/** When a class releases nobody. */
export interface ClassBlock extends WeeklyTime {
	classId: number;
	kind: BlockKind;
}

/** Days on which something does not happen: from the first day up to, not including, the second; null is an open end. */
export interface DayRange {
	fromOn: SchoolDate;
	untilOn: SchoolDate | null;
}

/** Minutes from midnight. */
export const minutesOf = (time: string) => 60 * Number(time.slice(0, 2)) + Number(time.slice(3, 5));

/** `HH:MM` of minutes from midnight. */
export const timeOf = (minutes: number) =>
	`${String(Math.floor(minutes / 60)).padStart(2, '0')}:${String(minutes % 60).padStart(2, '0')}`;

/** Minutes a week. */
export const meetingMinutes = ({ days, minutes }: WeeklyTime) => days.length * minutes;

/** Whether two weekly times share a moment on some day. */
export function overlaps(a: WeeklyTime, b: WeeklyTime): boolean {
	const [startA, startB] = [minutesOf(a.startsAt), minutesOf(b.startsAt)];
	return a.days.some((day) => b.days.includes(day)) && startA < startB + b.minutes && startB < startA + a.minutes;
}

/** The blocks that keep a class from releasing students at a time; none when it can on every one of its days. */
export function blocksAt(time: WeeklyTime, classId: number, blocks: ClassBlock[]): ClassBlock[] {
	return blocks.filter((block) => block.classId === classId && overlaps(time, block));
}

/** Those of the classes that can release students at a time, on every one of its days. */
export function releasing(time: WeeklyTime, classIds: number[], blocks: ClassBlock[]): number[] {
	const kept = new Set(blocks.filter((block) => overlaps(time, block)).map(({ classId }) => classId));
	return classIds.filter((classId) => !kept.has(classId));
}

/** Whether a student can be released at a time: the own class can, and no section of theirs keeps them. */
export const releases = (
	time: { classIds: number[]; keptIds: number[] },
	student: { id: number; classId: number }
): boolean => time.classIds.includes(student.classId) && !time.keptIds.includes(student.id);

/** Whether a day lies in one of the ranges. */
export function isWithin(day: SchoolDate, ranges: DayRange[]): boolean {
	return ranges.some(({ fromOn, untilOn }) => fromOn <= day && (untilOn === null || day < untilOn));
}

/** Days from the first to the last, both counted, that a weekly time falls on, but for those in a range. */
export function meetingDays(
	time: Pick<WeeklyTime, 'days'>,
	first: SchoolDate,
	last: SchoolDate,
	without: DayRange[] = []
): SchoolDate[] {
	const days: SchoolDate[] = [];
	for (let day = first; day <= last; day = addDays(day, 1)) {
		if (time.days.includes(weekday(day)) && !isWithin(day, without)) days.push(day);
	}
	return days;
}

/** Two meeting times that cannot both be held. */
export interface Clash {
	why: 'staff' | 'room';
	/** Ids, the smaller first. */
	slotIds: [number, number];
}

/** Meeting times at which one person, or one room, would be needed twice. */
export function clashes(slots: (WeeklyTime & { id: number; staffId: number; room: string })[]): Clash[] {
	return slots.flatMap((one, i) =>
		slots.slice(i + 1).flatMap((other): Clash[] => {
			if (!overlaps(one, other)) return [];
			const slotIds: [number, number] = one.id < other.id ? [one.id, other.id] : [other.id, one.id];
			if (one.staffId === other.staffId) return [{ why: 'staff', slotIds }];
			const isRoom = one.room.trim() !== '' && one.room.trim().toLowerCase() === other.room.trim().toLowerCase();
			return isRoom ? [{ why: 'room', slotIds }] : [];
		})
	);
}

/**
 * Times a staff member could still take on: of those in use anywhere in the school, the ones at which they hold nothing.
 * What could be gained by one more of them is worth asking; see `whatWouldPlace`.
 */
export function openTimes<Time extends WeeklyTime>(inUse: Time[], own: WeeklyTime[]): Time[] {
	const seen = new Set<string>();
	return inUse.filter((time) => {
		const key = `${time.days.join(' ')} ${time.startsAt} ${time.minutes}`;
		if (seen.has(key) || own.some((held) => overlaps(held, time))) return false;
		return seen.add(key);
	});
}

export * from './sessions';
export * from './dosage';
export * from './saySessions';
