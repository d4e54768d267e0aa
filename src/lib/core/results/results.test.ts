import { describe, expect, it } from 'vitest';
import { levelFor, MASTERED_SHARE, shareAt, USUAL_DISCRIMINATION } from '../mastery';
import { seededRandom } from '../random';
import {
	distributionOf,
	expectedRight,
	missedQuestions,
	outcomeOf,
	scoreOf,
	wrongIdeas,
	type AskedQuestion,
	type Run,
	type Try
} from '.';

const tried = (correct: boolean, change: Partial<Try> = {}): Try => ({
	...{ correct, milliseconds: 10_000, hints: 0, misconception: null, ...change }
});
const question = (position: number, tries: Try[], change: Partial<AskedQuestion> = {}): AskedQuestion => ({
	...{ position, familyId: 'round', seed: position, edition: 1, skillId: 4, tries, ...change }
});

/** Runs of ten students through six questions, drawn from a seed, with ideas. */
function drawn(seed: number, hasOwn = false): Run[] {
	const random = seededRandom(seed);
	return Array.from({ length: 10 }, (_, studentId) => ({
		studentId,
		questions: Array.from({ length: 6 }, (_, position) => {
			const tries: Try[] = [];
			if (!random.chance(0.15)) {
				const misconception = random.chance(0.5) ? random.pick(['roundUp', 'roundDown', 'noCarry']) : null;
				tries.push(random.chance(0.6) ? tried(true) : tried(false, { misconception }));
				if (!tries[0].correct && random.chance(0.8))
					tries.push(random.chance(0.5) ? tried(true, { hints: 1 }) : tried(false, { hints: 2, misconception }));
			}
			const familyId = position % 2 ? 'round' : 'rounds-to';
			return question(position, tries, { familyId, seed: hasOwn ? 100 * studentId + position : position });
		})
	}));
}

describe('how a question went', () => {
	it.each([
		[[], 'unanswered'],
		[[true], 'first try'],
		[[false], 'missed'],
		[[false, true], 'later'],
		[[false, false], 'missed'],
		[[false, false, true], 'later']
	])('with tries %j is %s', (tries, outcome) => {
		expect(outcomeOf(tries.map((correct) => ({ correct })))).toBe(outcome);
	});

	it('adds up to a score: each question counts once, a try a minute at most', () => {
		const score = scoreOf([
			question(0, [tried(true)]),
			question(1, [tried(false, { milliseconds: 600_000 }), tried(true, { hints: 1 })]),
			question(2, [tried(false), tried(false, { hints: 2 })]),
			question(3, [])
		]);
		expect(score).toEqual({ asked: 4, answered: 3, right: 1, later: 1, milliseconds: 100_000, hinted: 2 });
	});
});

describe('how scores are spread', () => {
	const run = (studentId: number, right: number, answered = 5, asked = 5) => ({
		studentId,
		score: { asked, answered, right }
	});

	it('is by count where all have as many questions and have done them', () => {
		const bins = distributionOf([run(1, 5), run(2, 3), run(3, 5), run(4, 0), run(9, 0, 0)]);
		expect(bins.map(({ from, to, of, studentIds }) => [from, to, of, studentIds])).toEqual([
			[0, 0, 5, [4]],
			[1, 1, 5, []],
			[2, 2, 5, []],
			[3, 3, 5, [2]],
			[4, 4, 5, []],
			[5, 5, 5, [1, 3]]
		]);
	});

	it('is by fifths of the share where lengths differ or some have not ended', () => {
		const bins = distributionOf([run(1, 5), run(2, 2, 3), run(3, 3, 3, 3), run(4, 1, 5), run(5, 4, 5)]);
		expect(bins.map(({ from, studentIds }) => [from, studentIds])).toEqual([
			[0, []],
			[20, [4]],
			[40, []],
			[60, [2]],
			[80, [1, 3, 5]]
		]);
		expect(distributionOf([])).toEqual([]);
	});

	it('has everybody who answered in exactly one bin', () => {
		for (let seed = 1; seed <= 40; seed++) {
			const runs = drawn(seed).map(({ studentId, questions }) => ({ studentId, score: scoreOf(questions) }));
			const there = runs.filter(({ score }) => score.answered > 0).map(({ studentId }) => studentId);
			const binned = distributionOf(runs).flatMap(({ studentIds }) => studentIds);
			expect(binned.sort((a, b) => a - b)).toEqual(there);
		}
	});
});

