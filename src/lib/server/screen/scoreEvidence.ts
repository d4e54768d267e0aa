import { cutScores } from './store/cutScores';
import { estimateProfile, POINTS_PER_LOGIT, toPoints } from '../../core/measurement';
import { gradePrior } from '../../core/screening';
import type { Database } from '../database';
import { answerHtml, mathHtml, windowSittings } from '../sitting';
import type { School } from '../school';
import { diagnosticAnswers, domainsAsked, scoredAnswers, type ScoredAnswer } from './store/diagnosticScores';
import { parameterSet } from './store/parameters';
import { asOfGrade, type RosterStudent } from '../people';
import { windowScores } from './store/scores';
import { domainList, skillList } from '../library';
import type { ScreeningWindow } from './store/windows';

const inPoints = ({ theta, standardError }: { theta: number; standardError: number }) => ({
	points: toPoints(theta),
	error: POINTS_PER_LOGIT * standardError
});

/** What a student's scores in a window follow from: every answer that counts, and what was known after each. Points. */
export async function scoreEvidence(database: Database, school: School, window: ScreeningWindow, now: RosterStudent) {
	const [student] = await asOfGrade(database, [now], window.opensOn);
	const [sittings, scores, allDomains, allSkills, cuts] = await Promise.all([
		windowSittings(database, window.id, [student.id]),
		windowScores(database, window.id, [student.id]),
		domainList(database, school.id),
		skillList(database, school.id),
		cutScores(database, school.id, window)
	]);
	const stored = scores.get(student.id)?.find(({ domainId }) => domainId === 0) ?? null;
	const sitting = sittings.get(student.id) ?? null;
	const shared = {
		cut: cuts[student.grade],
		stored: stored && { source: stored.source, takenOn: stored.takenOn, ...inPoints(stored) },
		sitting: sitting && { trust: sitting.trust, flags: sitting.flags, adaptive: sitting.adaptive }
	};
	if (!sitting) return { ...shared, prior: null, steps: [], domains: [] };
	const skills = allSkills.filter(({ subject }) => subject === window.subject);
	const skillOf = new Map(skills.map((skill) => [skill.id, skill]));
	const domainOf = new Map(allDomains.map((domain) => [domain.id, domain]));
	const baseId = sitting.resitsId ?? sitting.id;
	const parameters = await parameterSet(database, sitting.parametersId);
	const answers = scoredAnswers(await diagnosticAnswers(database, baseId), { skills, parameters });
	const prior = gradePrior({ grade: student.grade, term: window.term });
	const byDomain = new Map<number, ScoredAnswer[]>(domainsAsked(skills).map((id) => [id, []]));
	let profile = estimateProfile(byDomain, prior);
	const atFirst = inPoints(profile.overall);
	const steps = answers.map((answer) => {
		byDomain.get(answer.domainId)!.push(answer);
		profile = estimateProfile(byDomain, prior);
		const skill = skillOf.get(answer.skillId)!;
		return {
			domain: domainOf.get(answer.domainId)!.name,
			skill: { code: skill.code, name: skill.shortName },
			stemHtml: mathHtml(answer.question.stem),
			givenHtml: answerHtml(answer.question, answer.response),
			notYet: answer.response === null,
			correct: answer.correct,
			seconds: Math.round(answer.milliseconds / 1000),
			isRapid: answer.milliseconds < answer.rapidMs,
			difficulty: toPoints(answer.item.difficulty),
			...inPoints(profile.overall)
		};
	});
	return {
		...shared,
		prior: atFirst,
		steps,
		domains: [...profile.domains].map(([id, estimate]) => {
			const own = byDomain.get(id)!;
			return {
				name: domainOf.get(id)!.name,
				answers: own.length,
				right: own.filter(({ correct }) => correct).length,
				notYet: own.filter(({ response }) => response === null).length,
				...inPoints(estimate)
			};
		})
	};
}
