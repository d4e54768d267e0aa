import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { addDays } from '../calendar';
import { seededRandom } from '../random';
import {
	FORGET_OVERNIGHT,
	FORGET_PER_DAY,
	LEARN,
	SLIP,
	afterAnswer,
	afterDays,
	findCycle,
	makeSkillGraph,
	priorKnown,
	readyNext,
	standingOn,
	trace,
	type Evidence,
	progression
} from '.';

const number = { kind: 'number' } as const;
const choice = { kind: 'choice', options: 4 } as const;

function answers(
	pattern: string,
	on = '2026-10-05',
	sittingId = 1,
	source: Evidence['source'] = 'diagnostic'
): Evidence[] {
	return [...pattern].map((mark) => ({ correct: mark === '1', on, format: number, source, sittingId }));
}

describe('knowledge tracing', () => {
	it('follows Bayes by hand: one right four-option answer moves 0.5 to 0.92/(0.92 + 0.25)', () => {
		const wrong = { correct: false, format: choice, source: 'diagnostic' } as const;
		// Nobody who does not know it says so by luck: 0.08 to 1 rather than 0.08 to 0.75.
		expect(afterAnswer(0.5, { ...wrong, notYet: true })).toBeCloseTo(0.08 / 1.08, 12);
		expect(afterAnswer(0.5, wrong)).toBeCloseTo(0.08 / 0.83, 12);
		const posterior = afterAnswer(0.5, { correct: true, format: choice, source: 'diagnostic' });
		expect(posterior).toBeCloseTo(0.92 / (0.92 + 0.25), 12);
		expect(afterAnswer(0.5, { correct: true, format: choice, source: 'practice' })).toBeCloseTo(
			posterior + (1 - posterior) * LEARN,
			12
		);
	});

	it('agrees with summing over every hidden path of knowing and not knowing', () => {
		const pattern = fc.array(
			fc.record({ correct: fc.boolean(), gap: fc.integer({ min: 1, max: 40 }), practice: fc.boolean() }),
			{
				minLength: 1,
				maxLength: 6
			}
		);
		fc.assert(
			fc.property(pattern, fc.double({ min: 0.05, max: 0.9, noNaN: true }), (steps, prior) => {
				let day = 0;
				const evidence: Evidence[] = steps.map(({ correct, gap, practice }, i) => {
					day += i === 0 ? 0 : gap;
					const on = new Date(Date.UTC(2026, 0, 1 + day)).toISOString().slice(0, 10);
					return { correct, on, format: number, source: practice ? 'practice' : 'probe', sittingId: i };
				});
				let knownAtEnd = 0;
				let total = 0;
				// Each bit of a path says whether the skill was known when that answer was given; the last bit, after it.
				for (let path = 0; path < 2 ** (steps.length + 1); path++) {
					const known = (i: number) => Boolean(path & (1 << i));
					let weight = known(0) ? prior : 1 - prior;
					steps.forEach(({ correct, practice }, i) => {
						const right = known(i) ? 1 - SLIP : 0.1;
						weight *= correct ? right : 1 - right;
						const learn = practice ? LEARN : 0;
						const days = i + 1 < steps.length ? steps[i + 1].gap : 0;
						const keep = days === 0 ? 1 : (1 - FORGET_OVERNIGHT) * (1 - FORGET_PER_DAY) ** days;
						const toKnown = known(i) ? keep : learn * keep;
						weight *= known(i + 1) ? toKnown : 1 - toKnown;
					});
					total += weight;
					if (known(steps.length)) knownAtEnd += weight;
				}
				expect(trace(evidence, prior).probability).toBeCloseTo(knownAtEnd / total, 9);
			})
		);
	});

	it('classifies simulated students within 1 point of always choosing the likelier state with full knowledge', () => {
		const random = seededRandom(4);
		let ours = 0;
		let best = 0;
		const students = 20_000;
		for (let n = 0; n < students; n++) {
			const known = random.chance(0.5);
			const evidence = Array.from({ length: 4 }, () => {
				const right = known ? 1 - SLIP : 0.25;
				return {
					correct: random.chance(right),
					on: '2026-10-05',
					format: choice,
					source: 'probe' as const,
					sittingId: 1
				};
			});
			const right = evidence.filter((e) => e.correct).length;
			const odds = ((1 - SLIP) / 0.25) ** right * (SLIP / 0.75) ** (4 - right);
			if (trace(evidence, 0.5).probability > 0.5 === known) ours++;
			if (odds > 1 === known) best++;
		}
		expect(Math.abs(ours - best) / students).toBeLessThan(0.01);
	});

	it('forgets at a constant rate a day', () => {
		expect(afterDays(0.9, 30)).toBeCloseTo(0.9 * 0.97 * Math.exp(30 * Math.log(1 - FORGET_PER_DAY)), 12);
		expect(afterDays(0.9, -3)).toBe(0.9);
	});
});

