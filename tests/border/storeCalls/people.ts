import { randomBytes } from 'node:crypto';
import * as clearSignIns from '../../../src/lib/server/auth/store/clearSignIns';
import * as knownBrowsers from '../../../src/lib/server/auth/store/knownBrowsers';
import * as signIns from '../../../src/lib/server/auth/store/signIns';
import * as signingKey from '../../../src/lib/server/auth/store/signingKey';
import * as tries from '../../../src/lib/server/auth/store/tries';
import * as accommodations from '../../../src/lib/server/people/store/accommodations';
import * as singleSignOns from '../../../src/lib/server/auth/store/singleSignOns';
import * as outbox from '../../../src/lib/server/mail/store/outbox';
import * as attributes from '../../../src/lib/server/people/store/attributes';
import * as audit from '../../../src/lib/server/database/audit';
import * as bulk from '../../../src/lib/server/database/seeding';
import * as school from '../../../src/lib/server/school/store/school';
import * as jobs from '../../../src/lib/server/jobs/store/jobs';
import * as notes from '../../../src/lib/server/people/store/notes';
import * as ownRows from '../../../src/lib/server/database/ownRows';
import * as scope from '../../../src/lib/server/shell/store/scope';
import * as rosterCounts from '../../../src/lib/server/people/store/rosterCounts';
import { dueReviews } from '../../../src/lib/server/decide/store/reviews';
import { withWork } from '../../../src/lib/server/practice/store/waiting';
import * as people from '../../../src/lib/server/people/store/people';
import * as roster from '../../../src/lib/server/people/store/roster';
import { NOW, seen, seenOne, TODAY } from '../../smallSchool';
import { all, checks, given, type Call } from './asking';

const place = { address: '10.0.0.2', browser: 'two' };
const support = { readAloud: true, largerType: true, timeFactor: 1, itemsADay: null } as const;

