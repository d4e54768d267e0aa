/** A OneRoster 1.2 roster as its REST binding sends it, out of the rows of its CSV binding. */

export type Thing = Record<string, unknown> & { sourcedId: string; status: string };
export type Collection = 'orgs' | 'academicSessions' | 'courses' | 'classes' | 'users' | 'enrollments' | 'demographics';
export type Things = Record<Collection, Thing[]>;

type Row = Record<string, string>;
const reference = (type: string, sourcedId: string) => ({ href: `/${type}s/${sourcedId}`, sourcedId, type });
const optional = (type: string, sourcedId: string) => (sourcedId ? { parent: reference(type, sourcedId) } : {});
const list = (text: string) => text.split(',').filter(Boolean);

/** @param files rows of cells, each file with its head, as `writeOneRoster` gives them */
export function thingsOf(files: Record<string, string[][]>): Things {
	const rows = (file: string): Row[] => {
		const [head = [], ...lines] = files[file] ?? [];
		return lines.map((line) => Object.fromEntries(head.map((column, i) => [column, line[i] ?? ''])));
	};
	const things = (file: string, of: (row: Row) => Record<string, unknown>): Thing[] =>
		rows(file).map((row) => ({ sourcedId: row.sourcedId, status: 'active', ...of(row) }));
	const roles = rows('roles');
	return {
		orgs: things('orgs', ({ name, type, parentSourcedId }) => ({ name, type, ...optional('org', parentSourcedId) })),
		academicSessions: things(
			'academicSessions',
			({ title, type, startDate, endDate, schoolYear, parentSourcedId }) => ({
				...{ title, type, startDate, endDate, schoolYear },
				...optional('academicSession', parentSourcedId)
			})
		),
		courses: things('courses', ({ title, orgSourcedId }) => ({ title, org: reference('org', orgSourcedId) })),
		classes: things('classes', (row) => ({
			title: row.title,
			classType: row.classType,
			grades: list(row.grades),
			course: reference('course', row.courseSourcedId),
			school: reference('org', row.schoolSourcedId),
			terms: list(row.termSourcedIds).map((id) => reference('academicSession', id))
		})),
		users: things('users', (row) => ({
			enabledUser: row.enabledUser,
			username: row.username,
			givenName: row.givenName,
			familyName: row.familyName,
			preferredFirstName: row.preferredGivenName,
			identifier: row.identifier,
			email: row.email,
			grades: list(row.grades),
			roles: roles
				.filter(({ userSourcedId }) => userSourcedId === row.sourcedId)
				.map(({ roleType, role, orgSourcedId }) => ({ roleType, role, org: reference('org', orgSourcedId) }))
		})),
		enrollments: things('enrollments', (row) => ({
			role: row.role,
			primary: row.primary,
			user: reference('user', row.userSourcedId),
			class: reference('class', row.classSourcedId),
			school: reference('org', row.schoolSourcedId),
			...(row.beginDate ? { beginDate: row.beginDate } : {}),
			...(row.endDate ? { endDate: row.endDate } : {})
		})),
		demographics: things('demographics', ({ birthDate }) => ({ birthDate }))
	};
}

const isRole = (thing: Thing, role: string) =>
	Array.isArray(thing.roles) && thing.roles.some((one: { role: string }) => one.role === role);

export const studentsIn = ({ users }: Things) => users.filter((user) => isRole(user, 'student'));
export const teachersIn = ({ users }: Things) => users.filter((user) => isRole(user, 'teacher'));
