import { expect, it } from 'vitest';
import { isSecure, priorKnown, trace, type Evidence } from './knowledgeTracing';

const answer = (correct: boolean, kind: 'number' | 'choice', source: Evidence['source'] = 'diagnostic'): Evidence => ({
	correct,
	on: '2026-10-05',
	format: kind === 'choice' ? { kind, options: 4 } : { kind },
	source,
	sittingId: 1
});

it('follows Bayes by hand: one right four-option answer moves 0.5 to 0.92/(0.92 + 0.25), and practice teaches', () => {
	const right = 0.92 / (0.92 + 0.25);
	expect(trace([answer(true, 'choice')], 0.5).probability).toBeCloseTo(right, 12);
	expect(trace([answer(true, 'choice', 'practice')], 0.5).probability).toBeCloseTo(right + (1 - right) * 0.1, 12);
	expect(trace([answer(false, 'number')], 0.5).probability).toBeCloseTo(0.08 / (0.08 + 0.9), 12);
});

it('is Secure after five right in one sitting, and begins even at a skill’s own level', () => {
	expect(isSecure(trace(Array(5).fill(answer(true, 'number')), 0.5))).toBe(true);
	expect(isSecure(trace(Array(4).fill(answer(true, 'number')), 0.5))).toBe(false);
	expect(priorKnown({ theta: 0, standardError: 0.3 }, { grade: 4, term: 2 })).toBeCloseTo(0.5, 12);
});
