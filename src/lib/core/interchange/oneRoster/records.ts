/** The records of a OneRoster 1.2 roster that are of use here (1EdTech OneRoster 1.2, CSV binding), and how a line becomes one. */
import { isSchoolDate, type SchoolDate } from '../../calendar';

interface Sourced {
	/** By which the source knows it; never changes. */
	sourcedId: string;
	/** Of its file, from 1 for the head. */
	line: number;
	/** In a delta: the source has it no more. */
	isGone: boolean;
}

export interface OrgRecord extends Sourced {
	name: string;
	isSchool: boolean;
	parent: string | null;
}
export interface SessionRecord extends Sourced {
	startsOn: SchoolDate;
	/** The first day after it. */
	endsOn: SchoolDate;
	parent: string | null;
}
export interface CourseRecord extends Sourced {
	title: string;
}
export interface ClassRecord extends Sourced {
	title: string;
	/** Codes of grades: `KG`, `01` … */
	grades: string[];
	course: string;
	code: string;
	isHomeroom: boolean;
	school: string;
	sessions: string[];
}
export interface UserRecord extends Sourced {
	isEnabled: boolean;
	userName: string;
	givenName: string;
	familyName: string;
	preferredName: string | null;
	identifier: string | null;
	email: string | null;
	grades: string[];
}
export interface RoleRecord extends Sourced {
	user: string;
	role: string;
	org: string;
	beginsOn: SchoolDate | null;
	/** The first day after it. */
	endsOn: SchoolDate | null;
}
export interface EnrollmentRecord extends Sourced {
	class: string;
	user: string;
	role: string;
	isPrimary: boolean;
	beginsOn: SchoolDate | null;
	/** The first day after it. */
	endsOn: SchoolDate | null;
}
/** Goes by the id of the user. */
export interface DemographicsRecord extends Sourced {
	birthDate: SchoolDate | null;
}

/** A whole roster, or what has changed of one. */
export interface RosterRecords {
	orgs: OrgRecord[];
	academicSessions: SessionRecord[];
	courses: CourseRecord[];
	classes: ClassRecord[];
	users: UserRecord[];
	roles: RoleRecord[];
	enrollments: EnrollmentRecord[];
	demographics: DemographicsRecord[];
}

/** The files that are read, in an order in which what is referred to comes first. */
export const ROSTER_FILES = [
	'orgs',
	'academicSessions',
	'courses',
	'classes',
	'users',
	'roles',
	'enrollments',
	'demographics'
] as const;
export type RosterFile = (typeof ROSTER_FILES)[number];

/** Columns without which a file cannot be read, beside `sourcedId`. */
export const NEEDED: Record<RosterFile, string[]> = {
	orgs: ['name', 'type'],
	academicSessions: ['startDate', 'endDate'],
	courses: ['title'],
	classes: ['title', 'classType', 'courseSourcedId', 'schoolSourcedId', 'termSourcedIds'],
	users: ['enabledUser', 'username', 'givenName', 'familyName'],
	roles: ['userSourcedId', 'role', 'orgSourcedId'],
	enrollments: ['classSourcedId', 'userSourcedId', 'role'],
	demographics: ['birthDate']
};

/** Something that a line says and that cannot be; its message says what. */
export class BadLine extends Error {}

/** Characters of one cell. A quote that is never closed makes one of all that follows. */
export const LONGEST_CELL = 2_000;
/** Characters of an id (the standard's recommendation for GUIDs is far less). */
const LONGEST_ID = 255;

const ORG_TYPES = ['department', 'district', 'local', 'national', 'school', 'state'];
const CLASS_TYPES = ['homeroom', 'scheduled'];
const STATUSES = ['', 'active', 'inactive', 'tobedeleted'];
const ENROLLED_ROLES = ['administrator', 'aide', 'guardian', 'parent', 'proctor', 'relative', 'student', 'teacher'];

/** A line, by the names of its columns. */
export type Cells = (column: string) => string;

