import { outcomeOf, type AskedQuestion, type Run } from './outcome';

/** A question, or where each had numbers of their own a kind of question, with who missed it. */
export interface MissedQuestion {
	familyId: string;
	/** Of the question; of a kind, of the first that was missed. */
	seed: number;
	edition: number;
	skillId: number;
	/** Whether it stands for all questions of its kind. */
	isKind: boolean;
	/** First tries at it, and of these how many were wrong; right later among those. */
	answered: number;
	missed: number;
	later: number;
	/** Who missed it at the first try, each once. */
	studentIds: number[];
	/** Where in the runs it stood, from 0, in order. */
	positions: number[];
}

const questionKey = ({ familyId, seed, edition }: AskedQuestion) => `${familyId} ${seed} ${edition}`;

/**
 * What was missed at the first try, most students first, then the larger share of those who answered it. A question that a
 * student shares with none of the others is taken together with the others of its kind.
 */
export function missedQuestions(runs: Run[]): MissedQuestion[] {
	const answered = runs.flatMap(({ studentId, questions }) =>
		questions.filter(({ tries }) => tries.length > 0).map((question) => ({ studentId, question }))
	);
	const shared = new Map<string, Set<number>>();
	for (const { studentId, question } of answered)
		shared.set(questionKey(question), (shared.get(questionKey(question)) ?? new Set()).add(studentId));
	const isAlone = new Set(answered.map(({ studentId }) => studentId)).size < 2;
	const found = new Map<string, MissedQuestion>();
	for (const { studentId, question } of answered) {
		const isKind = !isAlone && shared.get(questionKey(question))!.size < 2;
		const key = isKind ? question.familyId : questionKey(question);
		const outcome = outcomeOf(question.tries);
		const { familyId, seed, edition, skillId } = question;
		const one = found.get(key) ?? {
			...{ familyId, seed, edition, skillId, isKind },
			...{ answered: 0, missed: 0, later: 0, studentIds: [], positions: [] }
		};
		found.set(key, one);
		one.answered++;
		if (!one.positions.includes(question.position)) one.positions.push(question.position);
		if (outcome === 'first try') continue;
		if (one.missed === 0) Object.assign(one, { seed, edition });
		one.missed++;
		if (outcome === 'later') one.later++;
		if (!one.studentIds.includes(studentId)) one.studentIds.push(studentId);
	}
	return [...found.values()]
		.filter(({ missed }) => missed > 0)
		.map((one) => ({ ...one, positions: one.positions.sort((a, b) => a - b) }))
		.sort(
			(one, other) =>
				other.studentIds.length - one.studentIds.length ||
				other.missed / other.answered - one.missed / one.answered ||
				one.positions[0] - other.positions[0]
		);
}
