import { schoolDateOf } from '../../../core/calendar';
import { type Given, type Item, type ItemKey } from '../../../core/items';
import { hasItems } from '../../../core/items/bank';
import {
	estimateProfile,
	rapidThreshold,
	trustFlags,
	type AbilityEstimate,
	type Doubt,
	type ItemParameters,
	type Profile,
	type ScoredResponse
} from '../../../core/measurement';
import { gradePrior, itemParameters } from '../../../core/screening';
import type { Database } from '../../database';
import type { VisibleId } from '../../request';
import type { ParameterSet } from './parameters';
import { type Domain, itemsAsked, type Skill } from '../../library';

/** A first try in a diagnostic. */
interface DiagnosticAnswer {
	sittingId: number;
	/** Of a resit; null in a sitting of all domains. */
	resitOf: number | null;
	/** The question as it was asked. */
	question: Item;
	skillId: number;
	correct: boolean;
	response: Given;
	milliseconds: number;
	answeredAt: Date;
}

/** First tries of a sitting and of the resits of its domains that count or have just been finished, in time. */
export async function diagnosticAnswers(database: Database, sittingId: number): Promise<DiagnosticAnswer[]> {
	const rows = await database.rows<Omit<DiagnosticAnswer, 'question' | 'response'> & ItemKey & { response: string }>(
		`SELECT sitting.id AS sittingId, sitting.domain_id AS resitOf, item.family_id AS familyId, item.seed, item.edition,
			item.skill_id AS skillId, answer.correct, answer.response, answer.milliseconds, answer.answered_at AS answeredAt
		FROM sitting
		JOIN answer ON answer.sitting_id = sitting.id AND answer.attempt = 1
		JOIN sitting_item AS item ON item.sitting_id = answer.sitting_id AND item.position = answer.position
		WHERE sitting.id = ? OR (sitting.resits_id = ? AND sitting.finished_at IS NOT NULL AND sitting.trust <> 'set aside')
		ORDER BY answer.answered_at, answer.position`,
		[sittingId, sittingId]
	);
	const asked = await itemsAsked(database, rows);
	return asked.map(({ item, response, ...row }) => ({ ...row, question: item, response: JSON.parse(response) }));
}

/** Of students' diagnostics that count in a window: how many questions were answered, and to how many it was not known yet. */
export async function notYetCounts(
	database: Database,
	windowId: number,
	studentIds: VisibleId[]
): Promise<Map<number, { said: number; of: number }>> {
	if (studentIds.length === 0) return new Map();
	const rows = await database.rows<{ studentId: number; said: string; questions: number }>(
		`SELECT sitting.student_id AS studentId, SUM(answer.response = 'null') AS said, COUNT(*) AS questions
		FROM sitting
		JOIN answer ON answer.sitting_id = sitting.id AND answer.attempt = 1
		WHERE sitting.window_id = ? AND sitting.student_id IN (?) AND sitting.trust IN ('trusted', 'kept')
		GROUP BY sitting.student_id`,
		[windowId, studentIds]
	);
	return new Map(
		rows.map(({ studentId, said, questions }) => [studentId, { said: Number(said), of: Number(questions) }])
	);
}

/** What a diagnostic is scored with. */
interface ScoringContext {
	grade: number;
	term: number;
	adaptive: boolean;
	skills: Skill[];
	domains: Domain[];
	/** Of the version that the sitting began with. */
	parameters: ParameterSet;
	timeZone: string;
	/** Overall, of the sitting before. */
	previous?: AbilityEstimate;
}

export interface DiagnosticResult {
	profile: Profile<number>;
	doubts: Doubt<number>[];
}

/** Domains a diagnostic asks: those with questions. */
export const domainsAsked = (skills: Skill[]) => [
	...new Set(skills.filter(({ code }) => hasItems(code)).map(({ domainId }) => domainId))
];

/** An answer as it is scored. */
export interface ScoredAnswer extends DiagnosticAnswer {
	item: ItemParameters;
	domainId: number;
	/** Time (ms) under which it was given unread. */
	rapidMs: number;
}

/** The answers that count, in time, with the parameters of their questions: of a domain sat again only the newest. */
export function scoredAnswers(
	answers: DiagnosticAnswer[],
	{ skills, parameters }: Pick<ScoringContext, 'skills' | 'parameters'>
): ScoredAnswer[] {
	const bySkill = new Map(skills.map((skill) => [skill.id, skill]));
	// The last resit of a domain stands for it.
	const standsFor = new Map<number, number>();
	for (const { sittingId, resitOf } of answers) if (resitOf !== null) standsFor.set(resitOf, sittingId);
	const counting = answers.filter(({ sittingId, skillId, resitOf }) => {
		const { domainId } = bySkill.get(skillId)!;
		return standsFor.has(domainId) ? standsFor.get(domainId) === sittingId : resitOf === null;
	});
	return counting.map((answer) => {
		const skill = bySkill.get(answer.skillId)!;
		const { familyId, stem } = answer.question;
		const item = itemParameters(answer.question, skill, parameters);
		return {
			...answer,
			// Who says that it is not known yet has tried no luck.
			item: answer.response === null ? { ...item, guessing: 0 } : item,
			domainId: skill.domainId,
			rapidMs: rapidThreshold({
				words: stem.split(/\s+/).length,
				medianMs: parameters.get(familyId)?.medianMs
			})
		};
	});
}

/** Scores a finished diagnostic from its answers, and says what about it is doubtful. */
export function scoreDiagnostic(answers: DiagnosticAnswer[], context: ScoringContext): DiagnosticResult {
	const { grade, term, adaptive, skills, domains, timeZone, previous } = context;
	const counting = scoredAnswers(answers, context);
	const asked = domainsAsked(skills);
	const byDomain = new Map<number, ScoredResponse[]>(
		asked.map((id) => [id, counting.filter(({ domainId }) => domainId === id)])
	);
	const profile = estimateProfile(byDomain, gradePrior({ grade, term }));
	const dayOf = (at: Date) => schoolDateOf(at, timeZone);
	const pauses = counting.slice(1).flatMap((answer, i) => {
		const before = counting[i];
		if (before.sittingId !== answer.sittingId || dayOf(before.answeredAt) !== dayOf(answer.answeredAt)) return [];
		const milliseconds = answer.answeredAt.getTime() - before.answeredAt.getTime() - answer.milliseconds;
		return [{ milliseconds, domainId: answer.domainId }];
	});
	const names = new Map(domains.map(({ id, name }) => [id, name]));
	const doubts = trustFlags({
		answers: counting,
		profile,
		adaptive,
		previous,
		pauses,
		nameOf: (domain) => names.get(domain) ?? 'an unknown domain'
	});
	return { profile, doubts };
}
