import { check, HINT_STAGES, sameAnswer, type Answer, type Item, type ItemSeed } from '../src/lib/core/items';
import { itemFrom } from '../src/lib/core/items/bank';
import { levelFor } from '../src/lib/core/mastery';
import { expectedTheta, shippedNorm, type GradeTerm } from '../src/lib/core/measurement';
import { seededRandom, seedFrom, type Random } from '../src/lib/core/random';
import { itemParameters } from '../src/lib/core/screening';
import { Learner, LEARNING } from './learner';

export interface SkillLevel extends GradeTerm {
	code: string;
	domainId: number;
	prerequisites: string[];
}

/** A year of school: what the made-up norms say it brings, and how much of it one student makes of it. */
const YEAR = { days: 36 * 7, brings: 1, spread: 0.3 };

/** A student with hidden levels. Answers are drawn from them, and lessons and practice raise them. */
export interface SimulatedStudent {
	learner: Learner;
	levels: Map<string, SkillLevel>;
	/** Chance that a practiced question, or a session of a group, brings a step where what comes before is there. */
	learning: number;
	/** Answers without reading, in about a second. */
	rushing: boolean;
}

/** How much harder questions of a family are than their parameters say: the same for all students. */
const hardness = new Map<string, number>();
function hardnessOf(family: string): number {
	const known = hardness.get(family) ?? LEARNING.family * seededRandom(seedFrom('hardness', family)).normal();
	hardness.set(family, known);
	return known;
}

/** Draws a student of a grade as of the year's first day, with what a year of lessons will bring. */
export function simulateStudent(random: Random, grade: number, skills: SkillLevel[], shift: number): SimulatedStudent {
	const learned = skills.map(({ code, domainId, grade: taughtIn, term, prerequisites }) => ({
		code,
		domain: String(domainId),
		difficulty: expectedTheta({ grade: taughtIn, term }),
		prerequisites
	}));
	const learner = new Learner(learned, shippedNorm(grade, 0).median + shift, random, hardnessOf);
	const pace = Math.exp(YEAR.spread * random.normal());
	learner.attend({ aDay: (pace * YEAR.brings) / YEAR.days, days: YEAR.days });
	return {
		learner,
		levels: new Map(skills.map((skill) => [skill.code, skill])),
		learning: 0.02 + 0.08 * random.unit(),
		rushing: false
	};
}

/** Makes a skill one of which a share of first tries is right from the year's first day on, whatever the lessons bring. */
export function tellShare({ learner, levels }: SimulatedStudent, skillCode: string, share: number): void {
	const { prerequisites } = levels.get(skillCode)!;
	// What comes before does not stand in the way of who knows it.
	if (share > 0.5)
		for (const code of prerequisites) learner.set(code, levelFor(0.97, expectedTheta(levels.get(code)!)));
	learner.set(skillCode, levelFor(share, expectedTheta(levels.get(skillCode)!)));
}

export interface SimulatedAnswer {
	response: Answer;
	correct: boolean;
	misconception: string | null;
	milliseconds: number;
}

/**
 * One first try on a day of the year, counted from its first. A wrong one mostly follows a wrong idea.
 *
 * @param right whether the answer is right, where a story says so
 */
export function simulateAnswer(
	random: Random,
	{ learner, levels, rushing }: SimulatedStudent,
	{ familyId, seed }: ItemSeed,
	day: number,
	right?: boolean
): SimulatedAnswer {
	const item = itemFrom(familyId, seed);
	const parameters = itemParameters(item, levels.get(item.skillCode)!);
	const drawn = random.chance(
		rushing ? (parameters.guessing ?? 0) : learner.chance(item.skillCode, parameters, familyId, day)
	);
	const correct = right ?? drawn;
	const milliseconds = rushing
		? random.integer(600, 1_900)
		: Math.round(1_000 * Math.exp(2.9 + 0.45 * random.normal()));
	if (correct) return { response: item.key, correct, misconception: null, milliseconds };
	if (item.expectedErrors.length && random.chance(0.75)) {
		const { answer, misconception } = random.pick(item.expectedErrors);
		return { response: answer, correct, misconception, milliseconds };
	}
	const response = someWrongAnswer(random, item);
	return { response, correct, misconception: check(item, response).misconception, milliseconds };
}

/** After a hint a second try is right so often, and so often a student looks at its second stage, too. */
const SECOND_TRY = { right: 0.62, looksFurther: 0.3 };

/** The second try of a practiced question after a wrong first one, with the hint beside it. */
export function simulateSecondTry(
	random: Random,
	{ familyId, seed }: ItemSeed,
	first: SimulatedAnswer
): SimulatedAnswer & { hints: number } {
	const item = itemFrom(familyId, seed);
	const hints = random.chance(SECOND_TRY.looksFurther) ? HINT_STAGES : 1;
	const milliseconds = Math.round(1_000 * Math.exp(2.6 + 0.45 * random.normal()));
	const others = [...item.expectedErrors.map(({ answer }) => answer), someWrongAnswer(random, item)].filter(
		(answer) => !sameAnswer(item, answer, first.response)
	);
	if (others.length === 0 || random.chance(SECOND_TRY.right))
		return { response: item.key, correct: true, misconception: null, milliseconds, hints };
	const response = random.pick(others);
	const { correct, misconception } = check(item, response);
	return { response, correct, misconception, milliseconds, hints };
}

/** After a practiced question, or a session on a skill, a student may have come a step further. */
export function simulateLearning(
	random: Random,
	{ learner, learning }: SimulatedStudent,
	skillCode: string,
	day: number
): void {
	if (random.chance(learning * learner.way(skillCode, day))) learner.step(skillCode, day);
}

function someWrongAnswer(random: Random, { response, key }: Item): Answer {
	switch (response.kind) {
		case 'choice':
			return (Number(key) + random.integer(1, response.options.length - 1)) % response.options.length;
		case 'several': {
			// One option too many or too few.
			const marked = new Set(key as number[]);
			const option = random.integer(0, response.options.length - 1);
			if (!marked.delete(option) || marked.size === 0) marked.add((option + 1) % response.options.length).add(option);
			const wrong = [...marked].sort((a, b) => a - b);
			return wrong.join() === (key as number[]).join() ? response.options.map((_, i) => i) : wrong;
		}
		case 'order':
			return [...(key as number[]).slice(1), (key as number[])[0]];
		case 'line':
			return Number(key) + response.step <= response.to ? Number(key) + response.step : Number(key) - response.step;
		case 'number':
			return String(Math.round((Number(key) + random.integer(1, 9)) * 1e6) / 1e6);
		case 'fraction': {
			const [top, bottom] = String(key).split('/').map(Number);
			return `${top + 1}/${bottom}`;
		}
		case 'expression':
			return `${key}+${random.integer(1, 9)}`;
		case 'text':
			return 'I do not know';
		case 'fill':
			return (key as string[]).map((text, i) => (i === 0 ? String(Number(text) + random.integer(1, 9)) : text));
		case 'match':
			return [...(key as number[]).slice(1), (key as number[])[0]];
		case 'shade':
			return Number(key) > 1 ? Number(key) - 1 : Number(key) + 1;
		case 'rectangle': {
			const [rows, columns] = key as number[];
			return [rows, columns > 1 ? columns - 1 : columns + 1];
		}
		case 'clock':
			return (Number(key) + 60) % 720;
		case 'plot': {
			const [x, y] = key as number[];
			return [x < response.to ? x + 1 : x - 1, y];
		}
	}
}
