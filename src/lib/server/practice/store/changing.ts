import type { SchoolDate } from '../../../core/calendar';
import type { SetDates } from '../../../core/practice';
import { type Database, requireOwn, type RootDatabase } from '../../database';
import type { Staff } from '../../request';
import { refreshStudents } from '../../standing';
import { noteChange } from './history';
import { findSet, type OneSet } from './oneSet';
import { type OwnWay, type SetRules, VARIATION_SQL, variationOf, type VariationRow } from './setContent';

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
		await noteChange(transaction, staff, at, setId, { kind: 'dates', before: set.dates, after: dates });
		return set.dates;
	});
}

/**
 * Changes what a set is called, what helps in it, what follows and what an adult leads. Who has begun keeps their questions,
 * and when they are told of them.
 *
 * @returns what it was; null for no such set
 */
export async function changeRules(
	database: RootDatabase,
	staff: Staff,
	setId: number,
	rules: SetRules,
	at: Date
): Promise<SetRules | null> {
	return database.transaction(async (transaction) => {
		await transaction.row('SELECT id FROM practice_set WHERE id = ? FOR UPDATE', [setId]);
		const set = await findSet(transaction, staff, setId);
		if (!set || set.isWithdrawn || !set.isTheirs) return null;
		const { name, task, feedback, hints, secondTry, solutions, pausing, doneOnly, line, above, below } = rules;
		await transaction.run(
			`UPDATE practice_set SET name = ?, task = ?, feedback = ?, hints = ?, second_try = ?, solutions = ?, pausing = ?,
				done_only = ?, line = ?, above = ?, below = ? WHERE id = ?`,
			[name, task, feedback, hints, secondTry, solutions, pausing, doneOnly, line, above, below, setId]
		);
		const before = rulesOf(set);
		await noteChange(transaction, staff, at, setId, { kind: 'how', before, after: rules });
		return before;
	});
}

/** What can be changed of a set, as it is. */
export function rulesOf({ name, task, how }: Pick<OneSet, 'name' | 'task' | 'how'>): SetRules {
	const { feedback, hints, secondTry, solutions, pausing, doneOnly, line, above, below } = how;
	return { name, task, feedback, hints, secondTry, solutions, pausing, doneOnly, line, above, below };
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
		}
		await refreshStudents(
			transaction,
			changed.map(({ student }) => student)
		);
		if (changed.length) await noteChange(transaction, staff, at, setId, { kind: 'for some', before: changed });
		return changed;
	});
}

/** Whether a student need do a set: they must, they are excused, or a person said that it counts as done. */
export type Need = 'needed' | 'excused' | 'marked done';

const NEED_CHANGES = { needed: 'not excused', excused: 'excused', 'marked done': 'marked done' } as const;

/** Says whether students need do a set. What they answered stays. @returns of whom that is another than before */
export async function changeNeed(
	database: RootDatabase,
	staff: Staff,
	setId: number,
	studentIds: number[],
	need: Need,
	at: Date
): Promise<number[]> {
	return changeGiven(database, staff, setId, studentIds, async (transaction, given) => {
		const changed = given.filter((one) => one.need !== need).map(({ id }) => id);
		if (changed.length === 0) return [];
		await transaction.run(
			'UPDATE practice_set_student SET excused_at = ?, marked_done = ? WHERE set_id = ? AND student_id IN (?)',
			[need === 'needed' ? null : at, need === 'marked done', setId, changed]
		);
		await refreshStudents(transaction, changed);
		await noteChange(transaction, staff, at, setId, { kind: NEED_CHANGES[need], students: changed });
		return changed;
	});
}

interface Given {
	id: number;
	need: Need;
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
			VariationRow & { id: number; dueOn: SchoolDate | null; isExcused: number; isMarked: boolean }
		>(
			`SELECT given.student_id AS id, given.due_on AS dueOn, given.excused_at IS NOT NULL AS isExcused,
				given.marked_done AS isMarked, ${VARIATION_SQL}
			FROM practice_set_student AS given
			WHERE given.set_id = ? AND given.student_id IN (?) ORDER BY given.student_id FOR UPDATE`,
			[setId, [0, ...studentIds]]
		);
		return change(
			transaction,
			rows.map((row) => ({
				id: row.id,
				need: !row.isExcused ? 'needed' : row.isMarked ? 'marked done' : 'excused',
				way: { student: row.id, dueOn: row.dueOn, ...variationOf(row) }
			}))
		);
	});
}
