import { hasItems } from '../../core/items/bank';
import { FAILED_OFTEN, failedInARow, nextSteps, type SetOutcome } from '../../core/practice';
import type { NeedInputs } from '../../core/grouping';
import type { Database } from '../database';
import type { SkillGraph } from '../../core/mastery';
import type { Skill } from '../library';
import type { RosterStudent } from '../people';
import type { School } from '../school';
import { schoolImportance, type Standings } from '../standing';

/** Skills that are offered as a student's next step, the best first. */
const MOST_STEPS = 4;

/** What is known of students to whom work is given. */
interface Known {
	standings: Standings;
	/** Skills of what waits for them. */
	waiting: Map<number, Set<number>>;
	outcomes: Map<number, Map<number, SetOutcome[]>>;
}

/** The skills that each of some students could practice next, the best first: ids, and whether each is due. */
export async function nextStepsFor(
	database: Database,
	school: School,
	skills: Skill[],
	graph: SkillGraph,
	students: RosterStudent[],
	{ standings, waiting, outcomes }: Known
): Promise<Map<number, ReturnType<typeof nextSteps>>> {
	const importance = await schoolImportance(database, school, skills, graph);
	const withItems = new Set(skills.filter(({ code }) => hasItems(code)).map(({ id }) => id));
	return new Map(
		students.map(({ id, grade, tier }) => {
			const known: NeedInputs = { standings: standings.get(id)!, importance: importance(grade), tier };
			const isOffered = (skillId: number) =>
				withItems.has(skillId) &&
				!waiting.get(id)?.has(skillId) &&
				failedInARow(outcomes.get(id)?.get(skillId) ?? []) < FAILED_OFTEN;
			return [id, nextSteps(graph, known, isOffered, MOST_STEPS)];
		})
	);
}
