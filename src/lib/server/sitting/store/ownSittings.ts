import { addDays, type SchoolDate } from '../../../core/calendar';
import { ownSeed } from '../../../core/items';
import { itemInTurn } from '../../../core/items/bank';
import { FREE_QUESTIONS } from '../../../core/practice';
import type { Database, RootDatabase } from '../../database';
import type { Skill } from '../../library';
import type { VisibleId } from '../../request';
import { beginFixed, withSkillIds } from './sittings';

/** Work that a student begins of themselves: a few questions from before, or practice they choose. */
export interface OwnSitting {
	id: number;
	kind: 'review' | 'free';
	/** The day on which it was begun, and the how-manieth of its kind it was then. */
	day: SchoolDate;
	number: number;
	itemCount: number;
	answered: number;
	isFinished: boolean;
	/** Of its first question. */
	skillId: number;
}

/** So many days what a student chose and left stays on their page. */
const KEPT_DAYS = 14;

/** What a student began of themselves on a day, and practice of their own choice that they left in the two weeks before. */
export async function ownSittings(database: Database, studentId: VisibleId, day: SchoolDate): Promise<OwnSitting[]> {
	const rows = await database.rows<Omit<OwnSitting, 'isFinished'> & { isFinished: number }>(
		`SELECT sitting.id, sitting.kind, sitting.own_day AS day, sitting.own_number AS number, sitting.item_count AS itemCount, sitting.answered,
			sitting.finished_at IS NOT NULL AS isFinished, item.skill_id AS skillId
		FROM sitting
		JOIN sitting_item AS item ON item.sitting_id = sitting.id AND item.position = 0
		WHERE sitting.student_id = ? AND sitting.own_day BETWEEN ? AND ?
			AND (sitting.own_day = ? OR sitting.kind = 'free' AND sitting.finished_at IS NULL)
		ORDER BY sitting.kind, sitting.own_day DESC, sitting.own_number`,
		[studentId, addDays(day, -KEPT_DAYS), day, day]
	);
	return rows.map((row) => ({ ...row, isFinished: Boolean(row.isFinished) }));
}

/** How many questions of each of some skills a student has answered. */
async function askedOf(database: Database, studentId: VisibleId, skillIds: number[]): Promise<Map<number, number>> {
	const rows = await database.rows<{ skillId: number; asked: number }>(
		`SELECT skill_id AS skillId, COUNT(*) AS asked FROM answer
		WHERE student_id = ? AND skill_id IN (?) AND attempt = 1 GROUP BY skill_id`,
		[studentId, skillIds]
	);
	return new Map(rows.map(({ skillId, asked }) => [skillId, Number(asked)]));
}

interface OwnBeginning {
	studentId: VisibleId;
	day: SchoolDate;
	/** The how-manieth of its kind on the day: beginning it twice gives the same sitting. */
	number: number;
	at: Date;
}

/** Begins a day's review: a question of each skill, in order. @param skills one at least, each once */
export async function beginReview(
	database: RootDatabase,
	{ studentId, day, number, at }: OwnBeginning,
	skills: Skill[]
): Promise<number> {
	const asked = await askedOf(
		database,
		studentId,
		skills.map(({ id }) => id)
	);
	const items = skills.map(({ id, code }) => itemInTurn(code, asked.get(id) ?? 0, (n) => ownSeed(studentId, n)));
	return beginOwn(database, { kind: 'review', studentId, day, number, at }, items, skills);
}

/** Begins practice of a skill that a student chose. */
export async function beginFree(
	database: RootDatabase,
	{ studentId, day, number, at }: OwnBeginning,
	skill: Skill
): Promise<number> {
	const asked = (await askedOf(database, studentId, [skill.id])).get(skill.id) ?? 0;
	const items = Array.from({ length: FREE_QUESTIONS }, (_, i) =>
		itemInTurn(skill.code, asked + i, (n) => ownSeed(studentId, n))
	);
	return beginOwn(database, { kind: 'free', studentId, day, number, at }, items, [skill]);
}

function beginOwn(
	database: RootDatabase,
	{ kind, studentId, day, number, at }: OwnBeginning & { kind: OwnSitting['kind'] },
	items: ReturnType<typeof itemInTurn>[],
	skills: Skill[]
): Promise<number> {
	const asked = withSkillIds(items, skills).map((item) => ({ ...item, help: 'second try' as const }));
	return beginFixed(database, { studentId, kind, origin: { ownDay: day, ownNumber: number }, at }, asked);
}
