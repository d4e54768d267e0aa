import type { SetDates } from '../../../core/practice';
import { audit, type Database } from '../../database';
import type { Staff } from '../../request';
import type { OwnWay, SetContent, SetRules } from './setContent';

/** What was done to a set after it was assigned. */
export type SetChange =
	| { kind: 'dates'; before: SetDates; after: SetDates }
	| { kind: 'how'; before: SetRules; after: SetRules }
	| { kind: 'questions'; before: SetContent; after: SetContent }
	/** What is otherwise for some, as it was before. */
	| { kind: 'for some'; before: OwnWay[] }
	| { kind: StudentsChange; students: number[] }
	| { kind: 'taken back' | 'given back' };

/** What was done for some of its students. */
export type StudentsChange =
	| 'given to more'
	| 'taken from'
	| 'turned in'
	| 'open again'
	| 'excused'
	| 'marked done'
	| 'not excused'
	| 'given again'
	| 'not given again'
	| 'task done'
	| 'task not done'
	| 'may go on'
	| 'may not go on'
	| 'begun anew'
	| 'not begun anew';

/** A change with who made it. */
export type KnownChange = SetChange & { id: number; by: string; at: Date };

/** So many of a set's changes are told; the log of the school keeps all. */
const MOST_TOLD = 100;

/** Notes a change of a set: in its history, and in the log of the school. Belongs into the transaction that made it. */
export async function noteChange(
	transaction: Database,
	staff: Staff,
	at: Date,
	setId: number,
	change: SetChange
): Promise<void> {
	const { kind, ...detail } = change;
	await transaction.run(
		'INSERT INTO practice_set_change (set_id, kind, detail, changed_by, changed_at) VALUES (?, ?, ?, ?, ?)',
		[setId, kind, JSON.stringify(detail), staff.id, at]
	);
	const students = kind === 'for some' ? { students: change.before.map(({ student }) => student) } : {};
	await audit(transaction, staff, at, `practice: ${kind}`, { set: setId, ...students, ...detail });
}

/** What was done to a set of the school, the newest first. */
export async function changesOf(database: Database, staff: Staff, setId: number): Promise<KnownChange[]> {
	const rows = await database.rows<{ id: number; kind: string; detail: string; by: string; at: Date }>(
		`SELECT practice_set_change.id, kind, detail, account.display_name AS \`by\`, changed_at AS at
		FROM practice_set_change
		JOIN practice_set ON practice_set.id = practice_set_change.set_id
		JOIN account ON account.id = practice_set_change.changed_by
		WHERE practice_set_change.set_id = ? AND practice_set.school_id = ?
		ORDER BY practice_set_change.id DESC LIMIT ${MOST_TOLD}`,
		[setId, staff.schoolId]
	);
	return rows.map(({ detail, ...row }) => ({ ...(JSON.parse(detail) as object), ...row }) as KnownChange);
}
