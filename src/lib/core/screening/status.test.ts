import { describe, expect, it } from 'vitest';
import { sayStatusCount, SCREENING_STATUSES, TO_FINISH } from './status';

describe('counted statuses', () => {
	it('read as a sentence for one and for more', () => {
		expect(sayStatusCount(1, 'needs another look')).toBe('1 needs another look');
		expect(sayStatusCount(19, 'needs another look')).toBe('19 need another look');
		expect(sayStatusCount(0, 'finished')).toBe('0 finished');
	});

	it('stand in the order of attention, each once, those to finish before those that are done', () => {
		expect(new Set(SCREENING_STATUSES).size).toBe(SCREENING_STATUSES.length);
		const places = SCREENING_STATUSES.map((status) => TO_FINISH.has(status));
		expect(places.lastIndexOf(true)).toBeLessThan(places.indexOf(false));
		expect(places.filter(Boolean)).toHaveLength(TO_FINISH.size);
	});
});