describe('standing', () => {
	const today = '2026-10-06';

	it('is Unseen under two answers, whatever they were', () => {
		expect(standingOn(today, trace(answers('1'), 0.9))).toMatchObject({ standing: 'unseen', inferred: 'secure' });
		expect(standingOn(today, trace([], 0.1))).toMatchObject({ standing: 'unseen', inferred: 'gap', answers: 0 });
	});

	it('is Secure only with four answers on two days, or five in one sitting', () => {
		expect(standingOn(today, trace(answers('1111'), 0.5)).standing).toBe('forming');
		expect(standingOn(today, trace([...answers('11'), ...answers('11', today, 2)], 0.5)).standing).toBe('secure');
		expect(standingOn(today, trace(answers('11111'), 0.5)).standing).toBe('secure');
	});

	it('is a Gap after clear failure', () => {
		expect(standingOn(today, trace(answers('00'), 0.5)).standing).toBe('gap');
	});

	it('is Slipping when once secure and then failed twice, not once', () => {
		expect(standingOn(today, trace([...answers('11111'), ...answers('0', today, 2)], 0.5)).standing).not.toBe(
			'slipping'
		);
		expect(standingOn(today, trace([...answers('11111'), ...answers('00', today, 2)], 0.5)).standing).toBe('slipping');
	});

	it('counts evidence for Secure from the last wrong answer that left a Gap', () => {
		const failed = answers('00');
		expect(standingOn(today, trace([...failed, ...answers('1111', today, 2)], 0.5))).toMatchObject({
			standing: 'forming',
			probability: expect.closeTo(0.98, 2),
			answers: 6
		});
		expect(standingOn(today, trace([...failed, ...answers('11111', today, 2)], 0.5)).standing).toBe('secure');
		const nextDay = '2026-10-07';
		const overTwoDays = [...failed, ...answers('111', today, 2), ...answers('1', nextDay, 3)];
		expect(standingOn(nextDay, trace(overTwoDays, 0.5)).standing).toBe('secure');
	});

	it('is not Slipping for what was Secure only in the middle of a sitting', () => {
		expect(standingOn(today, trace(answers('11111000000'), 0.5)).standing).toBe('gap');
	});

	it('calls few students Secure, and few of them Slipping later, who get a fifth right week after week', () => {
		const random = seededRandom(7);
		const ends = { secure: 0, slipping: 0 };
		const students = 1_000;
		for (let n = 0; n < students; n++) {
			// A probe and a practice set of eight each, in ten weeks.
			const evidence = Array.from({ length: 80 }, (_, i) => {
				const sittingId = Math.floor(i / 8);
				return {
					correct: random.chance(0.2),
					on: addDays('2026-09-01', 7 * sittingId),
					format: number,
					source: sittingId % 2 ? ('practice' as const) : ('probe' as const),
					sittingId
				};
			});
			const { standing } = standingOn(evidence.at(-1)!.on, trace(evidence, 0.3));
			if (standing === 'secure' || standing === 'slipping') ends[standing]++;
		}
		expect(ends.secure / students).toBeLessThan(0.02);
		expect(ends.slipping / students).toBeLessThan(0.1);
	});

	it('turns from secure to slipping by forgetting alone after long enough', () => {
		const secure = trace(answers('11111'), 0.5);
		expect(standingOn('2027-09-05', secure).standing).toBe('slipping');
	});
});

describe('the prior from domain ability', () => {
	it('is even at the skill’s own level, rises with ability, and is less sure when ability is', () => {
		const level = { grade: 4, term: 2 };
		expect(priorKnown({ theta: 0, standardError: 0.3 }, level)).toBeCloseTo(0.5, 12);
		expect(priorKnown({ theta: 1, standardError: 0.3 }, level)).toBeGreaterThan(
			priorKnown({ theta: 1, standardError: 1 }, level)
		);
		expect(priorKnown({ theta: 9, standardError: 0.3 }, level)).toBe(0.9);
		expect(priorKnown(null, level)).toBe(0.5);
	});
});

describe('skill graph', () => {
	it('finds ready next as the outer fringe, checked by definition on random graphs', () => {
		fc.assert(
			fc.property(fc.integer(), fc.integer({ min: 1, max: 12 }), (seed, size) => {
				const random = seededRandom(seed);
				const skills = Array.from({ length: size }, (_, i) => i);
				const edges = skills.flatMap((skill) =>
					skills.filter((p) => p < skill && random.chance(0.3)).map((prerequisite) => ({ prerequisite, skill }))
				);
				const mastered = new Set(skills.filter(() => random.chance(0.5)));
				const next = new Set(readyNext(makeSkillGraph(skills, edges), (s) => mastered.has(s)));
				for (const skill of skills) {
					const open = edges.some((e) => e.skill === skill && !mastered.has(e.prerequisite));
					expect(next.has(skill)).toBe(!mastered.has(skill) && !open);
				}
			})
		);
	});

	it('shows what leads to a skill and what it opens, step by step, each skill once at its nearest', () => {
		// 1 → 2 → 4 → 5 → 7, 1 → 3 → 4, 1 → 4, and 6 on its own.
		const graph = makeSkillGraph(
			[1, 2, 3, 4, 5, 6, 7],
			[
				[1, 2],
				[1, 3],
				[2, 4],
				[3, 4],
				[1, 4],
				[4, 5],
				[5, 7]
			].map(([prerequisite, skill]) => ({ prerequisite, skill }))
		);
		const { before, after, edges } = progression(graph, 4, 2);
		expect(before).toEqual([[1, 2, 3]]);
		expect(after).toEqual([[5], [7]]);
		expect(edges.length).toBe(7);
		expect(progression(graph, 4, 1).after).toEqual([[5]]);
		expect(progression(graph, 6, 3)).toEqual({ before: [], after: [], edges: [] });
	});

	it('names the skills of a circle and refuses edges to nowhere', () => {
		expect(
			findCycle(
				new Map([
					['a', ['b']],
					['b', ['c']],
					['c', ['a']]
				])
			)
		).toEqual(['a', 'b', 'c', 'a']);
		expect(() =>
			makeSkillGraph(
				[1, 2],
				[
					{ prerequisite: 1, skill: 2 },
					{ prerequisite: 2, skill: 1 }
				]
			)
		).toThrow(/circle/);
		expect(() => makeSkillGraph([1], [{ prerequisite: 9, skill: 1 }])).toThrow(/names no skill/);
	});
});
