import { studentsIn, type Thing, type Things } from './things';

/** What happens in a term. */
const TERM = { join: 4, leave: 3, move: 5, marry: 2 };
const NEW_NAMES = [
	['Ilvane', 'Rushby'],
	['Tamsin', 'Orrell'],
	['Quade', 'Femmer'],
	['Lisbet', 'Oaktree']
];
const MARRIED = ['Heathfield', 'Sandstrom'];

/** Whose class is whose: the enrollment of each student. */
const enrollmentOf = (things: Things, { sourcedId }: Thing) =>
	things.enrollments.find(({ role, user }) => role === 'student' && (user as Thing).sourcedId === sourcedId)!;

/**
 * Lets a term pass: some students join, leave, change class, take another family name. The same roster changes in the same
 * way, students in the order of their ids.
 *
 * @param term which one it is, from 1: ids of those who join are made of it
 * @returns what happened, in counts
 */
export function passTerm(things: Things, term: number): typeof TERM {
	const students = studentsIn(things).toSorted((a, b) => (a.sourcedId < b.sourcedId ? -1 : 1));
	// Spread over the school, and others each term.
	const pick = (from: number, count: number) =>
		Array.from({ length: count }, (_, i) => students[(from + term + i * 37) % students.length]);
	const leaving = pick(3, TERM.leave);
	const moving = pick(11, TERM.move).filter((one) => !leaving.includes(one));
	const marrying = pick(19, TERM.marry).filter((one) => !leaving.includes(one));
	const isLeaving = (id: unknown) => leaving.some(({ sourcedId }) => sourcedId === id);

	for (const student of moving) {
		const enrollment = enrollmentOf(things, student);
		const now = things.classes.find(({ sourcedId }) => sourcedId === (enrollment.class as Thing).sourcedId)!;
		const other = things.classes.find(
			(one) => one !== now && String(one.grades) === String(now.grades) && one.sourcedId !== now.sourcedId
		);
		if (other) enrollment.class = { ...(enrollment.class as Thing), sourcedId: other.sourcedId };
	}
	marrying.forEach((student, i) => (student.familyName = MARRIED[i]));
	const example = students.find((one) => !isLeaving(one.sourcedId))!;
	for (let i = 0; i < TERM.join; i++) {
		const [givenName, familyName] = NEW_NAMES[i];
		const sourcedId = `joined-${term}-${i}`;
		const enrollment = enrollmentOf(things, example);
		things.users.push({
			...example,
			sourcedId,
			givenName,
			familyName,
			preferredFirstName: '',
			identifier: `J${term}${i}`
		});
		things.enrollments.push({
			...enrollment,
			sourcedId: `${sourcedId}-enrolled`,
			user: { ...(enrollment.user as Thing), sourcedId }
		});
	}
	things.users = things.users.filter(({ sourcedId }) => !isLeaving(sourcedId));
	things.enrollments = things.enrollments.filter(({ user }) => !isLeaving((user as Thing).sourcedId));
	return { join: TERM.join, leave: leaving.length, move: moving.length, marry: marrying.length };
}
