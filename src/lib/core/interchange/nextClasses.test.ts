import { describe, expect, it } from 'vitest';
import { gradeAlong, joinNext, nextClass, nextClassName } from './nextClasses';

describe('a class a year later', () => {
	it.each([
		['4A', 4, '5A'],
		['Grade 4', 4, 'Grade 5'],
		['4-Heron', 4, '5-Heron'],
		['14B', 4, '14B'],
		['10', 10, '11'],
		['K', 0, '1'],
		['KB', 0, '1B'],
		['K-2 Kelp', 0, '1-2 Kelp'],
		['Kelp', 0, 'Kelp'],
		['Avocet', 4, 'Avocet']
	])('%s of grade %i may be called %s', (name, grade, next) => {
		expect(nextClassName({ name, grade })).toBe(next);
	});

	it('is of the next grade, or nothing where its students leave or there are none', () => {
		const curlew = { name: 'Curlew', grade: 7, students: 20 };
		expect(nextClass(curlew, 8)).toEqual({ name: 'Curlew', grade: 8 });
		expect(nextClass(curlew, 7)).toBeNull();
		expect(nextClass({ ...curlew, students: 0 }, 8)).toBeNull();
		expect(nextClass({ ...curlew, grade: 12 }, 20)).toBeNull();
	});

	it('takes students of other grades along by as much', () => {
		expect(gradeAlong(4, 4, 5)).toBe(5);
		expect(gradeAlong(3, 4, 5)).toBe(4);
		expect(gradeAlong(4, 4, 4)).toBe(4);
		expect(gradeAlong(12, 11, 12)).toBe(12);
		expect(gradeAlong(0, 1, 0)).toBe(0);
	});

	it('is one with others of its name and grade, and cannot have the name of another grade’s', () => {
		const five = { name: 'Tern', grade: 5 };
		expect(
			joinNext([
				{ source: 1, becomes: five },
				{ source: 2, becomes: null },
				{ source: 3, becomes: { name: 'tern', grade: 5 } },
				{ source: 4, becomes: { name: 'Knot', grade: 5 } }
			])
		).toEqual({
			classes: [
				{ name: 'Tern', grade: 5, sources: [1, 3] },
				{ name: 'Knot', grade: 5, sources: [4] }
			]
		});
		expect(
			joinNext([
				{ source: 1, becomes: five },
				{ source: 2, becomes: { name: 'TERN', grade: 6 } }
			])
		).toEqual({ taken: 'TERN' });
	});
});
