import type { SchoolDate } from '../calendar';

/** What a school writes down of a student. */
export interface StudentRecord {
	givenName: string;
	familyName: string;
	/** By what everybody knows the student, where it is another than the given name. */
	preferredName: string | null;
	number: string | null;
	/** 0 is kindergarten. */
	grade: number;
	birthDate: SchoolDate | null;
}
