import {
	addDays,
	beginningOf,
	mondayOf,
	momentOf,
	sayBy,
	sayDate,
	sayWeekday,
	schoolDateOf
} from '../../core/calendar';
import { CHECK_ITEMS } from '../../core/items';
import { LEVEL_CHECK_ITEMS } from '../../core/screening';
import { isPastDue, setTitle } from '../../core/practice';
import { plural } from '../../core/words';
import type { SittingKind } from '../../core/measurement';
import { meetingDays } from '../../core/timetable';
import { skillList } from '../library';
import { findSchool } from '../school';
import { slotList } from '../groups/timetable';
import { commendationsOf } from '../commendations';
import { currentGroupsOf } from '../groups';
import { givenToStudent } from '../materials';
import { activeMinutes, finishedSince, openTasks, practiceTimes } from '../practice';
import type { SignedInStudent } from '../request';
import { readStandings } from '../standing';
import { beginChosen, ownChoice, type OwnChoice, reviewOf } from './ownChoice';
import { workFor } from './studentWork';

/** Days for which what they have looked at stays on their page. */
const KEPT_DAYS = 14;
/** Skills that are told of as secure, those shown last first. */
const TOLD_SECURE = 8;

/** One thing that waits for a student. */
interface ToDo {
	kind: 'diagnostic' | 'probe' | 'level' | 'check' | 'practice' | 'review' | 'free';
	/** What it is begun by; of a review its number on its day. */
	id: number;
	title: string;
	/** What it is, or how far it is. */
	note: string;
	/** Why it is there, or until when, in words; empty for neither. */
	why: string;
	isBegun: boolean;
	/** It goes on tomorrow: enough for today. */
	isForTomorrow: boolean;
	/** It was left though it is done in one go: it goes on once an adult says so. */
	isLeft?: boolean;
	isInOneGo?: boolean;
}

/**
 * A student's own page: what to do and why, what is begun first, then what is due soonest; what they did this week; and
 * what they have made secure. Of nobody else, and no group's name.
 *
 * @param askedSet the set whose link led here
 */
