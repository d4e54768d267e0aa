import { expect, it } from 'vitest';
import { sayAnswer, sayLetter, type ShownLetter } from './sayLetter';

it('a letter to a family says how, in which language, by whom, and what came of it', () => {
	const letter: ShownLetter = {
		...{ id: 1, language: 'es', way: 'paper', sentOn: '2026-11-20', by: 'Ilse Waweru' },
		...{ asksConsent: true, answeredOn: null, answer: null }
	};
	expect(sayLetter(letter)).toBe('on paper, in Español, by Ilse Waweru; asks the family to agree');
	expect(sayLetter({ ...letter, way: 'talk', language: 'xx', asksConsent: false })).toBe(
		'in a talk, in xx, by Ilse Waweru'
	);
	expect(sayAnswer(letter)).toBe('not answered yet');
	expect(sayAnswer({ ...letter, answer: 'agrees', answeredOn: '2026-11-23' })).toBe('agrees, Nov 23');
});
