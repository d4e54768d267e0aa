import { findScope } from '../shell/store/scope';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { NOW, smallSchool, staffAs, TODAY, type SmallSchool, seen } from '../../../../tests/smallSchool';
import { POINTS_PER_LOGIT, toPoints } from '../../core/measurement';
import { gradePrior } from '../../core/screening';
import { scoreEvidence } from './scoreEvidence';
import { beginDiagnostic } from '../sitting/store/adaptiveSittings';
import { importScores, windowScores } from './store/scores';
import { screeningWindows } from './store/windows';

let small: SmallSchool;
const specialist = staffAs('specialist');
beforeAll(async () => {
	small = await smallSchool('score_evidence');
});
afterAll(() => small.database.close());

async function evidence(studentId: number) {
	const [winter] = await screeningWindows(small.database, 1);
	const scope = await findScope(small.database, specialist, 'school', TODAY);
	const student = (await scope!.students()).find(({ id }) => id === studentId)!;
	return { winter, found: await scoreEvidence(small.database, small.school, winter, student) };
}

describe('what a score follows from', () => {
	it('ends at the score that is stored, overall and by domain, and begins at the grade', async () => {
		const window = { id: 2, subject: 'Mathematics', term: 2, mode: 'adaptive' as const };
		const place = { window, attempt: 1 };
		const sitting = await beginDiagnostic(small.database, { id: 1, grade: 4 }, place, small.skills, NOW);
		await small.answerAll(1, sitting, (position) => position % 3 > 0);
		const { winter, found } = await evidence(1);
		const stored = (await windowScores(small.database, winter.id, seen(1))).get(1)!;
		const overall = stored.find(({ domainId }) => domainId === 0)!;
		expect(found.steps.length).toBeGreaterThanOrEqual(25);
		expect(found.steps.at(-1)!.points).toBeCloseTo(toPoints(overall.theta), 6);
		expect(found.steps.at(-1)!.error).toBeCloseTo(POINTS_PER_LOGIT * overall.standardError, 6);
		expect(found.stored!.points).toBeCloseTo(found.steps.at(-1)!.points, 6);
		expect(found.prior!.points).toBeCloseTo(toPoints(gradePrior({ grade: 4, term: 2 }).mean), 1);
		expect(found.domains.map(({ points }) => points.toFixed(4))).toEqual(
			stored.filter(({ domainId }) => domainId > 0).map(({ theta }) => toPoints(theta).toFixed(4))
		);
		expect(found.domains.reduce((sum, { answers }) => sum + answers, 0)).toBe(found.steps.length);
		expect(found.domains.reduce((sum, { right }) => sum + right, 0)).toBe(
			found.steps.filter(({ correct }) => correct).length
		);
	});

	it('moves up with each right answer and down with each wrong one', async () => {
		const { found } = await evidence(1);
		let before = found.prior!.points;
		for (const { correct, points } of found.steps) {
			if (correct) expect(points).toBeGreaterThan(before);
			else expect(points).toBeLessThan(before);
			before = points;
		}
	});

	it('is the source where the score was brought in, and nothing where there is none', async () => {
		const score = { studentId: 2, domainId: 0, theta: 0.4, standardError: 0.3, takenOn: TODAY };
		await importScores(small.database, specialist, 2, 'Harbor test', [score], NOW);
		const { found } = await evidence(2);
		expect(found.stored).toMatchObject({ source: 'Harbor test', points: 510, error: 7.5 });
		expect(found.steps).toEqual([]);
		expect((await evidence(3)).found).toMatchObject({ stored: null, sitting: null, steps: [], domains: [] });
	});
});
