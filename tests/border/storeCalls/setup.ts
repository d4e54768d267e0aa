import * as digests from '../../../src/lib/server/notices/store/digests';
import * as notices from '../../../src/lib/server/notices/store/notices';
import * as archive from '../../../src/lib/server/setup/store/archive';
import * as erasing from '../../../src/lib/server/setup/store/erasing';
import * as leftBehind from '../../../src/lib/server/setup/store/leftBehind';
import * as yearsBegun from '../../../src/lib/server/setup/store/yearsBegun';
import * as auditLog from '../../../src/lib/server/setup/store/auditLog';
import * as otherSchools from '../../../src/lib/server/people/store/otherSchools';
import * as accounts from '../../../src/lib/server/people/store/accounts';
import * as listLayouts from '../../../src/lib/server/setup/store/listLayouts';
import * as pastSupport from '../../../src/lib/server/decide/store/pastSupport';
import * as sections from '../../../src/lib/server/people/store/sections';
import * as classes from '../../../src/lib/server/people/store/classes';
import * as enrollment from '../../../src/lib/server/people/store/enrollment';
import * as grades from '../../../src/lib/server/people/store/grades';
import * as moves from '../../../src/lib/server/people/store/moves';
import * as responsibility from '../../../src/lib/server/people/store/responsibility';
import * as promotion from '../../../src/lib/server/people/store/promotion';
import * as pins from '../../../src/lib/server/people/store/pins';
import * as cycles from '../../../src/lib/server/school/store/cycles';
import * as daysOff from '../../../src/lib/server/school/store/daysOff';
import * as newSchool from '../../../src/lib/server/school/store/newSchool';
import * as profile from '../../../src/lib/server/school/store/profile';
import * as tierPlans from '../../../src/lib/server/school/store/tierPlans';
import * as years from '../../../src/lib/server/school/store/years';
import * as secondFactors from '../../../src/lib/server/auth/store/secondFactors';
import { tokenHash } from '../../../src/lib/server/auth/signIn';
import { addDays } from '../../../src/lib/core/calendar';
import { NOW, seen, seenOne, TODAY } from '../../smallSchool';
import { all, checks, given, type Asking, type Call } from './asking';

const account = { displayName: 'New', role: 'teacher', email: null } as const;
const record = {
	givenName: 'New',
	familyName: 'Student',
	preferredName: null,
	number: null,
	grade: 4,
	birthDate: null
};
const from = { from: TODAY, at: NOW };
const AFTER = addDays(TODAY, 1);
const year = { startsOn: '2028-08-21', endsOn: '2029-06-10', winterOn: null, springOn: null };
const size = { size: { minimum: 2, maximum: 5 }, minutesAWeek: 60 };

/** What a new year did that found nothing to do. */
const yearDone = {
	startsOn: '2026-08-20',
	planned: null,
	promoted: { ended: [], added: [], ways: [], graded: [] },
	changes: [],
	ended: { plans: [], sets: [], reviews: [] },
	checks: [],
	blocks: []
};
const yearOf = async ({ database, of }: Asking) => (await yearsBegun.newestYearBegun(database, of.base))!.id;
const noticeOf = async ({ database, of }: Asking) => (await notices.openNotices(database, of.staff.coordinator))[0].id;
const graded = ({ me }: Asking) => me.students.map((id) => ({ id, before: 4, grade: 5 }));

