import { audit, type Database, requireOwn, type RootDatabase } from '../../database';
import type { Staff, VisibleId } from '../../request';

/** What a student needs to show what they know. */
export interface Accommodation {
	readAloud: boolean;
	largerType: boolean;
	/** Time for what is timed, as a multiple of the usual: 1, 1.5 or 2. */
	timeFactor: number;
	/** Most questions of a diagnostic a day; null for no limit of their own. */
	itemsADay: number | null;
}

export const NO_ACCOMMODATION: Accommodation = { readAloud: false, largerType: false, timeFactor: 1, itemsADay: null };

/** Accommodations by student; those who have none are absent from the map. */
export async function accommodations(database: Database, studentIds: VisibleId[]): Promise<Map<number, Accommodation>> {
	if (studentIds.length === 0) return new Map();
	const rows = await database.rows<Omit<Accommodation, 'timeFactor'> & { studentId: number; timeFactor: string }>(
		`SELECT student_id AS studentId, read_aloud AS readAloud, larger_type AS largerType, time_factor AS timeFactor,
			items_a_day AS itemsADay
		FROM accommodation WHERE student_id IN (?)`,
		[studentIds]
	);
	return new Map(
		rows.map(({ studentId, timeFactor, ...rest }) => [studentId, { ...rest, timeFactor: Number(timeFactor) }])
	);
}

/** Gives several students the same accommodations, in place of what they had. */
export async function setAccommodations(
	database: RootDatabase,
	staff: Staff,
	studentIds: number[],
	accommodation: Accommodation,
	at: Date
): Promise<void> {
	const { readAloud, largerType, timeFactor, itemsADay } = accommodation;
	await database.transaction(async (transaction) => {
		await requireOwn(transaction, staff, { student: studentIds });
		await transaction.insertMany(
			`INSERT INTO accommodation (student_id, read_aloud, larger_type, time_factor, items_a_day, set_by, set_at)
			VALUES ? ON DUPLICATE KEY UPDATE read_aloud = VALUES(read_aloud), larger_type = VALUES(larger_type),
				time_factor = VALUES(time_factor), items_a_day = VALUES(items_a_day), set_by = VALUES(set_by),
				set_at = VALUES(set_at)`,
			studentIds.map((id) => [id, readAloud, largerType, timeFactor, itemsADay, staff.id, at])
		);
		await audit(transaction, staff, at, 'set accommodations', { students: studentIds, ...accommodation });
	});
}
