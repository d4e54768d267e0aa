import type { AskedQuestion, Run } from './outcome';

/** A wrong idea that answers show, across students. */
export interface IdeaShown {
	misconception: string;
	/** Answers that show it, first and later tries. */
	times: number;
	/** Who gave them, and how often each, most often first. */
	students: { studentId: number; times: number }[];
	/** Kinds of questions in which it came up, and how often, most often first. */
	families: { familyId: string; times: number }[];
	/** The skill in whose questions it came up most. */
	skillId: number;
	/** The first question that showed it, as the runs stand. */
	example: Pick<AskedQuestion, 'familyId' | 'seed' | 'edition' | 'position'> & { studentId: number };
}

/** Wrong ideas that the answers of some runs show: those of most students first, then those that come most often. */
export function wrongIdeas(runs: Run[]): IdeaShown[] {
	const found = new Map<
		string,
		{ example: IdeaShown['example']; shown: { studentId: number; question: AskedQuestion }[] }
	>();
	for (const { studentId, questions } of runs)
		for (const question of questions)
			for (const { misconception } of question.tries) {
				if (misconception === null) continue;
				const { familyId, seed, edition, position } = question;
				const example = { familyId, seed, edition, position, studentId };
				const idea = found.get(misconception) ?? { example, shown: [] };
				idea.shown.push({ studentId, question });
				found.set(misconception, idea);
			}
	return [...found]
		.map(([misconception, { example, shown }]) => ({
			misconception,
			example,
			times: shown.length,
			students: counted(shown.map(({ studentId }) => studentId)).map(([studentId, times]) => ({ studentId, times })),
			families: counted(shown.map(({ question }) => question.familyId)).map(([familyId, times]) => ({
				familyId,
				times
			})),
			skillId: counted(shown.map(({ question }) => question.skillId))[0][0]
		}))
		.sort(
			(one, other) =>
				other.students.length - one.students.length ||
				other.times - one.times ||
				one.misconception.localeCompare(other.misconception)
		);
}

/** How often each is there, most often first, then as they came. */
function counted<Thing>(things: Thing[]): [Thing, number][] {
	const times = new Map<Thing, number>();
	for (const thing of things) times.set(thing, (times.get(thing) ?? 0) + 1);
	return [...times].sort((one, other) => other[1] - one[1]);
}
