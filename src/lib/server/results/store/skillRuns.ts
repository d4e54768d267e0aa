import type { SkillRun } from '../../../core/results';
import type { Database } from '../../database';
import type { VisibleId } from '../../request';

/** A run of a student through a set on one of its skills, with when it was begun. */
export interface StudentRun extends SkillRun {
	studentId: number;
	begunAt: Date;
	/** The name that the set has of its own, and whether each works on one of its skills. */
	setName: string | null;
	isOwnStep: boolean;
	/** Place of the skill among those of the set. */
	place: number;
}

/** Runs of students through sets of which counts how they went, that they began since an instant, skill by skill, in the order in which they were begun. */
export async function skillRuns(database: Database, studentIds: VisibleId[], since: Date): Promise<StudentRun[]> {
	if (studentIds.length === 0) return [];
	const rows = await database.rows<StudentRun>(
		`SELECT sitting.student_id AS studentId, sitting.set_id AS setId, sitting.attempt, sitting.started_at AS begunAt,
			practice_set.name AS setName, practice_set.is_own_step AS isOwnStep, MIN(part.number) AS place, practice_set.line, answer.skill_id AS skillId, COUNT(*) AS answered,
			SUM(answer.correct) AS \`right\`
		FROM sitting FORCE INDEX (by_set)
		JOIN practice_set ON practice_set.id = sitting.set_id AND NOT practice_set.done_only
		JOIN practice_set_skill AS part ON part.set_id = sitting.set_id
		JOIN answer ON answer.sitting_id = sitting.id AND answer.attempt = 1 AND answer.skill_id = part.skill_id
		WHERE sitting.student_id IN (?) AND sitting.set_id IS NOT NULL AND sitting.started_at >= ?
			AND sitting.set_aside_at IS NULL
		GROUP BY sitting.id, answer.skill_id
		ORDER BY sitting.started_at, sitting.id, answer.skill_id`,
		[studentIds, since]
	);
	return rows.map((row) => ({ ...row, answered: Number(row.answered), right: Number(row.right) }));
}
