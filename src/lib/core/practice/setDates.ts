import type { SchoolDate, SchoolMoment } from '../calendar';

/** When students see a set, and when it is due. Minutes are those of the school's day. */
export interface SetDates {
	opensOn: SchoolDate;
	/** Null: from the beginning of the day. */
	opensMinute: number | null;
	/** Null: it is never due. */
	dueOn: SchoolDate | null;
	/** Null: at the end of the day. */
	dueMinute: number | null;
	/** Whether it takes no answers once it is due; else what comes later is marked late. */
	closes: boolean;
}

const isFrom = (now: SchoolMoment, day: SchoolDate, minute: number) =>
	now.day > day || (now.day === day && now.minute >= minute);

/** Whether students see it. */
export const hasOpened = ({ opensOn, opensMinute }: Pick<SetDates, 'opensOn' | 'opensMinute'>, now: SchoolMoment) =>
	isFrom(now, opensOn, opensMinute ?? 0);

/** Whether its due date is over. */
export const isPastDue = ({ dueOn, dueMinute }: Pick<SetDates, 'dueOn' | 'dueMinute'>, now: SchoolMoment): boolean =>
	dueOn !== null && (dueMinute === null ? now.day > dueOn : isFrom(now, dueOn, dueMinute));

/** Where a set is by its dates alone. */
export const SET_STAGES = ['not open yet', 'open', 'past due'] as const;
export type SetStage = (typeof SET_STAGES)[number];

/** Where a set is by its dates. */
export function stageOf(dates: SetDates, now: SchoolMoment): SetStage {
	if (!hasOpened(dates, now)) return 'not open yet';
	return isPastDue(dates, now) ? 'past due' : 'open';
}
