import type { SchoolDate } from '../../../core/calendar';
import type { Database } from '../../database';
import {
	inClasses,
	inSection,
	ownClassesOnly,
	ownOrNobodys,
	type Roster,
	rosterSize,
	type RosterStudent,
	rosterStudents
} from '../../people';
import type { Staff } from '../../request';

/** Who is being looked at. `key` is its text in a URL: `school`, `caseload`, `grade:4`, `class:12`, `group:3` or `list:1,2`. */
export interface Scope {
	key: string;
	/** As a name by itself: `Grade 5`. */
	label: string;
	/** Inside a sentence: `grade 5`, `the whole school`. */
	inWords: string;
	/** How many students. */
	size: number;
	roster: Roster;
	/** All of them; read once, when they are first asked for. */
	students: () => Promise<RosterStudent[]>;
}

interface ScopeChoice {
	key: string;
	label: string;
	kind: 'School' | 'Grades' | 'Classes' | 'Groups';
}

type Named = Pick<Scope, 'label' | 'inWords'>;

/** A group's members on a day. */
const IN_GROUP = `AND membership.student_id IN (
	SELECT student_id FROM group_membership
	WHERE group_id = ? AND from_on <= ? AND (until_on IS NULL OR until_on > ?))`;

/** Who is in tier 2 or 3 on a day. */
const IN_TIERS = `AND membership.student_id IN (
	SELECT student_id FROM tier_interval
	WHERE tier > 1 AND from_on <= ? AND (until_on IS NULL OR until_on > ?))`;
/** Who is in a group on a day that a staff member holds. */
const IN_OWN_GROUPS = `membership.student_id IN (
	SELECT held.student_id FROM group_membership AS held
	JOIN small_group ON small_group.id = held.group_id
	JOIN slot ON slot.id = small_group.slot_id
	WHERE slot.staff_id = ? AND held.from_on <= ? AND (held.until_on IS NULL OR held.until_on > ?))`;
/** For whom a staff member is responsible on a day. */
const IS_OWN = `membership.student_id IN (
	SELECT student_id FROM responsibility
	WHERE account_id = ? AND from_on <= ? AND (until_on IS NULL OR until_on > ?))`;

/**
 * The students in tiers 2 and 3 that a person is responsible for. Those for whom nobody is are every specialist's, and of
 * an interventionist's those in the groups that they hold; null for those who have no caseload.
 */
function caseloadOf(staff: Staff, today: SchoolDate): NonNullable<Roster['narrowing']> | null {
	if (staff.role !== 'specialist' && staff.role !== 'interventionist') return null;
	const own = ownOrNobodys(staff, today);
	if (staff.role === 'specialist') return { sql: `${IN_TIERS} ${own.sql}`, values: [today, today, ...own.values] };
	return {
		sql: `${IN_TIERS} ${own.sql} AND (${IS_OWN} OR ${IN_OWN_GROUPS})`,
		values: [today, today, ...own.values, staff.id, today, today, staff.id, today, today]
	};
}

/**
 * The scope of a key, with the students of it whom the staff member may see.
 *
 * @returns null when there is no such scope for this person: an unknown or malformed key, or nobody visible in it
 */
