import { createHash } from 'node:crypto';
import type { RosterRecords } from '../../core/interchange/oneRoster/records';
import { rosterOfSchool } from '../../core/interchange/oneRoster/rosterOfSchool';
import { effectOf } from '../../core/interchange/roster/effects';
import { userNameOf } from '../../core/interchange/roster/planAdults';
import { planRoster } from '../../core/interchange/roster/planRoster';
import type { RosterChange, RosterPlan } from '../../core/interchange/roster/schoolRoster';
import { countBy } from '../../core/words';
import { type Database, inOne, type RootDatabase } from '../database';
import {
	addRosteredAdults,
	addRosteredClasses,
	addRosteredStudents,
	dropFormerGrades,
	endClass,
	holdRoster,
	joinSection,
	leaveSection,
	markApplied,
	markUndone,
	moveToClass,
	noteFormerGrades,
	putBackRows,
	waitingRecords,
	removeUnusedAdults,
	removeUnusedClasses,
	renewRows,
	type RosterDone,
	type RosterFigures,
	rosterRules,
	type SchoolInRoster,
	schoolNow,
	setClassAdults,
	takeableBack,
	takeBackMoves,
	takeBackSection,
	takeBackStudents
} from '../people';
import type { Staff } from '../request';
import type { School } from '../school';
import { markStale } from '../standing';
import { refreshGrades } from './refreshGrades';

/** When and for which day something is done. */
interface When {
	today: School['today'];
	at: Date;
}

/** What a roster that waits would do, and a text that tells this plan from any other. */
export interface WaitingPlan extends RosterPlan {
	key: string;
	/** By which the source knows the school. */
	sourcedId: string;
	/** Names of the roster's classes, by the source's ids. */
	classNames: Record<string, string>;
	/** What the roster was compared with. */
	now: SchoolInRoster;
}

/** What the records of a run would do to the school as it is; null where none wait. */
export async function planRun(
	database: Database,
	schoolId: number,
	runId: number,
	today: School['today']
): Promise<WaitingPlan | null> {
	const records = await waitingRecords(database, schoolId, runId);
	if (!records) return null;
	const sourcedId = schoolOf(records);
	const roster = rosterOfSchool(records, sourcedId, today);
	const [now, rules] = await Promise.all([
		schoolNow(database, schoolId, today, roster.adults.map(userNameOf).filter(Boolean)),
		rosterRules(database, schoolId)
	]);
	const plan = planRoster(now, roster, rules);
	const classNames = Object.fromEntries(roster.classes.map((one) => [one.sourcedId, one.name]));
	return { ...plan, sourcedId, classNames, now, key: createHash('sha256').update(JSON.stringify(plan)).digest('hex') };
}

/** Of which school records are that are one school's only. */
const schoolOf = ({ classes, roles }: RosterRecords): string => classes[0]?.school ?? roles[0]?.org ?? '';

/** How many changes of each effect a plan has. */
export const figuresOf = (changes: RosterChange[]): RosterFigures => Object.fromEntries(countBy(changes, effectOf));

/** Why a roster was not applied. */
type NotApplied = 'gone' | 'changed' | 'many leave';

/**
 * Applies a roster that waits, all of it in one transaction.
 *
 * @param key of the plan that was shown; another one is not applied
 * @param isSure that more may leave than is usual
 */
export async function applyRoster(
	database: RootDatabase,
	staff: Staff,
	runId: number,
	{ key, isSure }: { key: string; isSure: boolean },
	{ today, at }: When
): Promise<{ figures: RosterFigures } | { not: NotApplied }> {
	return inOne(database, async (all) => {
		await holdRoster(all, staff);
		const plan = await planRun(all, staff.schoolId, runId, today);
		if (!plan) return { not: 'gone' };
		if (plan.key !== key) return { not: 'changed' };
		const { mostLeaving } = await rosterRules(all, staff.schoolId);
		if (leavesMany(plan, mostLeaving) && !isSure) return { not: 'many leave' };
		const done = await carryOut(all, staff, plan, { today, at });
		const figures = figuresOf(plan.changes);
		const isMarked = await markApplied(all, staff, runId, { done, figures, sourcedId: plan.sourcedId }, at);
		return isMarked ? { figures } : { not: 'gone' };
	});
}

