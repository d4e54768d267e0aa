import { oneSkillSet } from '../oneSkillSet';
import { setCutScores } from '../../src/lib/server/screen/store/cutScores';
import { randomBytes, randomUUID } from 'node:crypto';
import { shippedFramework } from '../../framework/shipped';
import { addDays } from '../../src/lib/core/calendar';
import { GROWTH_PRIOR, USUAL_TIER_RULE } from '../../src/lib/core/growth';
import { itemFrom } from '../../src/lib/core/items/bank';
import { FIELD_CONSTANTS } from '../../src/lib/core/mastery';
import { noteBrowser } from '../../src/lib/server/auth/store/knownBrowsers';
import { beginSignIn } from '../../src/lib/server/auth/store/signIns';
import { countTry } from '../../src/lib/server/auth/store/tries';
import type { RootDatabase } from '../../src/lib/server/database/pool';
import { setAccommodations } from '../../src/lib/server/people/store/accommodations';
import { beginDiagnostic, beginLevelCheck } from '../../src/lib/server/sitting/store/adaptiveSittings';
import { adoptGroups, type NewGroup } from '../../src/lib/server/groups/store/adoptions';
import { storeAnswers } from '../../src/lib/server/sitting/store/answers';
import { fill } from '../../src/lib/server/database/seeding';
import type { School } from '../../src/lib/server/school/store/school';
import { saveDraft } from '../../src/lib/server/groups/store/drafts';
import { changeFramework, shipFramework, taughtFramework } from '../../src/lib/server/library/store/frameworks';
import { addDaysOff } from '../../src/lib/server/school/store/daysOff';
import { changeTierPlans, tierPlans } from '../../src/lib/server/school/store/tierPlans';
import { bringSupport } from '../../src/lib/server/decide/store/pastSupport';
import { noteFormerGrades } from '../../src/lib/server/people/store/grades';
import { queueMail } from '../../src/lib/server/mail/store/outbox';
import { keepLayout } from '../../src/lib/server/setup/store/listLayouts';
import { keepRosterSource } from '../../src/lib/server/setup/store/rosterSources';
import { addYearBegun } from '../../src/lib/server/setup/store/yearsBegun';
import { keepNotices, markSeen, openNotices } from '../../src/lib/server/notices/store/notices';
import { setResponsible } from '../../src/lib/server/people/store/responsibility';
import { keepSecondFactor } from '../../src/lib/server/auth/store/secondFactors';
import { invite } from '../../src/lib/server/people/store/accounts';
import { addRosterRun, rosterRules, setRosterRules } from '../../src/lib/server/people/rosters/store/rosterRuns';
import { ROSTER_FILES, type RosterRecords } from '../../src/lib/core/interchange/oneRoster/records';
import { saveMeasure } from '../../src/lib/server/screen/store/givenMeasures';
import { changeGroup } from '../../src/lib/server/groups/store/groupChanges';
import { askForJob } from '../../src/lib/server/jobs/store/jobs';
import { addMaterial, importStandards, shelve } from '../../src/lib/server/library/store/library';
import { recordMeeting } from '../../src/lib/server/groups/store/meetings';
import { watchSession } from '../../src/lib/server/groups/store/watches';
import { writeNote } from '../../src/lib/server/people/store/notes';
import { saveOutcomes } from '../../src/lib/server/screen/store/outcomes';
import { applyParameters } from '../../src/lib/server/screen/store/parameters';
import { assignSet } from '../../src/lib/server/practice/store/assigning';
import { beginAgain } from '../../src/lib/server/practice/store/furtherRuns';
import { giveMaterial } from '../../src/lib/server/materials/store/given';
import { insertMaterial } from '../../src/lib/server/materials/store/materials';
import { withdrawSets } from '../../src/lib/server/practice/store/practice';
import { startProbes } from '../../src/lib/server/track/store/probes';
import { planReviewMeeting } from '../../src/lib/server/decide/store/reviewMeetings';
import { openReviews } from '../../src/lib/server/decide/store/reviews';
import { changeTierRule, moveTiers, sayTierWord } from '../../src/lib/server/decide/store/tierRules';
import { commendationsOf, giveCommendation } from '../../src/lib/server/commendations/store/commendations';
import { signBadge } from '../../src/lib/server/commendations/signBadge';
import { askFor, ownTasks } from '../../src/lib/server/decide/store/tasks';
import { noteLetter, writeWords } from '../../src/lib/server/reports/store/sheets';
import { decide, NOTHING_MORE } from '../../src/lib/server/decide/store/verdicts';
import { importScores, saveMatching } from '../../src/lib/server/screen/store/scores';
import { beginPractice } from '../../src/lib/server/sitting/store/practiceSittings';
import { letFollow, noteFinishedRuns, waitingRuns } from '../../src/lib/server/practice/store/followOns';
import { addCorrection } from '../../src/lib/server/sitting/store/corrections';
import { noteCorrected } from '../../src/lib/server/sitting/store/regrading';
import { beginFactRun, storeFacts } from '../../src/lib/server/sitting/store/factRuns';
import { paperForm } from '../../src/lib/core/items/probeQuestions';
import { beginProbe, placesOf } from '../../src/lib/server/sitting/store/probeSittings';
import { beginMeasureSeries } from '../../src/lib/server/track/store/measureSeries';
import { keepMoves } from '../../src/lib/server/track/store/growthMoves';
import { storePaperProbes } from '../../src/lib/server/sitting/store/paperProbes';
import { openItem } from '../../src/lib/server/sitting/store/sittings';
import { assignChecks, beginCheck } from '../../src/lib/server/gaps/store/skillChecks';
import { skillList } from '../../src/lib/server/library/store/skills';
import { setEmphasis } from '../../src/lib/server/library/store/emphasis';
import { earlierCells } from '../../src/lib/server/standing/store/earlierCells';
import { applyConstants } from '../../src/lib/server/standing/store/fieldVersions';
import { remakeFields } from '../../src/lib/server/standing/store/studentFields';
import { addAbsences } from '../../src/lib/server/groups/timetable/store/timetable';
import { noteStudents } from '../../src/lib/server/screen/store/windows';
import type { Role, SignedInStudent, Staff } from '../../src/lib/server/request/viewer';
import { newProbes, NOW, ownDatabase, seen, seenOne, TODAY, WEEKDAYS } from '../smallSchool';

