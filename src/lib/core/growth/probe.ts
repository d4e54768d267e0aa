import { daysBetween, type SchoolDate } from '../calendar';
import { type ItemParameters, itemInformation } from '../measurement';

/** Questions of a focus probe, and how many of them are on the focus; the others are on its prerequisites. */
export interface ProbeForm {
	questions: number;
	ofFocus: number;
	/** Probes a week; a half is one every second week. */
	aWeek: number;
}

/** Questions that goals are asked out of, whatever a probe's own number. */
export const GOAL_OF = 16;

/** The form for a grade: 16 questions a week; for the youngest, two probes of 8. */
export const probeForm = (grade: number): ProbeForm =>
	grade <= 2 ? { questions: 8, ofFocus: 5, aWeek: 2 } : { questions: 16, ofFocus: 10, aWeek: 1 };

/** A student's form with a goal of so many of sixteen questions, in their own number: the nearest that asks no less. */
export function goalInForm(id: number, grade: number, ofSixteen: number) {
	const form = probeForm(grade);
	return { id, ...form, goalCorrect: Math.ceil((ofSixteen * form.questions) / GOAL_OF) };
}

/** Which probe of a plan belongs to a day, from 1; 0 before its first day. */
export const probeNumber = ({ startsOn, aWeek }: { startsOn: SchoolDate; aWeek: number }, day: SchoolDate): number =>
	day < startsOn ? 0 : Math.floor((daysBetween(startsOn, day) * aWeek) / 7) + 1;

/** The week of a plan that a probe belongs to, from 0. */
export const weekOfProbe = ({ aWeek }: { aWeek: number }, number: number): number => Math.floor((number - 1) / aWeek);

/** The week of a plan in which its goal is, from 0. */
export const goalWeek = ({ startsOn, goalOn }: { startsOn: SchoolDate; goalOn: SchoolDate }): number =>
	Math.floor(daysBetween(startsOn, goalOn) / 7);

/** How far students of one small group are apart (standard deviation, logits), and one day's form: made up. */
const SPREAD = { students: 0.64, form: 0.25 };

/**
 * The reliability of one probe among the students of a small group: the part of the spread of their results that is between
 * students (1 less error variance over the whole, by the questions' information at a level, and a day's form).
 *
 * @param level of the students, in logits
 * @returns 0…1, and the standard error of one probe in logits
 */
export function probeReliability(
	items: ItemParameters[],
	level: number
): { reliability: number; standardError: number } {
	const information = items.reduce((sum, item) => sum + itemInformation(level, item), 0);
	const error = 1 / information + SPREAD.form ** 2;
	return { reliability: SPREAD.students ** 2 / (SPREAD.students ** 2 + error), standardError: Math.sqrt(error) };
}
