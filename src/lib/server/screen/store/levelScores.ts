import { schoolDateOf, type SchoolDate } from '../../../core/calendar';
import { estimateEap, termSaid, yearOf } from '../../../core/measurement';
import { gradePrior } from '../../../core/screening';
import type { Database } from '../../database';
import { gradeOnSql } from '../../people';
import { schoolYears } from '../../school';
import type { Skill } from '../../library';
import { diagnosticAnswers, scoredAnswers } from './diagnosticScores';
import { parameterSet } from './parameters';

interface FinishedCheck {
	studentId: number;
	schoolId: number;
	domainId: number;
	grade: number;
	parametersId: number | null;
	finishedAt: Date;
}

/**
 * Scores a level check that is finished, anew where it was scored before: as a diagnostic scores a domain, from the grade's
 * median by nothing but its own answers. Belongs into the transaction of what changes them.
 */
export async function scoreLevelCheck(
	transaction: Database,
	sittingId: number,
	skills: Skill[],
	{ timeZone }: { timeZone: string }
): Promise<void> {
	const check = await transaction.row<FinishedCheck>(
		`SELECT sitting.student_id AS studentId, student.school_id AS schoolId, sitting.domain_id AS domainId,
			${gradeOnSql('sitting.finished_at')} AS grade, sitting.parameters_id AS parametersId, sitting.finished_at AS finishedAt
		FROM sitting JOIN student ON student.id = sitting.student_id
		WHERE sitting.id = ? AND sitting.kind = 'level' AND sitting.finished_at IS NOT NULL`,
		[sittingId]
	);
	if (!check) return;
	const { studentId, schoolId, domainId, grade, parametersId, finishedAt } = check;
	const takenOn: SchoolDate = schoolDateOf(finishedAt, timeZone);
	const term = termSaid(takenOn, yearOf(takenOn, await schoolYears(transaction, schoolId)));
	const parameters = await parameterSet(transaction, parametersId);
	const answers = scoredAnswers(await diagnosticAnswers(transaction, sittingId), { skills, parameters });
	const { theta, standardError } = estimateEap(answers, gradePrior({ grade, term }));
	await transaction.run(
		`INSERT INTO level_score (sitting_id, student_id, domain_id, taken_on, theta, standard_error) VALUES (?, ?, ?, ?, ?, ?)
		ON DUPLICATE KEY UPDATE theta = VALUES(theta), standard_error = VALUES(standard_error)`,
		[sittingId, studentId, domainId, takenOn, theta, standardError]
	);
}