/** Rows whose ids the database gives, each table in a range of its own, so that an id says what it is and of which school. */
const RANGES = {
	account: 1,
	class: 2,
	student: 3,
	small_group: 11,
	practice_set: 12,
	probe_plan: 13,
	sitting: 14,
	review: 15,
	group_draft: 16,
	adoption: 17,
	skill_check: 18,
	student_note: 19,
	group_change: 20,
	class_block: 21,
	staff_absence: 22,
	standard: 23,
	skill_material: 24,
	job: 25,
	tier_interval: 27,
	group_membership: 28,
	framework: 29,
	domain: 30,
	skill: 31,
	slot: 32,
	screening_window: 33,
	roster_run: 34,
	notice: 35,
	year_begun: 36,
	section_membership: 37,
	past_intervention: 38,
	review_meeting: 39,
	review_task: 40,
	family_letter: 41,
	tier_word: 42,
	commendation: 43,
	measure_series: 44
};

const NO_RECORDS = Object.fromEntries(ROSTER_FILES.map((file) => [file, []])) as unknown as RosterRecords;

/**
 * What a coordinator keeps in Setup: a day off, plans for tiers, a colleague who is invited, who is responsible, a year
 * that was begun, a roster; and a notice of it.
 *
 * @returns the roster's run
 */
async function setUp(
	database: RootDatabase,
	{ coordinator, specialist, otherTeacher }: FilledSchool['staff'],
	students: number[]
) {
	await addDaysOff(database, coordinator, [{ fromOn: '2026-12-21', untilOn: '2027-01-04', name: 'Break' }], NOW);
	await changeTierPlans(database, coordinator, await tierPlans(database, coordinator.schoolId), NOW);
	await invite(database, coordinator, otherTeacher.id, randomBytes(32), NOW);
	await setResponsible(database, coordinator, seen(students[0]), specialist.id, { from: TODAY, at: NOW });
	await keepSecondFactor(
		database,
		coordinator,
		{ secret: 'JBSWY3DPEHPK3PXPJBSWY3DPEHPK3PXP', step: 1, codeHashes: [randomBytes(32)] },
		NOW
	);
	await noteFormerGrades(database, [{ id: students[0], before: 3 }], '2026-08-20');
	const promoted = { ended: [], added: [], ways: [], graded: [] };
	const done = {
		startsOn: '2026-08-20',
		planned: null,
		promoted,
		changes: [],
		ended: { plans: [], sets: [], reviews: [] },
		checks: [],
		blocks: []
	};
	await database.run(`UPDATE account SET email = 'colleague@school.example' WHERE id = ?`, [otherTeacher.id]);
	await queueMail(database, coordinator, otherTeacher.id, { subject: 'Hello', text: 'Hello.' }, NOW);
	const layout = { hasHeader: true, columns: ['name' as const], isFamilyFirst: true };
	await keepLayout(database, coordinator, [`Names of ${coordinator.schoolId}`], layout, NOW);
	await addYearBegun(database, coordinator, { on: '2026-08-20', done }, NOW);
	await database.run(
		`INSERT INTO erasure (school_id, student_id, mark, why, counts, erased_by, erased_at)
		VALUES (?, 1, ?, 'asked for', '{}', ?, ?)`,
		[coordinator.schoolId, randomBytes(32), coordinator.id, NOW]
	);
	const service = { address: 'https://roster.invalid', tokenAddress: 'https://roster.invalid/token', clientId: 'c' };
	await keepRosterSource(database, coordinator, { ...service, clientSecret: 'ebb and flow' }, true, NOW);
	const action = { says: 'Look', path: '/setup' };
	const notice = { rule: 'tried', about: '', says: 'It is.', because: 'So.', action, degree: 1 };
	const told = { ...notice, audience: 'set up the school', place: '/setup' } as const;
	await keepNotices(database, coordinator.schoolId, [told, { ...told, about: 'seen' }], NOW);
	const [, older] = await openNotices(database, coordinator);
	await markSeen(database, coordinator, [older.id], NOW);
	await setRosterRules(database, coordinator, await rosterRules(database, coordinator.schoolId), NOW);
	const run = { fileName: 'roster.zip', systemName: 'Harbor Office', isDelta: false, records: NO_RECORDS };
	return addRosterRun(database, coordinator, run, NOW);
}

