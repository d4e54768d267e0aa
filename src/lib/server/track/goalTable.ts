import { weeksBetween, type SchoolDate } from '../../core/calendar';
import {
	type GoalBasis,
	goalAsks,
	type GoalAsks,
	goalByCut,
	goalByNorm,
	goalInForm,
	type GoalSource,
	probeForm
} from '../../core/growth';
import { itemFrom } from '../../core/items/bank';
import { probePlaces, probeQuestions } from '../../core/items/probeQuestions';
import { expectedTheta, fromPoints, type ItemParameters, termSaid, yearOf } from '../../core/measurement';
import { itemParameters } from '../../core/screening';
import type { Database } from '../database';
import { skillGraph, type Skill, skillList } from '../library';
import type { RosterStudent } from '../people';
import { type School, schoolYears } from '../school';
import { cutScores } from '../screen';
import { readStandings } from '../standing';
import { growthMoves } from './store/growthMoves';

/** What is asked of goals: by what they are set, and by when. */
export interface GoalsAsked {
	source: GoalSource;
	/** Questions of sixteen; of a goal by hand. */
	byHand: number;
	/** Times the norm's growth; of a goal by the norm. */
	ambition: number;
	goalOn: SchoolDate;
}

/** A student with the goal each way would give, and what it asks. */
interface GoalLine {
	student: Pick<RosterStudent, 'id' | 'givenName' | 'familyName'>;
	questions: number;
	goals: Record<GoalSource, { right: number } & GoalAsks>;
}

/** The parameters of one probe's questions. */
export function probeItems(skill: Skill, skills: Skill[], prerequisites: number[], grade: number): ItemParameters[] {
	const byId = new Map(skills.map((one) => [one.id, one]));
	const byCode = new Map(skills.map((one) => [one.code, one]));
	const before = prerequisites.map((id) => byId.get(id)!.code);
	const places = probePlaces(skill.code, before, probeForm(grade));
	return probeQuestions(places, 1, 1, new Set()).questions.map(({ familyId, skillCode, seed }) =>
		itemParameters(itemFrom(familyId, seed), byCode.get(skillCode)!)
	);
}

/** The goals of students on a skill by hand, by the cut score of their grade, and by the norm's growth. */
export async function goalTable(
	database: Database,
	school: School,
	students: RosterStudent[],
	skillId: number,
	{ byHand, ambition, goalOn }: Omit<GoalsAsked, 'source'>
): Promise<GoalLine[]> {
	const [skills, years, standings] = await Promise.all([
		skillList(database, school.id),
		schoolYears(database, school.id),
		readStandings(
			database,
			students.map(({ id }) => id)
		)
	]);
	const graph = await skillGraph(database, school.id, skills);
	const skill = skills.find(({ id }) => id === skillId)!;
	const term = termSaid(goalOn, yearOf(goalOn, years));
	const [cuts, moves] = await Promise.all([
		cutScores(database, school.id, { measure: null, term }),
		growthMoves(database, school.id)
	]);
	const weeks = Math.max(1, Math.floor(weeksBetween(school.today, goalOn)));
	const itemsOf = new Map(
		[...new Set(students.map(({ grade }) => grade))].map((grade) => [
			grade,
			probeItems(skill, skills, graph.prerequisites.get(skillId)!, grade)
		])
	);
	return students.map(({ id, grade, givenName, familyName }) => {
		const level = standings.get(id)?.get(skillId)?.level ?? { mean: expectedTheta({ grade, term }), standardError: 1 };
		const basis: GoalBasis = { level, items: itemsOf.get(grade)!, weeks, moves: moves ?? undefined };
		const rights = [
			goalInForm(id, grade, byHand).goalCorrect,
			goalByCut(basis, fromPoints(cuts[grade])),
			goalByNorm(basis, ambition)
		];
		const [hand, cut, norm] = goalAsks(basis, rights).map((asks, i) => ({ right: rights[i], ...asks }));
		return {
			student: { id, givenName, familyName },
			questions: basis.items.length,
			goals: { hand, cut, norm }
		};
	});
}
