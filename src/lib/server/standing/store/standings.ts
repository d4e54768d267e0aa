import { addDays, beginningOf, schoolDateOf, type SchoolDate } from '../../../core/calendar';
import type { Given, ItemKey } from '../../../core/items';
import {
	advance,
	priorKnown,
	standingOn,
	trace,
	type Evidence,
	type SittingKind,
	type StandingNow,
	type Trace
} from '../../../core/mastery';
import type { Database } from '../../database';
import type { VisibleId } from '../../request';
import { lockStudents } from '../../people';
import type { Skill } from '../../library';
import { formatFrom, type StoredFormat } from '../storedFormat';

/**
 * Answers that count as evidence: first tries, and from diagnostics only those that are trusted or kept and whose domain
 * was not sat again.
 */
const EVIDENCE = `
	FROM answer
	JOIN sitting ON sitting.id = answer.sitting_id
	JOIN sitting_item AS item ON item.sitting_id = answer.sitting_id AND item.position = answer.position
	WHERE answer.attempt = 1 AND (sitting.kind <> 'diagnostic' OR (
		sitting.trust IN ('trusted', 'kept') AND NOT EXISTS (
			SELECT 1 FROM sitting AS resit
			JOIN student ON student.id = resit.student_id
			JOIN school ON school.id = student.school_id
			JOIN framework_skill AS taught
				ON taught.framework_id = school.framework_id AND taught.domain_id = resit.domain_id
			WHERE resit.resits_id = sitting.id AND resit.trust IN ('trusted', 'kept')
				AND taught.skill_id = answer.skill_id)))`;

interface EvidenceRow extends StoredFormat {
	studentId: number;
	skillId: number;
	sittingId: number;
	kind: SittingKind;
	correct: boolean;
	/** The answer as it was sent. */
	response: string;
	answeredAt: Date;
}

/** Answers that count, by student and skill, in the order they were given: on one skill, or before a moment, where that is said. */
async function readEvidence(
	database: Database,
	studentIds: number[],
	timeZone: string,
	{ skillId, before }: { skillId?: number; before?: Date } = {}
) {
	const rows = await database.rows<EvidenceRow>(
		`SELECT answer.student_id AS studentId, answer.skill_id AS skillId, answer.sitting_id AS sittingId, sitting.kind,
			item.kind AS answerKind, item.options, answer.correct, answer.response,
			answer.answered_at AS answeredAt
		${EVIDENCE} AND answer.student_id IN (?) ${skillId === undefined ? '' : 'AND answer.skill_id = ?'}
			${before === undefined ? '' : 'AND answer.answered_at < ?'}
		ORDER BY answer.student_id, answer.skill_id, answer.answered_at, answer.sitting_id, answer.position`,
		[studentIds, skillId, before].filter((value) => value !== undefined)
	);
	const byStudentSkill = new Map<string, (Evidence & { at: Date })[]>();
	for (const row of rows) {
		const key = `${row.studentId} ${row.skillId}`;
		const list = byStudentSkill.get(key) ?? [];
		if (list.length === 0) byStudentSkill.set(key, list);
		list.push({
			correct: row.correct,
			at: row.answeredAt,
			on: schoolDateOf(row.answeredAt, timeZone),
			format: formatFrom(row),
			notYet: row.response === 'null',
			source: row.kind,
			sittingId: row.sittingId
		});
	}
	return byStudentSkill;
}

/** Each student's newest usable ability for each domain, up to a day. */
async function domainAbilities(database: Database, studentIds: number[], until: SchoolDate = '9999-12-31') {
	const rows = await database.rows<{ studentId: number; domainId: number; theta: number; standardError: number }>(
		`SELECT student_id AS studentId, domain_id AS domainId, theta, standard_error AS standardError
		FROM score WHERE student_id IN (?) AND taken_on <= ? ORDER BY taken_on, id`,
		[studentIds, until]
	);
	return new Map(rows.map((row) => [`${row.studentId} ${row.domainId}`, row]));
}

