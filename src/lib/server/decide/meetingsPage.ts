import { addDays, schoolDayFrom } from '../../core/calendar';
import type { Stake } from '../../core/growth';
import type { Database } from '../database';
import { staffList, visibleAmong } from '../people';
import { dayIn, may, numberIn, oneIn, type Staff } from '../request';
import type { School } from '../school';
import type { Scope } from '../shell';
import { caseload } from '../track';
import { type AgendaStep, agendaOf } from './store/agendas';
import { findReviewMeeting, invitedTo, reviewMeetings } from './store/reviewMeetings';
import { findReview, openReviews } from './store/reviews';
import { reviewStep } from './reviewStep';

/** Meetings that are shown at once, of those to come and those that were. */
const AT_ONCE = 20;
/** Students that are proposed for a meeting at first, besides those whose review is due. */
const PROPOSED_AT_FIRST = 40;
/** Who can be invited to a meeting. */
export const INVITED: Staff['role'][] = ['coordinator', 'specialist', 'interventionist', 'teacher'];

/** Who could be talked about at a meeting of a day, and why. */
export interface Proposed {
	/** Null for somebody without an open review. */
	reviewId: number | null;
	studentId: number;
	givenName: string;
	familyName: string;
	className: string;
	tier: 1 | 2 | 3;
	group: { id: number; name: string } | null;
	/** The day of the review; null without one. */
	dueOn: string | null;
	/** What is most at stake; null for nothing. */
	stake: Stake | null;
	/** The meeting that has it on its agenda already. */
	meetingId: number | null;
}

/**
 * Reviews of a scope that are due by a day, the earliest first, then everybody else for whom something is at stake, most first;
 * with `all`, also those for whom nothing is.
 */
export async function proposedFor(
	database: Database,
	staff: Staff,
	school: School,
	scope: Scope,
	on: string,
	all = false
): Promise<Proposed[]> {
	const students = await caseload(database, staff, school, scope);
	const reviews = await openReviews(
		database,
		students.map(({ id }) => id)
	);
	const due = reviews.filter(({ dueOn }) => dueOn <= on);
	const byId = new Map(students.map((student) => [student.id as number, student]));
	const hasDue = new Set(due.map(({ studentId }) => studentId as number));
	const nameOf = ({ id, givenName, familyName, className, tier }: (typeof students)[number]) => ({
		studentId: id as number,
		...{ givenName, familyName, className, tier }
	});
	return [
		...due.map(({ id, studentId, groupId, groupName, dueOn, meetingId }) => {
			const student = byId.get(studentId)!;
			const group = groupId === null ? null : { id: groupId, name: groupName! };
			return { ...nameOf(student), reviewId: id, group, dueOn, stake: student.stakes[0] ?? null, meetingId };
		}),
		...students
			.filter(({ id, stakes }) => (all || stakes.length > 0) && !hasDue.has(id))
			.map((student) => {
				const open = reviews.find(({ studentId }) => studentId === student.id);
				const first = student.groups[0];
				return {
					...nameOf(student),
					reviewId: open?.id ?? null,
					group: first ? { id: first.id, name: first.name } : null,
					dueOn: open?.dueOn ?? null,
					stake: student.stakes[0] ?? null,
					meetingId: open?.meetingId ?? null
				};
			})
	];
}

/** Review meetings to come and past, and for who may plan one, who could be talked about on the day that the address names. */
export async function meetingsPage(database: Database, staff: Staff, school: School, scope: Scope, url: URL) {
	const part = (name: string) => ({ from: numberIn(url, name), most: AT_ONCE });
	const [coming, past] = await Promise.all([
		reviewMeetings(database, staff, 'from', school.today, part('coming')),
		reviewMeetings(database, staff, 'before', school.today, part('past'))
	]);
	const invited = await invitedTo(
		database,
		staff,
		[...coming.meetings, ...past.meetings].map(({ id }) => id)
	);
	const areChosen = oneIn(url, 'chosen', ['all']) === 'all';
	const on = dayIn(url, 'on') ?? schoolDayFrom(addDays(school.today, 1), school.calendar);
	const withWho = ({ meetings, total }: typeof coming, name: string) => ({
		...part(name),
		total,
		meetings: meetings.map((meeting) => ({ ...meeting, invited: invited.get(meeting.id) ?? [] }))
	});
	return {
		coming: withWho(coming, 'coming'),
		past: withWho(past, 'past'),
		planning: may(staff.role, 'decide')
			? {
					on,
					/** Whether all of the scope are on the agenda at first, due or not. */
					areChosen,
					adults: await staffList(database, school.id, INVITED),
					...proposedAtFirst(
						await proposedFor(database, staff, school, scope, on, areChosen),
						on,
						areChosen || oneIn(url, 'proposed', ['all']) === 'all'
					)
				}
			: null
	};
}

/** Whoever is due by a day and who comes next, or all; with how many there are. */
export function proposedAtFirst(all: Proposed[], on: string, areAll: boolean): { proposed: Proposed[]; total: number } {
	const due = all.filter(({ dueOn }) => dueOn !== null && dueOn <= on).length;
	return { proposed: areAll ? all : all.slice(0, due + PROPOSED_AT_FIRST), total: all.length };
}

/** A step of an agenda with its student. */
async function withStudents(database: Database, staff: Staff, school: School, steps: AgendaStep[]) {
	const students = await visibleAmong(
		database,
		staff,
		[...new Set(steps.map(({ studentId }) => studentId))],
		school.today
	);
	const byId = new Map<number, (typeof students)[number]>(students.map((student) => [student.id, student]));
	return steps.flatMap((step) => {
		const student = byId.get(step.studentId);
		return student ? [{ ...step, student }] : [];
	});
}

/** A review meeting with its agenda, and the step that the address names, from 1; null where there is no such meeting for them. */
export async function meetingPage(database: Database, staff: Staff, school: School, meetingId: number, url: URL) {
	const meeting = await findReviewMeeting(database, staff, meetingId);
	if (!meeting) return null;
	const [steps, invited, adults] = await Promise.all([
		agendaOf(database, staff, meetingId, school.today).then((all) => withStudents(database, staff, school, all)),
		invitedTo(database, staff, [meetingId]),
		staffList(database, school.id, INVITED)
	]);
	const place = numberIn(url, 'step');
	const chosen = place > 0 ? steps[Math.min(place, steps.length) - 1] : undefined;
	const review = chosen && (await findReview(database, staff, chosen.reviewId, school.today));
	return {
		meeting,
		invited: invited.get(meetingId) ?? [],
		adults,
		steps: steps.map(({ reviewId, student, groupId, raisedBy, isDecided }) => ({
			...{ reviewId, groupId, raisedBy, isDecided },
			student: {
				id: student.id as number,
				givenName: student.givenName,
				familyName: student.familyName,
				className: student.className,
				tier: student.tier
			}
		})),
		/** Of students whom this person does not see. */
		hidden: meeting.reviews - steps.length,
		place: chosen ? steps.indexOf(chosen) + 1 : 0,
		step: chosen && review ? await reviewStep(database, staff, school, review, chosen.student) : null
	};
}

/** One review by itself, as a meeting shows it; null where there is no such review for them. */
export async function reviewPage(database: Database, staff: Staff, school: School, reviewId: number) {
	const review = await findReview(database, staff, reviewId, school.today);
	if (!review) return null;
	const [student] = await visibleAmong(database, staff, [review.studentId], school.today);
	return student ? reviewStep(database, staff, school, review, student) : null;
}
