import { schoolDateOf } from '../../core/calendar';
import { extraDigits, formatOf, itemFrom } from '../../core/items';
import {
	estimateDomains,
	estimateEap,
	expectedTheta,
	startingParameters,
	trustFlags,
	type ScoredResponse
} from '../../core/measurement';
import type { Database, RootDatabase } from '../database/pool';
import type { Staff } from '../viewer';
import { audit } from './audit';
import type { Trust } from './sittings';
import type { Skill } from './skills';
import { rebuildTraces } from './standings';

interface ScoredRow {
	familyId: string;
	seed: number;
	skillId: number;
	correct: boolean;
	milliseconds: number;
	answeredAt: Date;
}

async function scoredAnswers(database: Database, sittingId: number): Promise<ScoredRow[]> {
	return database.rows<ScoredRow>(
		`SELECT item.family_id AS familyId, item.seed, item.skill_id AS skillId, answer.correct, answer.milliseconds,
			answer.answered_at AS answeredAt
		FROM answer
		JOIN sitting_item AS item ON item.sitting_id = answer.sitting_id AND item.position = answer.position
		WHERE answer.sitting_id = ? AND answer.attempt = 1
		ORDER BY answer.answered_at, answer.position`,
		[sittingId]
	);
}

/** Until items have median times of their own, 10% of half a minute. */
const RAPID_MS = 3_000;

/** Spread (logits) of ability around the grade's median, before any answer. */
export const PRIOR_SD = 1.1;

/** Scores a finished diagnostic from its answers, and says what about it is doubtful. */
export function scoreDiagnostic(
	answers: ScoredRow[],
	student: { grade: number },
	window: { term: number },
	skills: Skill[],
	previous?: { theta: number; standardError: number }
) {
	const bySkill = new Map(skills.map((skill) => [skill.id, skill]));
	const prior = { mean: expectedTheta({ grade: student.grade, term: window.term }), sd: PRIOR_SD };
	const responses: (ScoredResponse & { domainId: number })[] = answers.map((answer) => {
		const skill = bySkill.get(answer.skillId)!;
		const asked = itemFrom(answer.familyId, answer.seed);
		const item = startingParameters(skill, formatOf(asked.response), extraDigits(asked));
		return { item, correct: answer.correct, milliseconds: answer.milliseconds, domainId: skill.domainId };
	});
	const domainIds = [...new Set(skills.map((skill) => skill.domainId))];
	const byDomain = new Map(domainIds.map((id) => [id, responses.filter((response) => response.domainId === id)]));
	const overall = estimateEap(responses, prior);
	const pauses = answers
		.slice(1)
		.map((answer, i) => answer.answeredAt.getTime() - answers[i].answeredAt.getTime() - answer.milliseconds);
	const flags = trustFlags({
		responses,
		thresholdsMs: responses.map(() => RAPID_MS),
		estimate: overall,
		previous,
		domainsExpected: domainIds.length,
		domainsAnswered: [...byDomain.values()].filter((list) => list.length > 0).length,
		longestPauseMs: Math.max(0, ...pauses)
	});
	return { overall, domains: estimateDomains(byDomain, prior), flags };
}

interface Diagnostic {
	id: number;
	studentId: number;
	windowId: number;
	/** Of the student. */
	grade: number;
	/** Of the window. */
	term: number;
	trust: Trust;
	finishedAt: Date;
}

/** A finished diagnostic, locked until the end of the transaction; null while answers are missing. */
async function lockFinished(database: Database, sittingId: number): Promise<Diagnostic | null> {
	return database.row<Diagnostic>(
		`SELECT sitting.id, sitting.student_id AS studentId, sitting.window_id AS windowId, student.grade,
			screening_window.term, sitting.trust, sitting.finished_at AS finishedAt
		FROM sitting
		JOIN student ON student.id = sitting.student_id
		JOIN screening_window ON screening_window.id = sitting.window_id
		WHERE sitting.id = ? AND sitting.answered = sitting.item_count
		FOR UPDATE`,
		[sittingId]
	);
}

