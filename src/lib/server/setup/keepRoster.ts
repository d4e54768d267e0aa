import { checkRecords } from '../../core/interchange/oneRoster/checkRecords';
import type { RosterRecords } from '../../core/interchange/oneRoster/records';
import { afterDelta, rosterOfSchool } from '../../core/interchange/oneRoster/rosterOfSchool';
import { Problems } from '../../core/interchange/oneRoster/rosterReader';
import type { RootDatabase } from '../database';
import { addRosterRun, recordsInForce, rosterRules } from '../people';
import type { Staff } from '../request';
import type { School } from '../school';

/** One school's part of a roster that was read. */
export interface BroughtRoster {
	/** By which the source knows the school. */
	sourcedId: string;
	/** Of the school; of a delta, of all schools. */
	records: RosterRecords;
	isDelta: boolean;
	systemName: string;
	fileName: string;
}

/** Characters of a file's or a system's name that are kept. */
const LONGEST_NAME = 200;

/**
 * Keeps a school's part of a roster, to be looked at and applied: a delta joined to what was applied before.
 *
 * @returns the run; or why it cannot be kept, in words or line by line
 */
export async function keepRoster(
	database: RootDatabase,
	staff: Staff,
	{ today }: Pick<School, 'today'>,
	{ sourcedId, isDelta, ...brought }: BroughtRoster,
	at: Date
): Promise<{ run: number } | { problem: string } | { problems: Pick<Problems, 'told' | 'count'> }> {
	const { takesBirthDates } = await rosterRules(database, staff.schoolId);
	let records = { ...brought.records, demographics: takesBirthDates ? brought.records.demographics : [] };
	if (isDelta) {
		const before = await recordsInForce(database, staff.schoolId);
		if (!before) return { problem: 'These are changes only, and no whole roster was applied that they could follow' };
		records = afterDelta(before, records, sourcedId);
		const torn = new Problems();
		checkRecords(records, torn);
		if (torn.count) return { problems: { told: torn.told, count: torn.count } };
	}
	if (rosterOfSchool(records, sourcedId, today).students.length === 0)
		return {
			problem: 'Nobody is a student of this school in it today: is it another year’s, or another school’s?'
		};
	const [fileName, systemName] = [brought.fileName, brought.systemName].map((name) => name.slice(0, LONGEST_NAME));
	return { run: await addRosterRun(database, staff, { fileName, systemName, isDelta, records }, at) };
}
