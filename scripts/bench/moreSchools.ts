/** The demo school four times as large, or with others like it in one district: copied by SQL, and taken away again. */
import { SCHOOL_ID } from '../../demo/people';
import type { RootDatabase } from '../../src/lib/server/database/pool';

/** Ids of copies are those of the first rows and so much more each time. */
const STEP = 1_000_000;

/** What is copied when a school has more students: staff and their meeting times, classes, students, and all that is theirs. */
const OF_STUDENTS = [
	// Before the students, so that nobody finds one of whom there is none and makes it.
	...['student_field', 'student_field_then'],
	...['account', 'slot', 'staff_absence', 'adoption'],
	...['class', 'class_adult', 'student', 'class_membership', 'tier_interval', 'responsibility'],
	...['student_attribute', 'student_pair', 'accommodation'],
	...['small_group', 'group_membership', 'group_focus', 'group_pause', 'group_change', 'group_meeting', 'attendance'],
	...['class_block', 'window_class', 'window_student', 'practice_set', 'probe_plan'],
	...['practice_set_skill', 'practice_set_student'],
	// Before the reviews on their agendas.
	...['review_meeting', 'review_meeting_adult'],
	...['skill_check', 'skill_check_skill', 'sitting', 'sitting_item', 'answer', 'score', 'review'],
	...['given_measure', 'student_note', 'outcome', 'late_answer', 'window_place', 'student_summary']
];
/** What is copied besides for another school; skills and what ships with them are shared. */
const OF_A_SCHOOL = [
	...['school', 'school_year', 'day_off', 'tier_plan', 'cycle', 'screening_window', 'cut_score', 'emphasis'],
	'group_draft'
];

/** Columns that must differ in copies although they are no ids. */
const DIFFERS: Record<string, string> = {
	'class.code': "CONCAT(`code`, '-', ?)",
	'account.user_name': "CONCAT(`user_name`, '-', ?)",
	'student.number': "CONCAT(`number`, '-', ?)"
};

interface Column {
	name: string;
	type: string;
	isKey: boolean;
	/** The table whose id it holds. */
	of: string | null;
}

/** A table's columns, each with the table of whose rows it holds ids, followed through composite keys. */
async function columnsOf(database: RootDatabase, table: string): Promise<Column[]> {
	return database.rows<Column>(
		`SELECT c.COLUMN_NAME AS name, c.DATA_TYPE AS type, c.EXTRA = 'auto_increment' AS isKey,
			CASE
				WHEN c.COLUMN_NAME = 'student_id' THEN 'student'
				WHEN c.COLUMN_NAME = 'sitting_id' THEN 'sitting'
				ELSE (
					SELECT MIN(k.REFERENCED_TABLE_NAME) FROM information_schema.KEY_COLUMN_USAGE k
					WHERE k.TABLE_SCHEMA = DATABASE() AND k.TABLE_NAME = c.TABLE_NAME
						AND k.COLUMN_NAME = c.COLUMN_NAME AND k.REFERENCED_COLUMN_NAME = 'id')
			END AS \`of\`
		FROM information_schema.COLUMNS c
		WHERE c.TABLE_SCHEMA = DATABASE() AND c.TABLE_NAME = ? AND c.IS_GENERATED = 'NEVER'
		ORDER BY c.ORDINAL_POSITION`,
		[table]
	);
}

/** Runs statements on one connection with checks of references off: copies refer to each other only. */
function unchecked(database: RootDatabase, statements: { sql: string; values: unknown[] }[]): Promise<void> {
	return database.transaction(async (transaction) => {
		await transaction.run('SET foreign_key_checks = 0, unique_checks = 0');
		for (const { sql, values } of statements) await transaction.run(sql, values);
		await transaction.run('SET foreign_key_checks = 1, unique_checks = 1');
	});
}

async function copy(database: RootDatabase, tables: string[], copies: number): Promise<void> {
	const shifted = new Set(tables);
	for (const table of tables) {
		const columns = await columnsOf(database, table);
		const shifts = (column: Column) => column.isKey || (column.of !== null && shifted.has(column.of));
		// Of the first rows only: a copy has at least one id that is shifted.
		const first = columns.filter(shifts).map(({ name }) => `COALESCE(\`${name}\`, 0) < ${STEP}`);
		const own = columns.some(({ name }) => name === 'school_id') ? ['school_id = ?'] : [];
		const statements = Array.from({ length: copies }, (_, i) => {
			const values: unknown[] = [];
			const selected = columns.map((column) => {
				const differs = DIFFERS[`${table}.${column.name}`];
				if (differs) {
					values.push(i + 1);
					return differs;
				}
				if (column.type === 'uuid') return 'UUID()';
				if (!shifts(column)) return `\`${column.name}\``;
				values.push((i + 1) * STEP);
				return `\`${column.name}\` + ?`;
			});
			return {
				sql: `INSERT INTO \`${table}\` (${columns.map(({ name }) => `\`${name}\``).join(', ')})
					SELECT ${selected.join(', ')} FROM \`${table}\`
					WHERE ${[...first, ...own].join(' AND ')}`,
				values: own.length ? [...values, SCHOOL_ID] : values
			};
		});
		for (const statement of statements) await unchecked(database, [statement]);
	}
}

/** Makes the school `times` as large. */
export const growSchool = (database: RootDatabase, times: number) => copy(database, OF_STUDENTS, times - 1);

/** Puts the school into a district of as many like it. */
export const growDistrict = (database: RootDatabase, schools: number) =>
	copy(database, [...OF_A_SCHOOL, ...OF_STUDENTS], schools - 1);

/** Takes every copy away again, and lets the database count its rows anew. */
export async function shrinkAgain(database: RootDatabase): Promise<void> {
	const tables = [...OF_A_SCHOOL, ...OF_STUDENTS];
	const copied = new Set(tables);
	for (const table of tables.toReversed()) {
		const ids = (await columnsOf(database, table)).filter(({ isKey, of }) => isKey || (of && copied.has(of)));
		await unchecked(database, [
			{
				sql: `DELETE FROM \`${table}\` WHERE ${ids.map(({ name }) => `\`${name}\` >= ${STEP}`).join(' OR ')}`,
				values: []
			}
		]);
	}
	await countRows(database);
}

/** What the optimizer knows of tables that grew in a moment is from before. */
export async function countRows(database: RootDatabase): Promise<void> {
	for (const table of [...OF_A_SCHOOL, ...OF_STUDENTS]) await database.rows(`ANALYZE TABLE \`${table}\``);
}
