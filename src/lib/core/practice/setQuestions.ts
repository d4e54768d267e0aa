import { type ItemSeed } from '../items';
import { extraDigits, familyFormat, itemFrom, itemsForSkill } from '../items/bank';
import { startingParameters } from '../measurement';
import { shareOut, type SetHow, type SetSkill, type Variation } from './setPlan';

/** What is told after an answer: at once, with a second try or without, or later. */
export type QuestionHelp = 'second try' | 'one try' | 'told later';

/** A question of a set as a student gets it. */
export interface SetQuestion extends ItemSeed {
	help: QuestionHelp;
}

/** A skill of a set with the first of its seeds, which begin where no earlier set of the skill has been. */
export interface SeededSkill extends SetSkill {
	code: string;
	firstSeed: number;
	/** How many seeds are the set's: those of all to whom it was first given. */
	seeds: number;
}

/** So many seeds are looked at for each question that is to be easier, or harder, than others. */
const CANDIDATES = 3;

/** Seeds that a skill of a set takes for one student, whatever is otherwise for them. */
export const seedsOf = ({ practice, checks }: Pick<SetSkill, 'practice' | 'checks'>): number =>
	CANDIDATES * (practice + checks);

/** How hard a question is to begin with, in logits above its skill's level: by its kind, and the size of its numbers. */
function hardness({ familyId, seed }: ItemSeed): number {
	return startingParameters({ grade: 1, term: 1 }, familyFormat(familyId), extraDigits(itemFrom(familyId, seed)))
		.difficulty;
}

/** So many questions for a skill, from a seed on: as they come, or the easiest or hardest of three times as many. */
function chosenItems(code: string, count: number, from: number, families: Variation['families']): ItemSeed[] {
	if (!families) return itemsForSkill(code, count, from);
	const sign = families === 'easier' ? 1 : -1;
	const ranked = itemsForSkill(code, CANDIDATES * count, from)
		.map((item) => ({ item, rank: sign * hardness(item) }))
		.sort((one, other) => one.rank - other.rank || one.item.seed - other.item.seed);
	return ranked.slice(0, count).map(({ item }) => item);
}

/** Who a set's questions are for. */
interface QuestionsFor {
	/** Counted from 0: a place of their own among the seeds, where each has other numbers. */
	place: number;
	variation: Pick<Variation, 'practice' | 'families'>;
	/** Codes of skills from before, at most as many as are mixed in, and the seed that their questions begin with. */
	older: string[];
	olderSeed: number;
}

/**
 * The questions of a set for one student: those on its skills in turn, older ones mixed in evenly, and at the end, by
 * skill, those without help. The same set, place and older skills always give the same questions.
 *
 * @throws RangeError for a skill that no question can be made for
 */
export function setQuestions(
	skills: SeededSkill[],
	{ ownQuestions, feedback, secondTry }: Pick<SetHow, 'ownQuestions' | 'feedback' | 'secondTry'>,
	{ place, variation, older, olderSeed }: QuestionsFor
): SetQuestion[] {
	const help: QuestionHelp = feedback !== 'at once' ? 'told later' : secondTry ? 'second try' : 'one try';
	const counts = skills.map(({ practice }) => practice);
	const shares = variation.practice === null ? counts : shareOut(variation.practice, counts);
	const items = skills.map((skill, i) => {
		// Whoever joins once all places are taken has the numbers of the first again.
		const from = skill.firstSeed + (ownQuestions ? (place * seedsOf(skill)) % skill.seeds : 0);
		// Those of the check come after all that are looked at for practice.
		const checksFrom = from + CANDIDATES * skill.practice;
		return {
			practice: chosenItems(skill.code, shares[i], from, variation.families),
			checks: chosenItems(skill.code, skill.checks, checksFrom, variation.families)
		};
	});
	const practice = inTurn(items.map((one) => one.practice)).map((item) => ({ ...item, help }));
	const before = older.map((code, i) => ({ ...itemsForSkill(code, 1, olderSeed + i)[0], help }));
	const checks = items.flatMap((one) => one.checks).map((item) => ({ ...item, help: 'told later' as const }));
	return [...mixedIn(practice, before), ...checks];
}

/** The first of each list, then the second of each, and so on. */
function inTurn<T>(lists: T[][]): T[] {
	const longest = Math.max(0, ...lists.map(({ length }) => length));
	return Array.from({ length: longest }, (_, round) => lists.flatMap((list) => list.slice(round, round + 1))).flat();
}

/** Puts some among others, as evenly as they go; the first stays first. */
function mixedIn<T>(others: T[], some: T[]): T[] {
	const all = [...others];
	some.forEach((one, i) => {
		const place = Math.max(1, Math.round(((i + 1) * others.length) / (some.length + 1)) + i);
		all.splice(place, 0, one);
	});
	return all;
}
