import { addDays, beginningOf } from '../../core/calendar';
import { sayProposal } from '../../core/commendations';
import type { Database } from '../database';
import { skillList } from '../library';
import { visibleAmong } from '../people';
import { idsIn, type Staff } from '../request';
import type { School } from '../school';
import type { Scope } from '../shell';
import { proposalsFor } from './proposals';
import { commendationsOf, commendedStudent } from './store/commendations';

/** Students at most whose week is looked at. */
const MOST_STUDENTS = 300;
/** Days for which what was given stands on the page. */
const SHOWN_DAYS = 35;
/** Cards on one page. */
const MOST_CARDS = 60;

/** What students of a scope may be commended for this week, and what they were lately. */
export async function commendationsPage(database: Database, school: School, scope: Scope, at: Date) {
	const students = await scope.students();
	if (students.length > MOST_STUDENTS) return { tooMany: students.length, proposed: [], given: [] };
	const [proposed, skills, given] = await Promise.all([
		proposalsFor(database, school, students, at),
		skillList(database, school.id),
		commendationsOf(
			database,
			students.map(({ id }) => id),
			beginningOf(addDays(school.today, -SHOWN_DAYS), school.timeZone)
		)
	]);
	const names = new Map(skills.map(({ id, shortName }) => [id, shortName]));
	const studentOf = new Map(students.map((student) => [student.id, student]));
	return {
		tooMany: null,
		proposed: proposed.flatMap(({ student, proposals }) =>
			proposals.map((proposal) => ({
				student: {
					id: student.id,
					givenName: student.givenName,
					familyName: student.familyName,
					className: student.className
				},
				kind: proposal.kind,
				is: proposal.is,
				about: proposal.is === 'risen' ? proposal.skillId : 0,
				why: sayProposal(proposal, (id) => names.get(id) ?? '')
			}))
		),
		given: given.map(({ id, studentId, kind, said, sentence, givenBy, givenAt }) => {
			const { givenName, familyName, className } = studentOf.get(studentId)!;
			return {
				id,
				kind,
				said,
				sentence,
				givenBy,
				givenAt,
				student: { id: studentId, givenName, familyName, className }
			};
		})
	};
}

/** Cards of some commendations, to be printed; those that are not one's to see are left out. */
export async function cardsPage(database: Database, staff: Staff, school: School, scope: Scope, url: URL) {
	const wanted = new Set(idsIn(url, 'cards', MOST_CARDS));
	const students = await visibleAmong(
		database,
		staff,
		(await scope.students()).map(({ id }) => id),
		school.today
	);
	const studentOf = new Map(students.map((student) => [student.id, student]));
	const given = await commendationsOf(database, [...studentOf.keys()]);
	return given
		.filter(({ id }) => wanted.has(id))
		.map(({ id, studentId, kind, said, sentence, givenBy, givenAt }) => {
			const { givenName, familyName } = studentOf.get(studentId)!;
			return { id, kind, said, sentence, givenBy, givenAt, student: { givenName, familyName } };
		});
}

/** The student whose commendation a badge is of; null for none that one may see. */
export async function badgeStudent(database: Database, staff: Staff, school: School, id: number) {
	const studentId = await commendedStudent(database, staff, id);
	const [student] = studentId === null ? [] : await visibleAmong(database, staff, [studentId], school.today);
	return student ?? null;
}
