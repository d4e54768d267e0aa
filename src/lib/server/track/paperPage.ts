import { addDays, type SchoolDate } from '../../core/calendar';
import { probeNumber } from '../../core/growth';
import { itemFrom } from '../../core/items/bank';
import { FORM_LETTERS, paperForm, type ProbePlace, sameWords } from '../../core/items/probeQuestions';
import type { Database } from '../database';
import { currentGroups } from '../groups';
import { skillList, staffItem } from '../library';
import { type RosterStudent, visibleAmong } from '../people';
import { dayIn, idIn, oneIn, type Staff } from '../request';
import type { School } from '../school';
import { paperFormsOf, placesOf, wordsMet } from '../sitting';
import { probeSeries, type ProbeSeries } from './store/probes';

/** So many days back a probe on paper can have been given. */
export const LATEST_DAYS = 21;

/** Whose probes a page of paper is about: a group's, or one student's. */
export interface PaperAsked {
	groupId: number | null;
	studentId: number | null;
	on: SchoolDate;
	letter: string | null;
}

/** One student of a page of paper. */
interface PaperLine {
	planId: number;
	student: Pick<RosterStudent, 'id' | 'givenName' | 'familyName' | 'className'>;
	/** Of the probe that belongs to the day. */
	number: number;
	/** Right of the probe of that day, where it was taken; else null. */
	right: number | null;
	/** Letters of the forms that they had on paper. */
	had: string[];
}

/** What the address asks of probes on paper. */
export function paperAsked(url: URL, today: SchoolDate): PaperAsked {
	const on = dayIn(url, 'on');
	return {
		groupId: idIn(url, 'group'),
		studentId: idIn(url, 'of'),
		on: on && on <= today && on >= addDays(today, -LATEST_DAYS) ? on : today,
		letter: oneIn(url, 'form', FORM_LETTERS)
	};
}

/** Running plans that are given one form: of the most frequent kind among them, with how many are of another. */
function ofOneKind(plans: ProbeSeries[]): { plans: ProbeSeries[]; others: number } {
	const kindOf = ({ skillId, questions, ofFocus }: ProbeSeries) => `${skillId} ${questions} ${ofFocus}`;
	const kinds = [...new Set(plans.map(kindOf))];
	const count = (kind: string) => plans.filter((plan) => kindOf(plan) === kind).length;
	const [most] = kinds.sort((a, b) => count(b) - count(a));
	const own = plans.filter((plan) => kindOf(plan) === most);
	return { plans: own, others: plans.length - own.length };
}

/** How many of a form's questions some of those who get it have met. */
const metIn = (places: ProbePlace[], letter: string, met: Set<string>): number =>
	paperForm(places, letter).questions.filter(({ familyId, seed }) => met.has(sameWords(itemFrom(familyId, seed))))
		.length;

/** The form that is given next: the first of which nobody has met a question, else the one with the fewest met. */
function nextLetter(places: ProbePlace[], had: Set<string>, met: Set<string>): string {
	let [best, fewest] = [FORM_LETTERS[0], Infinity];
	for (const letter of FORM_LETTERS.filter((one) => !had.has(one))) {
		const count = metIn(places, letter, met);
		if (count < fewest) [best, fewest] = [letter, count];
		if (count === 0) break;
	}
	return best;
}

/**
 * Probes of a group, or of one student, on paper: who gets them, on which form, and what was taken of the week that the day belongs to.
 *
 * @returns null for no such group or student, or without weekly probes
 */
export async function paperPage(database: Database, staff: Staff, school: School, asked: PaperAsked) {
	const group = (await currentGroups(database, staff, school.today)).find(({ id }) => id === asked.groupId) ?? null;
	const ids = group?.studentIds ?? (asked.studentId === null ? [] : [asked.studentId]);
	const students = await visibleAmong(database, staff, ids, school.today);
	const running = await probeSeries(
		database,
		students.map(({ id }) => id),
		school
	);
	const wanted = group ? running.filter(({ groupId }) => groupId === group.id) : running;
	if (wanted.length === 0) return null;
	const { plans, others } = ofOneKind(wanted);
	const [plan] = plans;
	const [skills, places, forms] = await Promise.all([
		skillList(database, school.id),
		placesOf(database, plan),
		paperFormsOf(
			database,
			plans.map(({ id }) => id)
		)
	]);
	const families = [...new Set(places.map(({ familyId }) => familyId))];
	const met = new Set<string>();
	for (const { studentId } of plans) for (const words of await wordsMet(database, studentId, families)) met.add(words);
	const numberOn = (one: ProbeSeries) => probeNumber(one, asked.on);
	const takenOf = (one: ProbeSeries) => one.taken.find(({ number }) => number === numberOn(one));
	const isEntered = plans.every((one) => takenOf(one));
	const had = plans.map(({ id }) => forms.get(id) ?? []);
	// Once all have it, what was given last is still the form of the day.
	const usual = isEntered && had[0].length ? had[0][had[0].length - 1] : nextLetter(places, new Set(had.flat()), met);
	const letter = asked.letter ?? usual;
	return {
		asked,
		today: school.today,
		group: group && { id: group.id, name: group.name },
		others,
		skill: skills.find(({ id }) => id === plan.skillId)!.shortName,
		letter,
		letters: FORM_LETTERS.map((one) => ({ letter: one, given: had.filter((own) => own.includes(one)).length })),
		/** Questions that some of them have met, where the families have no others left. */
		met: had.some((own) => own.includes(letter)) ? null : metIn(places, letter, met),
		questions: paperForm(places, letter).questions,
		lines: plans.map((one): PaperLine => {
			const { id, givenName, familyName, className } = students.find((student) => student.id === one.studentId)!;
			return {
				planId: one.id,
				student: { id, givenName, familyName, className },
				number: numberOn(one),
				right: takenOf(one)?.right ?? null,
				had: forms.get(one.id) ?? []
			};
		})
	};
}

/** The same to be printed: with the questions as they are shown, and their keys. */
export async function paperToPrint(database: Database, staff: Staff, school: School, asked: PaperAsked) {
	const page = await paperPage(database, staff, school, asked);
	return (
		page && { ...page, questions: page.questions.map(({ familyId, seed }) => staffItem(itemFrom(familyId, seed))) }
	);
}
