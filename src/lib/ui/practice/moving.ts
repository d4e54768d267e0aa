import { addDays, type SchoolDate } from '$lib/core/calendar';

/** The days of a set that is being moved. */
export interface MovedDays {
	opensOn: SchoolDate;
	dueOn: SchoolDate | null;
}

/** So many days on (or back) with both ends, or with its due date only, which never comes before it opens. */
export function moved({ opensOn, dueOn }: MovedDays, days: number, isDueOnly: boolean): MovedDays {
	if (!isDueOnly) return { opensOn: addDays(opensOn, days), dueOn: dueOn && addDays(dueOn, days) };
	if (dueOn === null) return { opensOn, dueOn };
	const due = addDays(dueOn, days);
	return { opensOn, dueOn: due < opensOn ? opensOn : due };
}
