import type { Operation } from '../fluency';

/** What the students of a class do beside what they are given. */
export interface Habits {
	/** Of questions from before a day, at most; 0: none. */
	reviewMinutes: number;
	/** Whether they may choose practice of their own. */
	freePractice: boolean;
	/** Whether what they were given comes before what they choose. */
	givenFirst: boolean;
	/** Of facts a day; 0: none. */
	factMinutes: number;
	/** Which facts; null: those that are usual in the student's grade. */
	factOperations: Operation[] | null;
}

/** As long as a class, or a student of no class, has not said otherwise. */
export const USUAL_HABITS: Habits = {
	reviewMinutes: 4,
	freePractice: true,
	givenFirst: true,
	factMinutes: 1,
	factOperations: null
};

/** Habits of a class in one line, as a form sends them: `7 4 yes no 1 times,divide`; `usual` facts are the grade's. */
export const tellHabits = (classId: number, habits: Habits): string =>
	[
		...[classId, habits.reviewMinutes, habits.freePractice ? 'yes' : 'no', habits.givenFirst ? 'yes' : 'no'],
		...[habits.factMinutes, habits.factOperations?.join(',') ?? 'usual']
	].join(' ');

export const MOST_REVIEW_MINUTES = 10;
export const MOST_FACT_MINUTES = 2;

/** Questions of a practice that a student chose. */
export const FREE_QUESTIONS = 5;
/** Skills that are proposed to choose from. */
export const FREE_PROPOSALS = 3;