/** A school with everything in it, of classes A (students 1 to 4) and B (5 to 8). */
export interface FilledSchool {
	/** The id of a row is `base + 1000 × range + n`. */
	base: number;
	school: School;
	staff: Record<Role | 'otherTeacher', Staff>;
	classes: { a: number; b: number };
	/** Students 3 and 6 are in it; a specialist is its adult. */
	section: { id: number; membership: number };
	/** Of student 1. */
	pastSupport: number;
	students: number[];
	/** A of students 1–3, B of 5–7, mixed of 4 and 8. */
	groups: { a: number; b: number; mixed: number };
	/** What the specialist saw of a session of group A. */
	watch: number;
	windows: { diagnostic: number; measure: number };
	/** A file that students 1 and 5 were given. */
	thing: number;
	/** For all, and for class B alone. */
	sets: { all: number; b: number };
	plans: { a: number; b: number };
	/** That plan A went over to when its group got another focus. */
	carriedPlan: number;
	checks: { a: number; b: number };
	/** Diagnostics of students 1 and 5. */
	sittings: { a: number; b: number };
	/** What the first student was commended for. */
	commendation: number;
	/** Probes that were answered on paper. */
	paper: number[];
	/** Runs of facts of students 1 and 5. */
	factRuns: { a: number; b: number };
	/** The practice of student 1, of which there is a notice. */
	noticed: number;
	/** Of a question in that practice, and the answer that is right by it. */
	correction: number;
	corrected: string;
	notes: { a: number; b: number };
	reviews: { a: number; b: number };
	/** With both of them on its agenda; the first teacher is invited. */
	meeting: number;
	/** Of that teacher, from a verdict on student 2. */
	task: number;
	/** What was asked for outside a review. */
	askedTask: number;
	/** To the family of student 1, who have own words on their sheet, too. */
	letter: number;
	/** Of student 2, and of student 7, who was moved by the rule. */
	tierWord: number;
	tierMove: number;
	draft: number;
	adoption: number;
	material: number;
	job: number;
	/** Of parameters, by that job. */
	version: number;
	search: number;
	fieldVersion: number;
	rosterRun: number;
	slots: number[];
	blocks: number[];
	absence: number;
	measures: { a: string; b: string };
	/** Facts week by week, of students 1 and 5. */
	measureSeries: { a: number; b: number };
	student: SignedInStudent;
}

/** Two schools in one database, alike but for their ids. */
export async function twoSchools(name: string) {
	const database = await ownDatabase(name);
	await shipFramework(database, shippedFramework());
	const one = await fillSchool(database, 7_100_000);
	const other = await fillSchool(database, 7_200_000);
	// What comes later is told apart from what both have now.
	await idsFrom(database, 7_300_000);
	return { database, skills: await skillList(database, one.base), one, other };
}

/** UUIDs, and the salts and hashes that prove a right answer. */
const NO_IDS = /[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}|\b[0-9a-f]{24,}\b/gi;

/** Ids of the two schools that stand in a text, as numbers or in names; what looks like one inside a UUID or a hash is none. */
export function idsIn(text: string): number[] {
	const found = text.replace(NO_IDS, '').matchAll(/(?<!\d)7[12]\d{5}(?!\d)/g);
	return [...new Set([...found].map(([id]) => Number(id)))];
}

const idsFrom = async (database: RootDatabase, base: number) => {
	for (const [table, range] of Object.entries(RANGES))
		await database.run(`ALTER TABLE ${table} AUTO_INCREMENT = ${base + 1_000 * range}`);
};

/** A framework of the school's own: the first skill in other words, and a domain and a skill that only it has. */
async function writeFramework(database: RootDatabase, staff: Staff) {
	const taught = await taughtFramework(database, staff.schoolId);
	const [first] = taught.skills;
	const own = { ...first, identifier: undefined, code: 'X11', domain: 'X', shortName: `Ropes of ${staff.schoolId}` };
	await changeFramework(
		database,
		staff,
		{
			...taught,
			domains: [...taught.domains, { code: 'X', name: `Knots of ${staff.schoolId}` }],
			skills: [{ ...first, shortName: `Named by ${staff.schoolId}` }, own],
			edges: [{ prerequisite: first.code, skill: own.code }]
		},
		NOW
	);
	return skillList(database, staff.schoolId);
}