export async function ownPage(locals: App.Locals, student: SignedInStudent, askedSet: number | null = null) {
	const { database, at } = locals;
	const work = await workFor(locals, student);
	const { school, skills } = work;
	const { today, timeZone } = school;
	const weekBegan = beginningOf(mondayOf(today), timeZone);
	const [finished, times, standings, days, given, tasks, commended] = await Promise.all([
		finishedSince(database, student.id, weekBegan),
		practiceTimes(database, [student.id], weekBegan),
		readStandings(database, [student.id]),
		groupDays(locals, student, today, school.calendar.off),
		givenToStudent(database, student.id, beginningOf(addDays(today, -KEPT_DAYS), timeZone)),
		openTasks(database, student.id, { day: today, minute: school.minute }),
		commendationsOf(database, [student.id], beginningOf(addDays(today, -KEPT_DAYS), timeZone))
	]);
	const nameOf = new Map(skills.map(({ id, shortName }) => [id, shortName]));
	const own = standings.get(student.id)!;
	const choice = await choiceOf(locals, student, work, own);
	const done = (answered: number, of: number | null) => `${answered}${of === null ? '' : ` of ${of}`} done`;
	const dueWords = (dueOn: string | null, isLate: boolean) =>
		dueOn === null ? '' : isLate ? `was due ${sayDate(dueOn)}; still open, counts as late` : sayBy(dueOn, today);
	const todo: ToDo[] = [
		...work.diagnostics.map(({ window, name, answered, enough, lastDay, resit }) => ({
			kind: 'diagnostic' as const,
			id: window.id,
			title: name,
			note: answered
				? // Of a diagnostic nobody can say how many are left.
					done(answered, null)
				: resit
					? 'A few questions again'
					: 'Show what you know: about 35 minutes, on one day or several',
			why: sayBy(lastDay, today),
			isBegun: answered > 0,
			isForTomorrow: enough
		})),
		...work.probes.map((plan) => ({
			kind: 'probe' as const,
			id: plan.id,
			title: `Check: ${plan.skill}`,
			note: `${plan.questions} short questions`,
			why: plan.makeUp ? 'missed before' : 'this week',
			isBegun: false,
			isForTomorrow: false
		})),
		...work.levels.map(({ planId, domainId, answered, closesOn }) => ({
			kind: 'level' as const,
			id: planId,
			title: `Show what you know: ${work.domainNames.get(domainId)}`,
			note: answered ? done(answered, LEVEL_CHECK_ITEMS) : `${LEVEL_CHECK_ITEMS} questions, on one day or two`,
			why: closesOn < today ? '' : sayBy(closesOn, today),
			isBegun: answered > 0,
			isForTomorrow: false
		})),
		...work.checks.map(({ id, skillIds, answered, dueOn, late }) => ({
			kind: 'check' as const,
			id,
			title: 'Show what you know',
			note: answered ? done(answered, skillIds.length * CHECK_ITEMS) : `${skillIds.length * CHECK_ITEMS} questions`,
			why: dueWords(dueOn, late),
			isBegun: answered > 0,
			isForTomorrow: false
		})),
		...work.sets.map((set) => ({
			kind: 'practice' as const,
			id: set.id,
			title: set.title,
			note: set.answered
				? done(set.answered, set.untilRight === null ? set.itemCount : null)
				: set.untilRight === null
					? `${set.itemCount} questions`
					: `until ${set.untilRight} are right, ${set.itemCount} questions at most`,
			why: [!set.pausing && !set.answered && 'in one go', days.get(set.groupId ?? 0), dueWords(set.dueOn, set.late)]
				.filter(Boolean)
				.join(', '),
			isBegun: (set.answered ?? 0) > 0,
			isForTomorrow: false,
			isLeft: set.isLeft,
			isInOneGo: !set.pausing
		})),
		...chosen(choice, nameOf)
	];
	const isAsked = ({ kind, id }: ToDo) => kind === 'practice' && id === askedSet;
	const rest = todo.filter((one) => !isAsked(one));
	return {
		// What a link led to comes first, then what is begun; all else is in order already: what is due soonest. Last, what waits for an adult.
		todo: [
			...todo.filter(isAsked),
			...rest.filter(({ isBegun, isLeft }) => isBegun && !isLeft),
			...rest.filter(({ isBegun }) => !isBegun),
			...rest.filter(({ isLeft }) => isLeft)
		],
		/** What came of the link that led here; null without one. */
		link: askedSet === null ? null : todo.some(isAsked) ? ('found' as const) : ('not here' as const),
		done: finished.map(({ sittingId, kind, set, skillId, right, answered, finishedAt }) => ({
			sitting: sittingId,
			title: set ? setTitle(set, (id) => nameOf.get(id)!) : ownTitle(kind, nameOf.get(skillId)!),
			day: sayWeekday(schoolDateOf(finishedAt, timeZone)),
			/** Only where the student was told, and where it is what counts. */
			right:
				set?.doneOnly ||
				set?.feedback === 'none' ||
				(set?.feedback === 'after the due date' && !isPastDue(set, momentOf(at, timeZone)))
					? null
					: { right, of: answered }
		})),
		/** Runs of facts, and how often each was done today. */
		facts: choice.facts,
		/** Practice of their own choice; null where the class has none. */
		free: choice.free && {
			isAfterGiven: choice.free.isAfterGiven,
			proposals: choice.free.proposals.map(({ id, shortName }) => ({ id, name: shortName })),
			secure: choice.free.secure.map(({ id, shortName }) => ({ id, name: shortName }))
		},
		/** What an adult gave them beside questions: what they have not looked at first. */
		given: [...given.filter(({ seenAt }) => !seenAt), ...given.filter(({ seenAt }) => seenAt)].map(
			({ seenAt, ...material }) => ({ ...material, isSeen: seenAt !== null })
		),
		/** What an adult leads beside a set. */
		tasks,
		/** What they were commended for lately, and by whom. */
		commended: commended.map(({ id, said, sentence, givenBy }) => ({ id, said, sentence, givenBy })),
		minutes: activeMinutes(times.get(student.id)!),
		secure: [...own]
			.filter(([, now]) => now.standing === 'secure')
			.sort(([, one], [, other]) => (other.lastOn ?? '').localeCompare(one.lastOn ?? ''))
			.map(([id]) => nameOf.get(id)!)
			.slice(0, TOLD_SECURE),
		secureInAll: [...own.values()].filter(({ standing }) => standing === 'secure').length
	};
}

