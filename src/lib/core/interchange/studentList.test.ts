import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { cellsOfText, proposeLayout, readGrade, readStudentList, splitName, withRepeats } from './studentList';

const TODAY = '2026-11-23';
const read = (text: string) => {
	const cells = cellsOfText(text);
	return readStudentList(cells, proposeLayout(cells), TODAY);
};
const names = (text: string) => read(text).map(({ givenName, familyName }) => `${givenName}|${familyName}`);

describe('a pasted list of students', () => {
	it('is read in any usual order and with any usual separator', () => {
		const wanted = ['Ilse|Rahimi', 'Tomo|Okafor', 'Maia|van der Berg'];
		expect(names('Ilse Rahimi\nTomo Okafor\nMaia van der Berg')).toEqual(wanted);
		expect(names('Rahimi, Ilse\r\nOkafor, Tomo\r\nvan der Berg, Maia')).toEqual(wanted);
		expect(names('1. Ilse Rahimi\n2. Tomo Okafor\n\n3. Maia van der Berg\n')).toEqual(wanted);
		expect(names('First name\tLast name\nIlse\tRahimi\nTomo\tOkafor\nMaia\tvan der Berg')).toEqual(wanted);
		expect(names('Student;ID\nRahimi, Ilse;1001\nOkafor, Tomo;1002\nvan der Berg, Maia;1003')).toEqual(wanted);
		expect(names('RAHIMI Ilse\nOKAFOR Tomo\nVAN-DER-BERG Maia')).toEqual([
			'Ilse|Rahimi',
			'Tomo|Okafor',
			'Maia|Van-Der-Berg'
		]);
	});

	it('without headings tells columns by what they hold', () => {
		const [first] = read(
			[
				'1\tAdeyemi\tTomo\t4\tS1001\t4/11/2016',
				'2\tBianchi\tMaia\t4\tS1002\t5/30/2016',
				'3\tCarver\tAda\t4\tS1003\t12/1/2015'
			].join('\n')
		);
		expect(first).toEqual({
			line: 1,
			givenName: 'Tomo',
			familyName: 'Adeyemi',
			preferredName: '',
			number: 'S1001',
			grade: 4,
			birthDate: '2016-04-11',
			className: '',
			homeLanguage: '',
			problem: ''
		});
	});

	it('takes a home language from a column that is named so, and from no other', () => {
		const [first] = read('Name\tHome language\nIlse Rahimi\tDari\nTomo Okafor\tIgbo');
		expect(first).toMatchObject({ familyName: 'Rahimi', homeLanguage: 'Dari', problem: '' });
		expect(read('Name\tSpeaks\nIlse Rahimi\tDari')[0].homeLanguage).toBe('');
		expect(read(`Name\tLanguage\nIlse Rahimi\t${'x'.repeat(61)}`)[0].problem).toContain('home language');
	});

	it('takes the column that is in order for family names', () => {
		const given = ['Tomo', 'Ada', 'Maia', 'Bo'];
		const family = ['Adeyemi', 'Bianchi', 'Carver', 'Diaz'];
		const columns = (one: string[], other: string[]) => proposeLayout(one.map((name, i) => [name, other[i]])).columns;
		expect(columns(given, family)).toEqual(['given name', 'family name']);
		expect(columns(family, given)).toEqual(['family name', 'given name']);
	});

	it('reads kindergarten to grade 12 as they are written', () => {
		expect(['K', 'kg', '4', '4th', 'Grade 4', 'gr. 12', '3rd grade'].map(readGrade)).toEqual([0, 0, 4, 4, 4, 12, 3]);
		expect(['13', 'four', '', '4a'].map(readGrade)).toEqual([null, null, null, null]);
	});

	it('keeps the name somebody goes by', () => {
		expect(splitName('Ana (Anni) Ruiz', false)).toEqual({
			givenName: 'Ana',
			familyName: 'Ruiz',
			preferredName: 'Anni'
		});
		expect(splitName('Ruiz, Ana “Anni”', false).preferredName).toBe('Anni');
	});

	it('says of each line that cannot be taken what is wrong', () => {
		const problems = (text: string) => read(text).map(({ problem }) => problem);
		expect(problems('Ilse Rahimi\nTomo')).toEqual(['', 'Only one name: add the family name']);
		const table = 'Name;Number;Grade;Birth date';
		expect(
			problems(
				[
					table,
					'Ilse Rahimi;1;four;2016-02-01',
					'Tomo Okafor;2;4;2016-02-31',
					'Maia Diaz;3;4;1990-01-01',
					'Ada Diaz;3;4;2016-01-01',
					';5;4;2016-01-01'
				].join('\n')
			)
		).toEqual([
			'“four” is no grade from K to 12',
			'“2016-02-31” is no date',
			'Born 1990-01-01: not of school age',
			'The same as number 3 of the list',
			'No name'
		]);
	});

	it('marks the same name twice, unless a number or a birth date tells them apart', () => {
		const student = {
			givenName: 'Ada',
			familyName: 'Diaz',
			preferredName: '',
			grade: 4,
			className: '',
			homeLanguage: '',
			problem: ''
		};
		const marked = (one: object, other: object) =>
			withRepeats([
				{ ...student, number: '', birthDate: null, ...one },
				{ ...student, number: '', birthDate: null, ...other }
			])[1].problem;
		expect(marked({}, {})).toBe('The same as number 1 of the list');
		expect(marked({ number: '1' }, { number: '2' })).toBe('');
		expect(marked({ birthDate: '2016-01-01' }, { birthDate: '2016-01-02' })).toBe('');
	});

	it('never loses a line, whatever is pasted', () => {
		fc.assert(
			fc.property(fc.string({ maxLength: 400, unit: 'binary' }), (text) => {
				const cells = cellsOfText(text);
				const layout = proposeLayout(cells);
				const found = readStudentList(cells, layout, TODAY);
				expect(found).toHaveLength(cells.length - (layout.hasHeader ? 1 : 0));
			})
		);
	});

	it('gives back names that were written one way, for any names', () => {
		const word = fc.stringMatching(/^\p{Lu}\p{Ll}{1,8}$/u);
		fc.assert(
			fc.property(fc.array(fc.tuple(word, word), { minLength: 2, maxLength: 30 }), (all) => {
				const written = all.map(([given, family]) => `${family}, ${given}`).join('\n');
				expect(names(written)).toEqual(
					all.map(([given, family]) => `${given.normalize('NFC')}|${family.normalize('NFC')}`)
				);
			})
		);
	});
});
