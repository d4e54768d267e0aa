import type { SchoolDate } from '../../../core/calendar';
import { audit, type Database, requireOwn, type RootDatabase } from '../../database';
import { type Roster, rosterSql } from '../../people';
import { type Staff, undoesAll, type VisibleId } from '../../request';
import { refreshStudents } from '../../standing';

/** One practice set, as its page tells of it. */
export interface OneSet {
	id: number;
	skillId: number;
	groupId: number | null;
	itemCount: number;
	opensOn: SchoolDate;
	dueOn: SchoolDate;
	createdBy: string;
	createdAt: Date;
	isWithdrawn: boolean;
	/** Whether the person may change it for everybody: their own, and anybody's for those who may undo all. */
	isTheirs: boolean;
}

/** A set of the school; null for no such set. */
export async function findSet(database: Database, staff: Staff, id: number): Promise<OneSet | null> {
	const row = await database.row<Omit<OneSet, 'isWithdrawn' | 'isTheirs'> & { withdrawnAt: Date | null; by: number }>(
		`SELECT practice_set.id, skill_id AS skillId, group_id AS groupId, item_count AS itemCount, opens_on AS opensOn,
			due_on AS dueOn, account.display_name AS createdBy, created_at AS createdAt, withdrawn_at AS withdrawnAt,
			created_by AS \`by\`
		FROM practice_set JOIN account ON account.id = practice_set.created_by
		WHERE practice_set.id = ? AND practice_set.school_id = ?`,
		[id, staff.schoolId]
	);
	if (!row) return null;
	const { withdrawnAt, by, ...set } = row;
	return { ...set, isWithdrawn: withdrawnAt !== null, isTheirs: undoesAll(staff.role) || by === staff.id };
}

/** How a student stands with a set. */
export interface StudentOfSet {
	id: VisibleId;
	/** Another due date than that of the set; null for that. */
	ownDueOn: SchoolDate | null;
	isExcused: boolean;
	hasBegun: boolean;
	answered: number;
	/** Right at the first try. */
	right: number;
	finishedAt: Date | null;
}

/** Those of a roster to whom a set was given. */
export async function studentsOfSet(database: Database, roster: Roster, setId: number): Promise<StudentOfSet[]> {
	const among = rosterSql(roster);
	const rows = await database.rows<
		Omit<StudentOfSet, 'isExcused' | 'hasBegun'> & { excusedAt: Date | null; sittingId: number | null }
	>(
		`SELECT given.student_id AS id, given.due_on AS ownDueOn, given.excused_at AS excusedAt, sitting.id AS sittingId,
			COALESCE(sitting.answered, 0) AS answered, sitting.finished_at AS finishedAt,
			COALESCE((SELECT SUM(answer.correct) FROM answer
				WHERE answer.sitting_id = sitting.id AND answer.attempt = 1), 0) AS \`right\`
		FROM practice_set_student AS given
		JOIN ${among.sql} AS roster ON roster.id = given.student_id
		LEFT JOIN sitting ON sitting.set_id = given.set_id AND sitting.student_id = given.student_id
		WHERE given.set_id = ?`,
		[...among.values, setId]
	);
	return rows.map(({ excusedAt, sittingId, ...row }) => ({
		...row,
		answered: Number(row.answered),
		right: Number(row.right),
		isExcused: excusedAt !== null,
		hasBegun: sittingId !== null
	}));
}

/** When students see a set, and when it is due. */
export type SetDates = Pick<OneSet, 'opensOn' | 'dueOn'>;

/** Changes the days of a set for all who have no due date of their own. @returns what they were; null for no such set */
export async function changeDates(
	database: RootDatabase,
	staff: Staff,
	setId: number,
	{ opensOn, dueOn }: SetDates,
	at: Date
): Promise<SetDates | null> {
	return database.transaction(async (transaction) => {
		await transaction.row('SELECT id FROM practice_set WHERE id = ? FOR UPDATE', [setId]);
		const set = await findSet(transaction, staff, setId);
		if (!set || set.isWithdrawn || !set.isTheirs) return null;
		const before = { opensOn: set.opensOn, dueOn: set.dueOn };
		await transaction.run('UPDATE practice_set SET opens_on = ?, due_on = ? WHERE id = ?', [opensOn, dueOn, setId]);
		const given = await transaction.rows<{ id: number }>(
			'SELECT student_id AS id FROM practice_set_student WHERE set_id = ? ORDER BY student_id',
			[setId]
		);
		await refreshStudents(
			transaction,
			given.map(({ id }) => id)
		);
		await audit(transaction, staff, at, 'change practice', { set: setId, before, after: { opensOn, dueOn } });
		return before;
	});
}

/** A due date of a student's own within a set; null for that of the set. */
export interface OwnDue {
	student: number;
	dueOn: SchoolDate | null;
}

/** Gives students of a set due dates of their own. @returns what they were, of those for whom it is another now */
export async function setDue(
	database: RootDatabase,
	staff: Staff,
	setId: number,
	dues: OwnDue[],
	at: Date
): Promise<OwnDue[]> {
	const wanted = new Map(dues.map(({ student, dueOn }) => [student, dueOn]));
	return changeGiven(database, staff, setId, [...wanted.keys()], async (transaction, given) => {
		const changed = given.filter(({ id, dueOn }) => dueOn !== wanted.get(id));
		for (const { id } of changed)
			await transaction.run('UPDATE practice_set_student SET due_on = ? WHERE set_id = ? AND student_id = ?', [
				wanted.get(id),
				setId,
				id
			]);
		for (const { id, dueOn } of changed)
			await audit(transaction, staff, at, 'set due date', {
				set: setId,
				student: id,
				before: dueOn,
				after: wanted.get(id)
			});
		return changed.map(({ id, dueOn }) => ({ student: id, dueOn }));
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
	dueOn: SchoolDate | null;
	excusedAt: Date | null;
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
		const given = await transaction.rows<Given>(
			`SELECT student_id AS id, due_on AS dueOn, excused_at AS excusedAt FROM practice_set_student
			WHERE set_id = ? AND student_id IN (?) ORDER BY student_id FOR UPDATE`,
			[setId, [0, ...studentIds]]
		);
		return change(transaction, given);
	});
}
