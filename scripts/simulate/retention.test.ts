import { describe, expect, it } from 'vitest';
import { averageTerm, OTHER_WAYS, ourQueue, WORLDS } from './retention';

const STUDENTS = 80;

describe.each(Object.entries(WORLDS))('in a world of %s', (_, studentOf) => {
	const ours = averageTerm(studentOf, ourQueue, STUDENTS);

	it.each(Object.entries(OTHER_WAYS))('no %s review keeps nearly as much in as many minutes', (_, ways) => {
		const others = Object.values(ways).map((way) => averageTerm(studentOf, way, STUDENTS));
		const cheap = others.filter(({ minutes }) => minutes <= ours.minutes);
		expect(cheap.length).toBeGreaterThan(0);
		for (const { known } of cheap) expect(known).toBeLessThan(ours.known - 0.01);
	});

	it('most of what was once secure is still known at the end of the term', () => {
		expect(ours.known).toBeGreaterThan(0.7);
	});
});
