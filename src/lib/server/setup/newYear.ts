import { addDays, type SchoolDate } from '../../core/calendar';
import { inOne, NotDone, type RootDatabase, whole } from '../database';
import { giveChecksBack, takeOffChecks } from '../gaps';
import { changeWithin, currentGroups, endSchoolWork, restoreGroupWork, undoWithin } from '../groups';
import { addBlocks, classBlocks, removeBlocks } from '../groups/timetable';
import {
	allStudentIds,
	classesInSetup,
	endClass,
	type Promoted,
	promoteClasses,
	type Promotion,
	putGradesBack,
	removeUnusedClasses,
	setClassAdults,
	takeBackMoves,
	type WhyNotPromoted
} from '../people';
import type { Staff } from '../request';
import { planYear, removeYear, schoolYears } from '../school';
import { hasSittingSince } from '../sitting';
import { markStale } from '../standing';
import { addYearBegun, lockYearBegun, markYearUndone, newestYearBegun, type YearDone } from './store/yearsBegun';

/** Whose adults and timetable a new class has: of the class that became it, of the one that had its name before, or nobody's. */
export const ADULTS_GO = ['along', 'with the name', 'nobody'] as const;
export type AdultsGo = (typeof ADULTS_GO)[number];

/** A new year as it is planned. */
export interface NewYear {
	startsOn: SchoolDate;
	endsOn: SchoolDate;
	classes: Promotion[];
	adults: AdultsGo;
}

export type WhyNotBegun = WhyNotPromoted | 'begun already' | { runs: { startsOn: SchoolDate; endsOn: SchoolDate } };

/** The year that runs on a day and is another than the one to begin; null for none. */
export async function runningYear(
	database: RootDatabase,
	schoolId: number,
	today: SchoolDate,
	startsOn: SchoolDate | null
): Promise<{ startsOn: SchoolDate; endsOn: SchoolDate } | null> {
	const years = await schoolYears(database, schoolId);
	return years.find((year) => year.startsOn <= today && today <= year.endsOn && year.startsOn !== startsOn) ?? null;
}

/**
 * Begins a school year: classes become others with their students, groups end, and what waits for students goes. All of it
 * from today on, in one transaction. Histories, tiers, caseload and what helps a student stay.
 *
 * @returns id of what was done, or what stands in the way: then nothing is changed
 */
export async function beginYear(
	database: RootDatabase,
	staff: Staff,
	year: NewYear,
	{ today, at }: { today: SchoolDate; at: Date }
): Promise<{ id: number } | { not: WhyNotBegun }> {
	const runs = await runningYear(database, staff.schoolId, today, year.startsOn);
	if (runs) return { not: { runs } };
	return inOne(database, async (all) => {
		// Sent twice, every class would go on by two grades.
		const newest = await newestYearBegun(all, staff.schoolId);
		if (newest?.startsOn === year.startsOn) return { not: 'begun already' as const };
		const before = await classesInSetup(all, staff, today);
		const promoted = await promoteClasses(all, staff, year.classes, { from: today, at });
		if ('not' in promoted) return promoted;
		const planned = await planIt(all, staff, year, at);
		const done: YearDone = {
			startsOn: year.startsOn,
			planned: planned ? year.startsOn : null,
			promoted,
			changes: await endGroups(all, staff, { today, at }),
			ended: await endSchoolWork(all, staff.schoolId, await allStudentIds(all, staff.schoolId), today),
			checks: await takeOffChecks(all, staff, at),
			blocks: await settle(all, staff, promoted, { before, adults: year.adults }, { today, at })
		};
		await markStale(all, promoted.graded, { reachesBack: true });
		return { id: await addYearBegun(all, staff, { on: today, done }, at) };
	});
}

/** @returns false where the year is planned already */
async function planIt(all: RootDatabase, staff: Staff, { startsOn, endsOn }: NewYear, at: Date): Promise<boolean> {
	const years = await schoolYears(all, staff.schoolId);
	if (years.some((year) => year.startsOn <= endsOn && startsOn <= year.endsOn)) return false;
	await planYear(all, staff, null, { startsOn, endsOn, winterOn: null, springOn: null }, at);
	return true;
}

/** Ends the groups that have begun, yesterday. @returns the changes */
async function endGroups(
	all: RootDatabase,
	staff: Staff,
	{ today, at }: { today: SchoolDate; at: Date }
): Promise<number[]> {
	const changes: number[] = [];
	for (const { id, startsOn } of await currentGroups(all, staff, today)) {
		if (startsOn >= today) continue;
		const change = await changeWithin(all, staff, id, { kind: 'end', on: addDays(today, -1) }, 'A new school year', at);
		if (change !== null) changes.push(change);
	}
	return changes;
}

/** Gives new classes their adults and their times. @returns ids of the times */
async function settle(
	all: RootDatabase,
	staff: Staff,
	{ added }: Promoted,
	{ before, adults }: { before: Awaited<ReturnType<typeof classesInSetup>>; adults: AdultsGo },
	{ today, at }: { today: SchoolDate; at: Date }
): Promise<number[]> {
	if (adults === 'nobody') return [];
	const blocks = await classBlocks(all, staff.schoolId);
	const ids: number[] = [];
	for (const { id, name, from } of added) {
		const old = before.filter((one) =>
			adults === 'along' ? from.includes(one.id) : one.endedOn === null && one.name.toLowerCase() === name.toLowerCase()
		);
		const people = [...new Set(old.flatMap((one) => one.adults.map((adult) => adult.id)))];
		await setClassAdults(all, staff, id, people, { from: today, at });
		// Of several that become one, the first's times.
		const times = blocks.filter(({ classId }) => classId === old[0]?.id);
		if (times.length)
			ids.push(
				...(await addBlocks(
					all,
					staff,
					times.map((time) => ({ ...time, classId: id })),
					at
				))
			);
	}
	return ids;
}

/**
 * Takes a year back that was begun: everything it did.
 *
 * @returns why not: somebody has worked since, or something was built on it; then nothing is changed
 */
export async function takeYearBack(
	database: RootDatabase,
	staff: Staff,
	id: number,
	{ today, at }: { today: SchoolDate; at: Date }
): Promise<'done' | 'gone' | 'worked' | 'built on'> {
	const outcome = await whole(database, async (all) => {
		const begun = await lockYearBegun(all, staff, id);
		if (!begun) return 'gone' as const;
		if (await hasSittingSince(all, staff.schoolId, begun.begunAt)) return 'worked' as const;
		const { planned, promoted, changes, ended, checks, blocks } = begun.done;
		for (const change of changes.toReversed()) if (!(await undoWithin(all, staff, change, at))) throw new NotDone();
		await restoreGroupWork(all, ended, await allStudentIds(all, staff.schoolId));
		await giveChecksBack(all, staff, checks);
		const { ways, added, graded } = promoted;
		if (ways.length && (await takeBackMoves(all, staff, ways, at)) < ways.length) throw new NotDone();
		await putGradesBack(all, graded, begun.begunOn);
		await markStale(all, graded, { reachesBack: true });
		if (blocks.length) await removeBlocks(all, staff, blocks, at);
		const ids = added.map((one) => one.id);
		if ((await removeUnusedClasses(all, staff, ids, at)).length < ids.length) throw new NotDone();
		for (const one of promoted.ended) if (!(await endClass(all, staff, one, null, { today, at }))) throw new NotDone();
		if (planned) await removeYear(all, staff, planned, at);
		await markYearUndone(all, staff, id, at);
		return 'done' as const;
	});
	return outcome ?? 'built on';
}
