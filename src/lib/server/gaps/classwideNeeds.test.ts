import { describe, expect, it } from 'vitest';
import { cellFrom } from '../../../../tests/packedRow';
import { packCells } from '../../core/mastery';
import { classwideNeeds } from './classwideNeeds';
import type { RosterStudent } from '../people/store/roster';
import type { Skill } from '../library/store/skills';

const skill = (id: number, grade: number, term: number) =>
	({ id, code: `X${id}`, shortName: `Skill ${id}`, statement: '', domainId: 1, grade, term }) as Skill;
const skills = [skill(1, 3, 2), skill(2, 4, 2), skill(3, 4, 3)];
const student = (id: number, classId: number) =>
	({
		id,
		classId,
		className: `Class ${classId}`,
		grade: 4,
		givenName: '',
		familyName: '',
		number: '',
		tier: 1
	}) as RosterStudent;
/** Ten students a class; the first so many of them have a gap in a skill, the rest are secure. */
function school(gaps: Record<number, Record<number, number>>) {
	const students = Object.keys(gaps).flatMap((classId) =>
		Array.from({ length: 10 }, (_, i) => student(100 * Number(classId) + i, Number(classId)))
	);
	const classOf = new Map(students.map(({ id, classId }) => [id as number, classId]));
	/** Students of whom nothing is known. */
	const unknown = new Set<number>();
	const cellOf = (id: number, skillId: number) => {
		const count = unknown.has(id) ? undefined : gaps[classOf.get(id)!]?.[skillId];
		return cellFrom(count === undefined ? 'u0' : id % 100 < count ? 'g8' : 's8');
	};
	const cells = {
		placeOf: new Map(skills.map(({ id }, place) => [id, place])),
		packed: (id: number) => packCells(skills.map((one) => cellOf(id, one.id)))
	};
	return { students, cells, unknown };
}

describe('class-wide needs', () => {
	it('are told class by class, the largest share first', () => {
		const { students, cells } = school({ 1: { 1: 6, 2: 9 }, 2: { 1: 7, 2: 2 } });
		const needs = classwideNeeds(students, skills, cells, 2);
		expect(needs.map(({ classId, skillId, lacking, advice }) => [classId, skillId, lacking, advice])).toEqual([
			[1, 2, 9, 'whole class, firm'],
			[2, 1, 7, 'whole class'],
			[1, 1, 6, 'whole class']
		]);
	});

	it('leave out skills that the grade meets only later in the year', () => {
		const { students, cells } = school({ 1: { 3: 10 } });
		expect(classwideNeeds(students, skills, cells, 2)).toEqual([]);
		expect(classwideNeeds(students, skills, cells, 3).map(({ skillName }) => skillName)).toEqual(['Skill 3']);
	});

	it('need evidence: students nothing is known of do not count', () => {
		const { students, cells, unknown } = school({ 1: { 1: 10 } });
		students.slice(5).forEach(({ id }) => unknown.add(id));
		expect(classwideNeeds(students, skills, cells, 2)).toMatchObject([{ lacking: 5, withEvidence: 5 }]);
		const more = [student(110, 1), student(111, 1)];
		expect(classwideNeeds([...students, ...more], skills, cells, 2)).toEqual([]);
		expect(classwideNeeds([], skills, cells, 2)).toEqual([]);
	});
});
