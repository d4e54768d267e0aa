import { readLook } from '../../core/mastery';
import { expectedTheta } from '../../core/measurement';
import { classwideNeed } from '../../core/screening';
import type { RosterStudent } from '../people';
import type { Skill } from '../library';
import type { Cells } from '../standing';

/** A skill that so many of a class lack that it is a lesson for all, not a group. */
interface ClasswideNeed extends ReturnType<typeof classwideNeed> {
	classId: number;
	className: string;
	skillId: number;
	skillName: string;
}

/** Share of a class that must have evidence on a skill before anything is said of the class. */
const EVIDENCE_SHARE = 0.5;

/**
 * Class-wide needs, the largest share first. A skill that a class meets only later in the year is no need, so only
 * skills at or under the level of its grade and the term count.
 *
 * @param term of the year now, 1 to 3
 */
export function classwideNeeds(
	students: RosterStudent[],
	skills: Skill[],
	cells: Pick<Cells, 'packed' | 'placeOf'>,
	term: number
): ClasswideNeed[] {
	const needs = [...new Set(students.map(({ classId }) => classId))].flatMap((classId) => {
		const members = students.filter((student) => student.classId === classId);
		const [{ className, grade }] = members;
		const packed = members.map(({ id }) => cells.packed(id));
		const reached = expectedTheta({ grade, term });
		return (
			skills
				.filter((skill) => expectedTheta(skill) <= reached)
				.map((skill) => {
					const place = cells.placeOf.get(skill.id)!;
					const need = classwideNeed(packed.map((own) => readLook(own, place)));
					return { classId, className, skillId: skill.id, skillName: skill.shortName, ...need };
				})
				// Questions chosen by what a student can do are asked of those who are weak: few answers are not the class.
				.filter(({ advice, withEvidence }) => advice !== 'none' && withEvidence >= EVIDENCE_SHARE * members.length)
		);
	});
	return needs.sort((a, b) => b.lacking / b.withEvidence - a.lacking / a.withEvidence);
}
