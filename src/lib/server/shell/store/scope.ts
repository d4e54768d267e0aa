import type { SchoolDate } from '../../../core/calendar';
import type { Database } from '../../database';
import { type RosterStudent, visibleStudents } from '../../people';
import type { Staff } from '../../request';

/** Who is being looked at. `key` is its text in a URL: `school`, `grade:4`, `class:12`, `group:3` or `list:1,2`. */
export interface Scope {
	key: string;
	/** As a name by itself: `Grade 5`. */
	label: string;
	/** Inside a sentence: `grade 5`, `the whole school`. */
	inWords: string;
	students: RosterStudent[];
}

export interface ScopeChoice {
	key: string;
	label: string;
	kind: 'School' | 'Grades' | 'Classes' | 'Groups';
}

const called = (label: string, inWords = label) => ({ label, inWords });

/**
 * The students of a scope that the staff member may see.
 *
 * @returns null when there is no such scope for this person: an unknown or malformed key, or nobody visible in it
 */
export async function findScope(
	database: Database,
	staff: Staff,
	key: string,
	today: SchoolDate
): Promise<Scope | null> {
	const [, kind, value = ''] = /^(school|grade|class|group|list)(?::([\d,]{1,2000}))?$/.exec(key) ?? [];
	const ids = value.split(',').filter(Boolean).map(Number);
	if (kind === 'school' && !value) {
		const students = await visibleStudents(database, staff, today);
		const name =
			staff.role === 'teacher' ? called('My class', 'your class') : called('Whole school', 'the whole school');
		return { key, ...name, students };
	}
	if (ids.length === 0 || (kind !== 'list' && ids.length > 1)) return null;
	const of = async (
		narrowing: string,
		values: unknown[],
		name: (students: RosterStudent[]) => ReturnType<typeof called>
	) => {
		const students = await visibleStudents(database, staff, today, narrowing, values);
		return students.length ? { key, ...name(students), students } : null;
	};
	switch (kind) {
		case 'grade':
			return of('AND student.grade = ?', ids, () => called(`Grade ${ids[0]}`, `grade ${ids[0]}`));
		case 'class':
			return of('AND class.id = ?', ids, (students) => called(students[0].className));
		case 'list':
			return of('AND student.id IN (?)', [ids], ({ length }) =>
				length === 1
					? called('1 chosen student', 'the chosen student')
					: called(`${length} chosen students`, `the ${length} chosen students`)
			);
		case 'group': {
			const group = await database.row<{ name: string }>(
				'SELECT name FROM small_group WHERE id = ? AND school_id = ?',
				[ids[0], staff.schoolId]
			);
			if (!group) return null;
			return of(
				`AND student.id IN (
					SELECT student_id FROM group_membership
					WHERE group_id = ? AND from_on <= ? AND (until_on IS NULL OR until_on > ?))`,
				[ids[0], today, today],
				() => called(group.name)
			);
		}
		default:
			return null;
	}
}

/** Every scope the staff member can choose from the picker. */
export async function scopeChoices(database: Database, staff: Staff, today: SchoolDate): Promise<ScopeChoice[]> {
	const ownOnly = staff.role === 'teacher';
	const classes = await database.rows<{ id: number; name: string; grade: number }>(
		`SELECT id, name, grade FROM class
		WHERE school_id = ? ${ownOnly ? 'AND teacher_id = ?' : ''}
		ORDER BY grade, name`,
		ownOnly ? [staff.schoolId, staff.id] : [staff.schoolId]
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
