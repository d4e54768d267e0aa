import { calendarDays, CALENDAR_VIEWS, dayOff, weekday } from '../../core/calendar';
import { partedBy } from '../../core/collect';
import { type SetDates, setTitle, stageOf } from '../../core/practice';
import { fullName } from '../../core/words';
import type { Database } from '../database';
import { currentGroups, groupsInScope, type SmallGroup } from '../groups';
import { skillList } from '../library';
import { inClasses } from '../people';
import { dayIn, numberIn, oneIn, type Staff, undoesAll } from '../request';
import type { School } from '../school';
import type { Scope } from '../shell';
import { askedSets, setChoices } from './setFilters';
import { type ClassSet, classSets, studentSets } from './store/calendar';

/** What the lanes of the calendar are. */
const LANES = ['group', 'class', 'student'] as const;

/** Students, or groups or classes, whose sets are shown at once. */
const AT_ONCE = { student: 40, class: 20, group: 20 };

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

/** What lanes are made from: who asks, of whom, of which days and sets, and which part of the lanes. */
interface LanesAsked {
	database: Database;
	staff: Staff;
	school: School;
	scope: Scope;
	span: { from: string; until: string };
	asked: ReturnType<typeof askedSets>;
	part: { from: number; most: number };
	isAsked: (set: SetDates) => boolean;
	bar: (set: ClassSet | StudentSet, studentId: number | null) => CalendarBar;
}
type StudentSet = Awaited<ReturnType<typeof studentSets>>[number];

/** Some of all lanes, and how many there are. */
interface Lanes {
	lanes: Lane[];
	total: number;
}

const shownOf = <One>(all: One[], { from, most }: LanesAsked['part']) => all.slice(from, from + most);

async function studentLanes({ database, scope, span, asked, part, isAsked, bar }: LanesAsked): Promise<Lanes> {
	const students = await scope.students();
	const some = shownOf(students, part);
	const ids = some.map(({ id }) => id);
	const setsOf = partedBy((await studentSets(database, ids, span, asked)).filter(isAsked), (set) => set.studentId);
	const lanes = some.map((student) => ({
		...{ key: `student:${student.id}`, name: fullName(student), says: student.className },
		bars: setsOf(student.id).map((set) => bar(set, student.id))
	}));
	return { lanes, total: students.length };
}

async function classLanes({ database, scope, span, asked, part, isAsked, bar }: LanesAsked): Promise<Lanes> {
	const students = await scope.students();
	const classes = [...new Map(students.map(({ classId, className }) => [classId as number, className]))];
	const some = shownOf(classes, part);
	const ids = some.map(([id]) => id);
	const sets = await classSets(database, inClasses(scope.roster, ids), span, asked);
	const setsOf = partedBy(sets.filter(isAsked), ({ classId }) => classId);
	const lanes = some.map(([id, name]) => ({
		...{ key: `class:${id}`, name, says: '' },
		bars: setsOf(id).map((set) => bar(set, null))
	}));
	return { lanes, total: classes.length };
}

async function groupLanes(of: LanesAsked): Promise<Lanes> {
	const { database, staff, school, scope, part } = of;
	const groups = await groupsInScope(await currentGroups(database, staff, school.today), scope);
	const some = shownOf(groups, part);
	// What is not of these groups stands at the end.
	const isLast = part.from + part.most >= groups.length;
	const ids = (those: SmallGroup[]) => those.map(({ id }) => id);
	const which = isLast ? { but: ids(groups.filter((one) => !some.includes(one))) } : { only: ids(some) };
	const sets = (await classSets(database, scope.roster, of.span, of.asked, which)).filter(of.isAsked);
	return { lanes: byGroup(some, sets, (set) => of.bar(set, null)), total: groups.length };
}

const LANES_BY = { student: studentLanes, class: classLanes, group: groupLanes };

/** The sets of a scope over a week or a month, in lanes by group, class or student. */
export async function calendarPage(database: Database, staff: Staff, school: School, scope: Scope, url: URL) {
	const view = oneIn(url, 'view', CALENDAR_VIEWS) ?? 'month';
	const by = oneIn(url, 'by', LANES) ?? 'group';
	const part = { from: numberIn(url, 'lanes'), most: AT_ONCE[by] };
	const shown = calendarDays(dayIn(url, 'day') ?? school.today, view);
	const span = { from: shown.days[0], until: shown.days[shown.days.length - 1] };
	const asked = askedSets(url);
	const skills = await skillList(database, school.id);
	const nameOf = new Map(skills.map(({ id, shortName }) => [id, shortName]));
	const now = { day: school.today, minute: school.minute };
	const isAsked = (set: SetDates) => asked.stage === null || stageOf(set, now) === asked.stage;
	const bar: LanesAsked['bar'] = (set, studentId) => {
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
	const found = await LANES_BY[by]({ database, staff, school, scope, span, asked, part, isAsked, bar });
	return {
		view,
		by,
		...shown,
		asked,
		choices: await setChoices(database, staff, skills),
		daysOff: shown.days.filter(
			(day) => !school.calendar.schoolDays.includes(weekday(day)) || dayOff(day, school.calendar)
		),
		lanes: found.lanes,
		part: { ...part, total: found.total }
	};
}

/** A lane for each of some groups, and for other sets there are: of other groups, and of none. */
function byGroup(groups: SmallGroup[], sets: ClassSet[], bar: (set: ClassSet) => CalendarBar): Lane[] {
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