/** Of what Setup keeps. */
export const setupCalls: [object, Record<string, Call>][] = [
	[
		accounts,
		{
			staffInSetup: given(({ database, me }) => accounts.staffInSetup(database, me.base, NOW)),
			addAccount: given(({ database, me }) =>
				accounts.addAccount(database, me.staff.coordinator, { ...account, userName: `new${me.base}` }, NOW)
			),
			changeAccount: checks(({ database, me, of }) =>
				accounts.changeAccount(database, me.staff.coordinator, of.staff.teacher.id, account, NOW)
			),
			setActive: checks(({ database, me, of }) =>
				accounts.setActive(database, me.staff.coordinator, of.staff.teacher.id, false, NOW)
			),
			invite: checks(({ database, me, of }) =>
				accounts.invite(database, me.staff.coordinator, of.staff.teacher.id, tokenHash(`for ${me.base}`), NOW)
			),
			// By a secret that only who was invited has.
			invitedBy: all,
			acceptInvitation: all
		}
	],
	[
		otherSchools,
		{
			otherSchools: given(({ database, me }) => otherSchools.otherSchools(database, me.staff.teacher)),
			// By a secret that only who was invited has.
			joinByInvitation: all
		}
	],
	[
		grades,
		{
			gradeOnSql: all,
			gradesByDay: given(({ database, me }) =>
				grades.gradesByDay(
					database,
					me.students.map((id) => ({ id, grade: 4 }))
				)
			),
			asOfGrade: given(({ database, me }) =>
				grades.asOfGrade(
					database,
					me.students.map((id) => ({ id, grade: 4 })),
					TODAY
				)
			),
			noteFormerGrades: given((asking) => grades.noteFormerGrades(asking.database, graded(asking), TODAY)),
			dropFormerGrades: given(({ database, me }) => grades.dropFormerGrades(database, me.students, TODAY)),
			setGradesFrom: given((asking) => grades.setGradesFrom(asking.database, graded(asking), TODAY)),
			putGradesBack: given(({ database, me }) => grades.putGradesBack(database, me.students, TODAY))
		}
	],
	[
		promotion,
		{
			plannedAfter: given(({ database, me }) => promotion.plannedAfter(database, me.staff.coordinator, TODAY)),
			promoteClasses: checks(({ database, me, of }) =>
				promotion.promoteClasses(
					database,
					me.staff.coordinator,
					[of.classes.a, of.classes.b].map((classId) => ({ classId, becomes: { name: `New ${classId}`, grade: 5 } })),
					from
				)
			)
		}
	],
	[
		archive,
		{
			archiveRows: given(async ({ database, me }) => {
				const rows = [];
				for (const file of archive.SCHOOL_FILES) rows.push(await archive.archiveRows(database, file, me.base));
				for (const file of [...archive.PEOPLE_FILES, ...archive.WORK_FILES])
					rows.push(await archive.archiveRows(database, file, me.students));
				return rows;
			})
		}
	],
	[
		erasing,
		{
			leftStudents: given(({ database, me }) => erasing.leftStudents(database, me.base, AFTER, null)),
			countTraces: given(({ database, me }) => erasing.countTraces(database, me.students)),
			eraseStudents: checks(
				({ database, me, of }) =>
					erasing.eraseStudents(database, me.staff.coordinator, of.students.slice(0, 2), 'asked for', {
						today: AFTER,
						at: NOW
					}),
				({ database, of }) =>
					moves.moveToClass(database, of.staff.coordinator, of.students.slice(0, 2), null, { from: TODAY, at: NOW })
			),
			erasedStudents: given(({ database, me }) => erasing.erasedStudents(database, me.base)),
			erasedAgain: given(({ database, me }) =>
				erasing.erasedAgain(
					database,
					me.base,
					me.students.map((studentId) => ({ studentId, mark: 'none' }))
				)
			),
			keptMonths: given(({ database, me }) => erasing.keptMonths(database, me.base)),
			setKeptMonths: given(({ database, me }) => erasing.setKeptMonths(database, me.staff.coordinator, 12, NOW))
		}
	],
	[
		leftBehind,
		{ accountsLeftBehind: given(({ database, me }) => leftBehind.accountsLeftBehind(database, me.base, TODAY)) }
	],
	[
		yearsBegun,
		{
			newestYearBegun: given(({ database, me }) => yearsBegun.newestYearBegun(database, me.base)),
			lockYearBegun: checks(async (asking) =>
				yearsBegun.lockYearBegun(asking.database, asking.me.staff.coordinator, await yearOf(asking))
			),
			addYearBegun: given(({ database, me }) =>
				yearsBegun.addYearBegun(database, me.staff.coordinator, { on: TODAY, done: yearDone }, NOW)
			),
			markYearUndone: given(async (asking) =>
				yearsBegun.markYearUndone(asking.database, asking.me.staff.coordinator, await yearOf(asking), NOW)
			)
		}
	],
	[
		digests,
		{
			digestChoice: given(({ database, me }) => digests.digestChoice(database, me.staff.coordinator)),
			chooseDigest: given(({ database, me }) => digests.chooseDigest(database, me.staff.coordinator, true, NOW)),
			digestsToSend: given(({ database, me }) => digests.digestsToSend(database, me.base, '2026-11-23')),
			noteDigest: given(({ database, me }) => digests.noteDigest(database, me.staff.coordinator, '2026-11-23'))
		}
	],
	[
		notices,
		{
			audiencesOf: all,
			keepNotices: given(({ database, me }) => notices.keepNotices(database, me.base, [], NOW)),
			openNotices: given(({ database, me }) => notices.openNotices(database, me.staff.coordinator)),
			markSeen: checks(async (asking) =>
				notices.markSeen(asking.database, asking.me.staff.coordinator, [await noticeOf(asking)], NOW)
			),
			putOff: checks(async (asking) =>
				notices.putOff(asking.database, asking.me.staff.coordinator, await noticeOf(asking), '2026-12-01', NOW)
			),
			setDone: checks(async (asking) =>
				notices.setDone(asking.database, asking.me.staff.coordinator, await noticeOf(asking), true, NOW)
			)
		}
	],
	[
		secondFactors,
		{
			// By who tries to sign in, whoever that is: the password was right before.
			secondFactorOf: all,
			useStep: all,
			useRecoveryCode: all,
			needsSecondFactor: given(({ database, me }) => secondFactors.needsSecondFactor(database, me.base)),
			requireSecondFactor: given(({ database, me }) =>
				secondFactors.requireSecondFactor(database, me.staff.coordinator, true, NOW)
			),
			keepSecondFactor: given(({ database, me }) =>
				secondFactors.keepSecondFactor(
					database,
					me.staff.teacher,
					{ secret: 'JBSWY3DPEHPK3PXPJBSWY3DPEHPK3PXP', step: 1, codeHashes: [tokenHash('code')] },
					NOW
				)
			),
			renewRecoveryCodes: given(({ database, me }) =>
				secondFactors.renewRecoveryCodes(database, me.staff.coordinator, [tokenHash('other')], NOW)
			),
			anySchoolNeedsSecondFactor: given(({ database, me }) =>
				secondFactors.anySchoolNeedsSecondFactor(database, me.staff.coordinator)
			),
			dropOwnSecondFactor: given(({ database, me }) =>
				secondFactors.dropOwnSecondFactor(database, me.staff.coordinator, NOW)
			),
			dropSecondFactor: checks(({ database, me, of }) =>
				secondFactors.dropSecondFactor(database, me.staff.coordinator, of.staff.coordinator.id, NOW)
			)
		}
	],
	[
		auditLog,
		{
			auditLog: checks(({ database, me, of }) =>
				auditLog.auditLog(
					database,
					me.staff.coordinator,
					{ accountId: null, studentId: of.students[0], action: null, from: null, until: null },
					{ from: 0, most: 100 }
				)
			),
			loggedActions: given(({ database, me }) => auditLog.loggedActions(database, me.staff.coordinator))
		}
	],
	[
		classes,
		{
			setSignInHours: checks(({ database, me, of }) =>
				classes.setSignInHours(database, me.staff.coordinator, of.classes.a, { from: '08:00', until: '15:30' }, NOW)
			),
			freshCode: given(({ database }) => classes.freshCode(database)),
			classesInSetup: given(({ database, me }) => classes.classesInSetup(database, me.staff.coordinator, TODAY)),
			addClasses: given(({ database, me }) =>
				classes.addClasses(database, me.staff.coordinator, [{ name: 'Knot', grade: 3 }], NOW)
			),
			changeClass: checks(({ database, me, of }) =>
				classes.changeClass(database, me.staff.coordinator, of.classes.a, { name: 'Knot', grade: 3 }, NOW)
			),
			endClass: checks(
				({ database, me, of }) =>
					classes.endClass(database, me.staff.coordinator, of.classes.a, TODAY, { today: TODAY, at: NOW }),
				({ database, of }) =>
					database.run('UPDATE class_membership SET until_on = ? WHERE class_id = ?', [TODAY, of.classes.a])
			),
			setClassAdults: checks(({ database, me, of }) =>
				classes.setClassAdults(database, me.staff.coordinator, of.classes.a, [of.staff.otherTeacher.id], from)
			)
		}
	],
	[
		enrollment,
		{
			enrolledIn: checks(({ database, me, of }) =>
				enrollment.enrolledIn(database, me.staff.coordinator, of.classes.a, TODAY)
			),
			enrolledInSection: checks(({ database, me, of }) =>
				enrollment.enrolledInSection(database, me.staff.coordinator, of.section.id, TODAY)
			),
			enrolledByIds: checks(({ database, me, of }) =>
				enrollment.enrolledByIds(database, me.staff.coordinator, of.students, TODAY)
			),
			enrolledLike: checks(({ database, me, of }) =>
				enrollment.enrolledLike(
					database,
					me.staff.coordinator,
					{ numbers: of.students.map((id) => `N${id}`), familyNames: [] },
					TODAY
				)
			),
			addStudents: checks(({ database, me, of }) =>
				enrollment.addStudents(database, me.staff.coordinator, [{ ...record, classId: of.classes.a }], from)
			),
			takeBackStudents: checks(
				({ database, me, of }) => enrollment.takeBackStudents(database, me.staff.coordinator, [of.students[2]], NOW),
				({ database, of }) => forgetTraces(database, of.students[2])
			),
			changeStudent: checks(({ database, me, of }) =>
				enrollment.changeStudent(database, me.staff.coordinator, of.students[0], record, NOW)
			)
		}
	],
	[
		listLayouts,
		{
			keptLayout: given(({ database, me }) => listLayouts.keptLayout(database, me.staff.coordinator, ['Name'])),
			keepLayout: given(({ database, me }) => {
				const layout = { hasHeader: true, columns: ['name' as const], isFamilyFirst: false };
				return listLayouts.keepLayout(database, me.staff.coordinator, ['Name'], layout, NOW);
			})
		}
	],
	[
		pastSupport,
		{
			pastSupport: given(({ database, me }) => pastSupport.pastSupport(database, seenOne(me.students[0]))),
			tierSpans: given(({ database, me }) => pastSupport.tierSpans(database, me.staff.coordinator)),
			bringSupport: checks(({ database, me, of }) => {
				const past = { name: '', tier: 2 as const, from: '2025-09-01', until: '2025-10-01', isOver: true };
				const of1 = { ...past, studentId: of.students[0], did: 'x', came: '' };
				return pastSupport.bringSupport(database, me.staff.coordinator, { tiers: [], past: [of1] }, NOW);
			}),
			takeBackSupport: checks(({ database, me, of }) => {
				const brought = { tiers: [], past: [of.pastSupport] };
				return pastSupport.takeBackSupport(database, me.staff.coordinator, brought, NOW);
			})
		}
	],
	[
		sections,
		{
			inSections: all,
			sectionsOf: given(({ database, me }) =>
				sections.sectionsOf(
					database,
					me.students.map((id) => ({ id })),
					TODAY
				)
			),
			sectionMembers: given(({ database, me }) => sections.sectionMembers(database, me.base, TODAY)),
			joinSection: checks(({ database, me, of }) =>
				sections.joinSection(database, me.staff.coordinator, of.section.id, of.students, from)
			),
			leaveSection: checks(({ database, me, of }) =>
				sections.leaveSection(database, me.staff.coordinator, of.section.id, of.students, from)
			),
			takeBackSection: checks(({ database, me, of }) => {
				const ended = [{ id: of.section.membership, untilOn: TODAY }];
				return sections.takeBackSection(database, me.staff.coordinator, of.section.id, { begun: [], ended }, NOW);
			})
		}
	],
	[
		moves,
		{
			moveToClass: checks(({ database, me, of }) =>
				moves.moveToClass(database, me.staff.coordinator, of.students.slice(0, 2), of.classes.b, from)
			),
			takeBackMoves: checks(async ({ database, me, of }) => {
				const row = await database.row<{ id: number }>('SELECT id FROM class_membership WHERE student_id = ? LIMIT 1', [
					of.students[0]
				]);
				const way = { studentId: of.students[0], ended: [{ id: row!.id, untilOn: TODAY }], begun: null };
				return moves.takeBackMoves(database, me.staff.coordinator, [way], NOW);
			})
		}
	],
	[
		responsibility,
		{
			ownOrNobodys: given(({ me }) => responsibility.ownOrNobodys(me.staff.specialist, TODAY)),
			heldStudents: checks(({ database, me, of }) =>
				responsibility.heldStudents(database, me.staff.coordinator, of.staff.specialist.id, TODAY)
			),
			responsibleFor: given(({ database, me }) => responsibility.responsibleFor(database, seen(...me.students), TODAY)),
			setResponsible: checks(({ database, me, of }) =>
				responsibility.setResponsible(
					database,
					me.staff.coordinator,
					seen(of.students[0]),
					of.staff.interventionist.id,
					from
				)
			)
		}
	],
	[
		pins,
		{
			setPins: checks(({ database, me, of }) =>
				pins.setPins(database, me.staff.coordinator, [{ studentId: of.students[0], pinHash: 'hash' }], NOW)
			),
			countWithoutPin: given(({ database, me }) => pins.countWithoutPin(database, me.base, TODAY))
		}
	],
	[
		cycles,
		{
			currentCycle: given(({ database, me }) => cycles.currentCycle(database, me.base, TODAY)),
			cycleList: given(({ database, me }) => cycles.cycleList(database, me.base)),
			planCycle: given(({ database, me }) =>
				cycles.planCycle(database, me.staff.coordinator, null, { number: 9, startsOn: '2028-01-10', weeks: 8 }, NOW)
			),
			removeCycle: checks(async ({ database, me, of }) => {
				const [cycle] = await cycles.cycleList(database, of.base);
				return cycles.removeCycle(database, me.staff.coordinator, cycle.id, NOW);
			})
		}
	],
	[
		daysOff,
		{
			daysOff: given(({ database, me }) => daysOff.daysOff(database, me.base, TODAY)),
			addDaysOff: given(({ database, me }) =>
				daysOff.addDaysOff(
					database,
					me.staff.coordinator,
					[{ fromOn: '2027-03-01', untilOn: '2027-03-06', name: 'Spring break' }],
					NOW
				)
			),
			removeDaysOff: checks(async ({ database, me, of }) => {
				const off = await daysOff.daysOff(database, of.base, TODAY);
				return daysOff.removeDaysOff(
					database,
					me.staff.coordinator,
					off.map(({ id }) => id),
					NOW
				);
			})
		}
	],
	[
		newSchool,
		{
			// The operator's.
			addSchool: all
		}
	],
	[
		profile,
		{
			schoolProfile: given(({ database, me }) => profile.schoolProfile(database, me.base)),
			changeProfile: given(async ({ database, me }) =>
				profile.changeProfile(
					database,
					me.staff.coordinator,
					{ ...(await profile.schoolProfile(database, me.base)), pinLength: 5 },
					NOW
				)
			)
		}
	],
	[
		tierPlans,
		{
			tierPlans: given(({ database, me }) => tierPlans.tierPlans(database, me.base)),
			changeTierPlans: given(({ database, me }) =>
				tierPlans.changeTierPlans(database, me.staff.coordinator, { 2: size, 3: size }, NOW)
			)
		}
	],
	[
		years,
		{
			removeYear: given(({ database, me }) => years.removeYear(database, me.staff.coordinator, year.startsOn, NOW)),
			schoolYears: given(({ database, me }) => years.schoolYears(database, me.base)),
			planYear: given(({ database, me }) => years.planYear(database, me.staff.coordinator, null, year, NOW))
		}
	]
];

/** Lets nothing have come of a student, as if they had just been added. */
async function forgetTraces(database: { run: (sql: string, values: unknown[]) => Promise<unknown> }, id: number) {
	for (const table of ['attendance', 'review', 'group_membership', 'practice_set_student', 'tier_interval', 'outcome'])
		await database.run(`DELETE FROM ${table} WHERE student_id = ?`, [id]);
	await database.run('DELETE FROM student_pair WHERE student_id = ? OR other_id = ?', [id, id]);
	for (const table of ['probe_plan', 'window_student', 'score', 'accommodation', 'student_note'])
		await database.run(`DELETE FROM ${table} WHERE student_id = ?`, [id]);
}
