import { describe, expect, it } from 'vitest';
import { planStudents, type KnownStudent } from './studentPlan';

const line = (givenName: string, familyName: string, more: object = {}) => ({
	givenName,
	familyName,
	preferredName: '',
	number: '',
	grade: null,
	birthDate: null,
	className: '',
	homeLanguage: '',
	problem: '',
	...more
});
const known = (id: number, givenName: string, familyName: string, more: Partial<KnownStudent> = {}): KnownStudent => ({
	id,
	givenName,
	familyName,
	preferredName: null,
	number: null,
	birthDate: null,
	classId: 1,
	...more
});
const school = {
	known: [
		known(1, 'Ilse', 'Rahimi', { number: 'S1' }),
		known(2, 'Tomo', 'Okafor', { classId: 2 }),
		known(3, 'Maia', 'Diaz', { classId: null, preferredName: 'May' })
	],
	classes: [
		{ id: 1, name: 'Avocet', grade: 4 },
		{ id: 2, name: 'Curlew', grade: 5 }
	],
	into: 'Avocet',
	grades: { first: 0, last: 8 }
};
const effects = (lines: ReturnType<typeof line>[], changes: object = {}) =>
	planStudents(lines, { ...school, ...changes }).students.map(({ effect, problem }) => problem || effect);

describe('the plan of a list', () => {
	it('tells who is new, who is here, who moves and who returns', () => {
		const plan = planStudents(
			[line('Ada', 'Carver'), line('ILSE', 'rahimi'), line('Tomo', 'Okafor'), line('May', 'Diaz')],
			school
		);
		expect(plan.students.map(({ effect, studentId, grade }) => [effect, studentId, grade])).toEqual([
			['new', null, 4],
			['here', 1, 4],
			['moves', 2, 4],
			['returns', 3, 4]
		]);
		expect(plan.newClasses).toEqual([]);
	});

	it('finds a student by number under another name, and says when a number is somebody else’s', () => {
		expect(effects([line('Ilse', 'Okonkwo', { number: 's1' })])).toEqual(['here']);
		expect(effects([line('Ada', 'Carver', { number: 'S1' })])).toEqual(['This is the number of Ilse Rahimi']);
	});

	it('takes another number, or another birth date, for another student', () => {
		expect(effects([line('Ilse', 'Rahimi', { number: 'S2' })])).toEqual(['new']);
		const born = [known(1, 'Ada', 'Carver', { birthDate: '2016-01-01' })];
		expect(effects([line('Ada', 'Carver', { birthDate: '2016-01-02' })], { known: born })).toEqual(['new']);
		expect(effects([line('Ada', 'Carver', { birthDate: '2016-01-01' })], { known: born })).toEqual(['here']);
	});

	it('asks who is meant where two have the name, and where one is meant twice', () => {
		expect(effects([line('Ada', 'Carver')], { known: [known(1, 'Ada', 'Carver'), known(2, 'Ada', 'Carver')] })).toEqual(
			['Several students have this name: give the number or the birth date']
		);
		expect(effects([line('May', 'Diaz'), line('Maia', 'Diaz')])).toEqual(['returns', 'Maia Diaz is meant twice']);
	});

	it('makes a class that there is not, once, and only where somebody comes into it', () => {
		const plan = planStudents(
			[
				line('Ada', 'Carver', { className: 'Dunlin', grade: 3 }),
				line('Bo', 'Carver', { className: 'dunlin' }),
				line('Cy', 'Carver', { className: 'Knot' }),
				line('Di', 'Carver', { className: 'Plover', grade: 3, problem: 'No name' })
			],
			{ ...school, into: null }
		);
		expect(plan.newClasses).toEqual([{ name: 'Dunlin', grade: 3 }]);
		expect(plan.students.map(({ grade, problem }) => problem || grade)).toEqual([3, 3, 'No grade', 'No name']);
	});

	it('wants a class for each line, and a grade that is taught', () => {
		expect(effects([line('Ada', 'Carver')], { into: null })).toEqual(['No class']);
		expect(effects([line('Ada', 'Carver', { grade: 9 })])).toEqual(['Grade 9 is not taught here']);
		expect(effects([line('Ada', 'Carver', { grade: 0 })], { grades: { first: 1, last: 8 } })).toEqual([
			'Grade K is not taught here'
		]);
	});
});
