import type { SchoolDate } from '../../core/calendar';
import type { Operation } from '../../core/fluency';
import { hasItems } from '../../core/items/bank';
import { FREE_PROPOSALS, minutesOf, nextSteps, type Habits } from '../../core/practice';
import { dueCards, retentionQueue } from '../../core/retention';
import type { RootDatabase } from '../database';
import { type Skill, skillGraph } from '../library';
import { habitsOf, questionMs } from '../practice';
import type { SignedInStudent } from '../request';
import type { School } from '../school';
import { readStandings, recallsOf, schoolImportance, type Standings } from '../standing';
import { factsFor } from './factRunPage';
import { factRunsOn } from './store/factRuns';
import { beginFree, beginReview, ownSittings, type OwnSitting } from './store/ownSittings';

type Own = NonNullable<ReturnType<Standings['get']>>;

interface Asked {
	database: RootDatabase;
	student: SignedInStudent;
	school: School;
	skills: Skill[];
}

/** Own practice that a student can begin on a day, at most. */
const MOST_FREE_A_DAY = 20;

/** A few questions from before that wait for a student today. */
export interface ReviewOffer {
	/** Null once it is begun: it goes on as it was. */
	skills: Skill[] | null;
	begun: OwnSitting | null;
	questions: number;
	minutes: number;
}

/** What a student can do of themselves today. */
export interface OwnChoice {
	review: ReviewOffer | null;
	/** Runs of facts; `done`: how many today. */
	facts: { operation: Operation; minutes: number; done: number; isOpen: boolean }[];
	/** Null where the class has no practice of their own choice. */
	free: {
		/** Whether it waits until they are done with what they were given. */
		isAfterGiven: boolean;
		begun: OwnSitting[];
		/** What they could learn next, the best first. */
		proposals: Skill[];
		/** What they can do, to keep up. */
		secure: Skill[];
	} | null;
}

/**
 * What a student can do beside what they are given: the day's few questions from before, unless they are done, and
 * practice of their own choice.
 *
 * @param waiting skills of what waits for them
 * @param isGiven whether anything that they were given waits
 */
export async function ownChoice(
	asked: Asked,
	standings: Own,
	{ waiting, isGiven }: { waiting: Set<number>; isGiven: boolean }
): Promise<OwnChoice> {
	const { database, student, school } = asked;
	const [habits, begun, runs] = await Promise.all([
		habitsOf(database, student.id, school.today),
		ownSittings(database, student.id, school.today),
		factRunsOn(database, student.id, school.today)
	]);
	const isAfterGiven = habits.givenFirst && isGiven;
	const secure = asked.skills.filter(({ id, code }) => standings.get(id)?.standing === 'secure' && hasItems(code));
	const [review, proposals] = await Promise.all([
		reviewOffer(asked, secure, habits, begun),
		habits.freePractice && !isAfterGiven ? proposalsFor(asked, standings, waiting) : []
	]);
	return {
		review,
		facts: factsFor(habits, student.grade).map((one) => {
			const own = runs.filter(({ operation }) => operation === one.operation);
			return { ...one, done: own.filter(({ isEnded }) => isEnded).length, isOpen: own.some(({ isEnded }) => !isEnded) };
		}),
		free: habits.freePractice
			? {
					isAfterGiven,
					begun: begun.filter(({ kind, isFinished }) => kind === 'free' && !isFinished),
					proposals,
					secure
				}
			: null
	};
}

/** The day's few questions from before, of a student alone: for the page on which a set ends. */
export async function reviewOf(asked: Asked): Promise<ReviewOffer | null> {
	const { database, student, school, skills } = asked;
	const [habits, begun, standings] = await Promise.all([
		habitsOf(database, student.id, school.today),
		ownSittings(database, student.id, school.today),
		readStandings(database, [student.id])
	]);
	const own = standings.get(student.id)!;
	const secure = skills.filter(({ id, code }) => own.get(id)?.standing === 'secure' && hasItems(code));
	return reviewOffer(asked, secure, habits, begun);
}

async function reviewOffer(
	{ database, student, school }: Asked,
	secure: Skill[],
	habits: Habits,
	begun: OwnSitting[]
): Promise<ReviewOffer | null> {
	const today = begun.find(({ kind }) => kind === 'review');
	if (today?.isFinished || habits.reviewMinutes === 0) return null;
	if (today) {
		const left = today.itemCount - today.answered;
		return { skills: null, begun: today, questions: left, minutes: 0 };
	}
	const recalls = await recallsOf(
		database,
		student.id,
		secure.map(({ id }) => id),
		school.timeZone
	);
	const due = dueCards(
		secure.map((skill) => ({ skill, recalls: recalls.get(skill.id)! })),
		school.today
	);
	const skills = retentionQueue(due, habits.reviewMinutes, ({ code }) => questionMs(code) / 1_000);
	if (skills.length === 0) return null;
	const ms = skills.reduce((sum, { code }) => sum + questionMs(code), 0);
	return { skills, begun: null, questions: skills.length, minutes: minutesOf(ms) };
}

async function proposalsFor({ database, student, school, skills }: Asked, standings: Own, waiting: Set<number>) {
	const graph = await skillGraph(database, school.id, skills);
	const importance = await schoolImportance(database, school, skills, graph);
	const bySkill = new Map(skills.map((skill) => [skill.id, skill]));
	// Within one student the tier changes nothing: it weighs all needs alike.
	const known = { standings, importance: importance(student.grade), tier: 2 as const };
	const isOffered = (id: number) => hasItems(bySkill.get(id)!.code) && !waiting.has(id);
	return nextSteps(graph, known, isOffered, FREE_PROPOSALS).map(({ skillId }) => bySkill.get(skillId)!);
}

/**
 * Begins or goes on with what a student chose.
 *
 * @param skillId of practice of their own choice
 * @returns the sitting; null where it is not theirs to choose now
 */
export async function beginChosen(
	database: RootDatabase,
	student: SignedInStudent,
	choice: OwnChoice,
	chosen: { kind: 'review' } | { kind: 'free'; skillId: number },
	{ day, at }: { day: SchoolDate; at: Date }
): Promise<number | null> {
	const beginning = { studentId: student.id, day, at };
	if (chosen.kind === 'review') {
		const { review } = choice;
		if (!review) return null;
		return review.begun?.id ?? beginReview(database, { ...beginning, number: 1 }, review.skills!);
	}
	const { free } = choice;
	const open = free?.begun.find(({ skillId }) => skillId === chosen.skillId);
	if (open) return open.id;
	const skill = [...(free?.proposals ?? []), ...(free?.secure ?? [])].find(({ id }) => id === chosen.skillId);
	if (!free || free.isAfterGiven || !skill) return null;
	const before = (await ownSittings(database, student.id, day)).filter((one) => one.kind === 'free' && one.day === day);
	if (before.length >= MOST_FREE_A_DAY) return null;
	return beginFree(database, { ...beginning, number: before.length + 1 }, skill);
}
