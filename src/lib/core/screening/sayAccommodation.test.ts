import { expect, it } from 'vitest';
import { sayAccommodation } from './sayAccommodation';

it('accommodations are listed in few words', () => {
	expect(sayAccommodation({ readAloud: false, largerType: false, timeFactor: 1, itemsADay: null })).toBe('');
	expect(sayAccommodation({ readAloud: true, largerType: true, timeFactor: 1.5, itemsADay: 10 })).toBe(
		'read aloud, larger type, time × 1.5, 10 a day'
	);
});
