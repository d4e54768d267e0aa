import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { sitAutumn } from '../../../../tests/autumnSittings';
import { NOW, smallSchool, staffAs, type SmallSchool, seen } from '../../../../tests/smallSchool';
import { itemFrom } from '../../core/items/bank';
import { expectedTheta } from '../../core/measurement';
import { familyParameters, type BankCalibration } from '../../core/screening';
import { beginDiagnostic } from '../sitting/store/adaptiveSittings';
import { decideTrust } from '../screen/store/diagnostics';
import { askForJob, cancelJob, claimJob, CLAIM_MS, endJob, keepRecurring, newestJob, renewClaim } from './store/jobs';
import {
	answersAfter,
	applyParameters,
	countedAnswers,
	parameterSet,
	parameterVersions,
	versionFor,
	withdrawParameters
} from '../screen/store/parameters';
import { windowScores } from '../screen/store/scores';
import { openItem, windowSittings } from '../sitting/store/sittings';
import type { CalibrationProgress, CalibrationResult } from '../screen/calibration';
import { workJob } from './workJob';

const coordinator = staffAs('coordinator');
const elsewhere = { ...staffAs('coordinator', 20), schoolId: 2 };
const STUDENTS = 260;
/** The family that is a logit harder than anybody thought. */
let odd: string;
let small: SmallSchool;
let clock = NOW.getTime();
const now = () => new Date((clock += 1_000));
const newest = () =>
	newestJob<CalibrationProgress, CalibrationResult>(small.database, 1, 'calibration') as Promise<
		NonNullable<Awaited<ReturnType<typeof newestJob<CalibrationProgress, BankCalibration>>>>
	>;

beforeAll(async () => {
	small = await smallSchool('jobs');
	odd = await sitAutumn(small, { students: STUDENTS });
});
afterAll(() => small.database.close());

describe('a job', () => {
	it('is asked for once at a time, and worked on by one process at a time', async () => {
		const id = await askForJob(small.database, coordinator, 'calibration', NOW);
		expect(await askForJob(small.database, coordinator, 'calibration', NOW)).toBeNull();
		const claims = await Promise.all([1, 2, 3].map(() => claimJob(small.database, NOW)));
		expect(claims.filter(Boolean)).toHaveLength(1);
		expect(claims.find(Boolean)).toMatchObject({ id, schoolId: 1, checkpoint: null });
		expect(await cancelJob(small.database, elsewhere, id!, NOW)).toBe(false);
		expect(await cancelJob(small.database, coordinator, id!, NOW)).toBe(true);
		expect(await renewClaim(small.database, claims.find(Boolean)!, {}, null, NOW)).toBe(false);
		expect(await claimJob(small.database, NOW)).toBeNull();
	});

	it('that a process left behind is gone on with by another, from where it was', async () => {
		const id = (await askForJob(small.database, coordinator, 'calibration', NOW))!;
		const first = (await claimJob(small.database, NOW))!;
		await renewClaim(small.database, first, { step: 'reading', sittings: 3 }, { at: 3 }, NOW);
		const after = (milliseconds: number) => new Date(NOW.getTime() + milliseconds);
		expect(await claimJob(small.database, after(CLAIM_MS - 1))).toBeNull();
		const second = (await claimJob(small.database, after(CLAIM_MS + 1)))!;
		expect(second).toMatchObject({ id, checkpoint: { at: 3 } });
		expect(await renewClaim(small.database, first, {}, null, after(CLAIM_MS + 2))).toBe(false);
		expect(await renewClaim(small.database, second, {}, null, after(CLAIM_MS + 2))).toBe(true);
		await cancelJob(small.database, coordinator, id, NOW);
	});
});