type Work = Awaited<ReturnType<typeof workFor>>;

function choiceOf(
	{ database }: App.Locals,
	student: SignedInStudent,
	work: Work,
	standings: Parameters<typeof ownChoice>[1]
): Promise<OwnChoice> {
	const { school, skills, probes, levels, checks, sets } = work;
	return ownChoice({ database, student, school, skills }, standings, {
		waiting: new Set(sets.flatMap(({ skillIds }) => skillIds)),
		// A diagnostic has hours of its own, and stays open for weeks.
		isGiven: probes.length + levels.length + checks.length + sets.length > 0
	});
}

/**
 * Begins, or goes on with, what a student chose on their page.
 *
 * @param id of the skill, for practice of their own choice
 * @returns the sitting; null where it is not on their page any more
 */
export async function beginOwnWork(
	locals: App.Locals,
	student: SignedInStudent,
	kind: 'review' | 'free',
	id: number
): Promise<number | null> {
	const work = await workFor(locals, student);
	const standings = (await readStandings(locals.database, [student.id])).get(student.id)!;
	const choice = await choiceOf(locals, student, work, standings);
	const chosen = kind === 'review' ? { kind } : { kind, skillId: id };
	return beginChosen(locals.database, student, choice, chosen, { day: work.school.today, at: locals.at });
}

/** What is asked from before once a set is done, in words; null for nothing. */
export async function reviewAfter({ database, at }: App.Locals, student: SignedInStudent): Promise<string | null> {
	const school = await findSchool(database, student.schoolId, at);
	const review = await reviewOf({ database, student, school, skills: await skillList(database, school.id) });
	return review && !review.begun ? sayReview(review) : null;
}

const ownTitle = (kind: SittingKind, skill: string) =>
	kind === 'review' ? 'A few from before' : `My choice: ${skill}`;

/** What a student began of themselves, or is asked from before. */
function chosen({ review, free }: OwnChoice, nameOf: Map<number, string>): ToDo[] {
	const begun = (free?.begun ?? []).map(({ skillId, answered, itemCount }) => ({
		kind: 'free' as const,
		id: skillId,
		title: ownTitle('free', nameOf.get(skillId) ?? ''),
		note: `${answered} of ${itemCount} done`,
		why: '',
		isBegun: true,
		isForTomorrow: false
	}));
	if (!review) return begun;
	const { questions, minutes } = review;
	return [
		...begun,
		{
			kind: 'review',
			id: 1,
			title: ownTitle('review', ''),
			note: review.begun ? `${plural(questions, 'question')} left` : sayReview({ questions, minutes }),
			why: 'so that you keep what you can do',
			isBegun: (review.begun?.answered ?? 0) > 0,
			isForTomorrow: false
		}
	];
}

/** `4 questions, about 3 minutes` */
export const sayReview = ({ questions, minutes }: { questions: number; minutes: number }): string =>
	`${plural(questions, 'question')}, about ${plural(minutes, 'minute')}`;

/** Of groups that a student is in, when they meet next: `for your Tuesday group`. */
async function groupDays(
	{ database }: App.Locals,
	student: SignedInStudent,
	today: string,
	off: Parameters<typeof meetingDays>[3]
): Promise<Map<number, string>> {
	const groups = await currentGroupsOf(database, { schoolId: student.schoolId }, student.id, today);
	if (groups.length === 0) return new Map();
	const slots = new Map((await slotList(database, student.schoolId, today)).map((slot) => [slot.id, slot]));
	return new Map(
		groups.flatMap((group) => {
			const slot = slots.get(group.slotId);
			const next = slot && meetingDays(slot, group.startsOn, group.endsOn, off).find((day) => day >= today);
			if (!next || next > addDays(today, 6)) return [];
			return [[group.id, `for your ${sayWeekday(next)} group`] as const];
		})
	);
}
