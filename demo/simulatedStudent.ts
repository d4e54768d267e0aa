import { check, formatOf, itemFrom, type Answer, type Item, type ItemSeed } from '../src/lib/core/items';
import { expectedTheta, guessingChance, type GradeTerm } from '../src/lib/core/measurement';
import type { Random } from '../src/lib/core/random';

export interface SkillLevel extends GradeTerm {
	code: string;
	domainId: number;
	prerequisites: string[];
}

/** Chance of a wrong answer by a student who knows the skill. */
const SLIP = 0.08;
/** Chance that a practice item teaches its skill. */
const LEARN = 0.1;

/** A student with a hidden state: which skills are known. Answers are drawn from it, and practice changes it. */
export interface SimulatedStudent {
	known: Set<string>;
	/** Chance that a practice item teaches its skill. */
	learning: number;
	/** Answers without reading, in about a second. */
	rushing: boolean;
}

/** Draws a student of a grade: an ability for each domain around a common one, and the skills it has reached. */
export function simulateStudent(
	random: Random,
	level: GradeTerm,
	skills: SkillLevel[],
	shift: number
): SimulatedStudent {
	const common = expectedTheta(level) + shift;
	const abilities = new Map<number, number>();
	const known = new Set<string>();
	for (const skill of skills) {
		if (!abilities.has(skill.domainId)) abilities.set(skill.domainId, common + 0.3 * random.normal());
		const distance = abilities.get(skill.domainId)! - expectedTheta(skill) + 0.9 * random.normal() + 0.5;
		if (distance > 0 && skill.prerequisites.every((code) => known.has(code))) known.add(skill.code);
	}
	return { known, learning: LEARN, rushing: false };
}

export interface SimulatedAnswer {
	response: Answer;
	correct: boolean;
	misconception: string | null;
	milliseconds: number;
}

/**
 * One first try. A student who knows the skill slips now and then; one who does not mostly follows a wrong idea.
 *
 * @param right whether the answer is right, where a story says so
 */
export function simulateAnswer(
	random: Random,
	student: SimulatedStudent,
	{ familyId, seed }: ItemSeed,
	right?: boolean
): SimulatedAnswer {
	const item = itemFrom(familyId, seed);
	const luck = guessingChance(formatOf(item.response));
	const knows = student.known.has(item.skillCode) && !student.rushing;
	const drawn = random.chance(knows ? 1 - SLIP : Math.max(luck, student.rushing ? 0 : 0.08));
	const correct = right ?? drawn;
	const milliseconds = student.rushing
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

/** After a practice item a student may have learned its skill. */
export function simulateLearning(random: Random, student: SimulatedStudent, skillCode: string): void {
	if (random.chance(student.learning)) student.known.add(skillCode);
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