/** Whether more would leave than a school has settled on. @param most percent of its students */
export const leavesMany = ({ leaving }: RosterPlan, most: number) => leaving.count * 100 > most * leaving.of;

const ofKind = <Kind extends RosterChange['kind']>(changes: RosterChange[], kind: Kind) =>
	changes.filter((one): one is Extract<RosterChange, { kind: Kind }> => one.kind === kind);

async function carryOut(
	all: RootDatabase,
	staff: Staff,
	{ changes, now: known }: WaitingPlan,
	{ today, at }: When
): Promise<RosterDone> {
	const newClasses = ofKind(changes, 'add class').map(({ sourcedId, name, grade, isSection }) => ({
		sourcedId,
		isSection,
		after: { name, grade }
	}));
	const addedClasses = await addRosteredClasses(all, staff, newClasses, at);
	const renewedClasses = await renewRows(all, staff, 'class', ofKind(changes, 'renew class'), at);
	const classIds = new Map([
		...known.classes.flatMap(({ id, sourcedId }): [string, number][] => [
			[`${known.key}-class-${id}`, id],
			...(sourcedId ? [[sourcedId, id] as [string, number]] : [])
		]),
		...ofKind(changes, 'renew class').map(({ id, sourcedId }): [string, number] => [sourcedId, id]),
		...addedClasses
	]);
	const students = await carryOutStudents(all, staff, changes, classIds, { today, at });
	const sections = await carryOutSections(
		all,
		staff,
		changes,
		{ classIds, known, added: students.added },
		{ today, at }
	);
	const adults = await carryOutAdults(all, staff, changes, { classIds, known }, { today, at });
	const ended: number[] = [];
	for (const { id } of ofKind(changes, 'end class'))
		if (await endClass(all, staff, id, today, { today, at })) ended.push(id);
	return { classes: { added: [...addedClasses.values()], renewed: renewedClasses, ended }, students, sections, adults };
}

async function carryOutStudents(
	all: RootDatabase,
	staff: Staff,
	changes: RosterChange[],
	classIds: Map<string, number>,
	{ today, at }: When
): Promise<RosterDone['students']> {
	const added = await addRosteredStudents(
		all,
		staff,
		ofKind(changes, 'add student').map(({ sourcedId, record, to }) => ({
			sourcedId,
			after: record,
			classId: classIds.get(to)!
		})),
		{ from: today, at }
	);
	await markStale(all, added, { reachesBack: false });
	const renewed = await renewRows(all, staff, 'student', ofKind(changes, 'renew student'), at);
	const regraded = withOtherGrade(renewed);
	// The past stays of the grade of then.
	await noteFormerGrades(all, regraded, today);
	await refreshGrades(all, idsOf(regraded));
	const ways: RosterDone['students']['ways'] = [];
	const byClass = new Map<number | null, number[]>();
	const goes = (to: number | null, id: number) => byClass.set(to, [...(byClass.get(to) ?? []), id]);
	for (const { id, to } of ofKind(changes, 'move student')) goes(classIds.get(to)!, id);
	for (const { id } of ofKind(changes, 'student leaves')) goes(null, id);
	for (const [classId, ids] of byClass)
		ways.push(...(await moveToClass(all, staff, ids, classId, { from: today, at })));
	return { added, renewed, ways, gradesFrom: today };
}

const withOtherGrade = (renewed: RosterDone['students']['renewed']) =>
	renewed
		.filter(({ before, after }) => before.grade !== after.grade)
		.map(({ id, before }) => ({ id, before: before.grade }));
const idsOf = (some: { id: number }[]) => some.map(({ id }) => id);