const list = (text: string) =>
	text
		.split(',')
		.map((one) => one.trim())
		.filter(Boolean);

function one(cells: Cells, column: string): string {
	const text = cells(column);
	if (!text) throw new BadLine(`${column} is empty`);
	if (text.length > LONGEST_ID) throw new BadLine(`${column} has more than ${LONGEST_ID} characters`);
	return text;
}

function oneOf(cells: Cells, column: string, known: string[]): string {
	const text = cells(column);
	const found = known.find((word) => word.toLowerCase() === text.toLowerCase());
	if (found === undefined) throw new BadLine(`${column} is “${text}”; it can be ${known.filter(Boolean).join(', ')}`);
	return found;
}

function day(cells: Cells, column: string): SchoolDate | null {
	const text = cells(column);
	if (!text) return null;
	if (!isSchoolDate(text)) throw new BadLine(`${column} is “${text}”, not a day written YYYY-MM-DD`);
	return text;
}

function needDay(cells: Cells, column: string): SchoolDate {
	const found = day(cells, column);
	if (!found) throw new BadLine(`${column} is empty`);
	return found;
}

function sourced(cells: Cells, line: number): Sourced {
	const status = cells('status') ? oneOf(cells, 'status', STATUSES) : '';
	return { sourcedId: one(cells, 'sourcedId'), line, isGone: status === 'tobedeleted' || status === 'inactive' };
}

const readers: { [File in RosterFile]: (cells: Cells) => Omit<RosterRecords[File][number], keyof Sourced> } = {
	orgs: (cells) => ({
		name: one(cells, 'name'),
		isSchool: oneOf(cells, 'type', ORG_TYPES) === 'school',
		parent: cells('parentSourcedId') || null
	}),
	academicSessions: (cells) => ({
		startsOn: needDay(cells, 'startDate'),
		endsOn: needDay(cells, 'endDate'),
		parent: cells('parentSourcedId') || null
	}),
	courses: (cells) => ({ title: cells('title') }),
	classes: (cells) => ({
		title: one(cells, 'title'),
		grades: list(cells('grades')),
		course: one(cells, 'courseSourcedId'),
		code: cells('classCode'),
		isHomeroom: oneOf(cells, 'classType', CLASS_TYPES) === 'homeroom',
		school: one(cells, 'schoolSourcedId'),
		sessions: list(cells('termSourcedIds'))
	}),
	users: (cells) => ({
		isEnabled: oneOf(cells, 'enabledUser', ['true', 'false']) === 'true',
		userName: cells('username'),
		givenName: one(cells, 'givenName'),
		familyName: one(cells, 'familyName'),
		preferredName: cells('preferredGivenName') || null,
		identifier: cells('identifier') || null,
		email: cells('email') || null,
		grades: list(cells('grades'))
	}),
	roles: (cells) => ({
		user: one(cells, 'userSourcedId'),
		// Every word the standard knows, and those of its own that a source may add.
		role: one(cells, 'role'),
		org: one(cells, 'orgSourcedId'),
		beginsOn: day(cells, 'beginDate'),
		endsOn: day(cells, 'endDate')
	}),
	enrollments: (cells) => ({
		class: one(cells, 'classSourcedId'),
		user: one(cells, 'userSourcedId'),
		role: oneOf(cells, 'role', ENROLLED_ROLES),
		isPrimary: cells('primary').toLowerCase() === 'true',
		beginsOn: day(cells, 'beginDate'),
		endsOn: day(cells, 'endDate')
	}),
	demographics: (cells) => ({ birthDate: day(cells, 'birthDate') })
};

/**
 * A line as the record that it is: a clone, which V8 keeps in a third of what an object takes that was put together of
 * two. All of a roster is in memory.
 *
 * @throws BadLine
 */
export const readRecord = <File extends RosterFile>(
	file: File,
	cells: Cells,
	line: number
): RosterRecords[File][number] =>
	({ ...{ ...readers[file](cells), ...sourced(cells, line) } }) as RosterRecords[File][number];