export const peopleCalls: [object, Record<string, Call>][] = [
	[
		accommodations,
		{
			accommodations: given(({ database, me }) => accommodations.accommodations(database, seen(...me.students))),
			setAccommodations: checks(({ database, me, of }) =>
				accommodations.setAccommodations(database, me.staff.specialist, of.students, support, NOW)
			)
		}
	],
	[
		attributes,
		{
			attributeChoices: given(({ database, me }) =>
				attributes.attributeChoices(database, { staff: me.staff.specialist, today: TODAY })
			),
			studentsWith: given(({ database, me }) =>
				attributes.studentsWith(
					database,
					{ staff: me.staff.specialist, today: TODAY },
					{ name: 'Home language', value: 'Wolof' }
				)
			),
			saidOf: checks(({ database, me, of }) => attributes.saidOf(database, me.staff.coordinator, of.students)),
			sayOf: checks(({ database, me, of }) =>
				attributes.sayOf(
					database,
					me.staff.coordinator,
					'Home language',
					of.students.map((student) => ({ student, value: 'Catalan' })),
					NOW
				)
			)
		}
	],
	[
		singleSignOns,
		{
			singleSignOnOf: given(({ database, me }) => singleSignOns.singleSignOnOf(database, me.base)),
			setSingleSignOn: given(({ database, me }) =>
				singleSignOns.setSingleSignOn(database, me.staff.coordinator, 'beside', NOW)
			),
			knownByRoster: all,
			isSingleSignOnUsed: all
		}
	],
	[
		outbox,
		{
			queueMail: checks(({ database, me, of }) =>
				outbox.queueMail(database, me.staff.coordinator, of.staff.otherTeacher.id, { subject: 'x', text: 'y' }, NOW)
			),
			claimMail: all,
			markSent: all,
			markUnsent: all,
			clearMails: all,
			newestMails: given(({ database, me }) => outbox.newestMails(database, me.base)),
			mailProblems: given(({ database, me }) => outbox.mailProblems(database, me.base))
		}
	],
	[audit, { audit: given(({ database, me }) => audit.audit(database, me.staff.teacher, NOW, 'try', {})) }],
	[bulk, { fill: all, schoolNames: all, unscoredDiagnostics: all, eraseEverything: all }],
	[
		school,
		{
			findSchool: given(({ database, me }) => school.findSchool(database, me.base, NOW))
		}
	],
	[
		jobs,
		{
			askForJob: given(({ database, me }) => jobs.askForJob(database, me.staff.coordinator, 'calibration', NOW)),
			keepRecurring: all,
			hastenJob: all,
			claimJob: all,
			renewClaim: all,
			endJob: all,
			cancelJob: checks(
				({ database, me, of }) => jobs.cancelJob(database, me.staff.coordinator, of.job, NOW),
				({ database, of }) => database.run(`UPDATE job SET state = 'waiting' WHERE id = ?`, [of.job])
			),
			newestJob: given(({ database, me }) => jobs.newestJob(database, me.base, 'calibration'))
		}
	],
	[
		notes,
		{
			notesOn: given(({ database, me }) => notes.notesOn(database, seen(...me.students))),
			writeNote: checks(({ database, me, of }) =>
				notes.writeNote(
					database,
					me.staff.specialist,
					{ studentId: of.students[0], groupId: of.groups.a, on: TODAY, text: 'x' },
					NOW
				)
			),
			removeNote: checks(({ database, me, of }) =>
				notes.removeNote(database, me.staff.specialist, of.notes.a, true, NOW)
			)
		}
	],
	[
		ownRows,
		{
			requireOwn: checks(({ database, me, of }) =>
				ownRows.requireOwn(database, me.staff.teacher, { student: of.students, slot: of.slots, draft: [of.draft] })
			)
		}
	],
	[
		people,
		{
			classList: given(({ database, me }) => people.classList(database, me.base)),
			classCodes: given(({ database, me }) => people.classCodes(database, me.staff.specialist, TODAY)),
			studentsByNumber: checks(({ database, me, of }) =>
				people.studentsByNumber(
					database,
					me.base,
					of.students.map((id) => `N${id}`)
				)
			),
			accountByUserName: all,
			classByCode: all,
			studentPin: all,
			staffList: given(({ database, me }) => people.staffList(database, me.base, ['specialist', 'teacher'])),
			adultsWhoSee: given(({ database, me }) =>
				people.adultsWhoSee(database, me.staff.specialist, seenOne(me.students[0]), TODAY)
			),
			schoolTimeZones: all,
			lockStudents: given(({ database, me }) => people.lockStudents(database, me.students)),
			allStudentIds: given(({ database, me }) => people.allStudentIds(database, me.base))
		}
	],
	[
		roster,
		{
			ownClassesOnly: given(({ me }) => roster.ownClassesOnly(me.staff.teacher, TODAY, 'class.id')),
			ownStudentsOnly: given(({ me }) =>
				roster.ownStudentsOnly(me.staff.teacher, TODAY, 'class.id', 'membership.student_id')
			),
			inSection: given(({ me }) => roster.inSection({ staff: me.staff.teacher, today: TODAY }, me.base)),
			seenBy: given(({ me }) => roster.seenBy(me.staff.teacher, TODAY, 'student.id')),
			rosterSql: given(({ me }) => roster.rosterSql({ staff: me.staff.teacher, today: TODAY })),
			rosterSize: given(({ database, me }) => roster.rosterSize(database, { staff: me.staff.teacher, today: TODAY })),
			rosterStudents: given(({ database, me }) =>
				roster.rosterStudents(database, { staff: me.staff.teacher, today: TODAY })
			),
			studentIn: checks(({ database, me, of }) =>
				roster.studentIn(database, { staff: me.staff.specialist, today: TODAY }, of.students[0])
			),
			placeInRoster: checks(({ database, me, of }) =>
				roster.placeInRoster(database, { staff: me.staff.specialist, today: TODAY }, of.students[0])
			),
			studentsNamed: given(({ database, me }) =>
				roster.studentsNamed(database, { staff: me.staff.specialist, today: TODAY }, 'Given', 1_000)
			),
			visibleAmong: checks(({ database, me, of }) =>
				roster.visibleAmong(database, me.staff.specialist, of.students, TODAY)
			),
			seenAmong: checks(({ database, me, of }) => roster.seenAmong(database, me.staff.specialist, of.students, TODAY)),
			inClasses: given(({ me }) => roster.inClasses({ staff: me.staff.teacher, today: TODAY }, [me.base])),
			tieredIn: given(({ database, me }) => roster.tieredIn(database, { staff: me.staff.specialist, today: TODAY }))
		}
	],
	[
		rosterCounts,
		{
			countRoster: given(({ database, me }) =>
				rosterCounts.countRoster(
					database,
					{ staff: me.staff.specialist, today: TODAY },
					{ due: dueReviews(TODAY), waiting: withWork(TODAY) }
				)
			),
			idsCounted: given(({ database, me }) =>
				rosterCounts.idsCounted(database, { staff: me.staff.specialist, today: TODAY }, withWork(TODAY))
			)
		}
	],
	[
		scope,
		{
			findScope: checks(async ({ database, me, of }) => {
				const keys = [
					`class:${of.classes.a}`,
					`group:${of.groups.a}`,
					`list:${of.students.join()}`,
					'school',
					'grade:4'
				];
				const found = [];
				for (const staff of Object.values(me.staff))
					for (const key of keys) found.push(await (await scope.findScope(database, staff, key, TODAY))?.students());
				return found;
			}),
			defaultScope: given(async ({ database, me }) => {
				const found = [];
				for (const staff of Object.values(me.staff))
					found.push(await (await scope.defaultScope(database, staff, TODAY)).students());
				return found;
			}),
			scopeChoices: given(({ database, me }) => scope.scopeChoices(database, me.staff.specialist, TODAY))
		}
	],
	[clearSignIns, { clearSignIns: all }],
	[
		knownBrowsers,
		{
			isKnownBrowser: given(({ database, me }) =>
				knownBrowsers.isKnownBrowser(database, randomBytes(32), { classId: me.classes.a })
			),
			noteBrowser: given(({ database, me }) =>
				knownBrowsers.noteBrowser(database, randomBytes(32), { classId: me.classes.a }, NOW)
			)
		}
	],
	[
		signIns,
		{
			beginSignIn: given(({ database, me }) =>
				signIns.beginSignIn(
					database,
					{ studentId: seenOne(me.students[1]) },
					{ tokenHash: randomBytes(32), heldHash: null },
					place,
					NOW
				)
			),
			signInHolder: all,
			// By the token of a sign-in, and to an account that was found to be the person's.
			moveSignIn: all,
			endSignIn: all,
			signInsOf: given(({ database, me }) => signIns.signInsOf(database, me.staff.specialist, randomBytes(32), NOW)),
			endOthers: checks(async ({ database, me, of }) => {
				const [first] = await signIns.signInsOf(database, of.staff.specialist, randomBytes(32), NOW);
				return signIns.endOthers(database, me.staff.specialist, randomBytes(32), first.id, NOW);
			}),
			passwordHashOf: given(({ database, me }) => signIns.passwordHashOf(database, me.staff.specialist)),
			changePassword: given(({ database, me }) =>
				signIns.changePassword(database, me.staff.specialist, 'other', randomBytes(32), NOW)
			)
		}
	],
	[signingKey, { signingKey: all }],
	[
		tries,
		{
			countTry: all,
			endTry: all,
			lockedOut: given(({ database, me }) =>
				tries.lockedOut(database, me.staff.specialist, {
					failures: 8,
					since: new Date(NOW.getTime() - 86_400_000),
					today: TODAY
				})
			),
			letTryAgain: checks(({ database, me, of }) =>
				tries.letTryAgain(
					database,
					me.staff.specialist,
					of.students.map((id) => ({ id })),
					NOW
				)
			)
		}
	]
];
