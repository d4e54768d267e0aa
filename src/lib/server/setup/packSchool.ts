import { strToU8, zip } from 'fflate';
import Papa from 'papaparse';
import { promisify } from 'node:util';
import { addDays } from '../../core/calendar';
import { writeOneRoster } from '../../core/interchange/oneRoster/writeOneRoster';
import { audit, type Database } from '../database';
import { rosterRules, schoolNow } from '../people';
import type { Staff } from '../request';
import { schoolYears, type School } from '../school';

/** A school without a year is written as of a year around today, so that its classes run. */
const HALF_A_YEAR = 182;

/** The school as it is today as a OneRoster 1.2 package (a ZIP of CSV files). Who fetched it is written down. */
export async function packSchool(
	database: Database,
	staff: Staff,
	school: School,
	at: Date
): Promise<Uint8Array<ArrayBuffer>> {
	const { today } = school;
	const [now, rules, years] = await Promise.all([
		schoolNow(database, school.id, today),
		rosterRules(database, school.id),
		schoolYears(database, school.id)
	]);
	const year = years.find(({ startsOn, endsOn }) => startsOn <= today && endsOn >= today);
	const files = writeOneRoster(now, {
		sourcedId: now.sourcedId,
		name: now.name,
		homeClasses: rules.homeClasses ?? 'homeroom',
		year: year
			? { startsOn: year.startsOn, endsOn: addDays(year.endsOn, 1) }
			: { startsOn: addDays(today, -HALF_A_YEAR), endsOn: addDays(today, HALF_A_YEAR) }
	});
	await audit(database, staff, at, 'fetch roster', { size: now.students.length });
	const parts = Object.entries(files).map(([name, rows]) => [`${name}.csv`, strToU8(Papa.unparse(rows))]);
	return promisify(zip)(Object.fromEntries(parts)) as Promise<Uint8Array<ArrayBuffer>>;
}
