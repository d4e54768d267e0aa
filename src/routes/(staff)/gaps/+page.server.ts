import { describeAnswer, itemFrom, misconceptionById } from '$lib/core/items';
import { classwideNeed } from '$lib/core/screening';
import { needleMap } from '$lib/server/needleMap';
import { mathHtml } from '$lib/server/presentItem';
import { scopeOf, staffContext } from '$lib/server/staffPage';
import { domainList, skillGraph, skillList } from '$lib/server/store/skills';
import { evidenceFor } from '$lib/server/store/standings';

export async function load({ locals, url }) {
	const { staff, school } = await staffContext(locals);
	const scope = await scopeOf(locals, url, staff, school);
	const { database } = locals;
	const ids = scope.students.map(({ id }) => id);
	const [domains, skills] = await Promise.all([domainList(database), skillList(database)]);
	const graph = await skillGraph(database, skills);
	const { rows, standings } = await needleMap(database, ids, skills, graph, school.today);

	const classIds = [...new Set(scope.students.map(({ classId }) => classId))];
	const classwide = classIds.flatMap((classId) => {
		const members = scope.students.filter((student) => student.classId === classId);
		return skills.flatMap((skill) => {
			const need = classwideNeed(members.map(({ id }) => standings.get(id)!.get(skill.id)?.standing ?? 'unseen'));
			// Skills a class has not come to yet are no need: only those of its own grade or before.
			if (
				need.advice === 'none' ||
				skill.grade > members[0].grade ||
				(skill.grade === members[0].grade && skill.term > 2)
			)
				return [];
			return [{ classId, className: members[0].className, skillId: skill.id, skill: skill.shortName, ...need }];
		});
	});

	classwide.sort((a, b) => b.lacking / b.withEvidence - a.lacking / a.withEvidence);

	return { domains, skills, rows, classwide, evidence: await chosenEvidence() };

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
