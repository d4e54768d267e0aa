import { addDays, beginningOf } from '../../core/calendar';
import { MOST_PICKED, setTitle } from '../../core/practice';
import { fullName } from '../../core/words';
import type { Database } from '../database';
import { currentGroups } from '../groups';
import { skillList } from '../library';
import { idsIn, numberIn, type Staff } from '../request';
import type { School } from '../school';
import type { Scope } from '../shell';
import { visibleAmong } from '../people';
import { askedSets, setChoices } from './setFilters';
import { lineNotices, type LineNotice } from './store/followOns';
import { findSet, studentsOfSet } from './store/oneSet';
import { practiceSets } from './store/practice';
import { skillsOfSets } from './store/setContent';

/** Days for which a notice stands there. */
const NOTICE_DAYS = 21;

/** Sets that are shown at once. */
const SETS_AT_ONCE = 40;

/** Sets that students of a scope were given, the newest first. */
export async function practicePage(database: Database, staff: Staff, school: School, scope: Scope, url: URL) {
	const part = { from: numberIn(url, 'sets'), most: SETS_AT_ONCE };
	const asked = askedSets(url);
	const now = { day: school.today, minute: school.minute };
	const [notices, { sets, total }, skills, groups] = await Promise.all([
		lineNotices(database, staff, beginningOf(addDays(school.today, -NOTICE_DAYS), school.timeZone)),
		practiceSets(database, scope.roster, { ...part, ...asked, now }),
		skillList(database, school.id),
		currentGroups(database, staff, school.today)
	]);
	const nameOf = new Map(skills.map(({ id, shortName }) => [id, shortName]));
	return {
		...part,
		total,
		asked,
		choices: await setChoices(database, staff, skills),
		sets: sets.map((set) => ({ ...set, title: setTitle(set, (id) => nameOf.get(id)!) })),
		assigned: await justAssigned(database, staff, school, url, (id) => nameOf.get(id)!),
		notices: await noticesOf(database, staff, school, notices, (id) => nameOf.get(id)!),
		groupNames: Object.fromEntries(groups.map((group) => [group.id, group.name]))
	};
}

/** Sets that an address says have just been assigned, whoever is looked at; null for none. */
async function justAssigned(
	database: Database,
	staff: Staff,
	school: School,
	url: URL,
	nameOf: (skillId: number) => string
) {
	const ids = idsIn(url, 'assigned', MOST_PICKED);
	const set = ids.length ? await findSet(database, staff, ids[0]) : null;
	if (!set || set.isWithdrawn) return null;
	const skills = (await skillsOfSets(database, [set.id])).get(set.id)!;
	const given = await studentsOfSet(database, { staff, today: school.today }, set.id);
	return {
		ids,
		title: setTitle({ ...set, skillIds: skills.map(({ skillId }) => skillId) }, nameOf),
		students: given.length
	};
}

/** Students under the line of a person's own sets, by set. */
async function noticesOf(
	database: Database,
	staff: Staff,
	school: School,
	notices: LineNotice[],
	nameOf: (skillId: number) => string
) {
	const students = await visibleAmong(
		database,
		staff,
		notices.map(({ studentId }) => studentId),
		school.today
	);
	const seen = new Map<number, string>(students.map((student) => [student.id, fullName(student)]));
	const shown = notices.filter(({ studentId }) => seen.has(studentId));
	const ids = [...new Set(shown.map(({ setId }) => setId))];
	const skills = await skillsOfSets(database, ids);
	return ids.map((id) => {
		const under = shown.filter(({ setId }) => setId === id);
		return {
			id,
			title: setTitle({ ...under[0], skillIds: skills.get(id)!.map(({ skillId }) => skillId) }, nameOf),
			students: under.map((notice) => ({ ...notice, name: seen.get(notice.studentId)! }))
		};
	});
}
