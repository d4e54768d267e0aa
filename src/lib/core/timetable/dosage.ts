import { mondayOf, type SchoolDate } from '../calendar';
import { partedBy } from '../collect';
import type { SessionDay } from './sessions';

/** Why a session was not held, and why a student was not there. */
export const NOT_HELD = ['adult away', 'event', 'no room', 'testing', 'other'] as const;
export type NotHeld = (typeof NOT_HELD)[number];
export const AWAY = ['not at school', 'kept by the class', 'did not want to', 'other'] as const;
export type Away = (typeof AWAY)[number];

/** One student's session in a group. */
export interface StudentSession extends SessionDay {
	groupId: number;
	studentId: number;
	/** That a session of the group lasts. */
	minutes: number;
}

/** What was planned, what took place, and what reached students. */
export interface Dosage {
	/** Sessions of groups, each counted once however many students it had. */
	planned: number;
	held: number;
	minutesPlanned: number;
	minutesHeld: number;
	/** Places of students in planned sessions, and those that were taken. */
	places: number;
	attended: number;
}

/** Counts sessions of any groups and students together. Places are sessions times students. */
export function dosageOf(sessions: StudentSession[]): Dosage {
	const meetings = new Map<string, { isHeld: boolean; minutes: number }>();
	for (const { groupId, on, is, minutes } of sessions) {
		const key = `${groupId} ${on}`;
		meetings.set(key, { isHeld: meetings.get(key)?.isHeld || is !== 'not held', minutes });
	}
	const all = [...meetings.values()];
	const held = all.filter(({ isHeld }) => isHeld);
	const sum = (some: typeof all) => some.reduce((total, { minutes }) => total + minutes, 0);
	return {
		planned: all.length,
		held: held.length,
		minutesPlanned: sum(all),
		minutesHeld: sum(held),
		places: sessions.length,
		attended: sessions.filter(({ is }) => is === 'attended').length
	};
}

/** The same week by week, for the Mondays given; a week without a session has nothing planned. */
export function dosageByWeek(sessions: StudentSession[], mondays: SchoolDate[]): Dosage[] {
	const inWeek = partedBy(sessions, ({ on }) => mondayOf(on));
	return mondays.map((monday) => dosageOf(inWeek(monday)));
}

/** Minutes of sessions that students were there for, on average over those who have any planned. */
export function minutesAWeek(sessions: StudentSession[], weeks: number): { planned: number; attended: number } {
	const students = new Set(sessions.map(({ studentId }) => studentId)).size;
	const sum = (some: StudentSession[]) => some.reduce((total, { minutes }) => total + minutes, 0);
	if (students === 0 || weeks === 0) return { planned: 0, attended: 0 };
	return {
		planned: sum(sessions) / students / weeks,
		attended: sum(sessions.filter(({ is }) => is === 'attended')) / students / weeks
	};
}

/** What a colleague looks for while watching a session: five points that any lesson in a small group has. */
export const WATCH_POINTS = [
	'It began on time, with everybody’s work at hand.',
	'The focus was shown step by step before students tried it.',
	'Every student answered at least five times.',
	'A wrong answer was put right at once and tried again.',
	'It ended with a check that each student did alone.'
] as const;
