import type { SchoolDate } from '../../../core/calendar';
import type { StudentRecord } from '../../../core/interchange/studentRecord';
import type { Way } from '../store/moves';
import type { SectionChange } from '../store/sections';

/** What a row was, with the id by which the source knows it; null for none. */
export interface Before<Of> {
	id: number;
	sourcedId: string | null;
	before: Of;
	after: Of;
}

export interface ClassFields {
	name: string;
	grade: number;
}
export interface AdultFields {
	displayName: string;
	email: string | null;
}

/** All that a roster did to a school, from which it can be taken back. */
export interface RosterDone {
	classes: { added: number[]; renewed: Before<ClassFields>[]; ended: number[] };
	students: {
		added: number[];
		renewed: Before<StudentRecord>[];
		ways: Way[];
		/** From this day on those of another grade are of it. */
		gradesFrom: SchoolDate;
	};
	/** Left out by those of before rosters brought sections. */
	sections?: { id: number; change: SectionChange }[];
	adults: { added: number[]; renewed: Before<AdultFields>[]; ofClasses: { classId: number; before: number[] }[] };
}
