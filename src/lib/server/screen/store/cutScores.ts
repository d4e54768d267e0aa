import type { FluencyMeasure } from '../../../core/fluency';
import { usualCut } from '../../../core/screening';
import { audit, type Database, type RootDatabase } from '../../database';
import type { Staff } from '../../request';

/** Which cut scores are meant: those of a diagnostic (null) or of a measure that is given, in a term. */
interface CutScoresOf {
	measure: FluencyMeasure | null;
	term: number;
}

/** Cut score for each grade, in points or correct a minute: the school's own where set, else the usual. */
export async function cutScores(
	database: Database,
	schoolId: number,
	{ measure, term }: CutScoresOf
): Promise<Record<number, number>> {
	const own = await database.rows<{ grade: number; points: number }>(
		'SELECT grade, points FROM cut_score WHERE school_id = ? AND measure = ? AND term = ?',
		[schoolId, measure ?? 'diagnostic', term]
	);
	const cuts: Record<number, number> = {};
	for (let grade = 1; grade <= 8; grade++) cuts[grade] = usualCut(measure, grade, term);
	for (const { grade, points } of own) cuts[grade] = points;
	return cuts;
}

/** Sets a school's cut scores by grade, in points or correct a minute; null gives a grade the usual one again. */
export async function setCutScores(
	database: RootDatabase,
	staff: Staff,
	{ measure, term }: CutScoresOf,
	cuts: Map<number, number | null>,
	at: Date
): Promise<void> {
	await database.transaction(async (transaction) => {
		for (const [grade, points] of cuts) {
			if (points === null) {
				await transaction.run('DELETE FROM cut_score WHERE school_id = ? AND measure = ? AND grade = ? AND term = ?', [
					staff.schoolId,
					measure ?? 'diagnostic',
					grade,
					term
				]);
				continue;
			}
			await transaction.run(
				`INSERT INTO cut_score (school_id, measure, grade, term, points) VALUES (?, ?, ?, ?, ?)
				ON DUPLICATE KEY UPDATE points = VALUES(points)`,
				[staff.schoolId, measure ?? 'diagnostic', grade, term, points]
			);
		}
		await audit(transaction, staff, at, 'set cut scores', { measure, term, cuts: [...cuts] });
	});
}