async function carryOutSections(
	all: RootDatabase,
	staff: Staff,
	changes: RosterChange[],
	{ classIds, known, added }: { classIds: Map<string, number>; known: SchoolInRoster; added: number[] },
	{ today, at }: When
): Promise<NonNullable<RosterDone['sections']>> {
	const ofSections = ofKind(changes, 'members of section');
	if (ofSections.length === 0) return [];
	const studentIds = new Map([
		...known.students.flatMap(({ id, sourcedId }): [string, number][] => [
			[`${known.key}-student-${id}`, id],
			...(sourcedId ? [[sourcedId, id] as [string, number]] : [])
		]),
		...ofKind(changes, 'renew student').map(({ id, sourcedId }): [string, number] => [sourcedId, id]),
		...ofKind(changes, 'add student').map(({ sourcedId }, i): [string, number] => [sourcedId, added[i]])
	]);
	const done: NonNullable<RosterDone['sections']> = [];
	for (const { of, come, go } of ofSections) {
		const id = classIds.get(of)!;
		const coming = come.map(({ sourcedId }) => studentIds.get(sourcedId)!);
		if (coming.length) done.push({ id, change: await joinSection(all, staff, id, coming, { from: today, at }) });
		if (go.length) done.push({ id, change: await leaveSection(all, staff, id, idsOf(go), { from: today, at }) });
	}
	return done;
}

async function carryOutAdults(
	all: RootDatabase,
	staff: Staff,
	changes: RosterChange[],
	{ classIds, known }: { classIds: Map<string, number>; known: SchoolInRoster },
	{ today, at }: When
): Promise<RosterDone['adults']> {
	const added = await addRosteredAdults(
		all,
		staff,
		ofKind(changes, 'add adult').map(({ sourcedId, userName, displayName, email }) => ({
			sourcedId,
			userName,
			after: { displayName, email }
		})),
		at
	);
	const renewed = await renewRows(all, staff, 'account', ofKind(changes, 'renew adult'), at);
	const accountIds = new Map([
		...known.adults.flatMap(({ id, sourcedId }): [string, number][] => [
			[`${known.key}-adult-${id}`, id],
			...(sourcedId ? [[sourcedId, id] as [string, number]] : [])
		]),
		...ofKind(changes, 'renew adult').map(({ id, sourcedId }): [string, number] => [sourcedId, id]),
		...added
	]);
	const ofClasses: RosterDone['adults']['ofClasses'] = [];
	for (const { of, adults, stay } of ofKind(changes, 'adults of class')) {
		const classId = classIds.get(of)!;
		const ids = [...adults.flatMap((one) => accountIds.get(one) ?? []), ...stay];
		ofClasses.push({ classId, before: await setClassAdults(all, staff, classId, ids, { from: today, at }) });
	}
	return { added: [...added.values()], renewed, ofClasses };
}

/**
 * Takes a roster back that was applied: everything that it changed and that nobody has changed since. Students who came
 * by it and of whom something has come already stay, in their classes.
 *
 * @returns ids of those who stay, and of classes that stay ended as another has their name by now; null for a run that
 *   cannot be taken back any more
 */
export async function takeBackRoster(
	database: RootDatabase,
	staff: Staff,
	runId: number,
	{ today, at }: When
): Promise<{ stay: number[]; ended: number[] } | null> {
	return inOne(database, async (all) => {
		await holdRoster(all, staff);
		const done = await takeableBack(all, staff, runId, at);
		if (!done) return null;
		const { classes, students, sections = [], adults } = done;
		for (const { id, change } of sections) await takeBackSection(all, staff, id, change, at);
		const gone = students.added.length ? await takeBackStudents(all, staff, students.added, at) : [];
		if (students.ways.length) await takeBackMoves(all, staff, students.ways, at);
		for (const { classId, before } of adults.ofClasses)
			await setClassAdults(all, staff, classId, before, { from: today, at });
		await removeUnusedAdults(all, staff, adults.added, at);
		await putBackRows(all, staff, 'account', adults.renewed, at);
		// Classes that are new go, and names are put back, before those that ended take up theirs again.
		await removeUnusedClasses(all, staff, classes.added, at);
		await putBackRows(all, staff, 'class', classes.renewed, at);
		const ended: number[] = [];
		for (const id of classes.ended) if (!(await endClass(all, staff, id, null, { today, at }))) ended.push(id);
		await putBackRows(all, staff, 'student', students.renewed, at);
		const regraded = idsOf(withOtherGrade(students.renewed));
		await dropFormerGrades(all, regraded, students.gradesFrom);
		await refreshGrades(all, regraded);
		await markUndone(all, staff, runId, at);
		return { stay: students.added.filter((id) => !gone.includes(id)), ended };
	});
}
