import { schoolDateOf } from '../../../core/calendar';
import type { AbilityEstimate } from '../../../core/measurement';
import { audit, type Database, type RootDatabase } from '../../database';
import { gradeOnSql } from '../../people';
import type { Staff, VisibleId } from '../../request';
import { diagnosticAnswers, scoreDiagnostic, type DiagnosticResult } from './diagnosticScores';
import { parameterSet } from './parameters';
import { refreshPlaces } from './places';
import type { Trust } from '../../../core/screening';
import { domainList, type Skill } from '../../library';
import { markStale } from '../../standing';

/** A finished sitting of a diagnostic; of a resit, the sitting it belongs to is `baseId`. */
interface Diagnostic {
	id: number;
	baseId: number;
	studentId: VisibleId;
	schoolId: number;
	windowId: number;
	/** Of the student. */
	grade: number;
	/** Of the window. */
	term: number;
	subject: string;
	trust: Trust;
	/** Whether the sitting it belongs to is. */
	adaptive: boolean;
	/** The version of parameters that it began with. */
	parametersId: number | null;
	finishedAt: Date;
	/** Which domain a resit repeats. */
	domainId: number | null;
}

/** A finished diagnostic, locked until the end of the transaction with the sitting it belongs to; null while answers are missing. */
async function lockFinished(database: Database, sittingId: number): Promise<Diagnostic | null> {
	return database.row<Diagnostic>(
		`SELECT sitting.id, base.id AS baseId, sitting.student_id AS studentId, student.school_id AS schoolId,
			sitting.window_id AS windowId, ${gradeOnSql('screening_window.opens_on')} AS grade,
			screening_window.term, screening_window.subject, sitting.trust, base.adaptive,
			base.parameters_id AS parametersId, sitting.finished_at AS finishedAt, sitting.domain_id AS domainId
		FROM sitting
		JOIN sitting AS base ON base.id = COALESCE(sitting.resits_id, sitting.id)
		JOIN student ON student.id = sitting.student_id
		JOIN screening_window ON screening_window.id = sitting.window_id
		WHERE sitting.id = ? AND sitting.finished_at IS NOT NULL
		FOR UPDATE`,
		[sittingId]
	);
}

/** The overall ability of a student's last scored window of a subject but this. */
async function previousAbility(
	database: Database,
	{ studentId, windowId, subject }: Pick<Diagnostic, 'studentId' | 'windowId' | 'subject'>
): Promise<AbilityEstimate | undefined> {
	const row = await database.row<AbilityEstimate>(
		`SELECT score.theta, score.standard_error AS standardError FROM score
		JOIN screening_window ON screening_window.id = score.window_id AND screening_window.subject = ?
		WHERE score.student_id = ? AND score.window_id <> ? AND score.domain_id = 0 AND score.source = 'diagnostic'
		ORDER BY score.taken_on DESC, score.id DESC LIMIT 1`,
		[subject, studentId, windowId]
	);
	return row ?? undefined;
}

async function result(
	database: Database,
	diagnostic: Diagnostic,
	skills: Skill[],
	timeZone: string
): Promise<DiagnosticResult> {
	return scoreDiagnostic(await diagnosticAnswers(database, diagnostic.baseId), {
		...diagnostic,
		skills: skills.filter(({ subject }) => subject === diagnostic.subject),
		domains: await domainList(database, diagnostic.schoolId),
		parameters: await parameterSet(database, diagnostic.parametersId),
		timeZone,
		previous: await previousAbility(database, diagnostic)
	});
}

async function setTrust(database: Database, sittingId: number, trust: Trust, resitDomainId: number | null = null) {
	await database.run('UPDATE sitting SET trust = ?, resit_domain_id = ? WHERE id = ?', [
		trust,
		resitDomainId,
		sittingId
	]);
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
	school: { timeZone: string }
): Promise<void> {
	const diagnostic = await lockFinished(database, sittingId);
	if (!diagnostic || diagnostic.trust !== 'open') return;
	const found = await result(database, diagnostic, skills, school.timeZone);
	const trust: Trust = found.doubts.length ? 'flagged' : 'trusted';
	await database.run('UPDATE sitting SET trust = ?, flags = ? WHERE id = ?', [
		trust,
		JSON.stringify(found.doubts),
		sittingId
	]);
	if (trust === 'flagged') return refreshPlaces(database, diagnostic.windowId, [diagnostic.studentId]);
	if (diagnostic.baseId !== sittingId) await setTrust(database, diagnostic.baseId, 'kept');
	await writeScores(database, diagnostic, found, school);
	await refreshPlaces(database, diagnostic.windowId, [diagnostic.studentId]);
	await markStale(database, [diagnostic.studentId], { reachesBack: true });
}

async function writeScores(
	database: Database,
	{ baseId, studentId, windowId, finishedAt }: Diagnostic,
	{ profile }: DiagnosticResult,
	school: { timeZone: string }
): Promise<void> {
	const takenOn = schoolDateOf(finishedAt, school.timeZone);
	await database.insertMany(
		`INSERT INTO score (student_id, window_id, sitting_id, source, domain_id, theta, standard_error, taken_on)
		VALUES ? ON DUPLICATE KEY UPDATE sitting_id = VALUES(sitting_id), theta = VALUES(theta),
			standard_error = VALUES(standard_error), taken_on = VALUES(taken_on)`,
		[[0, profile.overall] as const, ...profile.domains].map(([domainId, { theta, standardError }]) => [
			studentId,
			windowId,
			baseId,
			'diagnostic',
			domainId,
			theta,
			standardError,
			takenOn
		])
	);
}

