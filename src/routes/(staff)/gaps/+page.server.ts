import { describeAnswer, itemFrom, misconceptionById } from '$lib/core/items';
import { classwideNeeds } from '$lib/server/classwideNeeds';
import { needleMap } from '$lib/server/needleMap';
import { mathHtml } from '$lib/server/presentItem';
import { windowInView } from '$lib/server/screening';
import { scopeOf, staffContext } from '$lib/server/staffPage';
import { domainList, skillGraph, skillList } from '$lib/server/store/skills';
import { evidenceFor } from '$lib/server/store/standings';

export async function load({ locals, url }) {
	const { staff, school } = await staffContext(locals);
	const scope = await scopeOf(locals, url, staff, school);
	const { database } = locals;
	const ids = scope.students.map(({ id }) => id);
	const [domains, skills, { window }] = await Promise.all([
		domainList(database),
		skillList(database),
		windowInView(database, school)
	]);
	const graph = await skillGraph(database, skills);
	const { rows, standings } = await needleMap(database, ids, skills, graph, school.today);

	const term = window?.term ?? 3;
	const classwide = classwideNeeds(scope.students, skills, standings, term);
	/** What the oldest here have been taught by now. */
	const reached = { grade: Math.max(1, ...scope.students.map(({ grade }) => grade)), term };
	return { domains, skills, rows, reached, classwide, evidence: await chosenEvidence() };

	async function chosenEvidence() {
		const studentId = Number(url.searchParams.get('student'));
		const skill = skills.find(({ id }) => id === Number(url.searchParams.get('cell')));
		if (!skill || !ids.includes(studentId)) return null;
		const now = standings.get(studentId)!.get(skill.id);
		const answers = await evidenceFor(database, studentId, skill.id);
		const prerequisites = graph.prerequisites.get(skill.id)!.map((id) => {
			const state = standings.get(studentId)!.get(id);
			return {
				id,
				name: skills.find((one) => one.id === id)!.shortName,
				state: state?.inferred ?? state?.standing ?? 'unseen',
				inferred: Boolean(state?.inferred)
			};
		});
		return {
			studentId,
			skill,
			now,
			prerequisites,
			answers: answers.map((answer) => {
				const item = itemFrom(answer.familyId, answer.seed);
				return {
					on: answer.answeredAt.toISOString().slice(0, 10),
					kind: answer.kind,
					stemHtml: mathHtml(item.stem),
					givenHtml: mathHtml(describeAnswer(item, answer.response as never)),
					correct: answer.correct,
					idea: answer.misconception ? (misconceptionById(answer.misconception)?.shows ?? null) : null,
					seconds: Math.round(answer.milliseconds / 1000)
				};
			})
		};
	}
}
