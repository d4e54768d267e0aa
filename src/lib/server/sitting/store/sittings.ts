import type { SchoolDate } from '../../../core/calendar';
import type { LevelPlace } from '../../../core/growth';
import type { Answer, ItemKey, ItemSeed } from '../../../core/items';
import type { QuestionHelp } from '../../../core/practice';
import type { Doubt } from '../../../core/measurement';
import type { SittingKind } from '../../../core/measurement';
import type { Trust } from '../../../core/screening';
import type { Database, RootDatabase } from '../../database';
import type { VisibleId } from '../../request';
import { keepItems, type Skill } from '../../library';
import { refreshPlaces } from '../../screen';

export interface Sitting {
	id: number;
	studentId: number;
	kind: SittingKind;
	/** Of an adaptive sitting under way: the most there can be. */
	itemCount: number;
	/** Of practice that ends once so many are right at the first try; null: all are asked. */
	untilRight: number | null;
	answered: number;
	adaptive: boolean;
	startedAt: Date;
	finishedAt: Date | null;
	setId: number | null;
	windowId: number | null;
}

const SITTING = `id, student_id AS studentId, kind, item_count AS itemCount, until_right AS untilRight, answered, adaptive,
	started_at AS startedAt, finished_at AS finishedAt, set_id AS setId, window_id AS windowId`;

/** A sitting of this student, or null. */
export async function findSitting(database: Database, studentId: VisibleId, id: number): Promise<Sitting | null> {
	return database.row<Sitting>(`SELECT ${SITTING} FROM sitting WHERE id = ? AND student_id = ?`, [id, studentId]);
}

/** Whether a student of a school has begun or answered anything from a moment on. */
export async function hasSittingSince(database: Database, schoolId: number, since: Date): Promise<boolean> {
	const row = await database.row(
		`SELECT 1 FROM student JOIN sitting ON sitting.student_id = student.id
		WHERE student.school_id = ? AND (sitting.started_at >= ?
			OR (COALESCE(sitting.finished_at, ?) >= ?
				AND EXISTS (SELECT 1 FROM answer WHERE answer.sitting_id = sitting.id AND answer.answered_at >= ?)))
		LIMIT 1`,
		[schoolId, since, since, since, since]
	);
	return row !== null;
}

type Origin =
	| { windowId: number; attempt: number; resitsId?: number; domainId?: number }
	| { setId: number; attempt: number }
	| { planId: number; number: number }
	| { levelPlanId: number; levelPlace: LevelPlace; domainId: number }
	| { checkId: number }
	| { ownDay: SchoolDate; ownNumber: number };

export interface NewSitting {
	studentId: number;
	kind: SittingKind;
	origin: Origin;
	itemCount: number;
	untilRight?: number | null;
	adaptive?: boolean;
	/** Of a diagnostic: the version of parameters that it is chosen and scored with. */
	parametersId?: number | null;
	at: Date;
}

/**
 * Begins a sitting, or finds the one already begun: starting twice, from two tabs or after a lost reply, gives the
 * same sitting. Belongs into one transaction with the writing of its questions.
 */
export async function openSitting(
	transaction: Database,
	{ studentId, kind, origin, itemCount, untilRight = null, adaptive = false, parametersId = null, at }: NewSitting
): Promise<{ id: number; isNew: boolean }> {
	const columns = {
		windowId: null,
		setId: null,
		planId: null,
		number: null,
		levelPlanId: null,
		levelPlace: null,
		checkId: null,
		ownDay: null,
		ownNumber: null,
		attempt: 1,
		resitsId: null,
		domainId: null,
		...origin
	};
	const { insertId, affected } = await transaction.run(
		`INSERT INTO sitting (student_id, kind, window_id, set_id, plan_id, probe_number, level_plan_id, level_place, check_id, own_day, own_number,
			attempt, resits_id, domain_id, item_count, until_right, adaptive, parameters_id, started_at)
		VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)
		ON DUPLICATE KEY UPDATE id = LAST_INSERT_ID(id)`,
		[
			studentId,
			kind,
			columns.windowId,
			columns.setId,
			columns.planId,
			columns.number,
			columns.levelPlanId,
			columns.levelPlace,
			columns.checkId,
			columns.ownDay,
			columns.ownNumber,
			columns.attempt,
			columns.resitsId,
			columns.domainId,
			itemCount,
			untilRight,
			adaptive,
			parametersId,
			at
		]
	);
	if (columns.windowId !== null) await refreshPlaces(transaction, columns.windowId, [studentId]);
	return { id: insertId, isNew: affected === 1 };
}

/** Writes the questions of a sitting, from a position on. What is written already stays. */
export async function writeItems(
	transaction: Database,
	sittingId: number,
	from: number,
	items: (Omit<ItemSeed, 'skillCode'> & { skillId: number; help?: QuestionHelp })[]
): Promise<void> {
	const kept = await keepItems(transaction, items);
	await transaction.insertMany(
		`INSERT IGNORE INTO sitting_item (sitting_id, position, skill_id, family_id, seed, edition, kind, options, digits, help)
		VALUES ?`,
		kept.map(({ skillId, familyId, seed, edition, kind, options, digits }, i) => [
			...[sittingId, from + i, skillId],
			...[familyId, seed, edition, kind, options, digits, items[i].help ?? 'told later']
		])
	);
}

