import { addDays, weekdayBy, weekdayFrom } from '../../core/calendar';

/** When members of a group are first looked at: on a weekday three days or so before it ends, once they have joined. */
export function firstReview(endsOn: string, joinsOn: string): string {
	return [weekdayBy(addDays(endsOn, -3)), weekdayBy(endsOn)].find((day) => day >= joinsOn) ?? endsOn;
}

/** The day a cycle's groups should end, and their first review. */
export function cycleDates(cycle: { endsOn: string } | null, today: string) {
	const last = cycle && weekdayBy(cycle.endsOn);
	const endsOn = last && last > today ? last : weekdayBy(addDays(today, 55));
	return { endsOn, reviewOn: firstReview(endsOn, today) };
}

/** From when a change of a group holds unless another day is chosen: the next weekday, or its last day if that is sooner. */
export function changeDay(endsOn: string, today: string): string {
	const next = weekdayFrom(addDays(today, 1));
	return next <= endsOn ? next : endsOn;
}

/** When to look again at somebody in a group unless another day is chosen: in four weeks, and before the group ends. */
export function nextReview(endsOn: string | null, today: string): string {
	const inFourWeeks = weekdayBy(addDays(today, 28));
	const soonest = weekdayFrom(addDays(today, 1));
	if (!endsOn || endsOn < soonest) return inFourWeeks;
	const last = firstReview(endsOn, soonest);
	return last < inFourWeeks ? last : inFourWeeks;
}
