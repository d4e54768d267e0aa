import { EMPHASES, importanceBy } from '../../core/grouping';
import type { SkillGraph } from '../../core/mastery';
import { termSaid, yearOf } from '../../core/measurement';
import type { Database } from '../database';
import { EMPHASIS_GRADES, schoolEmphasis, type Skill } from '../library';
import { schoolYears, type School } from '../school';

/** How much depends on each skill for students of a grade today, by skill; each grade is worked out once. */
export async function schoolImportance(
	database: Database,
	school: School,
	skills: Skill[],
	graph: SkillGraph
): Promise<(grade: number) => Map<number, number>> {
	const [years, emphasis] = await Promise.all([schoolYears(database, school.id), schoolEmphasis(database, school.id)]);
	const term = termSaid(school.today, yearOf(school.today, years));
	const levels = new Map(skills.map((skill) => [skill.id, skill]));
	const onDomain = new Map(emphasis.map(({ id, byGrade }) => [id, byGrade]));
	const found = new Map<number, Map<number, number>>();
	return (grade) => {
		const weightOf = (skillId: number) =>
			EMPHASES[onDomain.get(levels.get(skillId)!.domainId)?.[EMPHASIS_GRADES.indexOf(grade)] ?? 'full'];
		const known = found.get(grade) ?? importanceBy(graph, levels, { grade, term }, weightOf);
		found.set(grade, known);
		return known;
	};
}
