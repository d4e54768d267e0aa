import { addDays, monthsBefore, schoolDateOf } from '../../core/calendar';
import { STAKES } from '../../core/growth';
import type { SchoolFacts } from '../../core/notices';
import type { Database } from '../database';
import { countOverdueReviews, tasksLateAt } from '../decide';
import { mailProblems } from '../mail';
import {
	classesInSetup,
	countRoster,
	countWithoutPin,
	rosterRuns,
	staffInSetup,
	tieredIn,
	responsibleFor
} from '../people';
import type { Staff } from '../request';
import { cycleList, schoolYears, type School } from '../school';
import { unexpectedQuestions } from '../results';
import { screeningWindows, toFinish } from '../screen';
import { findScope } from '../shell';
import { caseload } from '../track';
import {
	accountsLeftBehind,
	heldBy,
	keptMonths,
	leftStudents,
	newestYearBegun,
	rosterSource,
	runsNothing,
	sayHeld
} from '../setup';

/** So many days after its day a review is overdue. */
const OVERDUE_DAYS = 7;

/** What rules look at of a school today. */
export async function schoolFacts(database: Database, school: School, at: Date): Promise<SchoolFacts> {
	const { id, today, calendar, timeZone } = school;
	// Sees the whole school; nobody is told anything by it.
	const everywhere: Staff = { kind: 'staff', id: 0, schoolId: id, role: 'coordinator', displayName: '' };
	const roster = { staff: everywhere, today };
	const [people, unsentMails, leftBehind, classes, pins, tiered, windows, years, begun, cycles, runs] =
		await Promise.all([
			staffInSetup(database, id, at),
			mailProblems(database, id),
			accountsLeftBehind(database, id, today),
			classesInSetup(database, everywhere, today),
			countWithoutPin(database, id, today),
			tieredIn(database, roster),
			screeningWindows(database, id),
			schoolYears(database, id),
			newestYearBegun(database, id),
			cycleList(database, id),
			rosterRuns(database, id, 1)
		]);
	const [months, source] = await Promise.all([keptMonths(database, id), rosterSource(database, id)]);
	const questions = await unexpectedQuestions(database, id, at);
	const kept = months === null ? [] : await leftStudents(database, id, today, monthsBefore(today, months));
	const responsible = await responsibleFor(database, tiered, today);
	const colleagues: SchoolFacts['people'] = [];
	for (const { id: accountId, displayName, deactivatedAt, hasPassword, invitedUntil } of people) {
		const isActive = deactivatedAt === null;
		const held = leftBehind.includes(accountId) ? await heldBy(database, everywhere, accountId, today) : null;
		colleagues.push({
			id: accountId,
			name: displayName,
			isActive,
			hasPassword,
			isInvited: invitedUntil !== null,
			runs: held && !runsNothing(held) ? sayHeld(held) : ''
		});
	}
	const ahead: SchoolFacts['windows'] = [];
	for (const { id: windowId, name, opensOn, closesOn } of windows.filter((window) => window.closesOn >= today)) {
		const counts = await countRoster(database, roster, { toFinish: toFinish(windowId) });
		ahead.push({ id: windowId, name, opensOn, closesOn, ...counts });
	}
	const scope = (await findScope(database, everywhere, 'school', today))!;
	const [students, overdueReviews, lateTasks] = await Promise.all([
		caseload(database, everywhere, school, scope),
		countOverdueReviews(database, roster, addDays(today, -OVERDUE_DAYS)),
		tasksLateAt(database, everywhere, today)
	]);
	const waiting = runs.find(({ state }) => state === 'planned');
	return {
		today,
		calendar,
		people: colleagues,
		unsentMails,
		classes: classes
			.filter(({ endedOn }) => endedOn === null || endedOn > today)
			.map((one) => ({ id: one.id, name: one.name, students: one.students, adults: one.adults.length })),
		pins,
		tiered: { students: tiered.length, nobodys: tiered.length - responsible.size },
		windows: ahead,
		years,
		yearBegunOn: begun?.begunOn ?? null,
		cycles,
		keptLongEnough: kept.length,
		syncTrouble: source?.syncedWell === false ? { on: source.syncedOn!, says: source.syncSays } : null,
		unexpected: questions.map(({ setId, studentId, position, skillId, ...question }) => ({
			...question,
			path:
				setId === null
					? `/students/${studentId}/answers?kind=diagnostic&judged=not+right&skill=${skillId}`
					: `/practice/${setId}/results?question=${position}`
		})),
		atStake: Object.fromEntries(
			STAKES.map((kind) => [kind, students.filter(({ stakes }) => stakes.some(({ is }) => is === kind)).length])
		) as SchoolFacts['atStake'],
		overdueReviews,
		lateTasks,
		rosterSince: waiting ? schoolDateOf(waiting.broughtAt, timeZone) : null
	};
}
