import type { Outcome } from '../../core/results';
import type { Database } from '../database';
import type { Staff, VisibleId } from '../request';
import type { School } from '../school';
import { STUDENT_COLUMNS, type Table, type TakenOut } from './resultFiles';
import { setResultsPage, type SetResultsPage } from './setResultsPage';
import { setAnswers } from './store/setRuns';

/** What a question of the grid says: first try, later, missed, or nothing where it was not answered. */
const OUTCOME_CELLS: Record<Outcome, string> = {
	'first try': 'first try',
	later: 'later',
	missed: 'missed',
	unanswered: ''
};

/** Columns of the table with a row a student beside one a question, and what each means. */
const GRID_COLUMNS = {
	...STUDENT_COLUMNS,
	state: 'how far they are with the set',
	'1, 2, …': 'the question at that place: first try, later (right at a later try), missed, or empty where not answered',
	'right at first': 'questions right at the first try; left out where only counts that a set is done',
	answered: 'questions answered',
	later: 'questions right at a later try',
	seconds: 'time on all tries, each a minute at most',
	hinted: 'questions beside which a hint stood'
};

/** The students and questions as the page shows them, in its order. */
function gridTable({ set, rows, columns }: SetResultsPage, numberOf: Map<number, string>): Table {
	// Where only counts that it is done, no score is told.
	const isScored = !set.how.doneOnly;
	const [first, last] = [
		['student', 'name', 'class', 'state'],
		[...(isScored ? ['right at first'] : []), 'answered', 'later', 'seconds', 'hinted']
	];
	return [
		[...first, ...columns.map(({ position }) => String(position + 1)), ...last],
		...rows.map(({ id, name, className, state, cells, score }) => [
			...[numberOf.get(id)!, name, className, state],
			...columns.map(({ position }) => OUTCOME_CELLS[cells[position]?.outcome ?? 'unanswered']),
			...(isScored ? [score.right] : []),
			...[score.answered, score.later, Math.round(score.milliseconds / 1_000), score.hinted]
		])
	];
}

/**
 * What of a set's results is taken out: the rows that the page shows, in its order, and what these students answered. Null for
 * no such set for the staff member.
 *
 * @param url of the page
 */
export async function setTakenOut(
	database: Database,
	staff: Staff,
	school: School,
	setId: number,
	url: URL,
	at: Date
): Promise<TakenOut | null> {
	const page = await setResultsPage(database, staff, school, setId, url, at);
	if (!page) return null;
	const studentIds = page.rows.map(({ id }) => id as VisibleId);
	const answers = await setAnswers(database, setId, studentIds);
	return {
		title: page.title,
		of: { set: setId },
		studentIds,
		results: { columns: GRID_COLUMNS, table: (numberOf) => gridTable(page, numberOf) },
		answers: answers.map((answer) => ({ ...answer, kind: 'practice', setId }))
	};
}
