import { type Item, misconceptionById } from '../../core/items';
import { expectedTheta } from '../../core/measurement';
import {
	type AskedQuestion,
	distributionOf,
	expectedRight,
	type IdeaShown,
	isUnder,
	type MissedQuestion,
	missedQuestions,
	outcomeOf,
	type Run,
	scoreOf,
	wrongIdeas
} from '../../core/results';
import { itemParameters } from '../../core/screening';
import type { Database } from '../database';
import { itemsAsked, type Skill, skillList, staffItem } from '../library';
import { setPage } from '../practice/setPage';
import { numberIn, oneIn, type Staff, type VisibleId } from '../request';
import type { School } from '../school';
import { answerHtml, mathHtml, openCorrections } from '../sitting';
import { toldCorrections } from './corrections';
import { setAnswers, setRuns } from './store/setRuns';

/** Rows are sorted by the set's own order, by name, by what was right, or by time. */
export const ROW_SORTS = ['how far', 'name', 'right', 'time'] as const;
/** Rows that are shown: all, or some by how far they are or how they did. */
export const ROW_FILTERS = ['all', 'not finished', 'below the line'] as const;
/** Missed questions and ideas that are told of; of more it is said how many there are. */
const MOST_TOLD = 12;

/**
 * What came of one set: students by questions, what was missed, which wrong ideas were shown; and the question that the address
 * names, with what was answered. Null for no such set for the staff member.
 */
export async function setResultsPage(
	database: Database,
	staff: Staff,
	school: School,
	setId: number,
	url: URL,
	at: Date
) {
	const page = await setPage(database, staff, school, setId, at);
	if (!page || page.students.length === 0) return null;
	const ids = page.students.map(({ id }) => id as VisibleId);
	// Before the answers: a correction that is through by then has been gone through in all of them.
	const open = await openCorrections(database, school.id);
	const [runs, skills] = await Promise.all([setRuns(database, setId, ids), skillList(database, school.id)]);
	const items = await questionsOf(database, runs);
	const hardness = hardnessOf(items, skills);
	const runOf = new Map(runs.map((run) => [run.studentId, run]));
	const sort = oneIn(url, 'sort', ROW_SORTS) ?? 'how far';
	const show = oneIn(url, 'show', ROW_FILTERS) ?? 'all';
	const all = page.students.map((student) => rowOf(student, runOf.get(student.id)?.questions ?? [], hardness));
	const { line } = page.set.how;
	const rows = all.filter(
		({ state, score }) =>
			show === 'all' ||
			(show === 'not finished' && (state === 'not begun' || state === 'under way')) ||
			(show === 'below the line' && score.answered > 0 && isUnder({ ...score, line }))
	);
	if (sort !== 'how far') rows.sort(ROW_ORDERS[sort]);
	const finished = all.filter(({ state }) => state === 'finished' || state === 'finished late');
	const [ideas, missed] = [wrongIdeas(runs), missedQuestions(runs)];
	const known = {
		items,
		skillOf: new Map(skills.map((skill) => [skill.id, skill])),
		nameOf: new Map(page.students.map(({ id, name }) => [id, name]))
	};
	return {
		set: page.set,
		title: page.title,
		sort,
		show,
		/** As many as the longest run has. */
		columns: columnsOf(runs, items),
		rows,
		students: all.map(({ id, name, state, isLate, isLeft, score }) => ({ id, name, state, isLate, isLeft, score })),
		bins: distributionOf(finished.map(({ id, score }) => ({ studentId: id, score }))),
		ideasInAll: ideas.length,
		ideas: ideas.slice(0, MOST_TOLD).map((idea) => tellIdea(idea, known)),
		missedInAll: missed.length,
		missed: missed.slice(0, MOST_TOLD).map((question) => tellMissed(question, known)),
		chosen: await chosenQuestion(database, staff, page.set, url, ids, { runs, nameOf: known.nameOf, open })
	};
}

type StudentOnPage = NonNullable<Awaited<ReturnType<typeof setPage>>>['students'][number];
type Hardness = ReturnType<typeof hardnessOf>;

/** A student with each of their questions, and what they come to. */
function rowOf(student: StudentOnPage, questions: AskedQuestion[], hardness: Hardness) {
	const { id, name, className, state, isLate, isLeft, hasRushed } = student;
	return {
		...{ id, name, className, state, isLate, isLeft, hasRushed },
		score: scoreOf(questions),
		/** Of their questions, by a student who gets 70% of the usual ones. */
		expected: expectedRight(questions.flatMap((question) => hardness.get(keyOf(question)) ?? [])),
		/** By the place of their question. */
		cells: questions.map(({ tries }) => ({
			outcome: outcomeOf(tries),
			tries: tries.length,
			hints: Math.max(0, ...tries.map(({ hints }) => hints)),
			seconds: Math.round(tries.reduce((sum, { milliseconds }) => sum + milliseconds, 0) / 1_000)
		}))
	};
}
type Row = ReturnType<typeof rowOf>;

/** Share right at the first try of those answered; who has answered nothing comes first. */
const shareOf = ({ score: { right, answered } }: Row) => (answered ? right / answered : -1);
const ROW_ORDERS: Record<Exclude<(typeof ROW_SORTS)[number], 'how far'>, (one: Row, other: Row) => number> = {
	name: (one, other) => one.name.localeCompare(other.name),
	right: (one, other) => shareOf(one) - shareOf(other),
	time: (one, other) => other.score.milliseconds - one.score.milliseconds
};