const TRACE_INSERT = `INSERT INTO skill_trace
	(student_id, skill_id, prior, probability, last_on, last_at, last_sitting_id, in_last_sitting, answers, correct, days,
		largest_sitting, once_secure)
	VALUES ?
	ON DUPLICATE KEY UPDATE prior = VALUES(prior), probability = VALUES(probability), last_on = VALUES(last_on),
		last_at = VALUES(last_at), last_sitting_id = VALUES(last_sitting_id), in_last_sitting = VALUES(in_last_sitting),
		answers = VALUES(answers), correct = VALUES(correct), days = VALUES(days),
		largest_sitting = VALUES(largest_sitting), once_secure = VALUES(once_secure)`;

const traceRow = (studentId: number, skillId: number, prior: number, state: Trace, lastAt: Date | null) => [
	studentId,
	skillId,
	prior,
	state.probability,
	state.lastOn,
	lastAt,
	state.lastSittingId,
	state.inLastSitting,
	state.answers,
	state.correct,
	state.days,
	state.largestSitting,
	state.onceSecure
];

/**
 * Works out all traces of some students anew from the answer log and their scores. The students are locked, so that in a
 * transaction no answer that comes meanwhile is missed.
 */
export async function rebuildTraces(
	database: Database,
	studentIds: number[],
	skills: Skill[],
	timeZone: string
): Promise<void> {
	const CHUNK = 40;
	for (let i = 0; i < studentIds.length; i += CHUNK) {
		const ids = studentIds.slice(i, i + CHUNK);
		await lockStudents(database, ids);
		const evidence = await readEvidence(database, ids, timeZone);
		const abilities = await domainAbilities(database, ids);
		const rows = ids.flatMap((studentId) =>
			skills.map((skill) => {
				const ability = abilities.get(`${studentId} ${skill.domainId}`) ?? abilities.get(`${studentId} 0`) ?? null;
				const prior = priorKnown(ability, skill);
				const answers = evidence.get(`${studentId} ${skill.id}`) ?? [];
				return traceRow(studentId, skill.id, prior, trace(answers, prior), answers.at(-1)?.at ?? null);
			})
		);
		await database.insertMany(TRACE_INSERT, rows);
	}
}

/** A stored trace with what it starts from; all null for a student and skill that have none yet. */
export type StoredTrace = { [Column in keyof Trace]: Trace[Column] | null } & {
	prior: number | null;
	lastAt: Date | null;
};

/** Columns of a stored trace, for a query that joins `skill_trace AS trace`. */
export const STORED_TRACE = `trace.prior, trace.probability, trace.last_on AS lastOn, trace.last_at AS lastAt,
	trace.last_sitting_id AS lastSittingId, trace.in_last_sitting AS inLastSitting, trace.answers, trace.correct, trace.days,
	trace.largest_sitting AS largestSitting, trace.once_secure AS onceSecure`;

/** An answer to be added to a trace, with the trace as it was stored before. */
interface TraceAddition {
	studentId: number;
	skillId: number;
	timeZone: string;
	before: StoredTrace;
	evidence: Evidence & { at: Date };
}

/**
 * Adds answers, already in the log, to the traces they bear on. One newer than all before it is simply added; one that
 * comes late (kept on a device while the server was away) has its trace worked out from the log.
 */
export async function addToTraces(database: Database, additions: TraceAddition[]): Promise<void> {
	const byTrace = new Map<string, TraceAddition[]>();
	for (const addition of additions) {
		const key = `${addition.studentId} ${addition.skillId}`;
		byTrace.set(key, [...(byTrace.get(key) ?? []), addition]);
	}
	const rows = [];
	for (const [key, list] of byTrace) {
		const [{ studentId, skillId, timeZone, before }] = list;
		const times = [before.lastAt, ...list.map(({ evidence }) => evidence.at)];
		const inOrder =
			before.prior !== null && times.every((at, i) => i === 0 || times[i - 1] === null || times[i - 1]! < at!);
		if (inOrder) {
			const state = list.reduce((trace, { evidence }) => advance(trace, evidence), before as Trace);
			rows.push(traceRow(studentId, skillId, before.prior!, state, list[list.length - 1].evidence.at));
			continue;
		}
		const prior = before.prior ?? priorKnown(null, { grade: 1, term: 1 });
		const answers = (await readEvidence(database, [studentId], timeZone, { skillId })).get(key) ?? [];
		rows.push(traceRow(studentId, skillId, prior, trace(answers, prior), answers.at(-1)?.at ?? null));
	}
	await database.insertMany(TRACE_INSERT, rows);
}

