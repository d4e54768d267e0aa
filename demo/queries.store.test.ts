import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { demoSchool } from '../tests/demoSchool';
import { NOW, seenOne, staffAs, TODAY } from '../tests/smallSchool';
import { decidePage } from '../src/lib/server/decide/decidePage';
import type { RootDatabase } from '../src/lib/server/database/pool';
import { currentGroups, findGroup, groupsOn } from '../src/lib/server/groups/store/groups';
import { studentPage } from '../src/lib/server/people/studentPage';
import { placeInRoster, studentsNamed } from '../src/lib/server/people/store/roster';
import { assignPage } from '../src/lib/server/practice/assignPage';
import { queuesPage } from '../src/lib/server/practice/queuesPage';
import { calendarPage } from '../src/lib/server/practice/calendarPage';
import { logPage } from '../src/lib/server/practice/logPage';
import { practicePage } from '../src/lib/server/practice/practicePage';
import { givenPage } from '../src/lib/server/materials/givenPage';
import { setPage } from '../src/lib/server/practice/setPage';
import { responsesOf } from '../src/lib/server/results/store/responses';
import { skillRuns } from '../src/lib/server/results/store/skillRuns';
import { setResultsPage } from '../src/lib/server/results/setResultsPage';
import { practiceSets, queuedSets, recentResults } from '../src/lib/server/practice/store/practice';
import { findSchool, type School } from '../src/lib/server/school/store/school';
import { resultsPage } from '../src/lib/server/screen/resultsPage';
import { sittingsBoard } from '../src/lib/server/screen/sittingsPage';
import { windowInView } from '../src/lib/server/screen/windowPlaces';
import { peekAt } from '../src/lib/server/shell/peek';
import { ribbon } from '../src/lib/server/shell/ribbon';
import { findScope } from '../src/lib/server/shell/store/scope';
import { ownPage } from '../src/lib/server/sitting/ownPage';
import { chartsPage } from '../src/lib/server/track/chartsPage';
import { probesPage } from '../src/lib/server/track/probesPage';
import { sessionsPage } from '../src/lib/server/track/sessionsPage';
import { trackPage, trackRows } from '../src/lib/server/track/trackPage';
import { SCHOOL_ID } from './people';

/** Tables that grow with the years; no page may read one of them from end to end. */
const GROWING = [
	...['answer', 'sitting', 'sitting_item', 'late_answer', 'score', 'student_field', 'attendance', 'group_meeting'],
	...['series_reading', 'session_watch'],
	...[
		'practice_set',
		'practice_set_skill',
		'practice_set_student',
		'probe_plan',
		'review',
		'skill_check',
		'student_note',
		'audit_entry'
	],
	...['group_membership', 'class_membership', 'tier_interval', 'student', 'window_place', 'student_summary']
];
/** Ways of the optimizer to a table that read all of it. */
const WHOLE = new Set(['ALL', 'index']);

let database: RootDatabase;
let school: School;
const staff = staffAs('specialist');
/** Questions that were asked, each once, with the values of its first time. */
const asked = new Map<string, unknown[]>();

/** The same database, which notes what it is asked. */
function noting(of: RootDatabase): RootDatabase {
	const note = (sql: string, values: unknown[] = []) => {
		// Lists in `IN (?)` are of any length.
		if (/^\s*(SELECT|WITH)/.test(sql) && !asked.has(sql)) asked.set(sql, values);
	};
	return {
		...of,
		rows: (sql, values) => {
			note(sql, values);
			return of.rows(sql, values);
		},
		row: (sql, values) => {
			note(sql, values);
			return of.row(sql, values);
		}
	};
}

beforeAll(async () => {
	database = await demoSchool();
	for (const table of GROWING) await database.rows(`ANALYZE TABLE ${table}`);
	school = await findSchool(database, SCHOOL_ID, NOW);
});
afterAll(() => database.close());

