import { schoolDateOf, type SchoolDate } from '../../../core/calendar';
import type { Given, ItemKey } from '../../../core/items';
import type { OutsideScore, SittingAnswer } from '../../../core/mastery';
import { expectedTheta, termOfYear, yearOf, type SchoolYear, type SittingKind } from '../../../core/measurement';
import type { Recall } from '../../../core/retention';
import { askedParameters } from '../../../core/screening';
import type { Database } from '../../database';
import type { VisibleId } from '../../request';
import { parameterSet } from '../../screen';
import { fieldCode, type SchoolField } from '../schoolField';
import { formatFrom, type StoredFormat } from '../storedFormat';

/**
 * Answers that count as evidence: first tries, not of what was set aside, and from diagnostics only those that are trusted or
 * kept and whose domain was not sat again.
 */
const EVIDENCE = `
	FROM answer
	JOIN sitting ON sitting.id = answer.sitting_id
	JOIN sitting_item AS item ON item.sitting_id = answer.sitting_id AND item.position = answer.position
	WHERE answer.attempt = 1 AND sitting.trust <> 'set aside' AND (sitting.kind <> 'diagnostic' OR (
		sitting.trust IN ('trusted', 'kept') AND NOT EXISTS (
			SELECT 1 FROM sitting AS resit
			JOIN student ON student.id = resit.student_id
			JOIN school ON school.id = student.school_id
			JOIN framework_skill AS taught
				ON taught.framework_id = school.framework_id AND taught.domain_id = resit.domain_id
			WHERE resit.resits_id = sitting.id AND resit.trust IN ('trusted', 'kept')
				AND taught.skill_id = answer.skill_id)))`;

interface AnswerRow extends StoredFormat {
	studentId: number;
	skillId: number;
	sittingId: number;
	parametersId: number | null;
	familyId: string;
	digits: number;
	correct: boolean;
	answeredAt: Date;
}

/**
 * Answers that count, by student, each with the parameters of its question as they were for its sitting; those on skills
 * that the school does not teach any more are left out.
 *
 * @param before only those given before a moment
 */
export async function answersOf(
	database: Database,
	{ skills, timeZone }: SchoolField,
	studentIds: number[],
	before?: Date
): Promise<Map<number, SittingAnswer[]>> {
	const rows = await database.rows<AnswerRow>(
		`SELECT answer.student_id AS studentId, answer.skill_id AS skillId, answer.sitting_id AS sittingId,
			sitting.parameters_id AS parametersId, item.family_id AS familyId, item.kind AS answerKind, item.options,
			COALESCE(item.digits, 0) AS digits, answer.correct, answer.answered_at AS answeredAt
		${EVIDENCE} AND answer.student_id IN (?) ${before ? 'AND answer.answered_at < ?' : ''}
		ORDER BY answer.student_id, answer.answered_at, answer.sitting_id, answer.position`,
		before ? [studentIds, before] : [studentIds]
	);
	const sets = new Map<number | null, Awaited<ReturnType<typeof parameterSet>>>();
	for (const { parametersId } of rows)
		if (!sets.has(parametersId)) sets.set(parametersId, await parameterSet(database, parametersId));
	const byStudent = new Map<number, SittingAnswer[]>(studentIds.map((id) => [id, []]));
	for (const row of rows) {
		const skill = skills.get(row.skillId);
		if (!skill) continue;
		const asked = { familyId: row.familyId, format: formatFrom(row), digits: row.digits };
		byStudent.get(row.studentId)!.push({
			skill: fieldCode(row.skillId),
			item: askedParameters(asked, skill, sets.get(row.parametersId)!),
			correct: row.correct,
			on: schoolDateOf(row.answeredAt, timeZone),
			sittingId: row.sittingId
		});
	}
	return byStudent;
}