export interface TraceRow extends Trace {
	studentId: number;
	skillId: number;
}

export async function readTraces(database: Database, studentIds: number[]): Promise<TraceRow[]> {
	if (studentIds.length === 0) return [];
	return database.rows<TraceRow>(
		`SELECT student_id AS studentId, skill_id AS skillId, probability, last_on AS lastOn, last_sitting_id AS lastSittingId, in_last_sitting AS inLastSitting, answers, correct, days,
			largest_sitting AS largestSitting, once_secure AS onceSecure
		FROM skill_trace WHERE student_id IN (?)`,
		[studentIds]
	);
}

/** Standings today: by student, then by skill. Skills nothing is known of are absent. */
export async function readStandings(
	database: Database,
	studentIds: VisibleId[],
	today: SchoolDate
): Promise<Map<number, Map<number, StandingNow>>> {
	const standings = new Map<number, Map<number, StandingNow>>(studentIds.map((id) => [id, new Map()]));
	for (const row of await readTraces(database, studentIds)) {
		standings.get(row.studentId)!.set(row.skillId, standingOn(today, row));
	}
	return standings;
}

/** A day's end in a time zone: no answer of the day comes after it. */
const endOf = (day: SchoolDate, timeZone: string) => beginningOf(addDays(day, 1), timeZone);

/**
 * Standings as they were at the end of earlier days, from the answer log: for each day, by student, then by skill. What
 * was set aside or sat again since counts as it does today.
 */
export async function standingsOnDays(
	database: Database,
	studentIds: VisibleId[],
	skills: Skill[],
	days: SchoolDate[],
	timeZone: string
): Promise<Map<SchoolDate, Map<number, Map<number, StandingNow>>>> {
	const byDay = new Map(days.map((day) => [day, new Map<number, Map<number, StandingNow>>()]));
	if (studentIds.length === 0 || days.length === 0) return byDay;
	const last = days.reduce((one, other) => (one > other ? one : other));
	const evidence = await readEvidence(database, studentIds, timeZone, { before: endOf(last, timeZone) });
	for (const [day, byStudent] of byDay) {
		const abilities = await domainAbilities(database, studentIds, day);
		const end = endOf(day, timeZone);
		for (const studentId of studentIds) {
			const own = new Map<number, StandingNow>();
			for (const skill of skills) {
				const ability = abilities.get(`${studentId} ${skill.domainId}`) ?? abilities.get(`${studentId} 0`) ?? null;
				const answers = (evidence.get(`${studentId} ${skill.id}`) ?? []).filter(({ at }) => at < end);
				if (answers.length || ability) own.set(skill.id, standingOn(day, trace(answers, priorKnown(ability, skill))));
			}
			byStudent.set(studentId, own);
		}
	}
	return byDay;
}

interface EvidenceAnswer extends ItemKey {
	answeredAt: Date;
	kind: SittingKind;
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
		`SELECT answer.answered_at AS answeredAt, sitting.kind, item.family_id AS familyId, item.seed, item.edition,
			answer.response, answer.correct, answer.misconception, answer.milliseconds
		${EVIDENCE} AND answer.student_id = ? AND answer.skill_id = ?
		ORDER BY answer.answered_at DESC, answer.position DESC LIMIT 60`,
		[studentId, skillId]
	);
	return rows.map((row) => ({ ...row, response: JSON.parse(row.response) }));
}
