import { describe, expect, it } from 'vitest';
import { packedRow } from '../../../../tests/packedRow';
import type { VisibleId } from '../request';
import { viewMap, type MapChoice, type PlacedSkill, type ViewStudent } from './mapView';

const skill = (place: number, change: Partial<PlacedSkill> = {}): PlacedSkill => ({
	id: 10 + place,
	domainId: place < 3 ? 1 : 2,
	code: `W${place}`,
	shortName: ['Add tens', 'Halves', 'Skip counting', 'Area'][place],
	statement: 'Says more',
	subject: 'Mathematics',
	also: '',
	grade: 2 + place,
	term: 1,
	place,
	...change
});
const skills = [0, 1, 2, 3].map((place) => skill(place));
const student = (id: number, cells: string, change: Partial<ViewStudent> = {}): ViewStudent => ({
	id: id as VisibleId,
	number: `S${id}`,
	grade: 4,
	classId: 1,
	givenName: ['Ada', 'Bo', 'Cy'][id - 1],
	familyName: 'Marsh',
	className: 'Avocet',
	tier: 1,
	cells: packedRow(cells),
	ability: null,
	...change
});
const students = [
	student(1, 's5 g6r u0 G0', { ability: 0.4 }),
	student(2, 's5 f3r g4 u0', { tier: 3, ability: -1.2 }),
	student(3, 'l5 s6 s6 s6', { ability: 1.1 })
];
const all: MapChoice = {
	skills: 'all',
	needles: 'all',
	find: '',
	folded: new Set(),
	order: 'class',
	reached: { grade: 4, term: 1 },
	focus: new Set([12])
};
const view = (change: Partial<MapChoice>) => {
	const shown = viewMap(students, skills, { ...all, ...change });
	return { students: shown.students.map(({ id }) => id), skills: shown.skills.map(({ id }) => id) };
};

describe('what the needle map shows', () => {
	it('is everybody and every skill unless something is chosen', () => {
		expect(view({})).toEqual({ students: [1, 2, 3], skills: [10, 11, 12, 13] });
	});

	it('are the skills taught by now, those a group works on, or those of earlier grades', () => {
		expect(view({ skills: 'term' }).skills).toEqual([10, 11, 12]);
		expect(view({ skills: 'focus' }).skills).toEqual([12]);
		expect(view({ skills: 'below:4' }).skills).toEqual([10, 11]);
	});

	it('narrowed to some needles leaves out students and skills without any', () => {
		expect(view({ needles: 'gaps' })).toEqual({ students: [1, 2], skills: [11, 12] });
		expect(view({ needles: 'ready' })).toEqual({ students: [1, 2], skills: [11] });
		expect(view({ needles: 'slipping' })).toEqual({ students: [3], skills: [10] });
		expect(view({ needles: 'thin' })).toEqual({ students: [1, 2], skills: [11, 12, 13] });
	});

	it('narrowed by typing finds a student or a skill, and nothing for a word that is neither', () => {
		expect(view({ find: 'ada' })).toEqual({ students: [1], skills: [10, 11, 12, 13] });
		expect(view({ find: ' HALV' })).toEqual({ students: [1, 2, 3], skills: [11] });
		expect(view({ find: 'w2' }).skills).toEqual([12]);
		expect(view({ find: 'zebra' }).students).toEqual([]);
	});

	it('leaves the skills of a folded domain to its one column', () => {
		expect(view({ folded: new Set([1]) }).skills).toEqual([13]);
	});

	it('stands in the wanted order, equal rows as they come, those without a score last', () => {
		expect(view({ order: 'gaps' }).students).toEqual([1, 2, 3]);
		expect(view({ order: 'tier' }).students).toEqual([2, 1, 3]);
		expect(view({ order: 'level' }).students).toEqual([2, 1, 3]);
		expect(view({ order: 'ready' }).students).toEqual([1, 2, 3]);
		expect(view({ order: 'secure' }).students).toEqual([3, 1, 2]);
		expect(view({ order: 'forming' }).students).toEqual([2, 1, 3]);
		expect(view({ order: 'slipping' }).students).toEqual([3, 1, 2]);
		const unknown = [student(1, 'u0 u0 u0 u0'), ...students.slice(1)];
		expect(viewMap(unknown, skills, { ...all, order: 'level' }).students.map(({ id }) => id)).toEqual([2, 3, 1]);
	});
});
