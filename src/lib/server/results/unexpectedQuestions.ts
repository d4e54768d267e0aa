import { canonicalAnswer, describeAnswer, inWords, type Item } from '../../core/items';
import { expectedTheta, type ItemParameters } from '../../core/measurement';
import { type TryInWork, type Unexpected, unexpectedAnswers } from '../../core/results';
import { itemParameters } from '../../core/screening';
import type { Database } from '../database';
import { itemsAsked, type Skill, skillList } from '../library';
import { type FirstTry, firstTriesIn, hardQuestions } from './store/unexpected';

/** Answers of so many days are looked at. */
const DAYS = 28;
const A_DAY_MS = 24 * 60 * 60_000;

/** A question that somebody should look at, with where what was answered to it is seen. */
export interface UnexpectedQuestion {
	/** The set; null of a screening. */
	setId: number | null;
	/** Somebody who missed it, and where it stood for them. */
	studentId: number;
	position: number;
	skillId: number;
	/** Stays while the same question of the same work is meant. */
	name: string;
	/** The question in words. */
	asks: string;
	/** Of one wrong answer of many: what it says, in words. */
	says: string;
	found: Unexpected;
}

const keyOf = ({ edition, familyId, seed }: Pick<FirstTry, 'edition' | 'familyId' | 'seed'>) =>
	`${edition} ${familyId} ${seed}`;

/** Questions of a school's sets and fixed forms of late that were answered in an unexpected way. */
export async function unexpectedQuestions(
	database: Database,
	schoolId: number,
	at: Date
): Promise<UnexpectedQuestion[]> {
	const hard = await hardQuestions(database, { schoolId, since: new Date(at.getTime() - DAYS * A_DAY_MS) });
	const skills = await skillList(database, schoolId);
	const found: UnexpectedQuestion[] = [];
	for (const kind of ['sets', 'windows'] as const) {
		const works = [...new Set(hard[kind].map(({ workId }) => workId))];
		const tries = await itemsAsked(database, await firstTriesIn(database, kind, works));
		const parametersOf = parametersIn(tries, skills);
		for (const { workId, ...question } of hard[kind]) {
			const inWork = tries.filter((one) => one.workId === workId);
			const there = inWork.filter((one) => keyOf(one) === keyOf(question));
			const known = parametersOf.get(keyOf(question));
			if (!known) continue;
			const unexpected = unexpectedAnswers(
				there.map((one) => tryInWork(one, inWork, parametersOf)),
				known
			);
			if (!unexpected) continue;
			const [{ item }] = there;
			const { said } = { said: null, ...unexpected };
			const missed = there.find((one) => !one.correct && (said === null || sayIn(one) === said))!;
			found.push({
				setId: kind === 'sets' ? workId : null,
				...{ studentId: missed.studentId, position: missed.position, skillId: missed.skillId },
				name: `${kind} ${workId} ${missed.skillId} ${question.seed}`,
				asks: inWords(item.stem),
				says: said === null ? '' : inWords(describeAnswer(item, missed.response)),
				found: unexpected
			});
		}
	}
	return found;
}

type AskedTry = FirstTry & { item: Item };

/** Each question's parameters, and its skill's usual difficulty; without those of skills that are not taught any more. */
function parametersIn(tries: AskedTry[], skills: Skill[]): Map<string, { parameters: ItemParameters; usual: number }> {
	const byCode = new Map(skills.map((skill) => [skill.code, skill]));
	return new Map(
		[...new Map(tries.map((one) => [keyOf(one), one.item]))].flatMap(([key, item]) => {
			const skill = byCode.get(item.skillCode);
			return skill ? [[key, { parameters: itemParameters(item, skill), usual: expectedTheta(skill) }] as const] : [];
		})
	);
}

const sayIn = ({ item, response }: AskedTry) => (response === null ? null : canonicalAnswer(item, response));

/** A try with how the same student did on the rest of the work. */
function tryInWork(one: AskedTry, inWork: AskedTry[], parametersOf: ReturnType<typeof parametersIn>): TryInWork {
	return {
		correct: one.correct,
		said: sayIn(one),
		isKnownIdea: one.misconception !== null,
		rest: inWork
			.filter((other) => other.studentId === one.studentId && keyOf(other) !== keyOf(one))
			.flatMap((other) => {
				const known = parametersOf.get(keyOf(other));
				return known ? [{ item: known.parameters, correct: other.correct }] : [];
			})
	};
}
