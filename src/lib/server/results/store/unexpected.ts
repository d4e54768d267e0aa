import type { Given, ItemKey } from '../../../core/items';
import type { Database } from '../../database';

/** First tries are counted in work that was assigned, or windows that closed, from so long before on. */
interface Span {
	schoolId: number;
	since: Date;
}

/** A question within shared work that fewer got right than not. */
export interface HardQuestion extends ItemKey {
	workId: number;
}

/** Fewer first tries at a question say nothing. */
const FEWEST_TRIES = 5;

const SETS = `practice_set AS work FORCE INDEX (by_school)
	STRAIGHT_JOIN sitting FORCE INDEX (by_set_first) ON sitting.set_id = work.id AND sitting.set_aside_at IS NULL`;
const WINDOWS = `screening_window AS work
	STRAIGHT_JOIN sitting FORCE INDEX (by_window_first) ON sitting.window_id = work.id AND NOT sitting.adaptive
		AND sitting.trust IN ('trusted', 'kept')`;

/** Questions of sets of a school, and of its fixed forms, that half of the first tries or fewer got right. */
export async function hardQuestions(
	database: Database,
	{ schoolId, since }: Span
): Promise<{ sets: HardQuestion[]; windows: HardQuestion[] }> {
	const found = (from: string, when: string) =>
		database.rows<HardQuestion>(
			`SELECT work.id AS workId, item.edition, item.family_id AS familyId, item.seed
			FROM ${from}
			STRAIGHT_JOIN answer ON answer.sitting_id = sitting.id AND answer.attempt = 1
			STRAIGHT_JOIN sitting_item AS item ON item.sitting_id = answer.sitting_id AND item.position = answer.position
			WHERE work.school_id = ? AND ${when}
			GROUP BY work.id, item.edition, item.family_id, item.seed
			HAVING COUNT(*) >= ${FEWEST_TRIES} AND SUM(answer.correct) <= COUNT(*) / 2`,
			[schoolId, since]
		);
	return {
		sets: await found(SETS, 'work.created_at >= ?'),
		windows: await found(WINDOWS, 'work.closes_on >= DATE(?)')
	};
}

/** A first try within shared work. */
export interface FirstTry extends ItemKey {
	workId: number;
	studentId: number;
	position: number;
	skillId: number;
	response: Given;
	correct: boolean;
	misconception: string | null;
}

/** All first tries within some sets, or some windows, student by student. */
export async function firstTriesIn(
	database: Database,
	kind: 'sets' | 'windows',
	workIds: number[]
): Promise<FirstTry[]> {
	if (workIds.length === 0) return [];
	const rows = await database.rows<Omit<FirstTry, 'response'> & { response: string }>(
		`SELECT work.id AS workId, answer.student_id AS studentId, answer.position, answer.skill_id AS skillId,
			item.edition, item.family_id AS familyId, item.seed, answer.response, answer.correct, answer.misconception
		FROM ${kind === 'sets' ? SETS.replace('FORCE INDEX (by_school)', '') : WINDOWS}
		STRAIGHT_JOIN answer ON answer.sitting_id = sitting.id AND answer.attempt = 1
		STRAIGHT_JOIN sitting_item AS item ON item.sitting_id = answer.sitting_id AND item.position = answer.position
		WHERE work.id IN (?)
		ORDER BY work.id, answer.student_id, sitting.id, answer.position`,
		[workIds]
	);
	return rows.map((row) => ({
		...row,
		correct: Boolean(row.correct),
		response: JSON.parse(row.response) as Given
	}));
}
