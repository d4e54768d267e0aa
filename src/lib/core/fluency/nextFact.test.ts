import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { seededRandom } from '../random';
import {
	askFact,
	FACT_NUMBERS,
	FACT_ORDER,
	factState,
	factStates,
	fluentMs,
	medianFactMs,
	nextFact,
	OPERATIONS,
	PAUSE_MS,
	placeBySpeed,
	placeOfFact,
	usualOperations,
	type FactKey,
	type FactTry,
	type Operation
} from '.';

const quick = { correct: true, milliseconds: 1_500 };
const slow = { correct: true, milliseconds: 8_000 };
const wrong = { correct: false, milliseconds: 3_000 };

describe('facts', () => {
	it('are a hundred of each operation, each once, with whole answers above zero that undo each other', () => {
		const value = (text: string) => {
			const [a, sign, b] = text.split(' ');
			return { '+': +a + +b, '−': +a - +b, '×': +a * +b, '÷': +a / +b }[sign];
		};
		for (const operation of OPERATIONS) {
			const facts = FACT_ORDER[operation];
			expect(new Set(facts.map(({ first, second }) => `${first} ${second}`)).size).toBe(100);
			for (const fact of facts) {
				const { text, answer } = askFact(operation, fact);
				expect(value(text), text).toBe(answer);
				expect(answer).toBeGreaterThan(0);
			}
			facts.forEach((fact, i) => expect(placeOfFact(operation, fact)).toBe(i));
		}
		expect(() => placeOfFact('add', { first: 0, second: 3 })).toThrow(RangeError);
	});

	it('come by how hard they are: what is counted first, six times seven late', () => {
		for (const operation of OPERATIONS) {
			const place = (first: number, second: number) => placeOfFact(operation, { first, second });
			expect(place(2, 3)).toBeLessThan(place(6, 7));
			expect(place(7, 8)).toBeGreaterThan(70);
		}
		expect(placeOfFact('times', { first: 10, second: 7 })).toBeLessThan(placeOfFact('times', { first: 6, second: 4 }));
		expect(usualOperations(1)).toEqual(['add', 'take']);
		expect(usualOperations(5)).toEqual(['times', 'divide']);
	});
});

describe('the state of a fact', () => {
	it('is fluent when right and in time in three of the last four tries', () => {
		expect(factState([], 4)).toBe('unseen');
		expect(factState([quick, quick], 4)).toBe('not yet');
		expect(factState([quick, quick, quick], 4)).toBe('fluent');
		expect(factState([wrong, wrong, quick, quick, wrong, quick], 4)).toBe('fluent');
		expect(factState([quick, quick, quick, wrong, wrong], 4)).toBe('not yet');
		expect(factState([quick, slow, slow, slow], 4)).toBe('slow');
	});

	it('takes the time of the grade, and leaves pauses out', () => {
		const between = { correct: true, milliseconds: fluentMs(4) + 500 };
		expect(factState([between, between, between], 4)).toBe('slow');
		expect(factState([between, between, between], 1)).toBe('fluent');
		expect(factState([{ correct: true, milliseconds: PAUSE_MS + 1 }], 4)).toBe('unseen');
		expect(fluentMs(8)).toBe(4_000);
		expect(fluentMs(0)).toBe(fluentMs(1));
	});

	it('has a middle time once there are five right tries', () => {
		const tries = [1_000, 2_000, 3_000, 4_000].map((milliseconds) => ({
			first: 1,
			second: 1,
			correct: true,
			milliseconds
		}));
		expect(medianFactMs(tries)).toBeNull();
		expect(medianFactMs([...tries, { ...tries[0], correct: false, milliseconds: 1 }])).toBeNull();
		expect(medianFactMs([...tries, { ...tries[0], milliseconds: 9_000 }])).toBe(3_000);
		expect(medianFactMs([...tries, ...tries])).toBe(2_500);
	});
});

/** A simulated student who knows facts up to a place, and learns one for good once it was shown three times. */
function simulate(operation: Operation, knows: number, asked: number, seed: number) {
	const random = seededRandom(seed);
	const shown = new Map<number, number>();
	const tries: FactTry[] = [];
	const wasKnown: boolean[] = [];
	for (let i = 0; i < asked; i++) {
		const fact: FactKey = nextFact(operation, tries, 4, random);
		const place = placeOfFact(operation, fact);
		const known = place < knows || (shown.get(place) ?? 0) >= 3;
		wasKnown.push(known);
		shown.set(place, (shown.get(place) ?? 0) + 1);
		tries.push({
			...fact,
			correct: known ? random.chance(0.97) : random.chance(0.3),
			milliseconds: known ? 1_800 : 6_000
		});
	}
	return { tries, wasKnown };
}

describe('the next fact', () => {
	it('is never one of the last three, and always a fact of the operation', () => {
		fc.assert(
			fc.property(
				fc.constantFrom(...OPERATIONS),
				fc.integer({ min: 0, max: 100 }),
				fc.integer({ min: 1, max: 1_000 }),
				(operation, knows, seed) => {
					const { tries } = simulate(operation, knows, 80, seed);
					tries.forEach((one, i) => {
						expect(FACT_NUMBERS).toContain(one.first);
						const before = tries.slice(Math.max(0, i - 3), i).map(({ first, second }) => `${first} ${second}`);
						expect(before).not.toContain(`${one.first} ${one.second}`);
					});
				}
			),
			{ numRuns: 60 }
		);
	});

	it('is one that the student knows in about eight of ten, whatever they know', () => {
		for (const knows of [10, 30, 60, 85]) {
			const shares = Array.from({ length: 20 }, (_, seed) => {
				const { wasKnown } = simulate('times', knows, 112, seed);
				const later = wasKnown.slice(12);
				return later.filter(Boolean).length / later.length;
			});
			const mean = shares.reduce((sum, share) => sum + share, 0) / shares.length;
			expect(mean, `knows ${knows}`).toBeGreaterThan(0.72);
			expect(mean, `knows ${knows}`).toBeLessThan(0.93);
		}
	});

	it('teaches: after ten minutes of it a student who knew a third has more fluent facts', () => {
		const begun = simulate('times', 33, 60, 5).tries;
		const later = simulate('times', 33, 300, 5).tries;
		const fluent = (tries: FactTry[]) => factStates('times', tries, 4).filter((state) => state === 'fluent').length;
		expect(fluent(later)).toBeGreaterThan(fluent(begun) + 20);
	});

	it('first places a student by their speed', () => {
		const { tries: able } = simulate('times', 90, 12, 3);
		const { tries: beginner } = simulate('times', 5, 12, 3);
		expect(placeBySpeed('times', able, 4)).toBeGreaterThan(60);
		expect(placeBySpeed('times', beginner, 4)).toBeLessThan(20);
		expect(new Set(able.map((one) => placeOfFact('times', one))).size).toBe(12);
	});
});
