import type { SchoolDate } from '../../calendar';
import type { RosterAdult, RosterClass, RosterStudent, SchoolRoster } from '../roster/schoolRoster';
import type { EnrollmentRecord, RosterRecords, SessionRecord } from './records';

/** Grades by their codes (Common Education Data Standards); kindergarten is 0. */
const gradeOf = (code: string): number | null =>
	code === 'KG' ? 0 : /^(?:0?[1-9]|1[0-2])$/.test(code) ? Number(code) : null;

/** The schools of a roster, by name. */
export function schoolsOf({ orgs }: RosterRecords): { sourcedId: string; name: string }[] {
	return orgs
		.filter(({ isSchool, isGone }) => isSchool && !isGone)
		.map(({ sourcedId, name }) => ({ sourcedId, name }))
		.sort((one, other) => one.name.localeCompare(other.name, 'en'));
}

/** Each school's part of a roster: its classes, who has a role in it, and what belongs to them. Sessions and courses go to all. */
export function splitBySchool(records: RosterRecords, schools: string[]): Map<string, RosterRecords> {
	const parts = new Map(schools.map((school): [string, RosterRecords] => [school, emptyPart(records)]));
	const schoolOfClass = new Map<string, string>();
	for (const one of records.classes) {
		schoolOfClass.set(one.sourcedId, one.school);
		parts.get(one.school)?.classes.push(one);
	}
	const schoolsOfUser = new Map<string, Set<string>>();
	const belongs = (user: string, school: string) => {
		const known = schoolsOfUser.get(user);
		if (known) known.add(school);
		else schoolsOfUser.set(user, new Set([school]));
	};
	for (const role of records.roles) {
		const part = parts.get(role.org);
		if (!part) continue;
		part.roles.push(role);
		belongs(role.user, role.org);
	}
	for (const enrollment of records.enrollments) {
		const part = parts.get(schoolOfClass.get(enrollment.class) ?? '');
		if (!part) continue;
		part.enrollments.push(enrollment);
		belongs(enrollment.user, schoolOfClass.get(enrollment.class)!);
	}
	for (const file of ['users', 'demographics'] as const)
		for (const record of records[file])
			for (const school of schoolsOfUser.get(record.sourcedId) ?? []) {
				const part = parts.get(school)!;
				(part[file] as (typeof record)[]).push(record);
			}
	return parts;
}

const emptyPart = ({ orgs, academicSessions, courses }: RosterRecords): RosterRecords => ({
	orgs,
	academicSessions,
	courses,
	classes: [],
	users: [],
	roles: [],
	enrollments: [],
	demographics: []
});

/** Whether a day lies in `[beginsOn, endsOn)`; an end or a beginning that is not said is open. */
const holds = (day: SchoolDate, { beginsOn, endsOn }: { beginsOn: SchoolDate | null; endsOn: SchoolDate | null }) =>
	(beginsOn === null || beginsOn <= day) && (endsOn === null || endsOn > day);

/** The days of a class: from the first of its sessions to the end of the last. */
function daysOf(sessions: string[], byId: Map<string, SessionRecord>) {
	const found = sessions.flatMap((id) => byId.get(id) ?? []);
	return {
		beginsOn: found.length ? found.map(({ startsOn }) => startsOn).reduce((a, b) => (a < b ? a : b)) : null,
		endsOn: found.length ? found.map(({ endsOn }) => endsOn).reduce((a, b) => (a > b ? a : b)) : null
	};
}

/** The roles that adults hold in classes here. */
const TEACHES = new Set(['teacher', 'aide']);

/**
 * A school's roster as it is on a day: the classes that run, who is in them, and who teaches them.
 *
 * @param records of the school only, all of them
 */
