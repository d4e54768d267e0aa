import type { SchoolDate } from '../../../core/calendar';
import type { SetDates, SetHow, Variation } from '../../../core/practice';
import { audit, type Database, requireOwn, type RootDatabase } from '../../database';
import { type Roster, rosterSql } from '../../people';
import { type Staff, undoesAll, type VisibleId } from '../../request';
import { refreshStudents } from '../../standing';
import { HOW_SQL, howFrom, VARIATION_SQL, variationOf, type VariationRow } from './setContent';

/** One practice set, as its page tells of it. */
export interface OneSet {
	id: number;
	/** Null: called by its skills. */
	name: string | null;
	isOwnStep: boolean;
	groupId: number | null;
	itemCount: number;
	dates: SetDates;
	how: SetHow;
	createdBy: string;
	createdAt: Date;
	/** The set that set this one off; null where a person assigned it. */
	followsId: number | null;
	isWithdrawn: boolean;
	/** Whether the person may change it for everybody: their own, and anybody's for those who may undo all. */
	isTheirs: boolean;
}

/** A set of the school; null for no such set. */
export async function findSet(database: Database, staff: Staff, id: number): Promise<OneSet | null> {
	const row = await database.row<
		Omit<OneSet, 'dates' | 'how' | 'isWithdrawn' | 'isTheirs'> &
			SetDates &
			SetHow & { withdrawnAt: Date | null; by: number }
	>(
		`SELECT practice_set.id, practice_set.name, is_own_step AS isOwnStep, group_id AS groupId, item_count AS itemCount,
			follows_id AS followsId, opens_on AS opensOn, opens_minute AS opensMinute, due_on AS dueOn, due_minute AS dueMinute, closes, ${HOW_SQL},
			account.display_name AS createdBy, created_at AS createdAt, withdrawn_at AS withdrawnAt, created_by AS \`by\`
		FROM practice_set JOIN account ON account.id = practice_set.created_by
		WHERE practice_set.id = ? AND practice_set.school_id = ?`,
		[id, staff.schoolId]
	);
	if (!row) return null;
	const { id: setId, name, isOwnStep, groupId, itemCount, createdBy, createdAt, followsId } = row;
	const { withdrawnAt, by, opensOn, opensMinute, dueOn, dueMinute, closes } = row;
	return {
		...{ id: setId, name, isOwnStep, groupId, itemCount, createdBy, createdAt, followsId },
		dates: { opensOn, opensMinute, dueOn, dueMinute, closes },
		how: howFrom(row),
		isWithdrawn: withdrawnAt !== null,
		isTheirs: undoesAll(staff.role) || by === staff.id
	};
}

/** How a student stands with a set. */
export interface StudentOfSet {
	id: VisibleId;
	/** Of a set in which each has a next step of their own. */
	skillId: number | null;
	/** Another due date than that of the set; null for that. */
	ownDueOn: SchoolDate | null;
	variation: Variation;
	/** Questions of theirs; null until they begin. */
	itemCount: number | null;
	isExcused: boolean;
	hasBegun: boolean;
	answered: number;
	/** Right at the first try. */
	right: number;
	finishedAt: Date | null;
	/** Whether a person turned it in for them, with questions left. */
	isTurnedIn: boolean;
}

/** Those of a roster to whom a set was given. */
export async function studentsOfSet(database: Database, roster: Roster, setId: number): Promise<StudentOfSet[]> {
	const among = rosterSql(roster);
	const rows = await database.rows<
		Omit<StudentOfSet, 'variation' | 'isExcused' | 'hasBegun' | 'isTurnedIn'> &
			VariationRow & { excusedAt: Date | null; turnedInAt: Date | null; sittingId: number | null }
	>(
		`SELECT given.student_id AS id, given.skill_id AS skillId, given.due_on AS ownDueOn, given.excused_at AS excusedAt,
			${VARIATION_SQL}, sitting.id AS sittingId, sitting.item_count AS itemCount,
			COALESCE(sitting.answered, 0) AS answered, sitting.finished_at AS finishedAt,
			sitting.turned_in_at AS turnedInAt,
			COALESCE((SELECT SUM(answer.correct) FROM answer
				WHERE answer.sitting_id = sitting.id AND answer.attempt = 1), 0) AS \`right\`
		FROM practice_set_student AS given
		JOIN ${among.sql} AS roster ON roster.id = given.student_id
		LEFT JOIN sitting ON sitting.set_id = given.set_id AND sitting.student_id = given.student_id
		WHERE given.set_id = ?`,
		[...among.values, setId]
	);
	return rows.map(
		({ excusedAt, turnedInAt, sittingId, practice, families, ownHints, readAloud, largerType, ...row }) => ({
			...row,
			variation: variationOf({ practice, families, ownHints, readAloud, largerType }),
			answered: Number(row.answered),
			right: Number(row.right),
			isExcused: excusedAt !== null,
			isTurnedIn: turnedInAt !== null,
			hasBegun: sittingId !== null
		})
	);
}

