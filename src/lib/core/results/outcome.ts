/** A try at a question, as it was judged. */
export interface Try {
	correct: boolean;
	/** From the question's being shown (ms). */
	milliseconds: number;
	/** Stages of the hint that stood beside it. */
	hints: number;
	/** The wrong idea that the answer shows; null for none that is known. */
	misconception: string | null;
}

/** How a question went for one student. Who missed it at first and has a second try before them has missed it so far. */
export const OUTCOMES = ['first try', 'later', 'missed', 'unanswered'] as const;
export type Outcome = (typeof OUTCOMES)[number];

/** How a question went, by its tries in their order. */
export function outcomeOf(tries: Pick<Try, 'correct'>[]): Outcome {
	if (tries.length === 0) return 'unanswered';
	if (tries[0].correct) return 'first try';
	return tries.some(({ correct }) => correct) ? 'later' : 'missed';
}

/** A question as it was asked, with what came of it. */
export interface AskedQuestion {
	/** Its place in the student's run, from 0. */
	position: number;
	familyId: string;
	seed: number;
	edition: number;
	skillId: number;
	/** In their order; none where it was not reached. */
	tries: Try[];
}

/** One student's run through some questions. */
export interface Run {
	studentId: number;
	questions: AskedQuestion[];
}

/** What one student's run comes to. */
export interface Score {
	/** Questions that they have, and that they have answered. */
	asked: number;
	answered: number;
	/** Right at the first try, and at a later one. */
	right: number;
	later: number;
	/** Time on all tries, each at most a minute (ms). */
	milliseconds: number;
	/** Questions beside which a hint stood. */
	hinted: number;
}

/** Time on a try counts up to a minute (ms): whoever took longer was elsewhere, as in what counts as active. */
const LONGEST_TRY_MS = 60_000;

/** What a run comes to. */
export function scoreOf(questions: Pick<AskedQuestion, 'tries'>[]): Score {
	const outcomes = questions.map(({ tries }) => outcomeOf(tries));
	const count = (outcome: Outcome) => outcomes.filter((one) => one === outcome).length;
	const tries = questions.flatMap((question) => question.tries);
	return {
		asked: questions.length,
		answered: questions.length - count('unanswered'),
		right: count('first try'),
		later: count('later'),
		milliseconds: tries.reduce((sum, { milliseconds }) => sum + Math.min(milliseconds, LONGEST_TRY_MS), 0),
		hinted: questions.filter((question) => question.tries.some(({ hints }) => hints > 0)).length
	};
}
