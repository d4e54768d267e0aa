import { itemFrom, misconceptionById } from '$lib/core/items';
import { isMasteredIn, rootCauses, supposed } from '$lib/core/mastery';
import { classwideNeeds, needleMap } from '$lib/server/gaps';
import { answerHtml, mathHtml } from '$lib/server/sitting';
import { idIn } from '$lib/server/request';
import { overallAbilities, windowInView } from '$lib/server/screen';
import { scopeOf, staffContext } from '$lib/server/shell/staffPage';
import { currentGroups } from '$lib/server/groups';
import { domainList, skillGraph, skillList } from '$lib/server/library';
import { evidenceFor } from '$lib/server/standing';

/** Chance that a skill is known of which nothing is. */
const NOTHING_KNOWN = 0.5;
/** Chains that are shown of a gap. */
const MOST_CAUSES = 3;

export async function load({ locals, url }) {
	const { staff, school } = await staffContext(locals);
	const scope = await scopeOf(locals, url, staff, school);
	const { database } = locals;
	const ids = scope.students.map(({ id }) => id);
	const [domains, skills, { window }] = await Promise.all([
		domainList(database, school.id),
		skillList(database, school.id),
		windowInView(database, school)
	]);
	const graph = await skillGraph(database, school.id, skills);
	const [{ rows, standings }, groups, abilities] = await Promise.all([
		needleMap(database, ids, skills, graph, school.today),
		currentGroups(database, staff, school.today),
		overallAbilities(database, ids)
	]);

	const term = window?.term ?? 3;
	const classwide = classwideNeeds(scope.students, skills, standings, term);
	/** What the oldest here have been taught by now. */
	const reached = { grade: Math.max(1, ...scope.students.map(({ grade }) => grade)), term };
	return {
		domains,
		skills,
		rows: rows.map((row) => ({ ...row, ability: abilities.get(row.id) ?? null })),
		reached,
		classwide,
		focus: [...new Set(groups.map(({ focusSkillId }) => focusSkillId))],
		evidence: await chosenEvidence()
	};

	async function chosenEvidence() {
		const studentId = ids.find((id) => id === idIn(url, 'student'));
		const skill = skills.find(({ id }) => id === idIn(url, 'cell'));
		if (!skill || studentId === undefined) return null;
		const own = standings.get(studentId)!;
		const now = own.get(skill.id);
		const answers = await evidenceFor(database, studentId, skill.id);
		const named = (id: number) => {
			const state = own.get(id);
			return {
				id,
				name: skills.find((one) => one.id === id)!.shortName,
				state: state?.inferred ?? state?.standing ?? ('unseen' as const),
				inferred: Boolean(state?.inferred)
			};
		};
		const prerequisites = graph.prerequisites.get(skill.id)!.map(named);
		const causes =
			now && supposed(now) === 'gap'
				? rootCauses(graph, skill.id, isMasteredIn(own), (id) => own.get(id)?.probability ?? NOTHING_KNOWN)
				: [];
		return {
			studentId,
			skill,
			now,
			prerequisites,
			causes: causes.slice(0, MOST_CAUSES).map(({ skills: chain, strength }) => ({
				strength,
				// From where it begins up to the skill before this one.
				skills: chain.toReversed().map(named)
			})),
			answers: answers.map((answer) => {
				const item = itemFrom(answer.familyId, answer.seed);
				return {
					on: answer.answeredAt.toISOString().slice(0, 10),
					kind: answer.kind,
					stemHtml: mathHtml(item.stem),
					givenHtml: answerHtml(item, answer.response as never),
					correct: answer.correct,
					idea: answer.misconception ? (misconceptionById(answer.misconception)?.shows ?? null) : null,
					seconds: Math.round(answer.milliseconds / 1000)
				};
			})
		};
	}
}