describe('recurring work', () => {
	it('waits for its time, is done by one process, and waits again, also after it failed', async () => {
		await keepRecurring(small.database, NOW);
		await keepRecurring(small.database, NOW);
		const after = (minutes: number) => new Date(NOW.getTime() + minutes * 60_000);
		expect(await claimJob(small.database, after(-1))).toBeNull();
		const claims = await Promise.all([1, 2, 3, 4, 5, 6, 7, 8, 9, 10].map(() => claimJob(small.database, NOW)));
		expect(claims.filter(Boolean)).toHaveLength(10);
		for (const claim of claims.filter((one) => one !== null))
			await endJob(small.database, claim, { state: 'failed', result: {} }, NOW);
		const times: Record<string, number> = {};
		for (let minutes = 1; minutes <= 60; minutes++)
			for (;;) {
				const claim = await claimJob(small.database, after(minutes));
				if (!claim) break;
				times[claim.kind] = (times[claim.kind] ?? 0) + 1;
				await endJob(small.database, claim, { state: 'failed', result: {} }, after(minutes));
			}
		expect(times).toEqual({
			'clear sign-ins': 1,
			'keep earlier cells': 1,
			'find notices': 4,
			'sync rosters': 2,
			'send mail': 60,
			'close sets': 12,
			'follow on': 60,
			regrade: 60,
			'send digests': 1
		});
		await small.database.run("UPDATE job SET due_at = ? WHERE kind = 'pool growth'", [after(60)]);
		for (let i = 0; i < 10; i++) expect(await workJob(small.database, () => after(120))).toBe(true);
		expect(await workJob(small.database, () => after(120))).toBe(false);
		expect(await small.database.rows(`SELECT kind, state, result FROM job WHERE every_minutes IS NOT NULL`)).toEqual([
			{ kind: 'clear sign-ins', state: 'waiting', result: '{"cleared":0}' },
			{ kind: 'keep earlier cells', state: 'waiting', result: expect.stringMatching(/^{"made":\d+}$/) },
			{ kind: 'find notices', state: 'waiting', result: '{"schools":2}' },
			{ kind: 'sync rosters', state: 'waiting', result: '{"schools":0}' },
			{ kind: 'send mail', state: 'waiting', result: '{"sent":0,"unsent":0}' },
			{ kind: 'close sets', state: 'waiting', result: '{"closed":0}' },
			{ kind: 'follow on', state: 'waiting', result: '{"followed":0}' },
			{ kind: 'regrade', state: 'waiting', result: '{"answers":0}' },
			{ kind: 'pool growth', state: 'waiting', result: '{"pooled":0}' },
			{ kind: 'send digests', state: 'waiting', result: '{"written":0}' }
		]);
		await small.database.run('DELETE FROM job WHERE every_minutes IS NOT NULL');
	});
});

