import { describe, expect, it } from 'vitest';
import { sayBand, sayChange, sayWorkingLevel, sayPercentile } from '.';

describe('words of a report', () => {
	it('say bands to families without trade terms', () => {
		for (const band of ['below', 'near', 'above'] as const) {
			expect(sayBand(band, 'family')).not.toMatch(/cut score|error|band|points/i);
			expect(sayBand(band, 'staff')).toMatch(/cut score/);
		}
	});

	it('say levels as terms of a grade, or as grade·term', () => {
		expect(sayWorkingLevel({ grade: 4, term: 2 }, 'family')).toBe(
			'works on what most students learn in the second term of grade 4'
		);
		expect(sayWorkingLevel({ grade: 4, term: 2 }, 'staff')).toBe('works at 4·2');
	});

	it('call a change within error no change to families, and give staff the number', () => {
		expect(sayChange({ points: 6, reliable: false }, 'Autumn', 'family')).toBe('About the same as in Autumn.');
		expect(sayChange({ points: 30, reliable: true }, 'Autumn', 'family')).toContain('Clearly more');
		expect(sayChange({ points: -30, reliable: true }, 'Autumn', 'family')).toContain('Clearly less');
		expect(sayChange({ points: -6.4, reliable: false }, 'Autumn', 'staff')).toBe(
			'−6 points since Autumn, within the error of both scores.'
		);
	});

	it('say a percentile as so many of 100', () => {
		expect(sayPercentile(31, 'fourth graders')).toBe('As high as or higher than about 31 of 100 fourth graders.');
	});
});
