import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { activeMs, LONGEST_GAP_MS } from './activeTime';

const at = (seconds: number, took = 10) => ({ at: 1_000 * seconds, milliseconds: 1_000 * took });

describe('active time', () => {
	it.each([
		['nothing', [], 0],
		['one answer', [at(500, 20)], 20],
		['one answer after a long pause', [at(500, 600)], 60],
		['answers close together: what lies between, feedback too', [at(0, 10), at(30, 12), at(90, 15)], 100],
		['a gap of more than a minute: only the time of the question after it', [at(0, 10), at(300, 25)], 35],
		['a gap of just a minute', [at(0, 10), at(60, 5)], 70]
	])('%s', (_, answers, seconds) => {
		expect(activeMs(answers)).toBe(1_000 * seconds);
	});

	it('is never more than a minute an answer, nor more than from first to last and a minute', () => {
		const answers = fc.array(
			fc.record({ at: fc.integer({ min: 0, max: 10_000_000 }), milliseconds: fc.integer({ min: 0, max: 500_000 }) }),
			{ minLength: 1, maxLength: 30 }
		);
		fc.assert(
			fc.property(answers, (given) => {
				const active = activeMs(given);
				expect(active).toBeGreaterThanOrEqual(0);
				expect(active).toBeLessThanOrEqual(given.length * LONGEST_GAP_MS);
				const instants = given.map((one) => one.at);
				expect(active).toBeLessThanOrEqual(Math.max(...instants) - Math.min(...instants) + LONGEST_GAP_MS);
				expect(activeMs([...given].reverse())).toBe(active);
			})
		);
	});
});