export function rosterOfSchool(records: RosterRecords, school: string, today: SchoolDate): SchoolRoster {
	const sessions = new Map(records.academicSessions.map((one) => [one.sourcedId, one]));
	const running = records.classes.filter(
		(one) => !one.isGone && one.school === school && holds(today, daysOf(one.sessions, sessions))
	);
	const titles = new Map(records.courses.map(({ sourcedId, title }) => [sourcedId, title]));
	const classes = running.map(({ sourcedId, title, code, grades, isHomeroom, course, line }): RosterClass => ({
		sourcedId,
		name: title,
		code,
		grade: grades.length === 1 ? gradeOf(grades[0]) : null,
		kind: isHomeroom ? 'homeroom' : 'scheduled',
		course: titles.get(course) ?? '',
		line
	}));
	const isRunning = new Set(running.map(({ sourcedId }) => sourcedId));
	const enrolled = new Map<string, EnrollmentRecord[]>();
	for (const one of records.enrollments) {
		if (one.isGone || !isRunning.has(one.class) || !holds(today, one)) continue;
		const own = enrolled.get(one.user);
		if (own) own.push(one);
		else enrolled.set(one.user, [one]);
	}
	const roles = new Map<string, Set<string>>();
	for (const { user, role, org, isGone, ...days } of records.roles)
		if (!isGone && org === school && holds(today, days)) {
			const own = roles.get(user);
			if (own) own.add(role);
			else roles.set(user, new Set([role]));
		}
	const birthDates = new Map(
		records.demographics.flatMap((one) => (one.isGone ? [] : [[one.sourcedId, one.birthDate]]))
	);
	const students: RosterStudent[] = [];
	const adults: RosterAdult[] = [];
	for (const user of records.users) {
		if (user.isGone || !user.isEnabled) continue;
		const held = roles.get(user.sourcedId);
		if (!held) continue;
		const own = enrolled.get(user.sourcedId) ?? [];
		const { sourcedId, givenName, familyName, preferredName, line } = user;
		if (held.has('student'))
			students.push({
				sourcedId,
				number: user.identifier,
				givenName,
				familyName,
				preferredName: preferredName === givenName ? null : preferredName,
				gradeCode: user.grades[0] ?? '',
				grade: gradeOf(user.grades[0] ?? ''),
				birthDate: birthDates.get(sourcedId) ?? null,
				// The primary one first, then the newest.
				classes: own
					.filter(({ role }) => role === 'student')
					.sort(
						(one, other) =>
							Number(other.isPrimary) - Number(one.isPrimary) ||
							(other.beginsOn ?? '').localeCompare(one.beginsOn ?? '') ||
							one.class.localeCompare(other.class)
					)
					.map((one) => one.class),
				line
			});
		else if (own.some(({ role }) => TEACHES.has(role)))
			adults.push({
				sourcedId,
				userName: user.userName,
				// Who has one name only stands with it twice, and with no name to be called by.
				displayName:
					givenName === familyName && preferredName === null
						? familyName
						: `${preferredName ?? givenName} ${familyName}`,
				email: user.email,
				classes: [...new Set(own.filter(({ role }) => TEACHES.has(role)).map((one) => one.class))],
				line
			});
	}
	return { classes, students, adults };
}

/**
 * The records as they are after a delta: what it changes takes the place of what was, and what it says is gone is gone.
 *
 * @param before of the school
 * @param delta of the whole roster; what is of other schools is passed by
 */
export function afterDelta(before: RosterRecords, delta: RosterRecords, school: string): RosterRecords {
	const merge = <Record extends { sourcedId: string; isGone: boolean }>(old: Record[], fresh: Record[]): Record[] => {
		const byId = new Map(old.map((one) => [one.sourcedId, one]));
		for (const one of fresh)
			if (one.isGone) byId.delete(one.sourcedId);
			else byId.set(one.sourcedId, one);
		return [...byId.values()];
	};
	const classes = merge(before.classes, delta.classes).filter((one) => one.school === school);
	const roles = merge(before.roles, delta.roles).filter(({ org }) => org === school);
	const isOwnClass = new Set(classes.map(({ sourcedId }) => sourcedId));
	const enrollments = merge(before.enrollments, delta.enrollments).filter((one) => isOwnClass.has(one.class));
	const isOwnUser = new Set([...roles, ...enrollments].map(({ user }) => user));
	const ofUsers = <Record extends { sourcedId: string; isGone: boolean }>(old: Record[], fresh: Record[]) =>
		merge(old, fresh).filter(({ sourcedId }) => isOwnUser.has(sourcedId));
	return {
		orgs: merge(before.orgs, delta.orgs),
		academicSessions: merge(before.academicSessions, delta.academicSessions),
		courses: merge(before.courses, delta.courses),
		classes,
		roles,
		enrollments,
		users: ofUsers(before.users, delta.users),
		demographics: ofUsers(before.demographics, delta.demographics)
	};
}