/** Begins a sitting whose questions are all known. */
export async function beginFixed(
	database: RootDatabase,
	beginning: Omit<NewSitting, 'itemCount' | 'adaptive'>,
	items: (ItemSeed & { skillId: number })[]
): Promise<number> {
	return database.transaction(async (transaction) => {
		const { id, isNew } = await openSitting(transaction, { ...beginning, itemCount: items.length });
		if (isNew) await writeItems(transaction, id, 0, items);
		return id;
	});
}

export function withSkillIds<Seed extends ItemSeed>(seeds: Seed[], skills: Skill[]): (Seed & { skillId: number })[] {
	const ids = new Map(skills.map(({ code, id }) => [code, id]));
	return seeds.map((seed) => ({ ...seed, skillId: ids.get(seed.skillCode)! }));
}

export interface SittingItem extends ItemKey {
	position: number;
	/** First try, once given. */
	correct: boolean | null;
	response: Answer | null;
	attempts: number;
	help: QuestionHelp;
}

/** All items of a sitting with what was answered so far. */
export async function sittingItems(database: Database, sittingId: number): Promise<SittingItem[]> {
	const rows = await database.rows<
		Omit<SittingItem, 'correct' | 'attempts' | 'response'> & {
			correct: number | null;
			attempts: number | string;
			response: string | null;
		}
	>(
		`SELECT item.position, item.family_id AS familyId, item.seed, item.edition, item.help,
			MAX(CASE WHEN answer.attempt = 1 THEN answer.correct END) AS correct,
			MAX(CASE WHEN answer.attempt = 1 THEN answer.response END) AS response, COUNT(answer.id) AS attempts
		FROM sitting_item AS item
		LEFT JOIN answer ON answer.sitting_id = item.sitting_id AND answer.position = item.position
		WHERE item.sitting_id = ?
		GROUP BY item.position, item.family_id, item.seed, item.edition, item.help
		ORDER BY item.position`,
		[sittingId]
	);
	return rows.map((row) => ({
		...row,
		correct: row.correct === null ? null : Boolean(Number(row.correct)),
		response: row.response === null ? null : (JSON.parse(row.response) as Answer),
		attempts: Number(row.attempts)
	}));
}

/** The first question of a sitting that nobody has answered, or null. */
export async function openItem(
	database: Database,
	sittingId: number
): Promise<(ItemKey & { position: number }) | null> {
	return database.row(
		`SELECT item.position, item.family_id AS familyId, item.seed, item.edition
		FROM sitting_item AS item
		LEFT JOIN answer ON answer.sitting_id = item.sitting_id AND answer.position = item.position AND answer.attempt = 1
		WHERE item.sitting_id = ? AND answer.id IS NULL
		ORDER BY item.position LIMIT 1`,
		[sittingId]
	);
}

export interface BoardSitting {
	id: number;
	studentId: number;
	attempt: number;
	itemCount: number;
	answered: number;
	adaptive: boolean;
	trust: Trust;
	flags: Doubt<number>[];
	/** The version of parameters that it began with. */
	parametersId: number | null;
	startedAt: Date;
	lastAt: Date | null;
	/** The sitting of which this one repeats a domain, and the domain. */
	resitsId: number | null;
	domainId: number | null;
	/** The domain that waits to be sat again. */
	resitDomainId: number | null;
	/** The number of the student's next sitting in the window. */
	nextAttempt: number;
}

/** The newest sitting of each student in a window; once a resit is decided about, the sitting it belongs to. */
export async function windowSittings(
	database: Database,
	windowId: number,
	studentIds: VisibleId[]
): Promise<Map<number, BoardSitting>> {
	if (studentIds.length === 0) return new Map();
	const rows = await database.rows<Omit<BoardSitting, 'flags' | 'nextAttempt'> & { flags: string | null }>(
		`SELECT id, student_id AS studentId, attempt, item_count AS itemCount, answered, adaptive, trust, flags,
			parameters_id AS parametersId, started_at AS startedAt, resits_id AS resitsId, domain_id AS domainId, resit_domain_id AS resitDomainId,
			(SELECT MAX(answered_at) FROM answer WHERE answer.sitting_id = sitting.id) AS lastAt
		FROM sitting WHERE window_id = ? AND student_id IN (?) ORDER BY attempt`,
		[windowId, studentIds]
	);
	const newest = new Map<number, BoardSitting>();
	for (const row of rows) {
		const isDecided = row.resitsId !== null && row.trust !== 'open' && row.trust !== 'flagged';
		const kept = isDecided ? newest.get(row.studentId)! : { ...row, flags: JSON.parse(row.flags ?? '[]') };
		newest.set(row.studentId, { ...kept, nextAttempt: row.attempt + 1 });
	}
	return newest;
}

/** First tries of a sitting since an instant: how many, and the time (ms) they took. */
export async function answersSince(
	database: Database,
	sittingId: number,
	since: Date
): Promise<{ answers: number; milliseconds: number }> {
	const row = await database.row<{ answers: number; milliseconds: number | null }>(
		`SELECT COUNT(*) AS answers, SUM(milliseconds) AS milliseconds FROM answer
		WHERE sitting_id = ? AND attempt = 1 AND answered_at >= ?`,
		[sittingId, since]
	);
	return { answers: Number(row!.answers), milliseconds: Number(row!.milliseconds ?? 0) };
}

/** When the newest answer of a sitting was given; null before the first. */
export const lastAnswerAt = async (database: Database, sittingId: number): Promise<Date | null> =>
	(await database.row<{ at: Date | null }>('SELECT MAX(answered_at) AS at FROM answer WHERE sitting_id = ?', [
		sittingId
	]))!.at;
