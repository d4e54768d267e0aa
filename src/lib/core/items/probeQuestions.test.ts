import { describe, expect, it } from 'vitest';
import { itemFrom } from './bank';
import {
	FORM_LETTERS,
	formsCarried,
	MOST_FORMS,
	paperForm,
	probePlaces,
	probeQuestions,
	sameWords
} from './probeQuestions';

const FORM = { questions: 16, ofFocus: 10 };
/** Comparing fractions, and what comes before it. */
const FOCUS = 'F42';
const PREREQUISITES: Record<string, string[]> = { F42: ['F33', 'F41'], F31: ['F21'], W11: [], W12: ['W11'] };
const placesOf = (code: string) => probePlaces(code, PREREQUISITES[code], FORM);

describe('places of a probe', () => {
	it('are ten on the focus and six on what comes before, each family in turn', () => {
		const places = placesOf(FOCUS);
		expect(places).toHaveLength(16);
		expect(places.filter(({ skillCode }) => skillCode === FOCUS)).toHaveLength(10);
		const before = new Set(places.slice(10).map(({ skillCode }) => skillCode));
		expect([...before].sort()).toEqual(PREREQUISITES[FOCUS]);
		const ofFocus = places.slice(0, 10).map(({ familyId }) => familyId);
		const times = [...new Set(ofFocus)].map((id) => ofFocus.filter((one) => one === id).length);
		expect(Math.max(...times) - Math.min(...times)).toBeLessThanOrEqual(1);
	});

	it('are all on the focus where nothing comes before it', () => {
		expect(new Set(placesOf('W11').map(({ skillCode }) => skillCode))).toEqual(new Set(['W11']));
		expect(() => probePlaces('none', [], FORM)).toThrow(RangeError);
	});
});

describe('questions of probes', () => {
	it('have the same families every week and repeat nothing of a plan, word for word', () => {
		const places = placesOf(FOCUS);
		const weeks = formsCarried(places);
		expect(weeks).toBeGreaterThan(2);
		const met = new Set<string>();
		const families = (items: { familyId: string }[]) => items.map(({ familyId }) => familyId).sort();
		const words: string[] = [];
		for (let number = 1; number <= weeks; number++) {
			const { questions, repeated } = probeQuestions(places, 7, number, met);
			expect(families(questions)).toEqual(families(places));
			if (number <= weeks - 1) expect(repeated).toBe(0);
			words.push(...questions.map(({ familyId, seed }) => sameWords(itemFrom(familyId, seed))));
		}
		expect(new Set(words).size).toBeGreaterThanOrEqual(words.length - places.length);
	});

	it('are not what the student has met elsewhere', () => {
		const places = placesOf(FOCUS);
		const first = probeQuestions(places, 3, 1, new Set()).questions;
		const met = new Set(first.map(({ familyId, seed }) => sameWords(itemFrom(familyId, seed))));
		const other = probeQuestions(places, 3, 1, new Set(met)).questions;
		for (const { familyId, seed } of other) expect(met).not.toContain(sameWords(itemFrom(familyId, seed)));
	});

	it('come in another order another week', () => {
		const places = placesOf(FOCUS);
		const at = (number: number) => probeQuestions(places, 3, number, new Set()).questions[0].familyId;
		expect(new Set([1, 2, 3, 4].map(at)).size).toBeGreaterThan(1);
	});

	it('are counted honestly: so many forms hold without a repeat, and the next does not', () => {
		for (const code of Object.keys(PREREQUISITES)) {
			const places = placesOf(code);
			const forms = formsCarried(places);
			const met = new Set<string>();
			for (let number = 1; number <= forms; number++) expect(probeQuestions(places, 1, number, met).repeated).toBe(0);
			if (forms < MOST_FORMS) expect(probeQuestions(places, 1, forms + 1, met).repeated).toBeGreaterThan(0);
		}
	});
});

describe('forms on paper', () => {
	it('are the same for whoever asks, in whatever order, at the places of a probe', () => {
		const places = placesOf('F31');
		const late = paperForm(places, 'D').questions;
		const early = paperForm(places, 'A').questions;
		expect(paperForm([...places], 'D').questions).toEqual(late);
		expect(early).not.toEqual(late);
		const families = (items: { familyId: string }[]) => items.map(({ familyId }) => familyId).sort();
		for (const letter of FORM_LETTERS.slice(0, 4))
			expect(families(paperForm(places, letter).questions)).toEqual(families(places));
		expect(() => paperForm(places, 'Z')).toThrow(RangeError);
	});

	it('share no question while the families have others, and as many hold as are told', () => {
		const places = placesOf(FOCUS);
		const forms = FORM_LETTERS.map((letter) => paperForm(places, letter));
		const without = forms.findIndex(({ repeated }) => repeated > 0);
		const held = forms.slice(0, without < 0 ? forms.length : without);
		const words = held.flatMap(({ questions }) =>
			questions.map(({ familyId, seed }) => sameWords(itemFrom(familyId, seed)))
		);
		expect(held.length).toBeGreaterThan(2);
		expect(new Set(words).size).toBe(words.length);
		expect(Math.abs(held.length - formsCarried(places))).toBeLessThanOrEqual(2);
	});

	it('are asked by no probe on screen', () => {
		const places = placesOf(FOCUS);
		const onScreen = new Set(probeQuestions(places, 3, 1, new Set()).questions.map(({ seed }) => seed));
		for (const { seed } of paperForm(places, 'A').questions) expect(onScreen).not.toContain(seed);
	});
});
