import { importanceBy } from '../../core/grouping';
import type { SkillGraph } from '../../core/mastery';
import { termOfYear, yearOf } from '../../core/measurement';
import type { Database } from '../database';
import type { Skill } from '../library';
import { schoolYears, type School } from '../school';

/** How much depends on each skill for students of a grade today, by skill; each grade is worked out once. */
export async function schoolImportance(
	database: Database,
	school: School,
	skills: Skill[],
	graph: SkillGraph
): Promise<(grade: number) => Map<number, number>> {
	const term = termOfYear(school.today, yearOf(school.today, await schoolYears(database, school.id)));
	const levels = new Map(skills.map((skill) => [skill.id, skill]));
	const found = new Map<number, Map<number, number>>();
	return (grade) => {
		const known = found.get(grade) ?? importanceBy(graph, levels, { grade, term });
		found.set(grade, known);
		return known;
	};
}
