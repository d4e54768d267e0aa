import type { SchoolYear } from '../../../core/measurement';
import type { Database } from '../../database';

/** What says whether a school's field is as it was: asked each time that standings are read. */
export interface FieldState {
	timeZone: string;
	/** Of the library. */
	revision: number;
	/** Of items' parameters, and of the field's constants; null for those that are shipped. */
	parametersId: number | null;
	constantsId: number | null;
	/** Newest first. */
	years: SchoolYear[];
}

/** @throws RangeError when there is no such school */
export async function fieldState(database: Database, schoolId: number): Promise<FieldState> {
	const row = await database.row<Omit<FieldState, 'years'> & { years: string | null }>(
		`SELECT time_zone AS timeZone,
			COALESCE((SELECT revision FROM library_revision WHERE school_id = school.id), 0) AS revision,
			(SELECT MAX(id) FROM parameter_version WHERE school_id = school.id AND withdrawn_at IS NULL) AS parametersId,
			(SELECT id FROM field_version WHERE school_id = school.id AND withdrawn_at IS NULL
				ORDER BY number DESC LIMIT 1) AS constantsId,
			(SELECT JSON_ARRAYAGG(JSON_OBJECT('startsOn', starts_on, 'endsOn', ends_on) ORDER BY starts_on DESC)
				FROM school_year WHERE school_id = school.id) AS years
		FROM school WHERE id = ?`,
		[schoolId]
	);
	if (!row) throw new RangeError(`no school ${schoolId}`);
	return { ...row, years: row.years === null ? [] : JSON.parse(row.years) };
}