export async function findScope(
	database: Database,
	staff: Staff,
	key: string,
	today: SchoolDate
): Promise<Scope | null> {
	const [, kind, value = ''] = /^(school|caseload|grade|class|group|list)(?::([\d,]{1,2000}))?$/.exec(key) ?? [];
	const ids = value.split(',').filter(Boolean).map(Number);
	const everybody: Roster = { staff, today };
	const open = async (found: (size: number) => Named, roster: Roster = everybody) => {
		const size = await rosterSize(database, roster);
		if (size === 0 && kind !== 'school' && kind !== 'caseload') return null;
		let students: Promise<RosterStudent[]> | undefined;
		return {
			key,
			...found(size),
			size,
			roster,
			students: () => (students ??= rosterStudents(database, roster))
		};
	};
	const narrowed = (narrowing: Roster['narrowing']): Roster => ({ ...everybody, narrowing });
	if (kind === 'school' && !value)
		return open(() =>
			staff.role === 'teacher'
				? { label: 'My class', inWords: 'your class' }
				: { label: 'Whole school', inWords: 'the whole school' }
		);
	if (kind === 'caseload' && !value) {
		const caseload = caseloadOf(staff, today);
		return caseload && open(() => ({ label: 'My caseload', inWords: 'your caseload' }), narrowed(caseload));
	}
	if (ids.length === 0 || (kind !== 'list' && ids.length > 1)) return null;
	const [id] = ids;
	const named = (label: string) => () => ({ label, inWords: label });
	switch (kind) {
		case 'grade':
			return open(
				() => ({ label: `Grade ${id}`, inWords: `grade ${id}` }),
				narrowed({
					sql: 'AND membership.student_id IN (SELECT id FROM student WHERE school_id = ? AND grade = ?)',
					values: [staff.schoolId, id]
				})
			);
		case 'class': {
			const own = ownClassesOnly(staff, today, 'id');
			const found = await database.row<{ name: string; isSection: boolean }>(
				`SELECT name, is_section AS isSection FROM class WHERE id = ? AND school_id = ? ${own.sql}`,
				[id, staff.schoolId, ...own.values]
			);
			return found && open(named(found.name), found.isSection ? inSection(everybody, id) : inClasses(everybody, [id]));
		}
		case 'list':
			return open(
				(size) =>
					size === 1
						? { label: '1 chosen student', inWords: 'the chosen student' }
						: { label: `${size} chosen students`, inWords: `the ${size} chosen students` },
				narrowed({ sql: 'AND membership.student_id IN (?)', values: [ids] })
			);
		case 'group': {
			const group = await database.row<{ name: string }>(
				'SELECT name FROM small_group WHERE id = ? AND school_id = ?',
				[id, staff.schoolId]
			);
			return group && open(named(group.name), narrowed({ sql: IN_GROUP, values: [id, today, today] }));
		}
		default:
			return null;
	}
}

/** The scope that nobody has chosen: the caseload of those who have one with somebody in it, all they may see for others. */
export async function defaultScope(database: Database, staff: Staff, today: SchoolDate): Promise<Scope> {
	const caseload = await findScope(database, staff, 'caseload', today);
	return caseload?.size ? caseload : (await findScope(database, staff, 'school', today))!;
}

/** Every scope the staff member can choose from the picker. */
export async function scopeChoices(database: Database, staff: Staff, today: SchoolDate): Promise<ScopeChoice[]> {
	const ownOnly = staff.role === 'teacher';
	const own = ownClassesOnly(staff, today, 'id');
	const classes = await database.rows<{ id: number; name: string; grade: number }>(
		`SELECT id, name, grade FROM class
		WHERE school_id = ? AND (ended_on IS NULL OR ended_on > ?) ${own.sql}
		ORDER BY grade, name`,
		[staff.schoolId, today, ...own.values]
	);
	const groups = ownOnly
		? []
		: await database.rows<{ id: number; name: string }>(
				`SELECT id, name FROM small_group
				WHERE school_id = ? AND starts_on <= ? AND ends_on >= ?
				ORDER BY name`,
				[staff.schoolId, today, today]
			);
	const grades = [...new Set(classes.map(({ grade }) => grade))];
	return [
		{ key: 'school', label: ownOnly ? 'My class' : 'Whole school', kind: 'School' },
		...(caseloadOf(staff, today) ? [{ key: 'caseload', label: 'My caseload', kind: 'School' as const }] : []),
		...(ownOnly
			? []
			: grades.map((grade) => ({ key: `grade:${grade}`, label: `Grade ${grade}`, kind: 'Grades' as const }))),
		...classes.map(({ id, name, grade }) => ({
			key: `class:${id}`,
			label: `${name} · grade ${grade}`,
			kind: 'Classes' as const
		})),
		...groups.map(({ id, name }) => ({ key: `group:${id}`, label: name, kind: 'Groups' as const }))
	];
}