/** Changes when a set opens and is due for all who have no due date of their own. @returns what it was; null for no such set */
export async function changeDates(
	database: RootDatabase,
	staff: Staff,
	setId: number,
	dates: SetDates,
	at: Date
): Promise<SetDates | null> {
	return database.transaction(async (transaction) => {
		await transaction.row('SELECT id FROM practice_set WHERE id = ? FOR UPDATE', [setId]);
		const set = await findSet(transaction, staff, setId);
		if (!set || set.isWithdrawn || !set.isTheirs) return null;
		const { opensOn, opensMinute, dueOn, dueMinute, closes } = dates;
		await transaction.run(
			'UPDATE practice_set SET opens_on = ?, opens_minute = ?, due_on = ?, due_minute = ?, closes = ? WHERE id = ?',
			[opensOn, opensMinute, dueOn, dueMinute, closes, setId]
		);
		// Whoever it was closed for has it again, until it is found to be over once more.
		await transaction.run('UPDATE practice_set_student SET closed_at = NULL WHERE set_id = ?', [setId]);
		const given = await transaction.rows<{ id: number }>(
			'SELECT student_id AS id FROM practice_set_student WHERE set_id = ? ORDER BY student_id',
			[setId]
		);
		await refreshStudents(
			transaction,
			given.map(({ id }) => id)
		);
		await audit(transaction, staff, at, 'change practice', { set: setId, before: set.dates, after: dates });
		return set.dates;
	});
}

/** What is a student's own within a set: a due date, null for that of the set, and what is otherwise than for the others. */
export interface OwnWay extends Variation {
	student: number;
	dueOn: SchoolDate | null;
}

/** The columns of what is a student's own. */
const WAY_COLUMNS = {
	dueOn: 'due_on',
	practice: 'practice_count',
	families: 'families',
	hints: 'hints',
	readAloud: 'read_aloud',
	largerType: 'larger_type'
} as const;
type WayColumn = keyof typeof WAY_COLUMNS;

/**
 * Changes what is the own of students within a set; what is not named stays. Who has begun keeps their questions.
 *
 * @returns how it was, of those for whom it is otherwise now
 */
export async function changeForSome(
	database: RootDatabase,
	staff: Staff,
	setId: number,
	ways: ({ student: number } & Partial<OwnWay>)[],
	at: Date
): Promise<OwnWay[]> {
	const wanted = new Map(ways.map((way) => [way.student, way]));
	return changeGiven(database, staff, setId, [...wanted.keys()], async (transaction, given) => {
		const changesOf = (before: OwnWay) => {
			const way = wanted.get(before.student)!;
			return (Object.keys(WAY_COLUMNS) as WayColumn[]).filter(
				(name) => way[name] !== undefined && way[name] !== before[name]
			);
		};
		const changed = given.map(({ way }) => way).filter((way) => changesOf(way).length > 0);
		for (const before of changed) {
			const way = wanted.get(before.student)!;
			const names = changesOf(before);
			// Whoever it was closed for has it again, until it is found to be over once more.
			await transaction.run(
				`UPDATE practice_set_student SET ${names.map((name) => `${WAY_COLUMNS[name]} = ?`).join(', ')}, closed_at = NULL
				WHERE set_id = ? AND student_id = ?`,
				[...names.map((name) => way[name]), setId, before.student]
			);
			await audit(transaction, staff, at, 'change practice for some', { set: setId, before, after: way });
		}
		await refreshStudents(
			transaction,
			changed.map(({ student }) => student)
		);
		return changed;
	});
}

/** Excuses students from a set, or not any more. What they answered stays. @returns of whom that is another than before */
export async function excuseFrom(
	database: RootDatabase,
	staff: Staff,
	setId: number,
	studentIds: number[],
	isExcused: boolean,
	at: Date
): Promise<number[]> {
	return changeGiven(database, staff, setId, studentIds, async (transaction, given) => {
		const changed = given.filter((one) => (one.excusedAt !== null) !== isExcused).map(({ id }) => id);
		if (changed.length === 0) return [];
		await transaction.run('UPDATE practice_set_student SET excused_at = ? WHERE set_id = ? AND student_id IN (?)', [
			isExcused ? at : null,
			setId,
			changed
		]);
		await refreshStudents(transaction, changed);
		await audit(transaction, staff, at, isExcused ? 'excuse from practice' : 'give practice again', {
			set: setId,
			students: changed
		});
		return changed;
	});
}

interface Given {
	id: number;
	excusedAt: Date | null;
	way: OwnWay;
}

/** Changes what stands with students of a set of the school that was not taken back; nothing for any other. */
async function changeGiven<Result>(
	database: RootDatabase,
	staff: Staff,
	setId: number,
	studentIds: number[],
	change: (transaction: Database, given: Given[]) => Promise<Result[]>
): Promise<Result[]> {
	return database.transaction(async (transaction) => {
		await requireOwn(transaction, staff, { student: studentIds });
		const set = await findSet(transaction, staff, setId);
		if (!set || set.isWithdrawn) return [];
		const rows = await transaction.rows<
			VariationRow & { id: number; dueOn: SchoolDate | null; excusedAt: Date | null }
		>(
			`SELECT given.student_id AS id, given.due_on AS dueOn, given.excused_at AS excusedAt, ${VARIATION_SQL}
			FROM practice_set_student AS given
			WHERE given.set_id = ? AND given.student_id IN (?) ORDER BY given.student_id FOR UPDATE`,
			[setId, [0, ...studentIds]]
		);
		return change(
			transaction,
			rows.map((row) => ({
				id: row.id,
				excusedAt: row.excusedAt,
				way: { student: row.id, dueOn: row.dueOn, ...variationOf(row) }
			}))
		);
	});
}