/**
 * Scores a diagnostic that counts anew, because answers in it are judged otherwise than before; one that does not count is left as
 * it is. Belongs into the transaction that judged them.
 */
export async function rescoreDiagnostic(
	database: Database,
	sittingId: number,
	skills: Skill[],
	school: { timeZone: string }
): Promise<void> {
	const diagnostic = await lockFinished(database, sittingId);
	if (!diagnostic) return;
	const { profile } = await result(database, diagnostic, skills, school.timeZone);
	// Its scores stand there while it counts, with the day on which they were taken.
	for (const [domainId, { theta, standardError }] of [[0, profile.overall] as const, ...profile.domains])
		await database.run('UPDATE score SET theta = ?, standard_error = ? WHERE sitting_id = ? AND domain_id = ?', [
			...[theta, standardError],
			...[diagnostic.baseId, domainId]
		]);
	await refreshPlaces(database, diagnostic.windowId, [diagnostic.studentId]);
}

/** What a person can say of a flagged sitting; `flagged` takes it back. */
export type TrustDecision = 'kept' | 'set aside' | 'resit' | 'flagged';

/**
 * What a person decided about a flagged sitting. Kept: it counts from now. Set aside: it feeds nothing, and the student
 * can sit a new one while the window is open; a resit set aside leaves its sitting flagged. Resit: one domain is sat
 * again, and until then nothing counts. Everything that follows from answers is worked out anew.
 *
 * @param domainId to be sat again
 * @returns null when there is no such sitting to decide about in the school, or the resit has already begun
 */
export async function decideTrust(
	database: RootDatabase,
	staff: Staff,
	{ sittingId, decision, domainId = null }: { sittingId: number; decision: TrustDecision; domainId?: number | null },
	skills: Skill[],
	school: { timeZone: string },
	at: Date
): Promise<{ studentId: VisibleId; windowId: number } | null> {
	return database.transaction(async (transaction) => {
		const mine = await transaction.row<{ id: number }>(
			`SELECT sitting.id FROM sitting JOIN student ON student.id = sitting.student_id
			WHERE sitting.id = ? AND student.school_id = ? AND sitting.trust IN ('flagged', 'kept', 'set aside', 'resit')`,
			[sittingId, staff.schoolId]
		);
		const diagnostic = mine ? await lockFinished(transaction, sittingId) : null;
		if (!diagnostic) return null;
		const { baseId, studentId } = diagnostic;
		const isResit = baseId !== sittingId;
		const later = await transaction.row(
			`SELECT id FROM sitting WHERE window_id = ? AND student_id = ? AND id > ?
				AND NOT (resits_id IS NOT NULL AND trust = 'set aside') LIMIT 1`,
			[diagnostic.windowId, studentId, sittingId]
		);
		if (later) return null;
		if (decision === 'resit') {
			if (domainId === null) return null;
			// The same domain once more takes the place of this resit; another one leaves it as it is.
			if (isResit) await setTrust(transaction, sittingId, domainId === diagnostic.domainId ? 'set aside' : 'kept');
			await setTrust(transaction, baseId, 'resit', domainId);
		} else {
			await setTrust(transaction, sittingId, decision);
			if (isResit && decision === 'kept') await setTrust(transaction, baseId, 'kept');
			if (isResit && decision === 'set aside') await setTrust(transaction, baseId, 'flagged');
			if (isResit && decision === 'flagged') await setTrust(transaction, baseId, 'resit', diagnostic.domainId);
		}
		if (decision === 'kept') {
			await writeScores(
				transaction,
				diagnostic,
				await result(transaction, diagnostic, skills, school.timeZone),
				school
			);
		} else {
			await transaction.run('DELETE FROM score WHERE sitting_id = ?', [baseId]);
		}
		await refreshPlaces(transaction, diagnostic.windowId, [studentId]);
		await markStale(transaction, [studentId], { reachesBack: true });
		await audit(transaction, staff, at, `sitting ${decision}`, { sitting: sittingId, domain: domainId ?? undefined });
		return { studentId, windowId: diagnostic.windowId };
	});
}

/**
 * Ends a sitting that is under way, with what was answered so far, as when a window closes on it. It is scored like any
 * other; what was not asked is flagged.
 *
 * @returns null when there is no sitting under way with that id in the school, or nothing was answered
 */
export async function endSitting(
	database: RootDatabase,
	staff: Staff,
	sittingId: number,
	skills: Skill[],
	school: { timeZone: string },
	at: Date
): Promise<{ studentId: number } | null> {
	return database.transaction(async (transaction) => {
		const sitting = await transaction.row<{ studentId: number }>(
			`SELECT sitting.student_id AS studentId FROM sitting JOIN student ON student.id = sitting.student_id
			WHERE sitting.id = ? AND student.school_id = ? AND sitting.kind = 'diagnostic' AND sitting.trust = 'open'
				AND sitting.finished_at IS NULL AND sitting.answered > 0
			FOR UPDATE`,
			[sittingId, staff.schoolId]
		);
		if (!sitting) return null;
		await transaction.run('UPDATE sitting SET item_count = answered, finished_at = ? WHERE id = ?', [at, sittingId]);
		await audit(transaction, staff, at, 'end sitting', { sitting: sittingId });
		await finishDiagnostic(transaction, sittingId, skills, school);
		return sitting;
	});
}
