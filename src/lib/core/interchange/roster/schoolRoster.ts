import type { SchoolDate } from '../../calendar';
import type { StudentRecord } from '../studentRecord';

/** A class as a roster from elsewhere tells of it. */
export interface RosterClass {
	/** By which the source knows it. */
	sourcedId: string;
	name: string;
	/** Another name, for where two have the same. */
	code: string;
	/** Null where it is of several grades, or says none. */
	grade: number | null;
	kind: ClassKind;
	/** The title of its course. */
	course: string;
	/** Of the file it stands in. */
	line: number;
}
export type ClassKind = 'homeroom' | 'scheduled';

export interface RosterStudent extends Omit<StudentRecord, 'grade'> {
	sourcedId: string;
	/** As the source writes it. */
	gradeCode: string;
	/** Null for one that is none of K to 12. */
	grade: number | null;
	/** Those the student is in, the most important first. */
	classes: string[];
	line: number;
}

export interface RosterAdult {
	sourcedId: string;
	userName: string;
	displayName: string;
	email: string | null;
	/** Those taught. */
	classes: string[];
	line: number;
}

/** A school as a roster from elsewhere tells of it, on a day. */
export interface SchoolRoster {
	classes: RosterClass[];
	students: RosterStudent[];
	adults: RosterAdult[];
}

export interface Known {
	id: number;
	/** Null for what no roster has brought. */
	sourcedId: string | null;
}
export interface KnownClass extends Known {
	name: string;
	grade: number;
	/** Ids of accounts. */
	adults: number[];
	/** Whether students are in it beside their class. */
	isSection: boolean;
	/** Of a section: ids of the students in it; nobody for a class, which students name themselves. */
	members: number[];
}
export interface RosteredStudent extends Known, StudentRecord {
	/** Of today; null for who has left. */
	classId: number | null;
}
export interface KnownAdult extends Known {
	userName: string;
	displayName: string;
	email: string | null;
}

/** A school as it is here, on a day: classes and sections that have not ended, everybody who is or was a student, all accounts. */
export interface SchoolNow {
	/** From which ids are made for what no roster has brought. */
	key: string;
	classes: KnownClass[];
	students: RosteredStudent[];
	adults: KnownAdult[];
	/** Of the user names asked for, in small letters, those that somebody of another school has. */
	takenElsewhere: string[];
	/** Grades taught, from the first to the last. */
	grades: { first: number; last: number };
	today: SchoolDate;
}

/** By what we name to others what no roster has brought: the same each time, and nobody else's. */
export const sourcedIdOf = (
	{ key }: Pick<SchoolNow, 'key'>,
	kind: 'class' | 'student' | 'adult',
	{ id, sourcedId }: Known
): string => sourcedId ?? `${key}-${kind}-${id}`;

/** What of a student's record can be kept as it is here, whatever a roster says. */
export const RULED_FIELDS = ['givenName', 'familyName', 'preferredName', 'number', 'grade', 'birthDate'] as const;
export type RuledField = (typeof RULED_FIELDS)[number];

/** What a school has settled on how rosters are taken. */
export interface RosterRules {
	/** The kind of classes that students belong to here; null for homerooms where there are any. */
	homeClasses: ClassKind | null;
	/**
	 * Classes of the other kind come as sections where their name or course has a word that begins with one of these. Those
	 * that are sections here already stay so.
	 */
	sections: string[];
	/** Fields that are not changed once they are here. */
	ours: RuledField[];
}

export type Matching = 'number' | 'name and birth date' | 'name and class' | 'name' | 'address' | 'user name';
interface Seen {
	sourcedId: string;
	line: number;
}
interface Renewed<Of> extends Seen {
	id: number;
	/** By what it was found, where the source's id says nothing; null where it was known by that. */
	matchedBy: Matching | null;
	before: Of;
	after: Of;
}

/** One thing that a roster would change. Classes that are new are named by their `sourcedId`. */
export type RosterChange =
	| ({ kind: 'add class'; name: string; grade: number; isSection: boolean } & Seen)
	| ({ kind: 'renew class' } & Renewed<{ name: string; grade: number }>)
	| ({ kind: 'add student'; record: StudentRecord; to: string } & Seen)
	| ({ kind: 'renew student' } & Renewed<StudentRecord>)
	/** From another class; from none for who returns. */
	| { kind: 'move student'; id: number; name: string; from: string | null; to: string; line: number }
	| { kind: 'student leaves'; id: number; name: string; from: string }
	| ({ kind: 'add adult'; userName: string; displayName: string; email: string | null } & Seen)
	| ({ kind: 'renew adult' } & Renewed<{ displayName: string; email: string | null }>)
	/** Who teaches a class: sourced ids, and ids of accounts that stay though no roster names them. */
	| {
			kind: 'adults of class';
			of: string;
			name: string;
			come: string[];
			go: string[];
			adults: string[];
			stay: number[];
	  }
	/** Who is in a section beside their class. */
	| {
			kind: 'members of section';
			of: string;
			name: string;
			come: { sourcedId: string; name: string }[];
			go: { id: number; name: string }[];
	  }
	| { kind: 'end class'; id: number; name: string };

/** What a roster cannot change, and why: to be settled by a person. */
export interface RosterDoubt {
	kind: 'unmatched' | 'conflict';
	of: 'class' | 'student' | 'adult';
	name: string;
	/** Of the roster; null for what only is here. */
	line: number | null;
	says: string;
}

/** What a roster would do to a school. Nothing is stored. */
export interface RosterPlan {
	/** In the order in which they are to be done. */
	changes: RosterChange[];
	doubts: RosterDoubt[];
	/** Students who are in a class today, and how many of them would leave. */
	leaving: { of: number; count: number };
}
