/**
 * What a OneRoster 1.2 service sends (1EdTech OneRoster 1.2, Rostering, REST/JSON binding) as rows of the CSV binding, so
 * that both are read and checked in one way.
 */
import type { RosterFile } from './records';

/** A thing as JSON has it; nothing is known of what is in it. */
export type RestThing = Record<string, unknown>;

const text = (value: unknown): string =>
	typeof value === 'string' ? value : typeof value === 'number' || typeof value === 'boolean' ? String(value) : '';
const things = (value: unknown): RestThing[] =>
	Array.isArray(value) ? value.filter((one): one is RestThing => typeof one === 'object' && one !== null) : [];
/** The id in a reference: `{ href, sourcedId, type }`. */
const idIn = (value: unknown): string =>
	typeof value === 'object' && value !== null ? text((value as RestThing).sourcedId) : '';
const list = (value: unknown): string =>
	Array.isArray(value) ? value.map(text).filter(Boolean).join(',') : text(value);

/** Cells by their columns. */
type Row = Record<string, string>;

const rowOf: Record<Exclude<RosterFile, 'roles'>, (thing: RestThing) => Row> = {
	orgs: (org) => ({ name: text(org.name), type: text(org.type), parentSourcedId: idIn(org.parent) }),
	academicSessions: (session) => ({
		startDate: text(session.startDate),
		endDate: text(session.endDate),
		parentSourcedId: idIn(session.parent)
	}),
	courses: (course) => ({ title: text(course.title) }),
	classes: (one) => ({
		title: text(one.title),
		grades: list(one.grades),
		courseSourcedId: idIn(one.course),
		classCode: text(one.classCode),
		classType: text(one.classType),
		schoolSourcedId: idIn(one.school),
		termSourcedIds: things(one.terms).map(idIn).join(',')
	}),
	users: (user) => ({
		enabledUser: text(user.enabledUser),
		username: text(user.username),
		givenName: text(user.givenName),
		familyName: text(user.familyName),
		preferredGivenName: text(user.preferredFirstName),
		identifier: text(user.identifier),
		email: text(user.email),
		grades: list(user.grades)
	}),
	enrollments: (enrollment) => ({
		classSourcedId: idIn(enrollment.class),
		userSourcedId: idIn(enrollment.user),
		role: text(enrollment.role),
		primary: text(enrollment.primary),
		beginDate: text(enrollment.beginDate),
		endDate: text(enrollment.endDate)
	}),
	demographics: (one) => ({ birthDate: text(one.birthDate) })
};

const sourced = (thing: RestThing): Row => ({ sourcedId: text(thing.sourcedId), status: text(thing.status) });

/** Rows of a CSV file, by what a collection of the service holds. The roles of users come with them: `rolesOf`. */
export const rowsOf = (file: Exclude<RosterFile, 'roles'>, collection: RestThing[]): Row[] =>
	collection.map((thing) => ({ ...sourced(thing), ...rowOf[file](thing) }));

/** The roles that stand in users. They have no ids of their own. */
export const rolesOf = (users: RestThing[]): Row[] =>
	users.flatMap((user) =>
		things(user.roles).map((role, i) => ({
			sourcedId: `${text(user.sourcedId)}-role-${i}`,
			status: text(user.status),
			userSourcedId: text(user.sourcedId),
			role: text(role.role),
			orgSourcedId: idIn(role.org),
			beginDate: text(role.beginDate),
			endDate: text(role.endDate)
		}))
	);

/** Columns of each file as `rowsOf` and `rolesOf` give them. */
export const REST_COLUMNS: Record<RosterFile, string[]> = {
	...(Object.fromEntries(
		Object.keys(rowOf).map((file) => [file, Object.keys(rowsOf(file as keyof typeof rowOf, [{}])[0])])
	) as Record<keyof typeof rowOf, string[]>),
	roles: Object.keys(rolesOf([{ roles: [{}] }])[0])
};
