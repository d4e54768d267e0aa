import { setTitle, type TimedAnswer } from '../../core/practice';
import { addDays, beginningOf, mondayOf, type SchoolDate } from '../../core/calendar';
import { fullName } from '../../core/words';
import { isWithin, meetingDays } from '../../core/timetable';
import { groupHistory, groupPauses } from './store/groupHistory';
import { changeDay } from './groupDates';
import { groupChoices } from './joining';
import { groupWork } from './store/leaving';
import { currentGroups, findGroup } from './store/groups';
import { meetingRecords } from './store/meetings';
import { sessionCounts } from './store/sessionCounts';
import { sessionPlan } from './sessionPlan';
import type { Database } from '../database';
import type { Staff } from '../request';
import { tierPlans, type School } from '../school';
import { notesOn, visibleAmong } from '../people';
import { activeMinutes, practiceSets, practiceTimes } from '../practice';
import { probeSeries } from '../track';
import { openReviews } from '../decide';
import { skillList } from '../library';
import { readStandings } from '../standing';
import { slotList, staffAbsences } from './timetable';

/** Meetings that are shown before and after today, and practice sets. */
const SHOWN = 6;

/** Everything on a group's page, of its students those whom the staff member may see; null for no such group. */
export async function groupPage(database: Database, staff: Staff, school: School, groupId: number) {
	const { today } = school;
	const group = await findGroup(database, staff, groupId, today);
	if (!group) return null;
	const students = await visibleAmong(database, staff, group.studentIds, today);
	const ids = students.map(({ id }) => id);
	const [slots, skills, standings, pauses, history, notes, counts, sets, probes, reviews, work, groups, plans, times] =
		await Promise.all([
			slotList(database, school.id),
			skillList(database, school.id),
			readStandings(database, ids),
			groupPauses(database, [group.id]),
			groupHistory(database, staff, group.id, today),
			notesOn(database, ids),
			sessionCounts(database, ids, school),
			practiceSets(database, { staff, today }, { from: 0, most: SHOWN, groupId: group.id }),
			probeSeries(database, ids, school),
			openReviews(database, ids),
			groupWork(database, group.id, ids),
			currentGroups(database, staff, today),
			tierPlans(database, school.id),
			practiceTimes(database, ids, beginningOf(addDays(mondayOf(today), -7), school.timeZone))
		]);
	const slot = slots.find(({ id }) => id === group.slotId)!;
	const skill = skills.find(({ id }) => id === group.focusSkillId)!;
	const [absences, records] = await Promise.all([
		staffAbsences(database, staff, group.startsOn),
		meetingRecords(database, staff, [group.id], { from: group.startsOn, until: group.endsOn, today })
	]);
	const away = absences.filter(({ staffId }) => staffId === slot.staffId);
	const days = meetingDays(slot, group.startsOn, group.endsOn, school.calendar.off).map((on) => ({
		on,
		isPaused: isWithin(on, pauses),
		isAway: isWithin(on, away),
		record: records.find((one) => one.on === on) ?? null
	}));
	const meetings = meetingsAround(days, today);
	// Names of those who have left, for the history.
	const members = new Set<number>(ids);
	const others = history.flatMap(({ studentIds }) => studentIds).filter((id) => !members.has(id));
	return {
		group,
		slot,
		/** Minutes a week: as the timetable has it, and as the school plans for the tier. */
		minutes: { aWeek: slot.days.length * slot.minutes, planned: plans[group.tier].minutesAWeek },
		skill,
		skills: skills.map(({ id, code, shortName }) => ({ id, code, shortName })),
		students: students.map((student) => {
			const now = standings.get(student.id)!.get(skill.id);
			return {
				...student,
				name: fullName(student),
				helps: group.helperIds.includes(student.id),
				now: now ?? null,
				/** What leaving ends. */
				work: work.get(student.id)!,
				sessions: counts.get(`${student.id} ${group.id}`) ?? null,
				/** Minutes of practice in the week before and in this one: dosage beside the sessions. */
				practiced: practicedWeeks(times.get(student.id)!, beginningOf(mondayOf(today), school.timeZone)),
				probes: probes.find(({ studentId, skillId }) => studentId === student.id && skillId === skill.id) ?? null,
				reviewOn:
					reviews.find(({ studentId, groupId }) => studentId === student.id && groupId === group.id)?.dueOn ?? null,
				notes: notes.filter(({ studentId }) => studentId === student.id).slice(0, 3)
			};
		}),
		...meetings,
		meetings: { ...meetings.meetings, held: records.filter(({ held }) => held).length },
		plan:
			meetings.session || meetings.meetings.all
				? sessionPlan(skill, group.id, meetings.session?.on ?? today)
				: { samples: [], ticket: [] },
		sets: sets.sets.map((set) => ({
			...set,
			title: setTitle(set, (id) => skills.find((one) => one.id === id)!.shortName)
		})),
		history,
		formerMembers: (await visibleAmong(database, staff, [...new Set(others)], today)).map((one) => ({
			id: one.id,
			name: fullName(one)
		})),
		/** Groups that a member could move to. */
		others: groupChoices({ groups, slots }, skills, group.id, today),
		changesOn: changeDay(group.endsOn, school)
	};
}

interface Meeting {
	on: SchoolDate;
	isPaused: boolean;
	isAway: boolean;
	record: Awaited<ReturnType<typeof meetingRecords>>[number] | null;
}

/** A group's meetings before and after today, and the one that attendance is taken for: today's, else the last one. */
function meetingsAround(days: Meeting[], today: SchoolDate) {
	const past = days.filter(({ on }) => on <= today);
	const meets = days.filter(({ isPaused }) => !isPaused);
	return {
		session: past.findLast(({ isPaused, record }) => !isPaused || record) ?? null,
		past: past.slice(-SHOWN - 1),
		coming: meets.filter(({ on }) => on > today).slice(0, SHOWN),
		meetings: { planned: past.filter(({ isPaused }) => !isPaused).length, all: meets.length }
	};
}

/** Minutes of practice before a week began and in it; 0 for none. */
function practicedWeeks(answers: TimedAnswer[], began: Date): { before: number; now: number } {
	return {
		before: activeMinutes(answers.filter(({ at }) => at < began.getTime())),
		now: activeMinutes(answers.filter(({ at }) => at >= began.getTime()))
	};
}
