import Type, { type Static } from 'typebox';
import { addDays, sayDate, sayDayAt, sayMinute, type SchoolDate } from '../../core/calendar';
import type { SetDates } from '../../core/practice';
import { oneOf, schoolDate } from '../request';

/** A due date lies so many days ahead at most. */
const FURTHEST = 120;

const clock = Type.Union([Type.Literal(''), Type.String({ pattern: '^([01][0-9]|2[0-3]):[0-5][0-9]$' })]);
/** The fields of a form that says when students see a set, and when it is due; an empty day of the latter is never. */
export const DATE_FIELDS = {
	opensOn: schoolDate,
	opensAt: Type.Optional(clock),
	dueOn: Type.Union([Type.Literal(''), schoolDate]),
	dueAt: Type.Optional(clock),
	closes: Type.Optional(oneOf(['yes']))
};
type DateFields = { [Name in keyof typeof DATE_FIELDS]: Static<(typeof DATE_FIELDS)[Name]> };

const minuteOf = (text = ''): number | null => (text ? 60 * Number(text.slice(0, 2)) + Number(text.slice(3)) : null);

/** What the fields say, or what is wrong with it. */
export function datesFrom(
	form: Partial<DateFields> & Pick<DateFields, 'opensOn' | 'dueOn'>,
	today: SchoolDate
): SetDates | { problem: string } {
	const { opensOn, dueOn } = form;
	const dates = {
		opensOn,
		opensMinute: minuteOf(form.opensAt),
		dueOn: dueOn || null,
		dueMinute: dueOn ? minuteOf(form.dueAt) : null,
		closes: Boolean(dueOn) && form.closes === 'yes'
	};
	const problem = datesProblem(dates, today);
	return problem ? { problem } : dates;
}

/** What is wrong with when a set opens and is due; null for nothing. */
export function datesProblem({ opensOn, opensMinute, dueOn, dueMinute }: SetDates, today: SchoolDate): string | null {
	if (opensOn > addDays(today, FURTHEST)) return 'It opens more than four months ahead';
	if (dueOn === null) return null;
	const isReversed = dueOn === opensOn && dueMinute !== null && dueMinute <= (opensMinute ?? 0);
	if (dueOn < opensOn || isReversed) return 'The set is due before it opens';
	return dueOn > addDays(today, FURTHEST) ? 'The due date lies more than four months ahead' : null;
}

/** The fields that say the same again. */
export const fieldsOf = ({ opensOn, opensMinute, dueOn, dueMinute, closes }: SetDates): Record<string, string> => ({
	opensOn,
	opensAt: opensMinute === null ? '' : sayMinute(opensMinute),
	dueOn: dueOn ?? '',
	dueAt: dueMinute === null ? '' : sayMinute(dueMinute),
	...(closes && { closes: 'yes' })
});

/** `Opens Mon, Nov 23, 08:00, due Fri, Nov 27.` */
export const sayDates = ({ opensOn, opensMinute, dueOn, dueMinute }: SetDates): string =>
	`Opens ${sayDayAt(opensOn, opensMinute)}, ${dueOn === null ? 'no due date' : `due ${sayDayAt(dueOn, dueMinute)}`}.`;

/** What is wrong with a due date of a student's own; null for nothing. */
export function ownDueProblem(
	dueOn: SchoolDate,
	{ opensOn }: Pick<SetDates, 'opensOn'>,
	today: SchoolDate
): string | null {
	if (dueOn < opensOn) return `The set opens ${sayDate(opensOn)}, after that day`;
	return dueOn > addDays(today, FURTHEST) ? 'The due date lies more than four months ahead' : null;
}