describe('a calibration', () => {
	it('uses the sittings that count, whole and in order', async () => {
		expect(await countedAnswers(small.database, 1)).toEqual({
			students: STUDENTS - 1,
			sittings: STUDENTS - 1,
			answers: (STUDENTS - 1) * 24
		});
		expect((await countedAnswers(small.database, 2)).answers).toBe(0);
		const read: number[] = [];
		for (let last = 0; ;) {
			const some = await answersAfter(small.database, 1, last, 100);
			if (some.length === 0) break;
			last = some.at(-1)!.sittingId;
			read.push(some.length);
		}
		expect(read).toEqual([2_400, 2_400, 59 * 24]);
	});

	it('that is canceled while it runs ends without a result', async () => {
		const id = (await askForJob(small.database, coordinator, 'calibration', NOW))!;
		let steps = 0;
		const cancelAtThird = () => {
			if (++steps === 3) void cancelJob(small.database, coordinator, id, NOW);
			return false;
		};
		expect(await workJob(small.database, now, cancelAtThird)).toBe(true);
		expect(await newest()).toMatchObject({ id, state: 'canceled', result: null });
	});

	it('stopped half way by the end of its process comes to what one in one go comes to', async () => {
		await askForJob(small.database, coordinator, 'calibration', NOW);
		let asked = 0;
		expect(await workJob(small.database, now, () => ++asked > 6)).toBe(true);
		const half = await newest();
		expect(half.state).toBe('running');
		expect(half.progress).toMatchObject({ step: 'fitting' });
		expect(await workJob(small.database, now)).toBe(false);
		clock += CLAIM_MS;
		expect(await workJob(small.database, now)).toBe(true);
		const resumed = await newest();
		expect(resumed.state).toBe('done');

		await askForJob(small.database, coordinator, 'calibration', NOW);
		await workJob(small.database, now);
		const atOnce = await newest();
		expect(atOnce.id).toBeGreaterThan(resumed.id);
		expect(atOnce.result!.logLikelihood).toBeCloseTo(resumed.result!.logLikelihood, 6);
		expect(atOnce.result!.iterations).toBe(resumed.result!.iterations);
	});

	it('finds the family that is harder than thought, and of how many answers it speaks', async () => {
		const { result } = await newest();
		const found = result!.families.find(({ familyId }) => familyId === odd)!;
		expect(found.difficulty - found.before.difficulty).toBeGreaterThan(0.5);
		expect(found.answers).toBeGreaterThanOrEqual(STUDENTS - 1);
		expect(found.isEnough).toBe(true);
		expect(result!.groups).toMatchObject([{ grade: 4, windowId: 1, students: STUDENTS - 1 }]);
	});

	it('leaves out a family that is in the bank no more', async () => {
		await small.database.run(
			`INSERT INTO asked_item (edition, family_id, seed, content)
			SELECT item.edition, 'gone-since', item.seed, JSON_REPLACE(item.content, '$.familyId', 'gone-since')
			FROM sitting_item JOIN asked_item AS item USING (edition, family_id, seed)
			WHERE sitting_id = 101 AND position = 0`
		);
		await small.database.run(
			`UPDATE sitting_item SET family_id = 'gone-since' WHERE sitting_id = 101 AND position = 0`
		);
		await askForJob(small.database, coordinator, 'calibration', NOW);
		await workJob(small.database, now);
		const { state, result } = await newest();
		expect(state).toBe('done');
		expect(result!.families.map(({ familyId }) => familyId)).not.toContain('gone-since');
	});

	it('that fails says so in words, and the next one can be asked for', async () => {
		await askForJob(small.database, elsewhere, 'calibration', NOW);
		const broken = { ...small.database, rows: () => Promise.reject(new Error('disk full')) };
		await expect(workJob(broken, now)).rejects.toThrow('disk full');
		expect(await newestJob(small.database, 2, 'calibration')).toMatchObject({
			state: 'failed',
			result: { problem: 'Something went wrong on our side.' }
		});
		expect(await workJob(small.database, now)).toBe(false);
	});

	it('says so when nothing counts yet', async () => {
		await askForJob(small.database, elsewhere, 'calibration', NOW);
		await workJob(small.database, now);
		expect(await newestJob(small.database, 2, 'calibration')).toMatchObject({
			state: 'done',
			result: { problem: 'No sitting counts yet.' }
		});
	});
});

