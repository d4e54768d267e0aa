import { describe, expect, it } from 'vitest';
import { englishSyllables, fernandezHuerta, fleschKincaidGrade, spanishSyllables } from './readability';

describe('syllables', () => {
	it('of English words are counted as they are spoken', () => {
		const spoken = {
			...{ cat: 1, bake: 1, table: 2, count: 1, number: 2, divided: 3, jumped: 1, houses: 2, family: 3 },
			...{ fraction: 2, together: 3, multiply: 3, one: 1, eight: 1, yellow: 2, paper: 2, whole: 1 }
		};
		for (const [word, count] of Object.entries(spoken)) expect(englishSyllables(word), word).toBe(count);
		expect(englishSyllables('16')).toBe(2);
	});

	it('of Spanish words part where vowels part', () => {
		const spoken = {
			...{ casa: 2, día: 2, tiene: 2, cuenta: 2, país: 2, leer: 2, guitarra: 3, que: 1, quiere: 2, muy: 1 },
			...{ fracción: 2, número: 3, rey: 1, ayuda: 3, agua: 2, área: 3, mayor: 2, ahora: 3, pingüino: 3 }
		};
		for (const [word, count] of Object.entries(spoken)) expect(spanishSyllables(word), word).toBe(count);
	});
});

describe('reading levels', () => {
	it('follow their formulas', () => {
		// 6 words, 1 sentence, 6 syllables.
		expect(fleschKincaidGrade('The cat sat on the mat.')).toBeCloseTo(0.39 * 6 + 11.8 - 15.59, 10);
		// 10 words, 2 sentences: 14 syllables.
		expect(fleschKincaidGrade('We count the paper together. She can divide by ten.')).toBeCloseTo(
			0.39 * 5 + 11.8 * 1.4 - 15.59,
			10
		);
		// 5 words, 1 sentence, 8 syllables.
		expect(fernandezHuerta('La niña cuenta sus dedos.')).toBeCloseTo(206.84 - 60 * (8 / 5) - 1.02 * 5, 10);
		expect(() => fleschKincaidGrade(' … ')).toThrow(RangeError);
	});

	it('rise with long words and long sentences', () => {
		const easy = 'We read a book. It was fun.';
		const hard =
			'Longitudinal examination of mathematical proficiency necessitates considerable institutional coordination.';
		expect(fleschKincaidGrade(easy)).toBeLessThan(3);
		expect(fleschKincaidGrade(hard)).toBeGreaterThan(15);
		expect(fernandezHuerta('Leemos un libro. Fue muy bueno.')).toBeGreaterThan(
			fernandezHuerta('La administración interinstitucional requiere consideraciones extraordinarias.')
		);
	});
});
