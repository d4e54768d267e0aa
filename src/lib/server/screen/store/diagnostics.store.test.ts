import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { NOW, smallSchool, staffAs, type SmallSchool, seen } from '../../../../../tests/smallSchool';
import { keptOf } from '../../../../../tests/keptOf';
import { beginDiagnostic } from '../../sitting/store/adaptiveSittings';
import { decideTrust, type TrustDecision } from './diagnostics';
import { windowScores } from './scores';
import { sittingItems, windowSittings } from '../../sitting/store/sittings';
import { screeningWindows } from './windows';
import type { Staff } from '../../request/viewer';

let small: SmallSchool;
beforeAll(async () => {
	small = await smallSchool('diagnostics');
});
afterAll(() => small.database.close());

const winter = async () => (await screeningWindows(small.database, 1))[0];
const sit = async (studentId: number, attempt = 1) =>
	beginDiagnostic(small.database, { id: studentId, grade: 4 }, { window: await winter(), attempt }, small.skills, NOW);
const boardOf = async (studentId: number) => (await windowSittings(small.database, 2, seen(studentId))).get(studentId)!;
const scoresOf = async (studentId: number) => (await windowScores(small.database, 2, seen(studentId))).get(studentId);
const answersOf = async (studentId: number) =>
	(await keptOf(small.database, [studentId])).reduce((sum, row) => sum + row.answers, 0);

const decideAs = (staff: Staff, sittingId: number, decision: TrustDecision) =>
	decideTrust(small.database, staff, { sittingId, decision }, small.skills, small.school, NOW);
const auditOf = async (sittingId: number) =>
	(
		await small.database.rows<{ action: string }>(
			`SELECT action FROM audit_entry WHERE action LIKE 'sitting %' AND JSON_VALUE(detail, '$.sitting') = ? ORDER BY id`,
			[sittingId]
		)
	).map(({ action }) => action);

describe('diagnostics', () => {
	it('that are honest count with their last answer: seven scores and 24 answers of evidence', async () => {
		const sittingId = await sit(1);
		await small.answerAll(1, sittingId, (position) => position < 12);
		expect(await boardOf(1)).toMatchObject({ trust: 'trusted', answered: 24, flags: [] });
		const scores = (await scoresOf(1))!;
		expect(scores.length).toBe(7);
		expect(scores.every(({ takenOn }) => takenOn === '2026-11-23')).toBe(true);
		expect(await answersOf(1)).toBe(24);
	});

	it('place a student higher the more is right', async () => {
		await small.answerAll(2, await sit(2), (position) => position < 20);
		await small.answerAll(3, await sit(3), (position) => position < 4);
		const overall = async (id: number) => (await scoresOf(id))!.find(({ domainId }) => domainId === 0)!.theta;
		expect(await overall(2)).toBeGreaterThan(await overall(1));
		expect(await overall(1)).toBeGreaterThan(await overall(3));
	});

	it('count once trusted or kept, feed nothing once set aside, and can be sat again', async () => {
		const sittingId = await sit(4);
		const items = await sittingItems(small.database, sittingId);
		expect(items.length).toBe(24);
		await small.answerAll(4, sittingId, () => true, 700);
		expect(await boardOf(4)).toMatchObject({ trust: 'flagged' });
		expect((await boardOf(4)).flags[0].flag).toBe('rapid');
		expect(await scoresOf(4)).toBeUndefined();
		expect(await answersOf(4)).toBe(0);

		await decideAs(staffAs('specialist'), sittingId, 'kept');
		expect((await scoresOf(4))!.length).toBe(7);
		expect(await answersOf(4)).toBe(24);

		await decideAs(staffAs('specialist'), sittingId, 'set aside');
		expect(await scoresOf(4)).toBeUndefined();
		expect(await answersOf(4)).toBe(0);
		expect(await auditOf(sittingId)).toEqual(['sitting kept', 'sitting set aside']);
		const again = await sit(4, 2);
		expect(again).not.toBe(sittingId);
		const first = new Set(items.map(({ familyId, seed }) => `${familyId} ${seed}`));
		expect(
			(await sittingItems(small.database, again)).some(({ familyId, seed }) => first.has(`${familyId} ${seed}`))
		).toBe(false);
		expect(await boardOf(4)).toMatchObject({ id: again, trust: 'open', answered: 0 });
	});

	it('of another school, or not flagged, cannot be decided about', async () => {
		const trusted = (await boardOf(1)).id;
		expect(await decideAs({ ...staffAs('specialist', 20), schoolId: 2 }, trusted, 'kept')).toBeNull();
		expect(await decideAs(staffAs('specialist'), trusted, 'set aside')).toBeNull();
		expect(await decideAs(staffAs('specialist'), 999_999, 'kept')).toBeNull();
		expect((await scoresOf(1))!.length).toBe(7);
		expect(await auditOf(trusted)).toEqual([]);
	});

	it('flag a fall beyond measurement error since the last window', async () => {
		const earlier = (await screeningWindows(small.database, 1))[1];
		const then = new Date('2026-09-28T15:00:00Z');
		const first = await beginDiagnostic(
			small.database,
			{ id: 5, grade: 4 },
			{ window: earlier, attempt: 1 },
			small.skills,
			then
		);
		await small.answerAll(5, first, () => true, 9_000, then);
		await small.answerAll(5, await sit(5), (position) => position % 6 === 0);
		expect((await boardOf(5)).flags.map(({ flag }) => flag)).toContain('drop');
	});
});
