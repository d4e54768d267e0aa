import { addDays, weekdayBy } from '../../core/calendar';

/** When members of a group are first looked at: on a weekday three days or so before it ends, once they have joined. */
export function firstReview(endsOn: string, joinsOn: string): string {
	return [weekdayBy(addDays(endsOn, -3)), weekdayBy(endsOn)].find((day) => day >= joinsOn) ?? endsOn;
}

/** The day a cycle's groups should end, and their first review. */
export function cycleDates(cycle: { endsOn: string } | null, today: string) {
	const endsOn = cycle && cycle.endsOn > today ? cycle.endsOn : addDays(today, 55);
	return { endsOn, reviewOn: firstReview(endsOn, today) };
}
