import type { RosterRecords } from '../../../core/interchange/oneRoster/records';
import { schoolsOf, splitBySchool } from '../../../core/interchange/oneRoster/rosterOfSchool';
import { only } from '../../../core/interchange/roster/lookUp';
import type { ReadRoster, RosterProblem } from '../../../core/interchange/oneRoster/rosterReader';

/** By what a school is found in a roster. */
export interface RosterAsked {
	/** By which the roster knows the school; null where nobody has said it yet. */
	sourcedId: string | null;
	/** By which it is found otherwise. */
	name: string;
}

/** A school's part of a roster. */
export interface SchoolRecords {
	sourcedId: string;
	records: RosterRecords;
}

export interface RosterFound {
	/** Of the system that wrote it; empty where it does not say. */
	systemName: string;
	isDelta: boolean;
	schools: { sourcedId: string; name: string }[];
	/** Null where anything is wrong, or where a person has to say which school it is. */
	own: SchoolRecords | null;
	/** The first, and how many there are. */
	problems: { told: RosterProblem[]; count: number };
}

/**
 * Takes one school's part out of a roster: that of the school it is known by; where it is known by none yet, that of its
 * name, or the only one there is. Another school's is never taken for it.
 */
export function ownRoster({ manifest, records, problems }: ReadRoster, { sourcedId, name }: RosterAsked): RosterFound {
	const schools = schoolsOf(records);
	const own =
		sourcedId === null
			? (only(schools.filter((one) => one.name.toLowerCase() === name.toLowerCase())) ?? only(schools))
			: schools.find((one) => one.sourcedId === sourcedId);
	// A delta need not name the school.
	const ownId = own?.sourcedId ?? (manifest.isDelta ? sourcedId : null);
	return {
		systemName: manifest.source,
		isDelta: manifest.isDelta,
		schools,
		own:
			ownId === null || problems.count
				? null
				: { sourcedId: ownId, records: manifest.isDelta ? records : splitBySchool(records, [ownId]).get(ownId)! },
		problems: { told: problems.told, count: problems.count }
	};
}