/** What is known to tell of students, skills and questions by their numbers. */
interface Known {
	items: Map<string, Item>;
	skillOf: Map<number, Skill>;
	nameOf: Map<number, string>;
}

const tellSkill = (id: number, { skillOf }: Known) => ({ id, name: skillOf.get(id)?.shortName ?? '' });

/** A wrong idea in words, with who shows it and a question that did. */
function tellIdea({ misconception, students, families, example, times, skillId }: IdeaShown, known: Known) {
	const idea = misconceptionById(misconception);
	return {
		...{ misconception, times },
		shows: idea?.shows ?? misconception,
		attempt: idea?.attempt ?? '',
		skill: tellSkill(skillId, known),
		students: students.map((one) => ({ id: one.studentId, name: known.nameOf.get(one.studentId)!, times: one.times })),
		kinds: families.length,
		place: { student: example.studentId, question: example.position },
		sample: staffItem(known.items.get(keyOf(example))!)
	};
}

/** A missed question as staff see it, with who missed it. */
function tellMissed({ studentIds, skillId, ...question }: MissedQuestion, known: Known) {
	const { positions, isKind, answered, missed, later } = question;
	return {
		...{ positions, isKind, answered, missed, later },
		skill: tellSkill(skillId, known),
		students: studentIds.map((id) => ({ id, name: known.nameOf.get(id)! })),
		sample: staffItem(known.items.get(keyOf(question))!)
	};
}

export type SetResultsPage = NonNullable<Awaited<ReturnType<typeof setResultsPage>>>;

const keyOf = ({ familyId, seed, edition }: Pick<AskedQuestion, 'familyId' | 'seed' | 'edition'>) =>
	`${familyId} ${seed} ${edition}`;

async function questionsOf(database: Database, runs: Run[]): Promise<Map<string, Item>> {
	const places = new Map(runs.flatMap(({ questions }) => questions).map((question) => [keyOf(question), question]));
	const asked = await itemsAsked(database, [...places.values()]);
	return new Map(asked.map((place) => [keyOf(place), place.item]));
}

/** How hard each question is beside the usual ones of its skill; one of a skill that is not taught any more is left out. */
function hardnessOf(items: Map<string, Item>, skills: Skill[]) {
	const byCode = new Map(skills.map((skill) => [skill.code, skill]));
	return new Map(
		[...items].flatMap(([key, item]) => {
			const skill = byCode.get(item.skillCode);
			return skill ? [[key, { parameters: itemParameters(item, skill), usual: expectedTheta(skill) }] as const] : [];
		})
	);
}

/** A column for each place: the question that stands there, where all have the same. */
function columnsOf(runs: Run[], items: Map<string, Item>) {
	const places = Math.max(0, ...runs.map(({ questions }) => questions.length));
	return Array.from({ length: places }, (_, position) => {
		const there = runs.flatMap(({ questions }) => questions.filter((question) => question.position === position));
		const keys = new Set(there.map(keyOf));
		const answered = there.filter(({ tries }) => tries.length > 0);
		return {
			position,
			/** Null where students have numbers of their own. */
			stem: keys.size === 1 ? items.get([...keys][0])!.stem : null,
			answered: answered.length,
			right: answered.filter(({ tries }) => tries[0].correct).length
		};
	});
}

/** A question that the address names: of one student, or of all who have the same there; null for none. */
async function chosenQuestion(
	database: Database,
	staff: Staff,
	set: { id: number; isTheirs: boolean },
	url: URL,
	ids: VisibleId[],
	{ runs, nameOf, open }: { runs: Run[]; nameOf: Map<number, string>; open: Set<number> }
) {
	if (!url.searchParams.has('question')) return null;
	const position = numberIn(url, 'question');
	const studentId = numberIn(url, 'student');
	const isOne = url.searchParams.has('student') && runs.some((run) => run.studentId === studentId);
	const of = isOne ? ids.filter((id) => (id as number) === studentId) : ids;
	const asked = runs
		.filter((run) => of.some((id) => (id as number) === run.studentId))
		.flatMap((run) => run.questions.filter((question) => question.position === position));
	// Where each has numbers of their own, nothing stands at a place for all.
	if (asked.length === 0 || new Set(asked.map(keyOf)).size > 1) return null;
	const [question] = await itemsAsked(database, [asked[0]]);
	const { item } = question;
	const tries = await setAnswers(database, set.id, of, position);
	return {
		position,
		student: isOne ? { id: studentId, name: nameOf.get(studentId)! } : null,
		sample: staffItem(item),
		stemHtml: mathHtml(item.stem),
		/** Whether the person may accept another answer for all. */
		mayAccept: set.isTheirs,
		accepted: await toldCorrections(database, staff, question, open),
		tries: tries.map((one) => ({
			student: { id: one.studentId, name: nameOf.get(one.studentId)! },
			id: one.id,
			attempt: one.attempt,
			isNotYet: one.response === null,
			answerHtml: answerHtml(item, one.response),
			correct: one.correct,
			seconds: Math.round(one.milliseconds / 1_000),
			hints: one.hints,
			answeredAt: one.answeredAt,
			shows: one.misconception === null ? null : (misconceptionById(one.misconception)?.shows ?? one.misconception)
		}))
	};
}
