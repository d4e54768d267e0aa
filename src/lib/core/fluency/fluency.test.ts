import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
	countText,
	expectedPerMinute,
	FACTS_A_ROW,
	FACTS_A_SHEET,
	factSheet,
	FLUENCY_MEASURES,
	MEASURES,
	PASSAGES,
	PASSAGES_A_GRADE,
	passageFor,
	passageWords,
	readingGrade,
	scoreSheet,
	usualLine
} from '.';

describe('passages for reading aloud', () => {
	it('are five a grade from 1 to 6, each longer than most read in a minute, none twice', () => {
		expect(PASSAGES).toHaveLength(6);
		PASSAGES.forEach((passages, i) => {
			expect(passages.map(({ grade }) => grade)).toEqual(Array(PASSAGES_A_GRADE).fill(i + 1));
			for (const passage of passages)
				expect(passageWords(passage).length, passage.title).toBeGreaterThan(
					1.4 * expectedPerMinute('reading aloud', passage.grade, 3)
				);
		});
		expect(new Set(PASSAGES.flat().map(({ title }) => title)).size).toBe(30);
	});

	it('are about as hard as their grade, and a grade’s are harder than those of the grade before', () => {
		const grades = PASSAGES.map((passages) => passages.map(({ paragraphs }) => readingGrade(paragraphs.join(' '))));
		grades.forEach((of, i) =>
			of.forEach((one, form) => expect(Math.abs(one - i - 1), `${i + 1}, ${form}`).toBeLessThan(1))
		);
		const means = grades.map((of) => of.reduce((sum, one) => sum + one, 0) / of.length);
		expect(means).toEqual([...means].sort((a, b) => a - b));
	});

	it('are given by grade, the last ones to grades above them, and come again in turn', () => {
		expect(passageFor(3, 0)).toBe(PASSAGES[2][0]);
		expect(passageFor(8, 1)).toBe(PASSAGES[5][1]);
		expect(passageFor(3, 7)).toBe(PASSAGES[2][2]);
	});

	it('come apart into words that put together give the passage again', () => {
		for (const passage of PASSAGES.flat()) {
			const words = passageWords(passage);
			passage.paragraphs.forEach((text, i) =>
				expect(
					words
						.filter(({ paragraph }) => paragraph === i)
						.map(({ text: word }) => word)
						.join(' ')
				).toBe(text)
			);
		}
	});
});

describe('readability', () => {
	// Counted by hand: 3 sentences; 4 + 5 + 6 words; 5 + 5 + 9 syllables, of which Mister has two.
	const text = 'The tide is rising. We went to the bridge. “Did Mr. Aldous see the heron?”';

	it('counts words, sentences and syllables, and takes no title for an end', () => {
		expect(countText(text)).toEqual({ words: 15, sentences: 3, syllables: 19 });
	});

	it('is the formula of Kincaid on the counts, never below 0', () => {
		expect(readingGrade(text)).toBeCloseTo(0.39 * 5 + (11.8 * 19) / 15 - 15.59, 10);
		expect(readingGrade('Go up. Sit down.')).toBe(0);
	});

	it('has nothing to say of no words', () => {
		expect(() => readingGrade(' … ')).toThrow(RangeError);
	});
});

describe('fact sheets', () => {
	const valueOf = (text: string) => {
		const [first, sign, second] = text.split(' ');
		const [a, b] = [Number(first), Number(second)];
		return { '+': a + b, '−': a - b, '×': a * b, '÷': a / b }[sign];
	};

	it('carry right answers, whole and not below zero, on every sheet of every grade', () => {
		fc.assert(
			fc.property(fc.integer({ min: 1, max: 8 }), fc.integer(), (grade, form) => {
				const facts = factSheet(grade, form);
				expect(facts).toHaveLength(FACTS_A_SHEET);
				for (const { text, answer } of facts) {
					expect(valueOf(text), text).toBe(answer);
					expect(Number.isInteger(answer) && answer >= 0, text).toBe(true);
				}
			}),
			{ numRuns: 200 }
		);
	});

	it('are the same for the same form and others for another, and repeat nothing within six', () => {
		expect(factSheet(3, 1)).toEqual(factSheet(3, 1));
		expect(factSheet(3, 1)).not.toEqual(factSheet(3, 2));
		for (let grade = 1; grade <= 8; grade++) {
			const texts = factSheet(grade, 7).map(({ text }) => text);
			texts.forEach((text, i) => expect(texts.slice(Math.max(0, i - FACTS_A_ROW), i), text).not.toContain(text));
		}
	});

	it('ask each kind equally often in every row, so that the end is as hard as the start', () => {
		const signs = (grade: number) => factSheet(grade, 3).map(({ text }) => text.split(' ')[1]);
		const third = signs(3);
		for (let row = 0; row < FACTS_A_SHEET; row += FACTS_A_ROW)
			expect([...third.slice(row, row + FACTS_A_ROW)].sort()).toEqual(['+', '+', '×', '×', '−', '−'].sort());
	});

	it('there are none for a grade that is not', () => {
		expect(() => factSheet(9, 1)).toThrow(RangeError);
	});
});

describe('the score of a timed measure', () => {
	it('is correct a minute with the root of the count as its error, and accuracy', () => {
		expect(scoreSheet({ reached: 84, missed: [3, 17, 99], seconds: 60 })).toEqual({
			attempted: 84,
			correct: 82,
			correctPerMinute: 82,
			standardError: Math.sqrt(82),
			accuracy: 82 / 84
		});
	});

	it('counts a sheet that was done early by the time it took', () => {
		const score = scoreSheet({ reached: 60, missed: [0, 0, 1], seconds: 40 });
		expect(score.correctPerMinute).toBeCloseTo(87);
		expect(score.standardError).toBeCloseTo(Math.sqrt(58) * 1.5);
	});

	it('of nothing reached has no accuracy, and still an error', () => {
		expect(scoreSheet({ reached: 0, missed: [], seconds: 60 })).toMatchObject({
			correctPerMinute: 0,
			standardError: 1,
			accuracy: null
		});
		expect(() => scoreSheet({ reached: 0, missed: [], seconds: 0 })).toThrow(RangeError);
	});

	it('has errors that agree with counts drawn at a steady rate', () => {
		// Reading at an exponential pace gives Poisson counts; their spread over many minutes is what the error claims.
		const counts: number[] = [];
		let state = 12345;
		const unit = () => (state = (state * 16807) % 2147483647) / 2147483647;
		for (let i = 0; i < 4000; i++) {
			let [time, words] = [0, 0];
			while ((time -= Math.log(unit()) / 90) < 1) words++;
			counts.push(words);
		}
		const mean = counts.reduce((a, b) => a + b) / counts.length;
		const sd = Math.sqrt(counts.reduce((sum, count) => sum + (count - mean) ** 2, 0) / counts.length);
		const { standardError } = scoreSheet({ reached: 90, missed: [], seconds: 60 });
		expect(sd / standardError).toBeGreaterThan(0.96);
		expect(sd / standardError).toBeLessThan(1.04);
	});
});

describe('what is expected a minute', () => {
	it('rises from term to term, and the usual line lies three quarters up', () => {
		for (const measure of FLUENCY_MEASURES) {
			let before = 0;
			for (let grade = 1; grade <= MEASURES[measure].lastGrade; grade++)
				for (let term = 1; term <= 3; term++) {
					const now = expectedPerMinute(measure, grade, term);
					expect(now).toBeGreaterThan(before);
					expect(usualLine(measure, grade, term)).toBe(Math.round(now * 0.75));
					before = now;
				}
		}
	});
});
