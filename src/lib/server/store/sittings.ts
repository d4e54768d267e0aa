import type { SchoolDate } from '../../core/calendar';
import { itemsForSkill, type ItemSeed } from '../../core/items';
import type { TrustFlag } from '../../core/measurement';
import { fixedForm } from '../../core/screening';
import type { Database, RootDatabase } from '../database/pool';
import type { ScreeningWindow } from './calendar';
import type { Skill } from './skills';

export type SittingKind = 'diagnostic' | 'practice' | 'probe';
export type Trust = 'open' | 'trusted' | 'flagged' | 'kept' | 'set aside';

/** Items in a weekly probe. */
export const PROBE_ITEMS = 8;

export interface Sitting {
	id: number;
	studentId: number;
	kind: SittingKind;
	itemCount: number;
	answered: number;
	startedAt: Date;
	finishedAt: Date | null;
	setId: number | null;
	windowId: number | null;
}

const SITTING = `id, student_id AS studentId, kind, item_count AS itemCount, answered, started_at AS startedAt,
	finished_at AS finishedAt, set_id AS setId, window_id AS windowId`;

/** A sitting of this student, or null. */
export async function findSitting(database: Database, studentId: number, id: number): Promise<Sitting | null> {
	return database.row<Sitting>(`SELECT ${SITTING} FROM sitting WHERE id = ? AND student_id = ?`, [id, studentId]);
}

type Origin = { windowId: number; attempt: number } | { setId: number } | { planId: number; week: number };

/**
 * Begins a sitting, or finds the one already begun: starting twice, from two tabs or after a lost reply, gives the
 * same sitting.
 */
async function begin(
	database: RootDatabase,
	studentId: number,
	kind: SittingKind,
	origin: Origin,
	items: (ItemSeed & { skillId: number })[],
	at: Date
): Promise<number> {
	return database.transaction(async (transaction) => {
		const columns = { windowId: null, setId: null, planId: null, week: null, attempt: 1, ...origin };
		const { insertId, affected } = await transaction.run(
			`INSERT INTO sitting (student_id, kind, window_id, set_id, plan_id, week, attempt, item_count, started_at)
			VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?)
			ON DUPLICATE KEY UPDATE id = LAST_INSERT_ID(id)`,
			[
				studentId,
				kind,
				columns.windowId,
				columns.setId,
				columns.planId,
				columns.week,
				columns.attempt,
				items.length,
				at
			]
		);
		if (affected === 1) {
			await transaction.insertMany(
				'INSERT INTO sitting_item (sitting_id, position, skill_id, family_id, seed) VALUES ?',
				items.map((item, position) => [insertId, position, item.skillId, item.familyId, item.seed])
			);
		}
		return insertId;
	});
}

function withSkillIds(seeds: ItemSeed[], skills: Skill[]): (ItemSeed & { skillId: number })[] {
	const ids = new Map(skills.map(({ code, id }) => [code, id]));
	return seeds.map((seed) => ({ ...seed, skillId: ids.get(seed.skillCode)! }));
}

/** Seeds of a plan's weekly probe: no week shares an item with another, nor with practice. */
export const probeSeed = (planId: number, week: number) => 500_000 + planId * 1_000 + week * PROBE_ITEMS;

/** Seeds of a window's form: far enough apart that windows and attempts share no item. */
export const formSeed = (windowId: number, attempt: number) => windowId * 10_000 + attempt * 1_000;

export async function beginDiagnostic(
	database: RootDatabase,
	student: { id: number; grade: number },
	window: ScreeningWindow,
	attempt: number,
	skills: Skill[],
	at: Date
): Promise<number> {
	const form = fixedForm(skills, { grade: student.grade, term: window.term }, formSeed(window.id, attempt));
	return begin(database, student.id, 'diagnostic', { windowId: window.id, attempt }, withSkillIds(form, skills), at);
}

export async function beginPractice(
	database: RootDatabase,
	studentId: number,
	set: { id: number; skillCode: string; itemCount: number; firstSeed: number },
	skills: Skill[],
	at: Date
): Promise<number> {
	const items = withSkillIds(itemsForSkill(set.skillCode, set.itemCount, set.firstSeed), skills);
	return begin(database, studentId, 'practice', { setId: set.id }, items, at);
}

export async function beginProbe(
	database: RootDatabase,
	plan: { id: number; studentId: number; skillCode: string },
	week: number,
	skills: Skill[],
	at: Date
): Promise<number> {
	const items = withSkillIds(itemsForSkill(plan.skillCode, PROBE_ITEMS, probeSeed(plan.id, week)), skills);
	return begin(database, plan.studentId, 'probe', { planId: plan.id, week }, items, at);
}

export interface SittingItem {
	position: number;
	familyId: string;
	seed: number;
	/** First try, once given. */
	correct: boolean | null;
	attempts: number;
}

/** All items of a sitting with what was answered so far. */
export async function sittingItems(database: Database, sittingId: number): Promise<SittingItem[]> {
	const rows = await database.rows<
		Omit<SittingItem, 'correct' | 'attempts'> & { correct: number | null; attempts: number | string }
	>(
		`SELECT item.position, item.family_id AS familyId, item.seed,
			MAX(CASE WHEN answer.attempt = 1 THEN answer.correct END) AS correct, COUNT(answer.id) AS attempts
		FROM sitting_item AS item
		LEFT JOIN answer ON answer.sitting_id = item.sitting_id AND answer.position = item.position
		WHERE item.sitting_id = ?
		GROUP BY item.position, item.family_id, item.seed
		ORDER BY item.position`,
		[sittingId]
	);
	return rows.map((row) => ({
		...row,
		correct: row.correct === null ? null : Boolean(Number(row.correct)),
		attempts: Number(row.attempts)
	}));
}

export interface BoardSitting {
	id: number;
	studentId: number;
	attempt: number;
	itemCount: number;
	answered: number;
	trust: Trust;
	flags: { flag: TrustFlag; reason: string }[];
	startedAt: Date;
}

/** The newest sitting of each student in a window. */
export async function windowSittings(
	database: Database,
	windowId: number,
	studentIds: number[]
): Promise<Map<number, BoardSitting>> {
	if (studentIds.length === 0) return new Map();
	const rows = await database.rows<Omit<BoardSitting, 'flags'> & { flags: string | null }>(
		`SELECT id, student_id AS studentId, attempt, item_count AS itemCount, answered, trust, flags, started_at AS startedAt
		FROM sitting WHERE window_id = ? AND student_id IN (?) ORDER BY attempt`,
		[windowId, studentIds]
	);
	return new Map(rows.map((row) => [row.studentId, { ...row, flags: JSON.parse(row.flags ?? '[]') }]));
}

/** Whether students can sit: from the opening through the closing day. */
export function isOpen(window: { opensOn: SchoolDate; closesOn: SchoolDate }, today: SchoolDate): boolean {
	return window.opensOn <= today && today <= window.closesOn;
}
