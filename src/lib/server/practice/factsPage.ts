import { addDays, beginningOf, daysBetween, schoolDateOf } from '../../core/calendar';
import { factStates, medianFactMs, OPERATIONS, usualOperations, type Operation } from '../../core/fluency';
import type { Database } from '../database';
import type { RosterStudent } from '../people';
import { FIRST_ROWS, idIn, oneIn } from '../request';
import type { School } from '../school';
import type { Scope } from '../shell';
import { factTriesOf } from '../sitting';

/** After so many days without a run a student counts as having stopped. */
const STOPPED_DAYS = 14;
/** Days in which facts count as gained lately. */
const WEEK = 7;

/** The facts of the students of a scope, in one operation; of one of them all hundred. */
export async function factsPage(database: Database, school: School, scope: Scope, url: URL) {
	const students = await scope.students();
	const operation = operationIn(url, students);
	const chosen = students.find(({ id }) => id === idIn(url, 'student'));
	return {
		operation,
		ids: students.map(({ id }) => id as number),
		rows: await factRows(database, school, students.slice(0, FIRST_ROWS), operation),
		chosen: chosen ? await factsOf(database, chosen, operation) : null
	};
}

/** Which facts an address asks for; without a word those that are usual in the middle grade of the scope. */
function operationIn(url: URL, students: readonly RosterStudent[]): Operation {
	const grades = students.map(({ grade }) => grade).sort((a, b) => a - b);
	return oneIn(url, 'facts', OPERATIONS) ?? usualOperations(grades[grades.length >> 1] ?? 3)[0];
}

/** More rows of the page, as they are scrolled to. */
export async function moreFactRows(
	database: Database,
	school: School,
	scope: Scope,
	url: URL,
	students: readonly RosterStudent[]
) {
	return factRows(database, school, students, operationIn(url, await scope.students()));
}

/** All facts of one student. */
async function factsOf(database: Database, student: RosterStudent, operation: Operation) {
	const tries = (await factTriesOf(database, [student.id], operation)).get(student.id)!;
	const { id, givenName, familyName, grade } = student;
	return { id: id as number, givenName, familyName, grade, states: factStates(operation, tries, grade) };
}

/** How some students are with the facts of an operation, and what came to it in the last week. */
export async function factRows(
	database: Database,
	school: School,
	students: readonly RosterStudent[],
	operation: Operation
) {
	const all = await factTriesOf(
		database,
		students.map(({ id }) => id),
		operation
	);
	const weekAgo = beginningOf(addDays(school.today, 1 - WEEK), school.timeZone);
	return students.map(({ id, givenName, familyName, className, grade }) => {
		const tries = all.get(id)!;
		const states = factStates(operation, tries, grade);
		const earlier = factStates(
			operation,
			tries.filter(({ answeredAt }) => answeredAt < weekAgo),
			grade
		);
		const count = (state: (typeof states)[number]) => states.filter((one) => one === state).length;
		const last = tries.at(-1);
		const lastOn = last ? schoolDateOf(last.answeredAt, school.timeZone) : null;
		const median = medianFactMs(tries);
		return {
			...{ id: id as number, givenName, familyName, className },
			fluent: count('fluent'),
			slow: count('slow'),
			notYet: count('not yet'),
			gained: states.filter((state, i) => state === 'fluent' && earlier[i] !== 'fluent').length,
			seconds: median === null ? null : median / 1_000,
			lastOn,
			hasStopped: lastOn !== null && daysBetween(lastOn, school.today) >= STOPPED_DAYS
		};
	});
}
