import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { NOW, seenOne, smallSchool, staffAs, TODAY, type SmallSchool } from '../../../../../tests/smallSchool';
import { addDays } from '../../../core/calendar';
import { USUAL_TIER_RULE } from '../../../core/growth';
import { fromPoints } from '../../../core/measurement';
import { usualCut } from '../../../core/screening';
import { fill } from '../../database/seeding';
import { importScores } from '../../screen';
import { findScope } from '../../shell';
import { tierRulePage } from '../tierRulePage';
import { tierHistory } from './reviews';
import {
	changeTierRule,
	moveTiers,
	sayTierWord,
	takeBackTierMoves,
	takeBackTierWord,
	tierRule,
	tierWords
} from './tierRules';

let small: SmallSchool;
const specialist = staffAs('specialist');
const teacher = staffAs('teacher');
const LATER = addDays(TODAY, 30);
const roster = { staff: specialist, today: TODAY };

beforeAll(async () => {
	small = await smallSchool('tier_rules');
	await fill(small.database, 'tier_interval', [{ student_id: 2, tier: 2, from_on: '2026-10-26' }]);
	// Of students 1 to 4: far under the cut, under it, perhaps under it, over it.
	const [window] = await small.database.rows<{ id: number; term: number }>(
		'SELECT id, term FROM screening_window WHERE school_id = 1 AND measure IS NULL ORDER BY id LIMIT 1'
	);
	const cut = usualCut(null, 4, window.term);
	const scores = [-40, -18, -2, 40].map((points, i) => ({
		...{ studentId: i + 1, domainId: 0, theta: fromPoints(cut + points), standardError: 0.4, takenOn: TODAY }
	}));
	await importScores(small.database, specialist, window.id, 'elsewhere', scores, NOW);
});
afterAll(() => small.database.close());

const page = async (query = '') =>
	tierRulePage(
		small.database,
		small.school,
		(await findScope(small.database, specialist, 'school', TODAY))!,
		new URL(`http://here/decide/rules${query}`)
	);
const proposed = async () => (await page()).proposed.map(({ id, tier }) => [id, tier]);

describe('the school’s rule of who enters a tier', () => {
	it('is the shipped one until another is taken, and again once that is taken back', async () => {
		expect(await tierRule(small.database, 1)).toEqual({ rule: USUAL_TIER_RULE, isOwn: false });
		const own = { ...USUAL_TIER_RULE, farBelow: 35, sure: 0.9, gaps: null, word: false };
		expect(await changeTierRule(small.database, specialist, own, NOW)).toBeNull();
		expect(await tierRule(small.database, 1)).toEqual({ rule: own, isOwn: true });
		expect(await tierRule(small.database, 2)).toMatchObject({ isOwn: false });
		expect(await changeTierRule(small.database, specialist, null, NOW)).toEqual(own);
		expect(await tierRule(small.database, 1)).toMatchObject({ isOwn: false });
	});

	it('means students for a higher tier by their scores, wherever those come from', async () => {
		const { proposed: meant, without, agree } = await page();
		expect(meant.map(({ id }) => id)).toContain(1);
		expect(meant.find(({ id }) => id === 1)).toMatchObject({ tier: 3, tierNow: 1 });
		// In tier 2 already.
		expect(meant.map(({ id }) => id)).not.toContain(2);
		expect(meant.map(({ id }) => id)).not.toContain(4);
		expect(without).toBe(4);
		expect(meant.length + agree + without).toBe(8);
	});

	it('counts an adult’s word where the score leaves it open, until it is taken back', async () => {
		const before = await proposed();
		const word = { studentId: 3, says: 'needs more', reason: 'loses the thread', untilOn: LATER } as const;
		const id = await sayTierWord(small.database, teacher, word, NOW);
		expect(await tierWords(small.database, roster)).toMatchObject([{ id, studentId: 3, by: 'Staff 10' }]);
		expect(await proposed()).toEqual([...before, [3, 2]]);
		expect(await takeBackTierWord(small.database, staffAs('teacher', 11), id, NOW)).toBe(false);
		expect(await takeBackTierWord(small.database, teacher, id, NOW)).toBe(true);
		expect(await proposed()).toEqual(before);
	});

	it('leaves whoever stays all the same out of the list, and names them with why', async () => {
		const stays = { studentId: 1, says: 'stays', reason: 'new here, wait for a second score', untilOn: LATER } as const;
		const id = await sayTierWord(small.database, specialist, stays, NOW);
		expect((await page()).stay.map((one) => [one.id, one.words[0].reason])).toEqual([[1, stays.reason]]);
		expect(await proposed()).toEqual([]);
		await takeBackTierWord(small.database, specialist, id, NOW);
		expect(await proposed()).toEqual([[1, 3]]);
	});

	it('shows whom another rule would mean before it is taken, and changes nothing by showing it', async () => {
		const tried = await page('?farBelow=100&sure=80&gaps=4&word=yes&leastWeeks=4&mostWeeks=8');
		expect(tried.tried!.rule.farBelow).toBe(100);
		expect(tried.tried!.changes.map(({ id, tierBefore, tier }) => [id, tierBefore, tier])).toContainEqual([1, 3, 2]);
		expect((await tierRule(small.database, 1)).isOwn).toBe(false);
		// The rule that holds already is no other.
		expect((await page('?farBelow=20&sure=80&gaps=4&word=yes&leastWeeks=4&mostWeeks=8')).tried).toBeNull();
		expect((await page('?farBelow=-3&sure=1000&gaps=x')).tried!.rule).toMatchObject({ farBelow: 1, sure: 0.95 });
	});
});

describe('moves by the rule', () => {
	it('begin a tier on a day and are taken back whole, unless something builds on them', async () => {
		const moves = [
			{ studentId: 1, tier: 3 as const },
			{ studentId: 2, tier: 3 as const },
			// In tier 1, and to stay there.
			{ studentId: 4, tier: 1 as const }
		];
		const tiers = async (id: number) =>
			(await tierHistory(small.database, seenOne(id))).map(({ tier, fromOn, untilOn }) => [tier, fromOn, untilOn]);
		const before = [await tiers(1), await tiers(2)];
		const begun = await moveTiers(small.database, specialist, moves, TODAY, NOW);
		expect(begun).toHaveLength(2);
		expect(await tiers(1)).toEqual([[3, TODAY, null]]);
		expect(await tiers(2)).toEqual([
			[3, TODAY, null],
			[2, '2026-10-26', TODAY]
		]);
		expect(await moveTiers(small.database, specialist, moves, TODAY, NOW)).toEqual([]);
		expect(await takeBackTierMoves(small.database, { ...specialist, schoolId: 2 }, begun, NOW)).toBe(0);
		expect(await takeBackTierMoves(small.database, specialist, begun, NOW)).toBe(2);
		expect([await tiers(1), await tiers(2)]).toEqual(before);
		expect(await takeBackTierMoves(small.database, specialist, begun, NOW)).toBe(0);
	});
});
