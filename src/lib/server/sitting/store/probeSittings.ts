import type { ProbeForm } from '../../../core/growth';
import type { Item } from '../../../core/items';
import { probePlaces, probeQuestions, sameWords } from '../../../core/items/probeQuestions';
import type { Database, RootDatabase } from '../../database';
import type { Skill } from '../../library';
import { beginFixed, withSkillIds } from './sittings';

interface BegunPlan extends Omit<ProbeForm, 'aWeek'> {
	id: number;
	studentId: number;
	skillId: number;
	skillCode: string;
}

/** Begins a probe of a plan, or finds the one already begun: questions that the student has met nowhere before. */
export async function beginProbe(
	database: RootDatabase,
	plan: BegunPlan,
	number: number,
	skills: Skill[],
	at: Date
): Promise<number> {
	const begun = await database.row<{ id: number }>('SELECT id FROM sitting WHERE plan_id = ? AND probe_number = ?', [
		plan.id,
		number
	]);
	if (begun) return begun.id;
	const places = await placesOf(database, plan);
	const met = await wordsMet(database, plan.studentId, [...new Set(places.map(({ familyId }) => familyId))]);
	const { questions } = probeQuestions(places, plan.id, number, met);
	const origin = { planId: plan.id, number };
	return beginFixed(
		database,
		{ studentId: plan.studentId, kind: 'probe', origin, at },
		withSkillIds(questions, skills)
	);
}

/** The places of a plan's probes: on its focus, and on what comes before in the framework of the student's school. */
export async function placesOf(
	database: Database,
	plan: Pick<BegunPlan, 'skillId' | 'skillCode' | 'studentId' | 'questions' | 'ofFocus'>
) {
	const before = await database.rows<{ code: string }>(
		`SELECT skill.code FROM student
		JOIN school ON school.id = student.school_id
		JOIN framework_edge AS edge ON edge.framework_id = school.framework_id AND edge.skill_id = ?
		JOIN skill ON skill.id = edge.prerequisite_id
		WHERE student.id = ? ORDER BY skill.id`,
		[plan.skillId, plan.studentId]
	);
	return probePlaces(
		plan.skillCode,
		before.map(({ code }) => code),
		plan
	);
}

/** What a student was asked before in families, in a diagnostic, in practice or a probe, as `sameWords` tells it. */
export async function wordsMet(database: Database, studentId: number, familyIds: string[]): Promise<Set<string>> {
	const rows = await database.rows<{ content: string }>(
		`SELECT DISTINCT asked.content FROM sitting
		JOIN sitting_item AS item ON item.sitting_id = sitting.id AND item.family_id IN (?)
		JOIN asked_item AS asked
			ON asked.edition = item.edition AND asked.family_id = item.family_id AND asked.seed = item.seed
		WHERE sitting.student_id = ?`,
		[familyIds, studentId]
	);
	return new Set(rows.map(({ content }) => sameWords(JSON.parse(content) as Item)));
}
