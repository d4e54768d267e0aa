import { describe, expect, it } from 'vitest';
import { sayLeaving, type GroupWork } from './leaving';

const work: GroupWork = { probes: [7], sets: 2, begun: 1, reviews: ['2026-12-11'] };
const none: GroupWork = { probes: [], sets: 0, begun: 0, reviews: [] };

describe('what leaving a group ends, in words', () => {
	it('names all that waits, and nothing where nothing does', () => {
		expect(sayLeaving([work])).toBe(
			'1 series of weekly probes ends, 2 practice sets not begun are taken off the queue, 1 begun set can still be finished, and 1 review of this group is taken off.'
		);
		expect(sayLeaving([none, none])).toBe('');
		expect(sayLeaving([])).toBe('');
	});

	it('adds up over those who leave', () => {
		expect(sayLeaving([work, { ...work, sets: 0, begun: 0 }])).toContain('2 series of weekly probes end');
		expect(sayLeaving([work, work])).toContain('2 reviews of this group are taken off');
	});

	it('lets probes on the same skill go on where they move to', () => {
		expect(sayLeaving([{ ...none, probes: [7] }], 7)).toBe('Weekly probes of 1 student go on in the new group.');
		expect(sayLeaving([{ ...none, probes: [7, 8] }], 7)).toBe(
			'Weekly probes of 1 student go on in the new group and 1 series of weekly probes ends.'
		);
	});
});