/** What the pages that are opened most ask of the database, for the whole school, a class and a student. */
async function openPages(): Promise<void> {
	const watched = noting(database);
	const student = seenOne(100);
	for (const key of ['school', 'grade:4', 'class:5']) {
		const scope = (await findScope(watched, staff, key, TODAY))!;
		const url = (query = '') => new URL(`http://school.test/page?${query}`);
		await ribbon(watched, staff, school, scope);
		const { windows, window } = await windowInView(watched, school);
		await resultsPage(watched, school, scope, windows, window!, url());
		await sittingsBoard(watched, school, scope, window!, url());
		await trackPage(watched, staff, school, scope, url());
		await trackRows(watched, staff, school, [student, student + 1]);
		await chartsPage(watched, staff, school, scope, url(`student=${student}`));
		await probesPage(watched, staff, school, scope, url('group=1'));
		await sessionsPage(watched, staff, school, scope, url());
		await decidePage(watched, staff, school, scope, url());
		await placeInRoster(watched, scope.roster, student);
		await studentsNamed(watched, scope.roster, 'ma', 8);
		const own = (await scope.students())[0];
		await peekAt(watched, staff, school, own);
		await studentPage(watched, school, own);
		await practiceSets(watched, scope.roster, { from: 0, most: 40 });
		for (const queue of ['waiting', 'late', 'clear'])
			await queuesPage(watched, staff, school, scope, url(`queue=${queue}`));
		for (const by of ['group', 'class', 'student']) await calendarPage(watched, staff, school, scope, url(`by=${by}`));
		await practicePage(watched, staff, school, scope, url('stage=open&skill=20&author=3'));
		await logPage(watched, staff, school, scope, url('days=90'));
		await givenPage({ database: watched, staff, school, url: url(), scope });
		for (const query of ['for=all', 'for=clear&own=yes'])
			await assignPage({ database: watched, staff, school, url: url(query), scope });
	}
	await currentGroups(watched, staff, TODAY);
	await groupsOn(watched, staff, TODAY, TODAY);
	await findGroup(watched, staff, 1, TODAY);
	await setPage(watched, staff, school, 1, NOW);
	await responsesOf(
		watched,
		student,
		{ skillId: 1, isRight: false, kind: 'practice', sittingId: 1 },
		{ from: 0, most: 50 }
	);
	await responsesOf(
		watched,
		student,
		{ skillId: null, isRight: null, kind: null, sittingId: null },
		{ from: 0, most: 50 }
	);
	await skillRuns(watched, [student], new Date(0));
	await setResultsPage(watched, staff, school, 1, new URL('http://school.test/?question=0'), NOW);
	await queuedSets(watched, [student], TODAY);
	await practiceSets(watched, { staff, today: TODAY }, { from: 0, most: 6, groupId: 1, skillId: 1 });
	await recentResults(watched, student, 4);
	await ownPage(
		{ database: watched, at: NOW, viewer: null },
		{ kind: 'student', id: student, schoolId: SCHOOL_ID, givenName: '', grade: 4 }
	);
}

describe('what pages ask of the database', () => {
	it('is answered by indexes: no table that grows is read from end to end', async () => {
		await openPages();
		expect(asked.size).toBeGreaterThan(40);
		const whole: string[] = [];
		for (const [sql, values] of asked) {
			const plan = await database.rows<{ table: string | null; type: string | null }>(`EXPLAIN ${sql}`, values);
			const from = new Map(
				[...sql.matchAll(/(?:FROM|JOIN)\s+(\w+)(?:\s+AS)?\s+(\w+)?/g)].flatMap(([, table, alias]) => [
					[table, table],
					[alias ?? table, table]
				])
			);
			for (const { table, type } of plan) {
				const of = from.get(table ?? '') ?? table ?? '';
				if (GROWING.includes(of) && WHOLE.has(type ?? '')) whole.push(`${of} by ${type} in: ${sql}`);
			}
		}
		expect(whole).toEqual([]);
	});
});
