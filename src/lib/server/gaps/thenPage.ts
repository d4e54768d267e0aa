import type { SchoolDate } from '../../core/calendar';
import { addDays } from '../../core/calendar';
import { ownStanding, standingChange, type StandingChange } from '../../core/mastery';
import { sayLevel } from '../../core/words';
import type { Database } from '../database';
import { domainList, skillList } from '../library';
import type { RosterStudent } from '../people';
import { dayIn, oneIn, type VisibleId } from '../request';
import { currentCycle, type School } from '../school';
import { readCells, readEarlierCells, type Cells } from '../standing';

/** Without a cycle that has begun, so many days ago stand for then. */
const WITHOUT_CYCLE = 28;
/** Rows of the first response: each has a cell for every skill that changed for anybody. */
const FIRST_ROWS = 20;
/** As long (ms) as standings of an earlier day are worked out for one page; whoever still waits is worked out for the next. */
const MOST_MS = 600;

/** Which changes are shown. */
const KINDS: Record<'moved' | 'risen' | 'fallen' | 'all', (change: StandingChange) => boolean> = {
	moved: (change) => change === 'risen' || change === 'fallen',
	risen: (change) => change === 'risen',
	fallen: (change) => change === 'fallen',
	all: (change) => change !== 'same'
};
type Kind = keyof typeof KINDS;
const kindIn = (url: URL): Kind => oneIn(url, 'changes', ['risen', 'fallen', 'all']) ?? 'moved';

async function dayAsked(database: Database, school: School, url: URL): Promise<SchoolDate> {
	const asked = dayIn(url, 'then');
	if (asked && asked < school.today) return asked;
	const cycle = await currentCycle(database, school.id, school.today);
	return cycle && cycle.startsOn < school.today ? cycle.startsOn : addDays(school.today, -WITHOUT_CYCLE);
}

/** What has changed for students since an earlier day: counts over all, the skills it is about, and the first rows. */
export async function thenPage(database: Database, school: School, students: RosterStudent[], url: URL) {
	const then = await dayAsked(database, school, url);
	const kind = kindIn(url);
	const ids = students.map(({ id }) => id);
	const [domains, skills, now, earlier] = await Promise.all([
		domainList(database, school.id),
		skillList(database, school.id),
		readCells(database, school.id, ids),
		readEarlierCells(database, school, ids, then, MOST_MS)
	]);
	const counts: Record<StandingChange, number> = {
		risen: 0,
		fallen: 0,
		'first seen': 0,
		'no longer seen': 0,
		same: 0
	};
	/** Of those that rose or fell, how many without an answer on the skill itself. */
	let byOthers = 0;
	const used = new Set<number>();
	const worked = students.filter(({ id }) => !earlier.missing.has(id));
	for (const { id } of worked) {
		const [from, to] = [earlier.cells.looksOf(id), now.looksOf(id)];
		for (const skill of skills) {
			const change = standingChange(from(skill.id), to(skill.id));
			counts[change]++;
			if (change === 'same') continue;
			if (KINDS.moved(change) && changeOf(earlier.cells, now, id, skill.id).answers === 0) byOthers++;
			if (KINDS[kind](change)) used.add(skill.id);
		}
	}
	return {
		then,
		kind,
		domains,
		skills: skills
			.filter(({ id }) => used.has(id))
			.map(({ id, domainId, code, shortName, grade, term }) => ({
				id,
				domainId,
				code,
				shortName,
				level: sayLevel({ grade, term })
			})),
		counts,
		byOthers,
		students: students.length,
		missing: earlier.missing.size,
		ids: worked.map(({ id }) => id as number),
		rows: worked.slice(0, FIRST_ROWS).map((student) => thenRow(student, [...used], earlier.cells, now, kind))
	};
}

/** Rows of some students. */
export async function thenRows(database: Database, school: School, students: RosterStudent[], url: URL) {
	const then = await dayAsked(database, school, url);
	const ids = students.map(({ id }) => id);
	const [skills, now, earlier] = await Promise.all([
		skillList(database, school.id),
		readCells(database, school.id, ids),
		readEarlierCells(database, school, ids, then, Infinity)
	]);
	const all = skills.map(({ id }) => id);
	return students.map((student) => thenRow(student, all, earlier.cells, now, kindIn(url)));
}

/** What has changed on a skill, and the answers on it since. */
function changeOf(before: Cells, now: Cells, studentId: VisibleId, skillId: number) {
	const [from, to] = [before.of(studentId, skillId), now.of(studentId, skillId)];
	return {
		skillId,
		change: standingChange(from, to),
		from: ownStanding(from),
		to: ownStanding(to),
		answers: to.answers - from.answers
	};
}

function thenRow(
	{ id, givenName, familyName, tier }: RosterStudent,
	skillIds: number[],
	before: Cells,
	now: Cells,
	kind: Kind
) {
	return {
		id: id as number,
		givenName,
		familyName,
		tier,
		changed: skillIds.map((skillId) => changeOf(before, now, id, skillId)).filter(({ change }) => KINDS[kind](change))
	};
}