/** Scores from outside: the newest of each source and domain, by student; of a source with domains, not its overall too. */
export async function outsideScores(
	database: Database,
	studentIds: number[],
	{
		gradeOn,
		years,
		until = '9999-12-31'
	}: { gradeOn: (studentId: number, day: SchoolDate) => number; years: SchoolYear[]; until?: SchoolDate }
): Promise<Map<number, (OutsideScore & { takenOn: SchoolDate })[]>> {
	const rows = await database.rows<{
		studentId: number;
		source: string;
		domainId: number;
		theta: number;
		standardError: number;
		takenOn: SchoolDate;
	}>(
		`SELECT student_id AS studentId, source, domain_id AS domainId, theta, standard_error AS standardError,
			taken_on AS takenOn
		FROM score WHERE student_id IN (?) AND source <> 'diagnostic' AND taken_on <= ?
		ORDER BY taken_on, id`,
		[studentIds, until]
	);
	const newest = new Map(rows.map((row) => [`${row.studentId} ${row.source} ${row.domainId}`, row]));
	const inDomains = new Set(rows.filter(({ domainId }) => domainId > 0).map((row) => `${row.studentId} ${row.source}`));
	const byStudent = new Map<number, (OutsideScore & { takenOn: SchoolDate })[]>();
	for (const { studentId, source, domainId, theta, standardError, takenOn } of newest.values()) {
		if (domainId === 0 && inDomains.has(`${studentId} ${source}`)) continue;
		const expected = expectedTheta({
			grade: gradeOn(studentId, takenOn),
			term: termOfYear(takenOn, yearOf(takenOn, years))
		});
		const score = {
			domain: domainId === 0 ? null : String(domainId),
			above: theta - expected,
			standardError,
			takenOn
		};
		byStudent.set(studentId, [...(byStudent.get(studentId) ?? []), score]);
	}
	return byStudent;
}

/** The days on which a student answered skills, by skill, in order: how the first tries of each went. */
export async function recallsOf(
	database: Database,
	studentId: VisibleId,
	skillIds: number[],
	timeZone: string
): Promise<Map<number, Recall[]>> {
	const bySkill = new Map<number, Recall[]>(skillIds.map((id) => [id, []]));
	if (skillIds.length === 0) return bySkill;
	const rows = await database.rows<{ skillId: number; correct: number; answeredAt: Date }>(
		`SELECT answer.skill_id AS skillId, answer.correct, answer.answered_at AS answeredAt
		${EVIDENCE} AND answer.student_id = ? AND answer.skill_id IN (?)
		ORDER BY answer.answered_at, answer.position`,
		[studentId, skillIds]
	);
	for (const { skillId, correct, answeredAt } of rows) {
		const recalls = bySkill.get(skillId)!;
		const on = schoolDateOf(answeredAt, timeZone);
		if (recalls.at(-1)?.on !== on) recalls.push({ on, right: 0, of: 0 });
		const day = recalls.at(-1)!;
		day.right += Number(correct);
		day.of++;
	}
	return bySkill;
}

interface EvidenceAnswer extends ItemKey {
	answeredAt: Date;
	kind: SittingKind;
	/** The letter of the form where it was answered on paper. */
	paperForm: string | null;
	response: Given;
	correct: boolean;
	misconception: string | null;
	milliseconds: number;
}

/** The answers behind a standing, newest first. */
export async function evidenceFor(
	database: Database,
	studentId: VisibleId,
	skillId: number
): Promise<EvidenceAnswer[]> {
	const rows = await database.rows<Omit<EvidenceAnswer, 'response'> & { response: string }>(
		`SELECT answer.answered_at AS answeredAt, sitting.kind, sitting.paper_form AS paperForm, item.family_id AS familyId, item.seed, item.edition,
			answer.response, answer.correct, answer.misconception, answer.milliseconds
		${EVIDENCE} AND answer.student_id = ? AND answer.skill_id = ?
		ORDER BY answer.answered_at DESC, answer.position DESC LIMIT 60`,
		[studentId, skillId]
	);
	return rows.map((row) => ({ ...row, response: JSON.parse(row.response) }));
}
