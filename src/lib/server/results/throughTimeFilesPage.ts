import { beginningOf, sayDate } from '../../core/calendar';
import type { Database } from '../database';
import type { VisibleId } from '../request';
import type { School } from '../school';
import type { Scope } from '../shell';
import { type Cell, STUDENT_COLUMNS, type Table, type TakenOut } from './resultFiles';
import { runAnswers } from './store/runAnswers';
import { throughTimePage, type ThroughTimePage } from './throughTimePage';

const COLUMNS = {
	...STUDENT_COLUMNS,
	'code of a skill, or a set with its first day':
		'right at the first try of those answered, of a skill in the first run and in the last; empty for no run'
};

type Row = ThroughTimePage['rows'][number];
type Count = { right: number; answered: number };

const sayRun = ({ right, answered }: Count) => `${right} of ${answered}`;
/** `3 of 5, then 4 of 5, under the line`. */
const sayEnds = (first: Count | undefined, last: Count & { isUnder?: boolean }): string =>
	[first ? `${sayRun(first)}, then ${sayRun(last)}` : sayRun(last), last.isUnder && 'under the line']
		.filter(Boolean)
		.join(', ');

/** Students by skills, or by sets, as the page shows them. */
function gridTable({ by, skills, sets, rows }: ThroughTimePage, numberOf: Map<number, string>): Table {
	const heads = by === 'skill' ? skills.map(({ code }) => code) : sets.map(({ name, on }) => `${name}, ${sayDate(on)}`);
	const cellsOf = (row: Row): Cell[] =>
		by === 'skill'
			? row.skills.map((cell) => cell && sayEnds(cell.before, cell))
			: row.sets.map((run) => run && sayEnds(undefined, run));
	return [
		['student', 'name', 'class', ...heads],
		...rows.map((row) => [numberOf.get(row.id)!, row.name, row.className, ...cellsOf(row)])
	];
}

/** What of the results through time is taken out: the students that the page shows, and what they answered in these sets. */
export async function throughTimeTakenOut(
	database: Database,
	school: School,
	scope: Scope,
	url: URL
): Promise<TakenOut> {
	const page = await throughTimePage(database, school, scope, url);
	const studentIds = page.rows.map(({ id }) => id as VisibleId);
	const answers = await runAnswers(database, studentIds, beginningOf(page.from, school.timeZone));
	return {
		title: `Practice in ${scope.inWords} since ${page.from}`,
		of: { scope: scope.key, since: page.from },
		studentIds,
		results: { columns: COLUMNS, table: (numberOf) => gridTable(page, numberOf) },
		answers: answers.map((answer) => ({ ...answer, kind: 'practice' }))
	};
}
