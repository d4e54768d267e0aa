import { describe, expect, it } from 'vitest';
import { shippedFramework } from '../../../../framework/shipped';
import { expectedTheta } from '../measurement';
import {
	benchmarkBand,
	classwideNeed,
	defaultCutScore,
	fixedForm,
	formLength,
	SCREENING_STATUSES,
	screeningStatus
} from '.';

describe('benchmark', () => {
	it('calls a score near the line whenever one standard error either way crosses it', () => {
		expect(benchmarkBand(480, 8, 490)).toBe('below');
		expect(benchmarkBand(483, 8, 490)).toBe('near');
		expect(benchmarkBand(497, 8, 490)).toBe('near');
		expect(benchmarkBand(498, 8, 490)).toBe('above');
	});

	it('starts two terms under the expected median: 483 for 4·2', () => {
		expect(defaultCutScore(4, 2)).toBe(483);
		expect(defaultCutScore(5, 1)).toBe(500);
	});
});

describe('class-wide need', () => {
	const of = (gaps: number, secure: number, unseen = 0) =>
		classwideNeed([...Array(gaps).fill('gap'), ...Array(secure).fill('secure'), ...Array(unseen).fill('unseen')]);

	it('begins at 60% of those with evidence and is firm at 80%', () => {
		expect(of(5, 5)).toMatchObject({ advice: 'none' });
		expect(of(6, 4, 12)).toEqual({ lacking: 6, withEvidence: 10, advice: 'whole class' });
		expect(of(8, 2)).toMatchObject({ advice: 'whole class, firm' });
	});

	it('says nothing from fewer than five students with evidence', () => {
		expect(of(4, 0)).toMatchObject({ advice: 'none', withEvidence: 4 });
	});
});

describe('the fixed form', () => {
	const framework = shippedFramework();
	const skills = framework.skills.map((skill) => ({
		...skill,
		domainId: framework.domains.findIndex((d) => d.code === skill.domain)
	}));

	it.each([1, 2, 3, 4, 5, 6, 7, 8])('has 24 items for grade %i: two of each of two skills in every domain', (grade) => {
		const form = fixedForm(skills, { grade, term: 2 }, 1_000);
		expect(form.length).toBe(24);
		expect([0, 1, 4, 5, 6].map(formLength)).toEqual([0, 24, 24, 20, 24]);
		const perSkill = new Map<string, number>();
		for (const item of form) perSkill.set(item.skillCode, (perSkill.get(item.skillCode) ?? 0) + 1);
		expect([...perSkill.values()]).toEqual(Array(12).fill(2));
		const perDomain = new Map<number, number>();
		for (const code of perSkill.keys()) {
			const { domainId } = skills.find((skill) => skill.code === code)!;
			perDomain.set(domainId, (perDomain.get(domainId) ?? 0) + 1);
		}
		expect([...perDomain.values()]).toEqual([2, 2, 2, 2, 2, 2]);
	});

	it('asks older students for later skills, and begins with easier ones', () => {
		const mean = (list: number[]) => list.reduce((a, b) => a + b, 0) / list.length;
		const levels = (grade: number) =>
			fixedForm(skills, { grade, term: 2 }, 0).map((item) =>
				expectedTheta(skills.find((s) => s.code === item.skillCode)!)
			);
		expect(mean(levels(6))).toBeGreaterThan(mean(levels(4)) + 1);
		expect(mean(levels(5).slice(0, 8))).toBeLessThan(mean(levels(5).slice(16)));
	});

	it('leaves out skills for which there are no questions', () => {
		const bare = { code: 'Z99', domainId: 0, grade: 4, term: 1 };
		const form = fixedForm([bare, ...skills], { grade: 4, term: 2 }, 0);
		expect(form).toEqual(fixedForm(skills, { grade: 4, term: 2 }, 0));
	});

	it('shares no item between windows', () => {
		const faces = (seed: number) =>
			fixedForm(skills, { grade: 4, term: 2 }, seed).map((item) => `${item.familyId} ${item.seed}`);
		const first = new Set(faces(1_000));
		expect(faces(2_000).some((face) => first.has(face))).toBe(false);
	});
});

describe('the status in a window', () => {
	it('goes from not started over under way to finished', () => {
		expect(screeningStatus(undefined, [])).toBe('not started');
		expect(screeningStatus({ trust: 'open' }, [])).toBe('under way');
		expect(screeningStatus({ trust: 'trusted' }, ['diagnostic', 'diagnostic'])).toBe('finished');
		expect(screeningStatus({ trust: 'kept' }, ['diagnostic'])).toBe('finished');
	});

	it('asks for another look at a flagged sitting even where scores from elsewhere are there', () => {
		expect(screeningStatus({ trust: 'flagged' }, [])).toBe('needs another look');
		expect(screeningStatus({ trust: 'flagged' }, ['district test'])).toBe('needs another look');
	});

	it('lets a score from elsewhere stand in for a diagnostic that was set aside or never sat', () => {
		expect(screeningStatus({ trust: 'set aside' }, [])).toBe('set aside');
		expect(screeningStatus({ trust: 'set aside' }, ['district test'])).toBe('from a file');
		expect(screeningStatus(undefined, ['district test'])).toBe('from a file');
		expect(screeningStatus(undefined, ['district test', 'diagnostic'])).toBe('finished');
	});

	it('is always one that can be chosen as a filter', () => {
		for (const trust of ['open', 'trusted', 'flagged', 'kept', 'set aside'] as const) {
			for (const sources of [[], ['diagnostic'], ['x']])
				expect(SCREENING_STATUSES).toContain(screeningStatus({ trust }, sources));
		}
	});
});
