import { describe, expect, it } from 'vitest';
import { reportText, type ReportFacts, type ReportOptions } from '.';

const facts: ReportFacts = {
	givenName: 'Ada',
	familyName: 'Marsh',
	className: 'Avocet',
	grade: 4,
	status: 'finished',
	cut: 480,
	scores: { 0: { points: 502.4, error: 8.2 } },
	before: { 0: { points: 470, error: 8 } },
	percentile: { of: 'school', value: 55 },
	notYet: null,
	domains: [
		{
			id: 1,
			name: 'Fractions',
			score: { points: 455.6, error: 12 },
			level: { grade: 3, term: 2 },
			secure: ['halves', 'thirds', 'fourths', 'fifths', 'sixths'],
			ready: [],
			gaps: ['eighths']
		},
		{ id: 2, name: 'Shapes', score: null, level: null, secure: [], ready: [], gaps: [] }
	]
};
const options: ReportOptions = {
	window: { name: 'Winter screening', subject: 'Mathematics' },
	earlier: { name: 'Autumn screening' },
	audience: 'staff',
	longer: false
};

describe('the text of a student report', () => {
	it('gives staff the numbers with their errors, line and change', () => {
		const { overall, domains, none } = reportText(facts, options);
		expect(none).toBeNull();
		expect(overall).toMatchObject({
			heading: 'Mathematics overall',
			score: '502 points',
			error: '± 8 (one standard error); cut score 480'
		});
		expect(overall.sentences).toHaveLength(3);
		expect(overall.sentences[1]).toContain('+32 points since Autumn screening, beyond the error');
		expect(domains[0]).toMatchObject({ says: '456 ± 12', secure: 'halves, thirds, fourths and 2 more', ready: '–' });
		expect(domains[1]).toMatchObject({ says: 'not asked', level: '', score: null });
	});

	it('gives families no trade terms, and every skill when asked for more', () => {
		const text = reportText(facts, { ...options, audience: 'family', longer: true });
		expect(text.overall.error).toBe('give or take 8');
		expect(text.domains[0].secure).toBe('halves, thirds, fourths, fifths, sixths');
		expect(text.overall.sentences.join(' ')).toContain('Clearly more than in Autumn screening.');
		expect(JSON.stringify(text)).not.toMatch(/standard error|cut score|percentile|prerequisite/i);
	});

	it('tells staff how often a student said that it is not known yet', () => {
		const said = (notYet: ReportFacts['notYet'], audience: 'staff' | 'family' = 'staff') =>
			reportText({ ...facts, notYet }, { ...options, audience }).overall.sentences.join(' ');
		expect(said({ said: 5, of: 32 })).toContain('Said “I don’t know yet” to 5 of 32 questions.');
		for (const text of [said({ said: 0, of: 32 }), said(null), said({ said: 5, of: 32 }, 'family')])
			expect(text).not.toContain('know yet');
	});

	it('names a skill to a family once, as learned next rather than as still hard', () => {
		const [first, second] = facts.domains;
		const both = { ...facts, domains: [{ ...first, ready: ['eighths'], gaps: ['eighths', 'tenths'] }, second] };
		const family = reportText(both, { ...options, audience: 'family' });
		expect(family.domains[0]).toMatchObject({ ready: 'eighths', gaps: 'tenths' });
		expect(reportText(both, options).domains[0]).toMatchObject({ ready: 'eighths', gaps: 'eighths, tenths' });
	});

	it('calls norms made up that are, and says nothing of them to a family', () => {
		const shipped: ReportFacts = { ...facts, percentile: { of: 'shipped norms', value: 41 } };
		const said = (audience: 'staff' | 'family', of = shipped) =>
			reportText(of, { ...options, audience }).overall.sentences.join(' ');
		expect(said('staff')).toContain(
			'about 41 of 100 students of grade 4 in that week of the year. The norms are made up.'
		);
		expect(said('family')).not.toMatch(/of 100|made up/);
		expect(said('family', facts)).toContain('about 55 of 100 of the grade at this school.');
	});

	it('has an axis that holds every score with its error, and the line', () => {
		expect(reportText(facts, options).axis).toEqual({ from: 440, to: 520 });
		const none = reportText({ ...facts, cut: null, scores: { 0: null }, domains: [] }, options);
		expect(none.axis).toEqual({ from: 480, to: 520 });
	});

	it('says that there is no score, and to staff why', () => {
		const without = { ...facts, scores: { 0: null }, status: 'absent' };
		expect(reportText(without, options).none).toContain('yet: absent.');
		expect(reportText(without, { ...options, audience: 'family' }).none).not.toContain('absent');
	});

	it('leaves the band unsaid where there is no line, and the change where there was no window before', () => {
		const text = reportText({ ...facts, cut: null }, { ...options, earlier: null });
		expect(text.overall.sentences).toEqual([expect.stringContaining('of the grade at this school')]);
	});
});
