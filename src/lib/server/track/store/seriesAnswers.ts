import { type ProbeAnswers, weekOfProbe } from '../../../core/growth';
import { askedParameters } from '../../../core/screening';
import type { Database } from '../../database';
import { parameterSet } from '../../screen';
import { formatFrom, type SchoolField, type StoredFormat } from '../../standing';
import type { ProbePlan } from './probes';

interface AnswerRow extends StoredFormat {
	planId: number;
	number: number;
	skillId: number;
	parametersId: number | null;
	familyId: string;
	digits: number | null;
	correct: number;
}

/** The answers of plans' finished probes, by plan, in the order of their weeks: first tries, as hard as their questions were. */
export async function seriesAnswers(
	database: Database,
	{ skills }: SchoolField,
	plans: Pick<ProbePlan, 'id' | 'aWeek'>[]
): Promise<Map<number, ProbeAnswers[]>> {
	const series = new Map<number, ProbeAnswers[]>(plans.map(({ id }) => [id, []]));
	if (plans.length === 0) return series;
	const rows = await database.rows<AnswerRow>(
		`SELECT sitting.plan_id AS planId, sitting.probe_number AS number, answer.skill_id AS skillId,
			sitting.parameters_id AS parametersId, item.family_id AS familyId, item.kind AS answerKind, item.options, item.digits,
			answer.correct
		FROM sitting
		JOIN answer ON answer.sitting_id = sitting.id AND answer.attempt = 1
		JOIN sitting_item AS item ON item.sitting_id = answer.sitting_id AND item.position = answer.position
		WHERE sitting.plan_id IN (?) AND sitting.finished_at IS NOT NULL
		ORDER BY sitting.plan_id, sitting.probe_number, answer.position`,
		[[...series.keys()]]
	);
	const aWeek = new Map(plans.map((plan) => [plan.id, plan.aWeek]));
	/** By plan and number. */
	const probes = new Map<string, ProbeAnswers>();
	for (const row of rows) {
		const skill = skills.get(row.skillId);
		if (!skill) continue;
		const key = `${row.planId} ${row.number}`;
		let probe = probes.get(key);
		if (!probe) {
			probe = { week: weekOfProbe({ aWeek: aWeek.get(row.planId)! }, row.number), answers: [] };
			probes.set(key, probe);
			series.get(row.planId)!.push(probe);
		}
		const asked = { familyId: row.familyId, format: formatFrom(row), digits: row.digits ?? 0 };
		const calibrated = await parameterSet(database, row.parametersId);
		probe.answers.push({ item: askedParameters(asked, skill, calibrated), correct: Boolean(row.correct) });
	}
	return series;
}
