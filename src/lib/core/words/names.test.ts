import { describe, expect, it } from 'vitest';
import { fullName, sayLevel } from '.';

describe('names and levels', () => {
	it('are said one way everywhere', () => {
		expect(fullName({ givenName: 'Ilse', familyName: 'Rahimi' })).toBe('Ilse Rahimi');
		expect(sayLevel({ grade: 4, term: 2 })).toBe('4·2');
	});
});
