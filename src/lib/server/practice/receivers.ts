import { isBelow } from '../../core/practice';
import { masteredIn, RATHER_MASTERED, readyNext } from '../../core/mastery';
import { fullName } from '../../core/words';
import type { Database } from '../database';
import { currentGroups, type SmallGroup } from '../groups';
import { skillGraph, skillList } from '../library';
import { type RosterStudent, visibleAmong } from '../people';
import { idIn, idOf, idsIn, type Staff, textIn } from '../request';
import type { School } from '../school';
import type { Scope } from '../shell';
import { readStandings } from '../standing';
import { clearQueues } from './clearQueues';
import { findSet, studentsOfSet } from './store/oneSet';
import { absentOn } from './store/outcomes';

/** By what students of the scope are found for whom practice is. */
const RULES = ['ready', 'below', 'clear', 'clear-all', 'set', 'absent'] as const;
export type Rule = (typeof RULES)[number];

/** Who a set is for, as an address names it. */
export interface Receivers {
	/** Whose students they are, in words; null while nobody is chosen. */
	label: string | null;
	/** The one group that it is for; null for other students. */
	group: SmallGroup | null;
	rule: Rule | null;
	students: RosterStudent[];
}

/** What is asked for: of the address `for`, its value, and who may be looked at. */
export interface Asked {
	database: Database;
	staff: Staff;
	school: School;
	url: URL;
	scope: Scope;
}

const NOBODY: Receivers = { label: null, group: null, rule: null, students: [] };
/** Characters of what an address names: a thousand students. */
const LONGEST = 8_000;
/** Groups, students chosen, and students added by hand, that an address can name. */
const MOST_CHOSEN = 1_000;
const MOST_GROUPS = 30;
const MOST_ADDED = 100;

/**
 * Who a set is for, as the address names it: `for=group:1,2`, `for=students:5,6`, `for=all` or a rule over the scope; without
 * it the scope, where somebody has been chosen for it (a class, a group, a list), and nobody where the scope is a grade, a caseload or the
 * whole school. `with=5,6` adds students. Only those the person may see; null for a group or student that is none.
 */
export async function receivers(asked: Asked): Promise<Receivers | null> {
	const { database, staff, school, url } = asked;
	const found = await namedBy(asked);
	if (!found) return null;
	const there = new Set<number>(found.students.map(({ id }) => id));
	const added = idsIn(url, 'with', MOST_ADDED).filter((id) => !there.has(id));
	if (added.length === 0) return found;
	const more = await visibleAmong(database, staff, added, school.today);
	return { ...found, label: found.label ?? 'chosen students', students: [...found.students, ...more] };
}

async function namedBy(asked: Asked): Promise<Receivers | null> {
	const { database, staff, school, url, scope } = asked;
	const [kind, value = ''] = textIn(url, 'for', LONGEST).split(':');
	if (kind === 'group') {
		const ids = value.split(',').slice(0, MOST_GROUPS).map(Number);
		const groups = (await currentGroups(database, staff, school.today)).filter(({ id }) => ids.includes(id));
		const studentIds = [...new Set(groups.flatMap((group) => group.studentIds))];
		const students = await visibleAmong(database, staff, studentIds, school.today);
		if (students.length === 0) return null;
		const label = groups.length === 1 ? groups[0].name : `${groups.length} groups`;
		return { label, group: groups.length === 1 ? groups[0] : null, rule: null, students };
	}
	if (kind === 'student' || kind === 'students') {
		const ids = value
			.split(',')
			.slice(0, MOST_CHOSEN)
			.map((one) => idOf(one) ?? 0);
		const students = await visibleAmong(database, staff, ids, school.today);
		if (students.length === 0) return null;
		return { ...NOBODY, label: students.length === 1 ? fullName(students[0]) : 'those chosen', students };
	}
	const rule = RULES.find((one) => one === kind);
	if (rule) return { ...NOBODY, label: scope.inWords, rule, students: await byRule(asked, rule, value) };
	const isChosen = kind === 'all' || staff.role === 'teacher' || !/^(school|caseload|grade)/.test(scope.key);
	return isChosen ? { ...NOBODY, label: scope.inWords, students: await scope.students() } : NOBODY;
}

/** Students of the scope that a rule finds. */
async function byRule(asked: Asked, rule: Rule, value: string): Promise<RosterStudent[]> {
	const { database, school, scope, url } = asked;
	const students = await scope.students();
	const ids = students.map(({ id }) => id);
	switch (rule) {
		case 'clear':
		case 'clear-all':
			return (await clearQueues(database, school, scope))[rule === 'clear' ? 'pressing' : 'all'];
		case 'absent': {
			const absent = await absentOn(database, ids, value || school.today);
			return students.filter(({ id }) => absent.has(id));
		}
		case 'set': {
			const below = await belowOnSet(asked, idOf(value) ?? 0);
			return students.filter(({ id }) => below.has(id));
		}
		default: {
			const skillId = idIn(url, 'skill') ?? Number(textIn(url, 'skill', 200).split(',')[0]);
			const graph = await skillGraph(database, school.id, await skillList(database, school.id));
			const standings = await readStandings(database, ids);
			return students.filter(({ id }) => {
				const own = standings.get(id)!;
				if (rule === 'ready') return readyNext(graph, masteredIn(own)).includes(skillId);
				const now = own.get(skillId);
				return !now || now.standing === 'unseen' || now.mastered < RATHER_MASTERED;
			});
		}
	}
}

/** Students of a set who have not finished it, or with less than 60% right at the first try. */
async function belowOnSet({ database, staff, school }: Asked, setId: number): Promise<Set<number>> {
	if (!(await findSet(database, staff, setId))) return new Set();
	const given = await studentsOfSet(database, { staff, today: school.today }, setId);
	return new Set(given.filter((one) => !one.isExcused && isBelow(one)).map(({ id }) => id));
}
