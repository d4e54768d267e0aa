import type { ProbeForm } from '../growth';
import { draftFrom, familiesFor } from './bank';
import { describeAnswer } from './check';
import type { Item, ItemSeed } from './item';
import { paperFormSeeds, probeSeeds } from './seeds';

/** A place of a probe: which skill its question is on, and of which family. */
export type ProbePlace = Pick<ItemSeed, 'skillCode' | 'familyId'>;

/** What a student would take for the same question: the same words and picture, with the same answer. */
export const sameWords = (item: Pick<Item, 'stem' | 'figure' | 'response' | 'key'>): string =>
	JSON.stringify([item.stem, item.figure ?? null, describeAnswer(item, item.key)]);

/** So many places, the families of skills in turn. */
function placesOn(skillCodes: string[], count: number): ProbePlace[] {
	const families = skillCodes.map(familiesFor);
	return Array.from({ length: count }, (_, i) => {
		const own = families[i % families.length];
		const { id, skillCode } = own[Math.floor(i / families.length) % own.length];
		return { familyId: id, skillCode };
	});
}

/**
 * The places of each probe of a plan, the same every week, so that probes are equivalent: the focus's families in turn, then
 * those of its prerequisites. Where no prerequisite has questions, all are on the focus.
 *
 * @throws RangeError for a focus without questions
 */
export function probePlaces(
	focus: string,
	prerequisites: string[],
	{ questions, ofFocus }: Pick<ProbeForm, 'questions' | 'ofFocus'>
): ProbePlace[] {
	if (familiesFor(focus).length === 0) throw new RangeError(`no item family for skill ${focus}`);
	const before = prerequisites.filter((code) => familiesFor(code).length > 0);
	if (before.length === 0) return placesOn([focus], questions);
	return [...placesOn([focus], ofFocus), ...placesOn(before, questions - ofFocus)];
}

/**
 * The questions of a probe: at each place one that the student has not met, in an order of their own each week.
 *
 * @param number of the probe within its plan, from 1
 * @param met what they were asked before (`sameWords`); what is chosen is added
 * @returns also how many had to be questions that were met, where a family has no others left
 */
export function probeQuestions(places: ProbePlace[], plan: number, number: number, met: Set<string>): ProbeQuestions {
	return chooseQuestions(places, probeSeeds(plan, number), number, met);
}

/** The questions of a probe, and how many of them were met before. */
interface ProbeQuestions {
	questions: ItemSeed[];
	repeated: number;
}

function chooseQuestions(places: ProbePlace[], seeds: number[], number: number, met: Set<string>): ProbeQuestions {
	let repeated = 0;
	/** Seeds of a family whose questions are met by now: what is met stays so. */
	const past = new Map<string, Set<number>>();
	const isNew = (familyId: string, seed: number) => {
		const ofFamily = past.get(familyId) ?? new Set();
		past.set(familyId, ofFamily);
		if (ofFamily.has(seed)) return false;
		ofFamily.add(seed);
		const words = sameWords(draftFrom(familyId, seed));
		return !met.has(words) && met.add(words);
	};
	const questions = places.map(({ familyId, skillCode }, place) => {
		const own = turned(seeds, place * STRIDE);
		const seed = own.find((one) => isNew(familyId, one));
		if (seed === undefined) repeated++;
		return { familyId, skillCode, seed: seed ?? own[0] };
	});
	// Turned by the probe's number: the same place is not met at the same point every week.
	return { questions: turned(questions, number * TURN), repeated };
}

/** A list from another place on, what was before it at the end. */
function turned<T>(list: T[], by: number): T[] {
	const turn = by % list.length;
	return [...list.slice(turn), ...list.slice(0, turn)];
}

/** Places of one family begin so many seeds apart, and a probe's order is turned by so many a week. */
const [STRIDE, TURN] = [7, 5];

/** The letters of a skill's forms on paper. */
export const FORM_LETTERS = [...'ABCDEFGHIJKLMNOPQRST'];

/** Forms of places that were made, in their order, and what is asked in them. */
const paperForms = new Map<string, { forms: ProbeQuestions[]; met: Set<string> }>();

/**
 * A form of a probe on paper, the same for whoever gets it: at the places of a probe on screen, and without a question of the
 * forms before it while the families have others left.
 *
 * @throws RangeError for no such letter
 */
export function paperForm(places: ProbePlace[], letter: string): ProbeQuestions {
	const wanted = FORM_LETTERS.indexOf(letter);
	if (wanted < 0) throw new RangeError(`no form ${letter}`);
	const key = keyOf(places);
	let made = paperForms.get(key);
	if (!made) paperForms.set(key, (made = { forms: [], met: new Set() }));
	while (made.forms.length <= wanted) {
		const number = made.forms.length + 1;
		made.forms.push(chooseQuestions(places, paperFormSeeds(number), number, made.met));
	}
	return made.forms[wanted];
}

const keyOf = (places: ProbePlace[]): string => places.map(({ familyId }) => familyId).join(' ');

/** Forms that are looked for at most: as many weeks as a plan has. */
export const MOST_FORMS = 20;

const carried = new Map<string, number>();

/**
 * How many equivalent probes a plan can have before its first question comes again word for word, for a student who has met
 * none of them elsewhere.
 *
 * @returns at most `MOST_FORMS`
 */
export function formsCarried(places: ProbePlace[]): number {
	const key = keyOf(places);
	const known = carried.get(key);
	if (known !== undefined) return known;
	const met = new Set<string>();
	let forms = 0;
	while (forms < MOST_FORMS && probeQuestions(places, 1, forms + 1, met).repeated === 0) forms++;
	carried.set(key, forms);
	return forms;
}