describe('what was missed', () => {
	it('is told question by question where students share them, most students first', () => {
		const runs: Run[] = [
			{ studentId: 1, questions: [question(0, [tried(false), tried(true)]), question(1, [tried(false)])] },
			{ studentId: 2, questions: [question(0, [tried(true)]), question(1, [tried(false)])] },
			{ studentId: 3, questions: [question(0, [tried(true)]), question(1, [])] }
		];
		expect(missedQuestions(runs)).toMatchObject([
			{ seed: 1, answered: 2, missed: 2, later: 0, studentIds: [1, 2], positions: [1], isKind: false },
			{ seed: 0, answered: 3, missed: 1, later: 1, studentIds: [1], positions: [0], isKind: false }
		]);
	});

	it('is told question by question of one student alone', () => {
		const [{ questions }] = drawn(3);
		expect(missedQuestions([{ studentId: 1, questions }]).every(({ isKind }) => !isKind)).toBe(true);
	});

	it('is told by kind where each has numbers of their own', () => {
		const [first, second] = missedQuestions(drawn(3, true));
		expect([first.isKind, second.isKind]).toEqual([true, true]);
		expect(new Set([first.familyId, second.familyId])).toEqual(new Set(['round', 'rounds-to']));
	});

	it('adds up: each first try is in one place, and what was missed is what was not right at first', () => {
		for (let seed = 1; seed <= 40; seed++)
			for (const hasOwn of [false, true]) {
				const runs = drawn(seed, hasOwn);
				const all = runs.flatMap(({ questions }) => questions).filter(({ tries }) => tries.length);
				const wrong = all.filter(({ tries }) => !tries[0].correct);
				const missed = missedQuestions(runs);
				expect(missed.reduce((sum, one) => sum + one.missed, 0)).toBe(wrong.length);
				expect(missed.reduce((sum, one) => sum + one.later, 0)).toBe(
					wrong.filter(({ tries }) => tries.some(({ correct }) => correct)).length
				);
				for (const one of missed) {
					expect(one.missed).toBeLessThanOrEqual(one.answered);
					expect(one.studentIds.length).toBeLessThanOrEqual(one.missed);
				}
			}
	});
});

describe('wrong ideas across students', () => {
	it('are told with who shows them, how often, in which kinds, those of most students first', () => {
		const idea = (misconception: string) => tried(false, { misconception });
		const runs: Run[] = [
			{
				studentId: 1,
				questions: [
					question(0, [idea('roundUp'), idea('roundUp')]),
					question(1, [idea('roundUp')], { familyId: 'round-decimal' }),
					question(2, [tried(false)])
				]
			},
			{
				studentId: 2,
				questions: [question(0, [idea('noCarry')], { skillId: 7 }), question(1, [idea('noCarry')], { skillId: 7 })]
			},
			{ studentId: 3, questions: [question(0, [idea('noCarry'), tried(true)], { skillId: 7 })] }
		];
		expect(wrongIdeas(runs)).toEqual([
			{
				misconception: 'noCarry',
				times: 3,
				students: [
					{ studentId: 2, times: 2 },
					{ studentId: 3, times: 1 }
				],
				families: [{ familyId: 'round', times: 3 }],
				skillId: 7,
				example: { familyId: 'round', seed: 0, edition: 1, position: 0, studentId: 2 }
			},
			{
				misconception: 'roundUp',
				times: 3,
				students: [{ studentId: 1, times: 3 }],
				families: [
					{ familyId: 'round', times: 2 },
					{ familyId: 'round-decimal', times: 1 }
				],
				skillId: 4,
				example: { familyId: 'round', seed: 0, edition: 1, position: 0, studentId: 1 }
			}
		]);
	});

	it('add up to the answers that show any', () => {
		for (let seed = 1; seed <= 40; seed++) {
			const runs = drawn(seed);
			const tries = runs.flatMap(({ questions }) => questions).flatMap(({ tries }) => tries);
			const shown = wrongIdeas(runs);
			expect(shown.reduce((sum, { times }) => sum + times, 0)).toBe(
				tries.filter(({ misconception }) => misconception).length
			);
			for (const { times, students, families } of shown) {
				expect(students.reduce((sum, one) => sum + one.times, 0)).toBe(times);
				expect(families.reduce((sum, one) => sum + one.times, 0)).toBe(times);
			}
		}
	});
});

describe('how many would be right of some questions', () => {
	it('is seven of ten of the usual ones, fewer of harder ones, and more where guessing helps', () => {
		const usual = 0.4;
		const parameters = { difficulty: usual, discrimination: USUAL_DISCRIMINATION, guessing: 0 };
		const ten = (change: object) =>
			Array.from({ length: 10 }, () => ({ usual, parameters: { ...parameters, ...change } }));
		expect(expectedRight(ten({}))).toBeCloseTo(10 * MASTERED_SHARE, 9);
		expect(expectedRight(ten({ difficulty: usual + 1 }))).toBeCloseTo(
			10 * shareAt(levelFor(MASTERED_SHARE, usual), usual + 1),
			9
		);
		expect(expectedRight(ten({ guessing: 0.25 }))).toBeCloseTo(10 * (0.25 + 0.75 * MASTERED_SHARE), 9);
		expect(expectedRight([])).toBe(0);
	});
});