/**
 * Scores a diagnostic that has just been finished. Trusted: its scores and answers count at once. Flagged: nothing
 * counts until a person keeps it. Belongs into the transaction of the last answer, so that no diagnostic is left
 * finished but unscored.
 *
 * @param rebuild false when the caller works out all traces anew afterwards
 */
export async function finishDiagnostic(
	database: Database,
	sittingId: number,
	skills: Skill[],
	school: { timeZone: string },
	rebuild = true
): Promise<void> {
	const diagnostic = await lockFinished(database, sittingId);
	if (!diagnostic || diagnostic.trust !== 'open') return;
	const previous = await database.row<{ theta: number; standardError: number }>(
		`SELECT theta, standard_error AS standardError FROM score
		WHERE student_id = ? AND window_id <> ? AND domain_id = 0 ORDER BY taken_on DESC, id DESC LIMIT 1`,
		[diagnostic.studentId, diagnostic.windowId]
	);
	const answers = await scoredAnswers(database, sittingId);
	const result = scoreDiagnostic(answers, diagnostic, diagnostic, skills, previous ?? undefined);
	await database.run('UPDATE sitting SET trust = ?, flags = ? WHERE id = ?', [
		result.flags.length ? 'flagged' : 'trusted',
		JSON.stringify(result.flags),
		sittingId
	]);
	if (result.flags.length > 0) return;
	await writeScores(database, diagnostic, result, school);
	if (rebuild) await rebuildTraces(database, [diagnostic.studentId], skills, school.timeZone);
}

async function writeScores(
	database: Database,
	{ id, studentId, windowId, finishedAt }: Diagnostic,
	{ overall, domains }: Pick<ReturnType<typeof scoreDiagnostic>, 'overall' | 'domains'>,
	school: { timeZone: string }
): Promise<void> {
	const takenOn = schoolDateOf(finishedAt, school.timeZone);
	await database.insertMany(
		`INSERT INTO score (student_id, window_id, sitting_id, source, domain_id, theta, standard_error, taken_on)
		VALUES ? ON DUPLICATE KEY UPDATE sitting_id = VALUES(sitting_id), theta = VALUES(theta),
			standard_error = VALUES(standard_error), taken_on = VALUES(taken_on)`,
		[[0, overall] as const, ...domains].map(([domainId, { theta, standardError }]) => [
			studentId,
			windowId,
			id,
			'diagnostic',
			domainId,
			theta,
			standardError,
			takenOn
		])
	);
}

export type TrustDecision = 'kept' | 'set aside' | 'flagged';

/**
 * What a person decided about a flagged sitting. Kept sittings count from now; set-aside ones feed nothing, and the
 * student can sit a new form while the window is open; flagged takes a decision back.
 *
 * @returns null when there is no flagged sitting of that id in the school
 */
export async function decideTrust(
	database: RootDatabase,
	staff: Staff,
	sittingId: number,
	decision: TrustDecision,
	skills: Skill[],
	school: { timeZone: string },
	at: Date
): Promise<{ studentId: number } | null> {
	return database.transaction(async (transaction) => {
		const sitting = await transaction.row<{ studentId: number }>(
			`SELECT sitting.student_id AS studentId FROM sitting JOIN student ON student.id = sitting.student_id
			WHERE sitting.id = ? AND student.school_id = ? AND sitting.trust IN ('flagged', 'kept', 'set aside')
			FOR UPDATE`,
			[sittingId, staff.schoolId]
		);
		if (!sitting) return null;
		await transaction.run('UPDATE sitting SET trust = ? WHERE id = ?', [decision, sittingId]);
		if (decision === 'kept') {
			const diagnostic = (await lockFinished(transaction, sittingId))!;
			const result = scoreDiagnostic(await scoredAnswers(transaction, sittingId), diagnostic, diagnostic, skills);
			await writeScores(transaction, diagnostic, result, school);
		} else {
			await transaction.run('DELETE FROM score WHERE sitting_id = ?', [sittingId]);
		}
		await rebuildTraces(transaction, [sitting.studentId], skills, school.timeZone);
		await audit(transaction, {
			schoolId: staff.schoolId,
			accountId: staff.id,
			at,
			action: `sitting ${decision}`,
			detail: { sitting: sittingId }
		});
		return sitting;
	});
}
