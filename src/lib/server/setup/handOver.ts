import type { SchoolDate } from '../../core/calendar';
import { overlaps } from '../../core/timetable';
import { plural } from '../../core/words';
import { audit, type Database, NotDone, type RootDatabase, whole } from '../database';
import { currentGroups, type HandedTimes, handOverTimes, takeTimesBack } from '../groups';
import { slotList, type Slot } from '../groups/timetable';
import { classesInSetup, heldStudents, setClassAdults, setResponsible, visibleAmong } from '../people';
import type { Staff } from '../request';

/** What an adult runs on a day, which another can go on with. */
export interface Held {
	/** Meeting times, each with the groups that meet at it now or later. */
	times: (Slot & { groups: { id: number; name: string; students: number }[] })[];
	/** Students for whom the adult is responsible, if they are in a class. */
	studentIds: number[];
	/** Classes of which the adult is one. */
	classes: { id: number; name: string }[];
}

/** Classes and sections. */
const allClasses = async (database: Database, staff: Staff, today: SchoolDate) => [
	...(await classesInSetup(database, staff, today)),
	...(await classesInSetup(database, staff, today, 'section'))
];

export async function heldBy(database: Database, staff: Staff, accountId: number, today: SchoolDate): Promise<Held> {
	const [slots, groups, students, classes] = await Promise.all([
		slotList(database, staff.schoolId, today),
		currentGroups(database, staff, today),
		heldStudents(database, staff, accountId, today),
		allClasses(database, staff, today)
	]);
	const inClass = students.length ? await visibleAmong(database, staff, students, today) : [];
	return {
		times: slots
			.filter(({ staffId }) => staffId === accountId)
			.map((slot) => ({
				...slot,
				groups: groups
					.filter(({ slotId }) => slotId === slot.id)
					.map(({ id, name, studentIds }) => ({ id, name, students: studentIds.length }))
			})),
		studentIds: inClass.map(({ id }) => id),
		classes: classes
			.filter(({ adults, endedOn }) => adults.some(({ id }) => id === accountId) && (!endedOn || endedOn > today))
			.map(({ id, name }) => ({ id, name }))
	};
}

/** Whether an adult runs anything. */
export const runsNothing = ({ times, studentIds, classes }: Held) =>
	times.length + studentIds.length + classes.length === 0;

/** What is handed over: meeting times by id, students, classes. */
export interface HandedOver {
	fromId: number;
	toId: number;
	slotIds: number[];
	studentIds: number[];
	classIds: number[];
}

/** Of meeting times, the first at which another adult holds one already; null for none. */
export async function clashWith(
	database: Database,
	staff: Staff,
	{ slotIds, toId }: Pick<HandedOver, 'slotIds' | 'toId'>,
	today: SchoolDate
): Promise<Slot | null> {
	const slots = await slotList(database, staff.schoolId, today);
	const own = slots.filter(({ staffId }) => staffId === toId);
	return slots.find((slot) => slotIds.includes(slot.id) && own.some((one) => overlaps(one, slot))) ?? null;
}

/** What it takes to give back what was handed over. */
export interface Handing extends Omit<HandedOver, 'slotIds'> {
	times: HandedTimes;
	/** Classes in which the other adult was already, and stays. */
	sharedIds: number[];
}

/**
 * Lets one adult go on with what another ran, from today on: all of it or nothing. What was before stays with who did it.
 *
 * @returns what it takes to give it back; null when something of it is not the one adult's any more
 */
export function handOver(
	database: RootDatabase,
	staff: Staff,
	{ fromId, toId, slotIds, studentIds, classIds }: HandedOver,
	{ today, at }: { today: SchoolDate; at: Date }
): Promise<Handing | null> {
	return whole(database, async (all) => {
		const held = await heldBy(all, staff, fromId, today);
		const isHeld =
			slotIds.every((id) => held.times.some((slot) => slot.id === id)) &&
			studentIds.every((id) => held.studentIds.includes(id)) &&
			classIds.every((id) => held.classes.some((one) => one.id === id));
		if (!isHeld) throw new NotDone();
		const times = await handOverTimes(all, staff, { slotIds, toId }, { on: today, at });
		if (studentIds.length) {
			const students = await visibleAmong(all, staff, studentIds, today);
			const ids = students.map(({ id }) => id);
			await setResponsible(all, staff, ids, toId, { from: today, at });
		}
		const sharedIds: number[] = [];
		const before = await adultsOf(all, staff, today);
		for (const classId of classIds) {
			const adults = before.get(classId)!;
			if (adults.includes(toId)) sharedIds.push(classId);
			const after = [...new Set(adults.map((id) => (id === fromId ? toId : id)))];
			await setClassAdults(all, staff, classId, after, { from: today, at });
		}
		await audit(all, staff, at, 'hand over', {
			account: fromId,
			to: toId,
			slots: slotIds,
			students: studentIds,
			classes: classIds
		});
		return { fromId, toId, studentIds, classIds, times, sharedIds };
	});
}

/** Adults of each class on a day. */
async function adultsOf(database: Database, staff: Staff, today: SchoolDate): Promise<Map<number, number[]>> {
	const classes = await allClasses(database, staff, today);
	return new Map(classes.map(({ id, adults }) => [id, adults.map((adult) => adult.id)]));
}

/** Gives back what was handed over. @returns false when something was built on it since: then nothing is changed */
export async function giveBack(
	database: RootDatabase,
	staff: Staff,
	{ fromId, toId, studentIds, classIds, times, sharedIds }: Handing,
	{ today, at }: { today: SchoolDate; at: Date }
): Promise<boolean> {
	const done = await whole(database, async (all) => {
		await takeTimesBack(all, staff, times, at);
		const held = studentIds.length ? await heldStudents(all, staff, toId, today) : [];
		const still = studentIds.filter((id) => held.includes(id));
		if (still.length) {
			const students = await visibleAmong(all, staff, still, today);
			const ids = students.map(({ id }) => id);
			await setResponsible(all, staff, ids, fromId, { from: today, at });
		}
		const before = await adultsOf(all, staff, today);
		for (const classId of classIds) {
			const stay = (before.get(classId) ?? []).filter((id) => id !== toId || sharedIds.includes(classId));
			await setClassAdults(all, staff, classId, [fromId, ...stay], { from: today, at });
		}
		await audit(all, staff, at, 'give back', { account: fromId, from: toId, students: studentIds, classes: classIds });
		return true;
	});
	return done ?? false;
}

/** What an adult runs, in words. */
export const sayHeld = ({ times, studentIds, classes }: Held) =>
	sayHanded({ slotIds: times.map(({ id }) => id), studentIds, classIds: classes.map(({ id }) => id) });

/** What is handed over, in words: “2 meeting times, 12 students and 1 class”. */
export const sayHanded = ({ slotIds, studentIds, classIds }: Pick<HandedOver, 'slotIds' | 'studentIds' | 'classIds'>) =>
	new Intl.ListFormat('en-US').format([
		...(slotIds.length ? [plural(slotIds.length, 'meeting time')] : []),
		...(studentIds.length ? [plural(studentIds.length, 'student')] : []),
		...(classIds.length ? [plural(classIds.length, 'class', 'classes')] : [])
	]);