/** What signing in leaves behind. */
async function leaveSignIns(database: RootDatabase, { id: accountId }: Staff, studentId: number, classId: number) {
	const place = { address: '10.0.0.1', browser: 'one' };
	const token = () => ({ tokenHash: randomBytes(32), heldHash: null });
	await beginSignIn(database, { accountId }, token(), place, NOW);
	await beginSignIn(database, { studentId }, token(), place, NOW);
	await noteBrowser(database, randomBytes(32), { accountId }, NOW);
	await noteBrowser(database, randomBytes(32), { classId }, NOW);
}

async function fillSchool(database: RootDatabase, base: number): Promise<FilledSchool> {
	await idsFrom(database, base);
	const at = (range: number, n: number) => base + 1_000 * range + n;
	const schoolId = base;
	const school: School = {
		id: schoolId,
		name: `School ${base}`,
		timeZone: 'America/New_York',
		today: TODAY,
		minute: 600,
		calendar: WEEKDAYS
	};
	const staffAs = (n: number, role: Role): Staff => ({
		kind: 'staff',
		id: at(1, n),
		schoolId,
		role,
		displayName: `${role} ${n}`
	});
	const staff = {
		coordinator: staffAs(1, 'coordinator'),
		specialist: staffAs(2, 'specialist'),
		interventionist: staffAs(3, 'interventionist'),
		teacher: staffAs(11, 'teacher'),
		otherTeacher: staffAs(12, 'teacher')
	};
	const { specialist } = staff;
	await fill(database, 'school', [{ id: schoolId, name: school.name, time_zone: school.timeZone }]);
	await fill(
		database,
		'account',
		Object.values(staff).map(({ id, role, displayName }) => ({
			id,
			school_id: schoolId,
			role,
			user_name: `user${id}`,
			display_name: displayName,
			password_hash: 'none'
		}))
	);
	const skills = await writeFramework(database, specialist);
	const classes = { a: at(2, 1), b: at(2, 2) };
	const section = { id: at(2, 3), membership: at(37, 1) };
	await fill(database, 'class', [
		{ id: classes.a, school_id: schoolId, name: 'Avocet', grade: 4, code: `CODE${classes.a}` },
		{ id: classes.b, school_id: schoolId, name: 'Curlew', grade: 4, code: `CODE${classes.b}` },
		{ id: section.id, school_id: schoolId, name: 'Laboratory', grade: 4, code: `CODE${section.id}` }
	]);
	await database.run('UPDATE class SET is_section = TRUE WHERE id = ?', [section.id]);
	await fill(
		database,
		'class_adult',
		[classes.a, classes.b].map((class_id, i) => ({ class_id, account_id: at(1, 11 + i), from_on: '2026-08-20' }))
	);
	const students = [1, 2, 3, 4, 5, 6, 7, 8].map((n) => at(3, n));
	await fill(
		database,
		'student',
		students.map((id) => ({
			id,
			school_id: schoolId,
			number: `N${id}`,
			given_name: `Given${id}`,
			family_name: `Family${id}`,
			grade: 4,
			pin_hash: 'none'
		}))
	);
	await fill(
		database,
		'class_membership',
		students.map((id, i) => ({ class_id: i < 4 ? classes.a : classes.b, student_id: id, from_on: '2026-08-20' }))
	);
	await fill(
		database,
		'section_membership',
		[students[2], students[5]].map((student_id, i) => ({
			id: section.membership + i,
			class_id: section.id,
			student_id,
			from_on: '2026-08-20'
		}))
	);
	await fill(database, 'class_adult', [{ class_id: section.id, account_id: specialist.id, from_on: '2026-08-20' }]);
	await fill(
		database,
		'student_attribute',
		students.map((id) => ({ student_id: id, name: 'Home language', value: `of ${id}` }))
	);
	await fill(
		database,
		'tier_interval',
		students.map((id) => ({ student_id: id, tier: 2, from_on: '2026-09-01' }))
	);
	const before = { name: '', tier: 3 as const, from: '2025-09-01', until: '2025-12-19', isOver: false };
	const support = await bringSupport(
		database,
		staff.coordinator,
		{ tiers: [], past: [{ ...before, studentId: students[0], did: 'Number talks', came: 'Went on' }] },
		NOW
	);
	await fill(database, 'student_pair', [{ student_id: students[0], other_id: students[4], kind: 'apart' }]);
	await fill(database, 'school_year', [{ school_id: schoolId, starts_on: '2026-08-24', ends_on: '2027-06-11' }]);
	await fill(database, 'cycle', [{ id: at(4, 1), school_id: schoolId, number: 2, starts_on: '2026-10-26', weeks: 8 }]);
	const windows = { diagnostic: at(5, 1), measure: at(5, 2) };
	const dates = { school_id: schoolId, term: 2, opens_on: '2026-11-16', closes_on: '2026-12-04' };
	await fill(database, 'screening_window', [
		{ ...dates, id: windows.diagnostic, name: 'Winter', subject: 'Mathematics', mode: 'fixed form' },
		{
			...dates,
			id: windows.measure,
			name: 'Reading',
			subject: 'Reading',
			mode: 'teacher-given',
			measure: 'reading aloud'
		}
	]);
	await fill(
		database,
		'window_class',
		Object.values(windows).flatMap((window_id) => Object.values(classes).map((class_id) => ({ window_id, class_id })))
	);
	const slots = [1, 2, 3].map((n) => at(6, n));
	await fill(
		database,
		'slot',
		slots.map((id, i) => ({
			id,
			staff_id: at(1, 2 + (i % 2)),
			days: 31,
			starts_at: `0${8 + i}:10`,
			minutes: 30,
			room: 'R'
		}))
	);
	await fill(database, 'class_block', [
		{ class_id: classes.b, kind: 'lunch', days: 31, starts_at: '12:15', minutes: 40 },
		// All morning: it keeps its students from meeting times.
		{ class_id: section.id, kind: 'other', days: 31, starts_at: '08:00', minutes: 240 }
	]);
	const block = await database.row<{ id: number }>('SELECT id FROM class_block WHERE class_id = ?', [classes.b]);
	await remakeFields(database, students);
	await earlierCells(database, { id: base, today: TODAY }, students, addDays(TODAY, -10), Infinity);
	const emphasis = { domainId: skills[1].domainId, grade: 4, emphasis: 'none' as const };
	await setEmphasis(database, staff.specialist, [emphasis], NOW);

	const group = (name: string, slot: number, ids: number[]): NewGroup => ({
		name,
		kind: 'same need',
		tier: 2,
		focusSkillId: skills[0].id,
		slotId: slots[slot],
		startsOn: TODAY,
		endsOn: addDays(TODAY, 27),
		studentIds: ids,
		helperIds: [],
		reviewOn: addDays(TODAY, 24)
	});
	const drafted = [students.slice(0, 3), students.slice(4, 7), [students[3], students[7]]];
	const draft = await saveDraft(
		database,
		specialist,
		{
			name: `Draft of ${students[0]} and ${students[4]}`,
			choices: { kind: 'same need', studentIds: students, regroups: [], focusId: null },
			limits: {
				sizes: { 2: { minimum: 1, maximum: 6 }, 3: { minimum: 1, maximum: 3 } },
				slotIds: slots.map(String),
				mostGroups: null,
				keepWorth: 0,
				excludedIds: [],
				apart: [],
				together: []
			},
			problem: {
				students: students.map((id) => ({ id: String(id), tier: 2, needs: {}, available: slots.map(String) })),
				slots: slots.map((id) => ({ id: String(id) })),
				sizes: { 2: { minimum: 1, maximum: 6 }, 3: { minimum: 1, maximum: 3 } },
				apart: [],
				together: []
			},
			groups: drafted.map((ids, i) => ({
				slotId: String(slots[i]),
				focusId: String(skills[0].id),
				tier: 2,
				studentIds: ids.map(String),
				helperIds: []
			})),
			bound: 1
		},
		NOW
	);
	const adopted = await adoptGroups(
		database,
		specialist,
		{
			groups: drafted.map((ids, i) => group(['Only A', 'Only B', 'Mixed'][i], i, ids)),
			ends: [],
			draftId: draft,
			reason: ''
		},
		NOW
	);
	if ('takenSlotId' in adopted) throw new Error('a meeting time is taken');
	const [a, b, mixed] = adopted.ids;
	await changeGroup(
		database,
		specialist,
		mixed,
		{ kind: 'leave', studentIds: [students[7]], on: addDays(TODAY, 7) },
		`because of ${students[7]}`,
		NOW
	);
	for (const [groupId, ids] of [
		[b, students.slice(4, 7)],
		[mixed, [students[3], students[7]]]
	] as const)
		await recordMeeting(
			database,
			specialist,
			{
				groupId,
				on: TODAY,
				held: true,
				whyNot: null,
				makesUp: null,
				note: `${ids.at(-1)} was tired`,
				students: ids.map((studentId) => ({ studentId, present: true, whyAway: null, ticketRight: 1 }))
			},
			NOW
		);
	const seenAt = { groupId: a, on: TODAY, points: [true, false, true, true, true], note: '' };
	const watch = await watchSession(database, specialist, seenAt, NOW);
	const set = (ids: number[], groupId: number | null) =>
		assignSet(
			database,
			specialist,
			oneSkillSet({
				skillId: skills[0].id,
				groupId,
				itemCount: 5,
				opensOn: TODAY,
				dueOn: addDays(TODAY, 4),
				studentIds: ids
			}),
			NOW
		);
	const thing = await insertMaterial(
		database,
		specialist,
		{
			...{ kind: 'file', title: 'Strips', note: '', link: null },
			file: { name: 'strips.png', type: 'image/png', content: Buffer.from('a picture') }
		},
		NOW
	);
	await giveMaterial(database, specialist, thing, { studentIds: [students[0], students[4]], groupId: b }, NOW);
	const sets = { all: await set(students, null), b: await set(students.slice(4), b) };
	const plan = { skillId: skills[0].id, startsOn: TODAY, goalOn: addDays(TODAY, 40) };
	const probes = (student: number, groupId: number) =>
		startProbes(database, specialist, newProbes({ ...plan, studentIds: [student], groupId }), NOW);
	const [[planA], [planB]] = [await probes(students[0], a), await probes(students[4], b)];
	const check = async (n: number) => {
		const given = await assignChecks(
			database,
			specialist,
			[{ studentId: students[n], skillIds: [skills[1].id] }],
			addDays(TODAY, 3),
			NOW
		);
		return given!.batch;
	};
	const checks = { a: await check(1), b: await check(5) };
	const note = (n: number, groupId: number) =>
		writeNote(database, specialist, { studentId: students[n], groupId, on: TODAY, text: `about ${students[n]}` }, NOW);
	const notes = { a: await note(0, a), b: await note(4, b) };
	await setAccommodations(
		database,
		specialist,
		[students[2], students[6]],
		{ readAloud: true, larger: false, largerType: false, timeFactor: 1, itemsADay: null } as never,
		NOW
	);
	await noteStudents(
		database,
		specialist,
		windows.diagnostic,
		new Map(
			[students[2], students[6]].map((id) => [
				seenOne(id),
				{ kind: 'absent' as const, reason: `as ${id} said`, makeUpUntil: null }
			])
		),
		NOW
	);
	const measure = async (n: number) => {
		const id = randomUUID();
		await saveMeasure(
			database,
			specialist,
			{
				id,
				givenFor: { windowId: windows.measure },
				studentId: students[n],
				sheetGrade: 4,
				sheetLength: 120,
				seconds: 60,
				reached: 90,
				missed: [3]
			},
			NOW
		);
		return id;
	};
	const measures = { a: await measure(0), b: await measure(4) };
	const measureSeries = async (n: number) => {
		const [id] = await beginMeasureSeries(
			database,
			specialist,
			{
				...{ measure: 'number fluency', startsOn: TODAY, goalOn: addDays(TODAY, 60) },
				students: [{ id: students[n], sheetGrade: 4, goal: 20 }]
			},
			NOW
		);
		const given = { id: randomUUID(), studentId: students[n], givenFor: { seriesId: id, sheetNumber: 1 } };
		const marked = { sheetGrade: 4, sheetLength: 60, seconds: 60, reached: 12, missed: [3] };
		await saveMeasure(database, specialist, { ...given, ...marked }, NOW);
		return id;
	};
	const series = { a: await measureSeries(0), b: await measureSeries(4) };
	await importScores(
		database,
		specialist,
		windows.diagnostic,
		`outside ${base}`,
		[students[1], students[5]].map((studentId) => ({
			studentId,
			domainId: 0,
			theta: 0,
			standardError: 0.3,
			takenOn: TODAY
		})),
		NOW
	);
	await saveMatching(database, specialist, `outside ${base}`, { Number: 'number' } as never, NOW);
	await saveOutcomes(
		database,
		specialist,
		`goal of ${base}`,
		students.map((studentId) => ({ studentId, met: true })),
		TODAY,
		NOW
	);
	const material = await addMaterial(
		database,
		specialist,
		skills[0].id,
		{ title: `of ${base}`, link: null, note: 'x' },
		NOW
	);
	await shelve(database, specialist, skills[0].id, true, NOW);
	await importStandards(
		database,
		specialist,
		`standards of ${base}`,
		[{ code: 'S.1', statement: `of ${base}`, grade: 4, skillIds: [skills[0].id] }],
		NOW
	);
	const job = (await askForJob(database, staff.coordinator, 'calibration', NOW))!;
	await database.run(`UPDATE job SET state = 'done' WHERE id = ?`, [job]);
	const parameters = { familyId: 'number-after', discrimination: 1, difficulty: 0, medianMs: 9_000 };
	const version = (await applyParameters(database, staff.coordinator, job, [parameters as never], NOW))!.id;
	const search = (await askForJob(database, staff.coordinator, 'field constants', NOW))!;
	await database.run(`UPDATE job SET state = 'done' WHERE id = ?`, [search]);
	const fieldVersion = (await applyConstants(database, staff.coordinator, search, FIELD_CONSTANTS, NOW))!.id;
	const [absence] = await addAbsences(
		database,
		specialist,
		[{ staffId: at(1, 3), fromOn: TODAY, untilOn: addDays(TODAY, 2), note: `told by ${base}` }],
		NOW
	);
	const locked = [students[3], students[7]];
	for (const studentId of locked) {
		const name = `student ${studentId}`;
		for (let i = 0; i < 8; i++)
			await countTry(database, [{ name, memoryMs: 60_000, isAlone: false, studentId }], NOW, () => null);
	}

	const answer = async (studentId: number, sittingId: number, most = 99, answeredAt = NOW) => {
		for (let n = 0; n < most; n++) {
			const next = await openItem(database, sittingId);
			if (!next) return;
			const item = itemFrom(next.familyId, next.seed);
			await storeAnswers(database, [
				{
					id: randomUUID(),
					position: next.position,
					attempt: 1,
					response: item.key,
					milliseconds: 9_000,
					answeredAt: answeredAt.toISOString(),
					studentId,
					sittingId,
					timeZone: school.timeZone,
					receivedAt: NOW
				}
			]);
		}
	};
	/** A device sends, after the set was taken back, what was answered before. */
	const answerLate = async () => {
		const setId = await set([students[4]], null);
		const late = { id: setId };
		const sittingId = await beginPractice(
			database,
			seenOne(students[4]),
			late,
			skills,
			new Date(NOW.getTime() - 7_200_000)
		);
		await beginAgain(database, setId, [students[4]], { isWithOthers: true, dueOn: null });
		await withdrawSets(database, specialist, [setId], NOW);
		await answer(students[4], sittingId, 1, new Date(NOW.getTime() - 3_600_000));
	};
	const probed = { skillId: skills[0].id, skillCode: skills[0].code, questions: 16, ofFocus: 10 };
	const sitting: number[] = [];
	const paper: number[] = [];
	let noticed: number | null = null;
	for (const studentId of [students[0], students[4]]) {
		const window = { id: windows.diagnostic, subject: 'Mathematics', term: 2, mode: 'fixed form' as const };
		const id = await beginDiagnostic(database, { id: studentId, grade: 4 }, { window, attempt: 1 }, skills, NOW);
		await answer(studentId, id, 8);
		sitting.push(id);
		const practice = await beginPractice(database, seenOne(studentId), { id: sets.all }, skills, NOW);
		await answer(studentId, practice, 3);
		if (studentId === students[0]) noticed = practice;
		const planId = studentId === students[0] ? planA : planB;
		const probe = await beginProbe(database, { id: planId, studentId, ...probed }, 1, skills, NOW);
		await answer(studentId, probe);
		const domainId = skills.find(({ id }) => id === probed.skillId)!.domainId;
		await answer(
			studentId,
			await beginLevelCheck(database, studentId, { planId, domainId, place: 'middle' }, skills, NOW)
		);
		const places = await placesOf(database, { studentId, ...probed });
		const marked = await storePaperProbes(
			database,
			specialist,
			{ letter: 'A', questions: paperForm(places, 'A').questions },
			[{ planId, studentId, number: 2, missed: [3] }],
			skills,
			{ on: NOW, at: NOW }
		);
		paper.push(...marked.sittings);
		await keepMoves(database, school.id, { ...GROWTH_PRIOR, series: 30 }, Buffer.alloc(16), NOW);
		await database.run(`INSERT INTO series_reading (plan_id, made_of, made_by, reading) VALUES (?, 0, '', '{}')`, [
			planId
		]);
	}
	for (const [n, id] of [
		[1, checks.a],
		[5, checks.b]
	]) {
		const begun = await beginCheck(
			database,
			{ id, studentId: students[n], skillIds: [skills[1].id] } as never,
			skills,
			NOW
		);
		await answer(students[n], begun, 2);
	}
	await noteFinishedRuns(database, [noticed!], NOW);
	const run = (await waitingRuns(database, 9)).find(({ sittingId }) => sittingId === noticed)!;
	await letFollow(database, run, { kind: 'notice', why: 'below' }, { set: null, dueOn: null }, NOW);
	await answerLate();
	/** Of a question of a sitting what was answered to it is right by a correction only. */
	const accept = async (sittingId: number) => {
		const asked = (await database.row<{
			id: string;
			response: string;
			familyId: string;
			seed: number;
			edition: number;
		}>(
			`SELECT answer.id, answer.response, item.family_id AS familyId, item.seed, item.edition
			FROM answer JOIN sitting_item AS item ON item.sitting_id = answer.sitting_id AND item.position = answer.position
			WHERE answer.sitting_id = ? AND answer.position = 0`,
			[sittingId]
		))!;
		const correction = await addCorrection(
			database,
			staff.specialist,
			{ ...asked, response: JSON.parse(asked.response), why: `told by ${base}`, says: '', studentIds: [students[0]] },
			NOW
		);
		await noteCorrected(database, [{ id: asked.id, correctionId: correction, misconception: null }]);
		return { correction, corrected: asked.id };
	};
	const runFacts = async (studentId: number) => {
		const who = seenOne(studentId);
		const begun = { operation: 'times' as const, minutes: 1, day: TODAY, number: 1 };
		const id = await beginFactRun(database, who, begun, NOW);
		const one = { position: 0, first: 7, second: 8, response: 56, milliseconds: 2_000, answeredAt: NOW.toISOString() };
		await storeFacts(database, who, { ...begun, id, isEnded: false }, [{ ...one, id: randomUUID() }], true, NOW);
		return id;
	};
	await leaveSignIns(database, staff.specialist, students[0], classes.a);
	const rosterRun = await setUp(database, staff, students);
	await changeGroup(database, specialist, a, { kind: 'focus', skillId: skills[2].id, on: addDays(TODAY, 1) }, '', NOW);
	const carried = await database.row<{ id: number }>(
		'SELECT id FROM probe_plan WHERE student_id = ? AND ended_on IS NULL',
		[students[0]]
	);
	await changeGroup(database, specialist, b, { kind: 'pause', untilOn: null, on: addDays(TODAY, 1) }, '', NOW);
	await setCutScores(database, staff.coordinator, { measure: null, term: 2 }, new Map([[4, 470]]), NOW);
	const reviewOf = async (n: number) => (await openReviews(database, seen(students[n])))[0].id;
	const reviews = { a: await reviewOf(0), b: await reviewOf(4) };
	const meeting = await planReviewMeeting(
		database,
		specialist,
		{
			on: TODAY,
			note: 'about both classes',
			adults: [staff.coordinator.id, staff.teacher.id],
			reviews: [{ reviewId: reviews.a }, { reviewId: reviews.b }]
		},
		NOW
	);
	for (const n of [1, 5])
		await decide(
			database,
			specialist,
			await reviewOf(n),
			{
				verdict: 'continue',
				effectiveOn: TODAY,
				newTier: 2,
				leavesGroup: false,
				note: `agreed about ${students[n]}`,
				nextReviewOn: addDays(TODAY, 20),
				advice: 'continue',
				reasons: [],
				decidedOn: TODAY,
				...NOTHING_MORE,
				tasks: [
					{
						accountId: (n < 4 ? staff.teacher : staff.otherTeacher).id,
						what: `for ${students[n]}`,
						dueOn: addDays(TODAY, 5)
					}
				]
			},
			NOW
		);
	const letter = await noteLetter(
		database,
		specialist,
		{ studentId: students[0], language: 'es', way: 'paper', sentOn: TODAY, asksConsent: true },
		NOW
	);
	const tierWord = await sayTierWord(
		database,
		specialist,
		{ studentId: students[1], says: 'needs more', reason: `seen of ${students[1]}`, untilOn: addDays(TODAY, 50) },
		NOW
	);
	const [tierMove] = await moveTiers(database, specialist, [{ studentId: students[6], tier: 3 }], TODAY, NOW);
	await changeTierRule(database, specialist, USUAL_TIER_RULE, NOW);
	await writeWords(
		database,
		specialist,
		students[0],
		{ sheet: 'family', language: 'es', part: 'said' },
		`Sobre ${students[0]}`,
		NOW
	);
	const commendation = await giveCommendation(
		database,
		specialist,
		{
			...{ studentId: students[0], kind: 'effort', said: 'You were there.', sentence: 'I saw it.' },
			reason: { kind: 'effort', is: 'in a row', sessions: 4, missed: 2 }
		},
		NOW
	);
	const [badge] = await commendationsOf(database, [seenOne(students[0])]);
	await signBadge(database, school, { givenName: 'Given', familyName: 'Family' }, badge, NOW);
	const [task] = await ownTasks(database, staff.teacher, TODAY);
	const asked = { studentId: students[0], accountId: staff.teacher.id, dueOn: TODAY };
	const [askedTask] = await askFor(database, specialist, [{ ...asked, what: 'hold the missed sessions first' }], NOW);
	return {
		base,
		school,
		staff,
		classes,
		section,
		pastSupport: support.past[0],
		students,
		groups: { a, b, mixed },
		watch,
		windows,
		sets,
		thing,
		plans: { a: planA, b: planB },
		carriedPlan: carried!.id,
		checks,
		sittings: { a: sitting[0], b: sitting[1] },
		paper,
		commendation,
		noticed: noticed!,
		...(await accept(noticed!)),
		factRuns: { a: await runFacts(students[0]), b: await runFacts(students[4]) },
		notes,
		reviews,
		meeting,
		task: task.id,
		askedTask,
		letter,
		tierWord,
		tierMove,
		draft,
		adoption: adopted.id,
		material,
		job,
		version,
		search,
		fieldVersion,
		rosterRun,
		slots,
		blocks: [block!.id],
		absence,
		measures,
		measureSeries: series,
		student: { kind: 'student', id: seenOne(students[0]), schoolId, givenName: `Given${students[0]}`, grade: 4 }
	};
}
