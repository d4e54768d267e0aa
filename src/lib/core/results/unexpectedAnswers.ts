import { countsRight, estimateEap, type ItemParameters, probabilityCorrect, type ScoredResponse } from '../measurement';

/** A first try at a question, with how the same student's other first tries in the same work went. */
export interface TryInWork {
	correct: boolean;
	/** What was answered, written in the one way in which all are that say the same; null where it was not known yet. */
	said: string | null;
	/** Whether the answer shows a wrong idea that is known. */
	isKnownIdea: boolean;
	rest: ScoredResponse[];
}

/** What is unexpected about the answers to a question. */
export type Unexpected =
	/** Students who do well otherwise were wrong: how many of them there are, how many were right, and how many would be. */
	| { why: 'strong students wrong'; strong: number; right: number; expected: number }
	/** One wrong answer that shows no known idea was given by many: how many, and how many gave the right one. */
	| { why: 'one wrong answer'; said: string; students: number; right: number };

/** Who is right so likely by what else they did is strong on a question. */
const STRONG = 0.7;
/** Fewer students, strong ones or with the same wrong answer, say nothing. */
const FEWEST = 5;
/** So unlikely few of the strong have to be right by chance, */
const TAIL = 0.001;
/** and no more than this share of those who would be: a question that is only harder than thought is none to look at. */
const SHARE_RIGHT = 0.5;
/**
 * A wrong answer is given by many where so many gave it beside those who gave the right one, and who gave it are abler than the
 * others by so much (logits, on average): what only the weaker fall for is a wrong idea, not a fault of the question.
 */
const SHARE_SAME = 0.75;
const ABLER = 0.3;

/**
 * What is unexpected about the first tries at a question, so that somebody should look whether it is right as it stands; null
 * for nothing. How able a student is comes from their other answers in the same work alone (an expected a posteriori
 * estimate), and how unlikely so few right ones are from the distribution of a sum of unlike chances (Poisson's binomial).
 * In a world of its own where half of the tempting wrong answers are not known (`unexpectedAnswers.test.ts`), of questions that 22
 * students answer: 1 to 2 of 100 sound ones are found, 3 of 4 with a wrong key, and a third of those with two right answers. It
 * says that a question is worth a look, not that it is wrong.
 *
 * @param question its parameters, and the difficulty of its skill's usual question in logits, around which students are thought
 *   to be before anything is known
 */
export function unexpectedAnswers(
	tries: TryInWork[],
	{ parameters, usual }: { parameters: ItemParameters; usual: number }
): Unexpected | null {
	const known = tries
		.filter(({ rest }) => rest.length > 0)
		.map(({ rest, ...one }) => ({ ...one, level: estimateEap(rest, { mean: usual, sd: 1 }).theta }));
	const strong = known
		.map(({ correct, level }) => ({ correct, chance: probabilityCorrect(level, parameters) }))
		.filter(({ chance }) => chance >= STRONG);
	const strongRight = strong.filter(({ correct }) => correct).length;
	const expected = strong.reduce((sum, { chance }) => sum + chance, 0);
	const isFew = strongRight <= SHARE_RIGHT * expected;
	if (
		strong.length >= FEWEST &&
		isFew &&
		chanceOfAtMost(
			strongRight,
			strong.map(({ chance }) => chance)
		) < TAIL
	)
		return { why: 'strong students wrong', strong: strong.length, right: strongRight, expected };
	const right = tries.filter(({ correct }) => correct).length;
	const counts = new Map<string, number>();
	for (const { correct, said, isKnownIdea } of tries)
		if (!correct && said !== null && !isKnownIdea) counts.set(said, (counts.get(said) ?? 0) + 1);
	const [said, students] = [...counts].sort(([, one], [, other]) => other - one)[0] ?? ['', 0];
	if (students < FEWEST || students < SHARE_SAME * right) return null;
	const levelOf = (some: typeof known) => some.reduce((sum, { level }) => sum + level, 0) / some.length;
	const [same, others] = [known.filter((one) => one.said === said), known.filter((one) => one.said !== said)];
	const isAbler = others.length === 0 || levelOf(same) - levelOf(others) >= ABLER;
	return isAbler ? { why: 'one wrong answer', said, students, right } : null;
}

/** The chance that at most so many of some events happen, each with a chance of its own. */
export const chanceOfAtMost = (most: number, chances: number[]): number =>
	countsRight(chances)
		.slice(0, most + 1)
		.reduce((sum, part) => sum + part, 0);
