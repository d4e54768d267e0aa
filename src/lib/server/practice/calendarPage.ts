import { calendarDays, CALENDAR_VIEWS, dayOff, weekday } from '../../core/calendar';
import { type SetDates, setTitle, stageOf } from '../../core/practice';
import { fullName } from '../../core/words';
import type { Database } from '../database';
import { currentGroups, groupsInScope } from '../groups';
import { skillList } from '../library';
import { dayIn, numberIn, oneIn, type Staff, undoesAll } from '../request';
import type { School } from '../school';
import type { Scope } from '../shell';
import { askedSets, setChoices } from './setFilters';
import { type ClassSet, classSets, studentSets } from './store/calendar';

/** What the lanes of the calendar are. */
const LANES = ['group', 'class', 'student'] as const;

/** Students whose sets are shown at once. */
const STUDENTS_AT_ONCE = 40;

/** A set as a bar: from the day it opens to the day it is due. */
export interface CalendarBar extends SetDates {
	setId: number;
	/** Whose own it is, in a student's lane. */
	studentId: number | null;
	title: string;
	students: number;
	finished: number;
	/** Students with a later due date of their own, and the last of these; null without one, and in a student's lane. */
	later: ClassSet['later'];
	/** Whether the person may move it. */
	isTheirs: boolean;
}

/** A group, class or student with what they have in the days shown. */
interface Lane {
	key: string;
	name: string;
	says: string;
	bars: CalendarBar[];
}

/** The sets of a scope over a week or a month, in lanes by group, class or student. */
export async function calendarPage(database: Database, staff: Staff, school: School, scope: Scope, url: URL) {
	const view = oneIn(url, 'view', CALENDAR_VIEWS) ?? 'month';
	const by = oneIn(url, 'by', LANES) ?? 'group';
	const part = { from: numberIn(url, 'students'), most: STUDENTS_AT_ONCE };
	const shown = calendarDays(dayIn(url, 'day') ?? school.today, view);
	const span = { from: shown.days[0], until: shown.days[shown.days.length - 1] };
	const asked = askedSets(url);
	const [skills, students] = await Promise.all([skillList(database, school.id), scope.students()]);
	const nameOf = new Map(skills.map(({ id, shortName }) => [id, shortName]));
	const now = { day: school.today, minute: school.minute };
	const isAsked = (set: SetDates) => asked.stage === null || stageOf(set, now) === asked.stage;
	const bar = (
		set: ClassSet | Awaited<ReturnType<typeof studentSets>>[number],
		studentId: number | null
	): CalendarBar => {
		const { opensOn, opensMinute, dueOn, dueMinute, closes, students: count, finished } = set;
		return {
			...{ opensOn, opensMinute, dueOn, dueMinute, closes, finished, studentId },
			setId: set.id,
			title: setTitle(set, (id) => nameOf.get(id)!),
			students: count,
			later: 'later' in set ? set.later : null,
			// In a student's lane it is their own due date that moves, which who sees them may change.
			isTheirs: studentId !== null || undoesAll(staff.role) || set.authorId === staff.id
		};
	};
	let lanes: Lane[];
	if (by === 'student') {
		const some = students.slice(part.from, part.from + part.most);
		const sets = (
			await studentSets(
				database,
				some.map(({ id }) => id),
				span,
				asked
			)
		).filter(isAsked);
		lanes = some.map((student) => ({
			key: `student:${student.id}`,
			name: fullName(student),
			says: student.className,
			bars: sets.filter(({ studentId }) => studentId === student.id).map((set) => bar(set, student.id))
		}));
	} else {
		const sets = (await classSets(database, scope.roster, span, asked)).filter(isAsked);
		lanes =
			by === 'class'
				? byClass(students, sets, (set) => bar(set, null))
				: await byGroup(database, staff, school, scope, sets, (set) => bar(set, null));
	}
	return {
		view,
		by,
		...shown,
		asked,
		choices: await setChoices(database, staff, skills),
		daysOff: shown.days.filter(
			(day) => !school.calendar.schoolDays.includes(weekday(day)) || dayOff(day, school.calendar)
		),
		lanes,
		part: { ...part, total: by === 'student' ? students.length : 0 }
	};
}

type Students = Awaited<ReturnType<Scope['students']>>;

/** A lane for every class of the students, in their order. */
function byClass(students: Students, sets: ClassSet[], bar: (set: ClassSet) => CalendarBar): Lane[] {
	const classes = new Map(students.map(({ classId, className }) => [classId as number, className]));
	return [...classes].map(([id, name]) => ({
		key: `class:${id}`,
		name,
		says: '',
		bars: sets.filter(({ classId }) => classId === id).map(bar)
	}));
}

/** A lane for every group that some of the students are in, for sets of groups that have ended, and for those of no group. */
async function byGroup(
	database: Database,
	staff: Staff,
	school: School,
	scope: Scope,
	sets: ClassSet[],
	bar: (set: ClassSet) => CalendarBar
): Promise<Lane[]> {
	const groups = await groupsInScope(await currentGroups(database, staff, school.today), scope);
	const known = new Set(groups.map(({ id }) => id));
	const barsOf = (isOf: (groupId: number | null) => boolean) =>
		acrossClasses(sets.filter(({ groupId }) => isOf(groupId))).map(bar);
	const lanes = groups.map(({ id, name, tier }) => ({
		key: `group:${id}`,
		name,
		says: `tier ${tier}`,
		bars: barsOf((groupId) => groupId === id)
	}));
	const others = [
		{
			key: 'ended',
			name: 'Other groups',
			says: 'ended, or not of these students',
			isOf: (id: number | null) => id !== null && !known.has(id)
		},
		{ key: 'none', name: 'Not for a group', says: '', isOf: (id: number | null) => id === null }
	];
	return [
		...lanes,
		...others.map(({ isOf, ...lane }) => ({ ...lane, bars: barsOf(isOf) })).filter(({ bars }) => bars.length > 0)
	];
}

/** Sets of classes put together: one a set. */
function acrossClasses(sets: ClassSet[]): ClassSet[] {
	const found = new Map<number, ClassSet>();
	for (const set of sets) {
		const before = found.get(set.id);
		found.set(set.id, {
			...set,
			students: set.students + (before?.students ?? 0),
			finished: set.finished + (before?.finished ?? 0),
			later: bothLater(set.later, before?.later ?? null)
		});
	}
	return [...found.values()];
}

const bothLater = (one: ClassSet['later'], other: ClassSet['later']): ClassSet['later'] =>
	one && other
		? { students: one.students + other.students, until: one.until > other.until ? one.until : other.until }
		: (one ?? other);
