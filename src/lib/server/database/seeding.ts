import type { Database } from './pool';

/** Tables that can be filled in bulk, with the columns they are filled by. For the demo school and for tests. */
const columns = {
	school: ['id', 'name', 'time_zone'],
	account: ['id', 'school_id', 'role', 'user_name', 'display_name', 'password_hash'],
	class: ['id', 'school_id', 'name', 'grade', 'code'],
	class_adult: ['class_id', 'account_id', 'from_on', 'until_on'],
	responsibility: ['student_id', 'account_id', 'from_on'],
	student: ['id', 'school_id', 'number', 'given_name', 'family_name', 'grade', 'pin_hash'],
	student_attribute: ['student_id', 'name', 'value'],
	class_membership: ['class_id', 'student_id', 'from_on', 'until_on'],
	section_membership: ['id', 'class_id', 'student_id', 'from_on', 'until_on'],
	tier_interval: ['student_id', 'tier', 'from_on', 'until_on'],
	school_year: ['school_id', 'starts_on', 'ends_on'],
	day_off: ['school_id', 'from_on', 'until_on', 'name'],
	cycle: ['id', 'school_id', 'number', 'starts_on', 'weeks'],
	screening_window: ['id', 'school_id', 'name', 'subject', 'mode', 'measure', 'term', 'opens_on', 'closes_on'],
	window_class: ['window_id', 'class_id'],
	measure_series: [...['id', 'student_id', 'measure', 'sheet_grade', 'starts_on', 'goal_on', 'goal', 'begun_by']],
	given_measure: [
		'id',
		'window_id',
		'series_id',
		'student_id',
		'sheet_grade',
		'sheet_number',
		'sheet_length',
		'seconds',
		'reached',
		'missed',
		'given_by',
		'given_at'
	],
	outcome: ['school_id', 'name', 'student_id', 'met', 'taken_on'],
	slot: ['id', 'staff_id', 'days', 'starts_at', 'minutes', 'room', 'tier'],
	class_block: ['class_id', 'kind', 'days', 'starts_at', 'minutes'],
	staff_absence: ['staff_id', 'from_on', 'until_on', 'note'],
	student_pair: ['student_id', 'other_id', 'kind'],
	small_group: [
		'id',
		'school_id',
		'name',
		'tier',
		'focus_skill_id',
		'slot_id',
		'starts_on',
		'ends_on',
		'adopted_by',
		'adopted_at'
	],
	group_membership: ['group_id', 'student_id', 'from_on', 'until_on'],
	attendance: ['group_id', 'student_id', 'on_date', 'present'],
	group_meeting: ['group_id', 'on_date', 'held', 'why_not', 'recorded_by', 'recorded_at'],
	practice_set: [
		'id',
		'school_id',
		'group_id',
		'item_count',
		'opens_on',
		'due_on',
		'above',
		'below',
		'created_by',
		'created_at'
	],
	practice_set_skill: ['set_id', 'skill_id', 'number', 'first_seed', 'seeds', 'practice_count'],
	practice_set_student: ['set_id', 'student_id'],
	fact_run: ['id', 'student_id', 'operation', 'minutes', 'own_day', 'own_number', 'started_at', 'ended_at'],
	fact_answer: [
		'id',
		'run_id',
		'position',
		'student_id',
		'operation',
		'first',
		'second',
		'response',
		'correct',
		'milliseconds',
		'answered_at',
		'received_at'
	],
	probe_plan: [
		'id',
		'student_id',
		'skill_id',
		'group_id',
		'starts_on',
		'goal_on',
		'goal_correct',
		'questions',
		'of_focus',
		'in_two_weeks',
		'on_day',
		'created_by'
	],
	sitting: [
		'id',
		'student_id',
		'kind',
		'window_id',
		'set_id',
		'plan_id',
		'probe_number',
		'level_plan_id',
		'level_place',
		'domain_id',
		'own_day',
		'own_number',
		'attempt',
		'item_count',
		'adaptive',
		'answered',
		'started_at',
		'finished_at',
		'trust'
	],
	sitting_item: [
		'sitting_id',
		'position',
		'skill_id',
		'family_id',
		'seed',
		'edition',
		'kind',
		'options',
		'digits',
		'help'
	],
	answer: [
		'id',
		'sitting_id',
		'position',
		'attempt',
		'student_id',
		'skill_id',
		'response',
		'correct',
		'misconception',
		'milliseconds',
		'hints',
		'answered_at',
		'received_at'
	],
	review_meeting: ['id', 'school_id', 'on_date', 'note', 'planned_by', 'planned_at'],
	review_meeting_adult: ['meeting_id', 'account_id', 'was_there'],
	review: [
		...['id', 'student_id', 'group_id', 'due_on', 'meeting_id', 'place', 'verdict', 'advice', 'reasons'],
		...['against', 'plan_change', 'note', 'family_told', 'effective_on', 'new_tier', 'decided_by', 'decided_at']
	],
	review_task: ['review_id', 'student_id', 'account_id', 'what', 'due_on', 'done_at']
} as const;

type BulkTable = keyof typeof columns;

/** Fills a table with rows given by column name. A column that no row has is as the table says; left out by some it is NULL there. */
export async function fill(database: Database, table: BulkTable, rows: Record<string, unknown>[]): Promise<void> {
	const names = columns[table].filter((name) => rows.some((row) => name in row));
	if (rows.length === 0) return;
	await database.insertMany(
		`INSERT INTO ${table} (${names.join(', ')}) VALUES ?`,
		rows.map((row) => names.map((name) => row[name] ?? null))
	);
}

/** Names of the schools that have been set up; none in a new database. */
export async function schoolNames(database: Database): Promise<string[]> {
	const rows = await database.rows<{ name: string }>('SELECT name FROM school ORDER BY id');
	return rows.map(({ name }) => name);
}

/** Finished diagnostics that nobody has scored yet, by student and then in time. */
export async function unscoredDiagnostics(database: Database): Promise<number[]> {
	const rows = await database.rows<{ id: number }>(
		`SELECT id FROM sitting WHERE kind = 'diagnostic' AND trust = 'open' AND finished_at IS NOT NULL ORDER BY finished_at, id`
	);
	return rows.map(({ id }) => id);
}

/** Finished level checks that nobody has scored yet. */
export async function unscoredLevelChecks(database: Database): Promise<number[]> {
	const rows = await database.rows<{ id: number }>(
		`SELECT sitting.id FROM sitting LEFT JOIN level_score AS level ON level.sitting_id = sitting.id
		WHERE sitting.kind = 'level' AND sitting.finished_at IS NOT NULL AND level.sitting_id IS NULL ORDER BY sitting.id`
	);
	return rows.map(({ id }) => id);
}

/** Empties every table but the migrations', so that the demo can be made anew. */
export async function eraseEverything(database: Database): Promise<void> {
	const tables = await database.rows<{ name: string }>(
		`SELECT table_name AS name FROM information_schema.tables
		WHERE table_schema = DATABASE() AND table_type = 'BASE TABLE' AND table_name <> 'migration'`
	);
	await database.run('SET FOREIGN_KEY_CHECKS = 0');
	for (const { name } of tables) await database.run(`TRUNCATE TABLE \`${name}\``);
	await database.run('SET FOREIGN_KEY_CHECKS = 1');
}