describe('a version of parameters', () => {
	/** A family that the first student is asked, supposed a logit harder in the version than at first. */
	let asked: string;
	const family = () => ({ familyId: odd, discrimination: 1.3, difficulty: 0.9, medianMs: 8_400.4 });
	const skillOf = (familyId: string) => small.skills.find(({ code }) => code === itemFrom(familyId, 1).skillCode)!;

	it('is what sittings begin with once it is approved; those that have begun keep theirs', async () => {
		const earlier = await beginDiagnostic(
			small.database,
			{ id: 1, grade: 4 },
			{ window: { id: 2, subject: 'Mathematics', term: 2, mode: 'fixed form' }, attempt: 1 },
			small.skills,
			NOW
		);
		asked = (await openItem(small.database, earlier))!.familyId;
		const job = await newest();
		const usual = familyParameters(asked, skillOf(asked));
		const harder = { ...usual, familyId: asked, difficulty: usual.difficulty + 1, medianMs: 9_000 };
		const families = [family(), ...(asked === odd ? [] : [harder])];
		expect(await applyParameters(small.database, elsewhere, job.id, families, NOW)).toBeNull();
		const version = (await applyParameters(small.database, coordinator, job.id, families, NOW))!;
		expect(version.number).toBe(1);
		expect(await applyParameters(small.database, coordinator, job.id, [family()], NOW)).toBeNull();
		expect(await versionFor(small.database, 2)).toBe(version.id);
		expect(await versionFor(small.database, 9)).toBeNull();
		await beginDiagnostic(
			small.database,
			{ id: 2, grade: 4 },
			{ window: { id: 2, subject: 'Mathematics', term: 2, mode: 'adaptive' }, attempt: 1 },
			small.skills,
			NOW
		);
		const rows = await small.database.rows<{ id: number; parametersId: number | null }>(
			'SELECT id, parameters_id AS parametersId FROM sitting WHERE window_id = 2 ORDER BY student_id'
		);
		expect(rows).toEqual([
			{ id: earlier, parametersId: null },
			{ id: expect.any(Number), parametersId: version.id }
		]);
		expect(await versionFor(small.database, 2, earlier)).toBeNull();
		expect(await parameterVersions(small.database, 1)).toMatchObject([
			{ number: 1, families: families.length, sittings: 1 }
		]);
	});

	it('changes the parameters of its families only', async () => {
		const set = await parameterSet(small.database, await versionFor(small.database, 1));
		expect(familyParameters(odd, skillOf(odd), set)).toMatchObject({ discrimination: 1.3, difficulty: 0.9 });
		expect(set.get(odd)!.medianMs).toBe(8_400);
		const other = 'add-tens';
		expect(familyParameters(other, skillOf(other), set)).toEqual(familyParameters(other, skillOf(other)));
	});

	it('scores the sittings that began with it, and no others', async () => {
		const id = (await windowSittings(small.database, 2, seen(1))).get(1)!.id;
		await small.answerAll(1, id, () => false);
		const before = (await windowScores(small.database, 2, seen(1))).get(1)!;
		await small.database.run('UPDATE sitting SET parameters_id = ? WHERE id = ?', [
			await versionFor(small.database, 1),
			id
		]);
		await small.database.run(`UPDATE sitting SET trust = 'flagged' WHERE id = ?`, [id]);
		await decideTrust(
			small.database,
			staffAs('specialist'),
			{ sittingId: id, decision: 'kept' },
			small.skills,
			small.school,
			NOW
		);
		const after = (await windowScores(small.database, 2, seen(1))).get(1)!;
		expect(after.length).toBe(before.length);
		// Wrong answers to a question that was harder all along speak less against the student.
		expect(after[0].theta).toBeGreaterThan(before[0].theta);
	});

	it('can be taken back, and then the one before is used', async () => {
		const id = (await versionFor(small.database, 1))!;
		expect(await withdrawParameters(small.database, elsewhere, id, true, NOW)).toBe(false);
		for (const withdrawn of [true, false, true]) {
			expect(await withdrawParameters(small.database, coordinator, id, withdrawn, NOW)).toBe(true);
			expect(await withdrawParameters(small.database, coordinator, id, withdrawn, NOW)).toBe(false);
		}
		expect(await versionFor(small.database, 1)).toBeNull();
	});

	it('decides which questions are asked', async () => {
		const telling = { familyId: odd, discrimination: 6, difficulty: expectedTheta({ grade: 4, term: 2 }), medianMs: 1 };
		const again = await applyParameters(small.database, coordinator, (await newest()).id, [telling], NOW);
		expect(again!.number).toBe(2);
		const window = { id: 2, subject: 'Mathematics', term: 2, mode: 'adaptive' as const };
		for (const id of [3, 4, 5]) {
			const place = { window, attempt: 1 };
			const sitting = await beginDiagnostic(small.database, { id, grade: 4 }, place, small.skills, NOW);
			expect((await openItem(small.database, sitting))!.familyId).toBe(odd);
		}
	});
});
