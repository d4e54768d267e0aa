import { setImmediate as nextTurn } from 'node:timers/promises';
import {
	ENOUGH_ANSWERS,
	ENOUGH_STUDENTS,
	learnConstants,
	type ConstantsProgress,
	type ConstantsReport,
	type KnownStudent
} from '../../core/mastery';
import { seededRandom } from '../../core/random';
import type { Database } from '../database';
import { allStudentIds } from '../people';
import { schoolField } from './schoolField';
import { knownStudents } from './store/studentFields';

/** As many students as are learned from; of more they are drawn. */
const MOST_STUDENTS = 400;
const READ_AT_ONCE = 40;

/** What is said while a school's constants are sought. */
export type ConstantsSearchProgress = { step: 'reading'; students: number } | ConstantsProgress;

/** What it has come to; `problem` where there are too few answers. */
export type ConstantsSearchResult = ConstantsReport | { problem: string };

/** Seeks the constants of a school's field in its answers, in small steps so that whoever runs it can look up between. */
export async function* findConstants(
	database: Database,
	schoolId: number
): AsyncGenerator<{ progress: ConstantsSearchProgress; checkpoint: null }, ConstantsSearchResult> {
	const { field } = await schoolField(database, schoolId);
	const ids = seededRandom(schoolId).shuffle(await allStudentIds(database, schoolId));
	const students: KnownStudent[] = [];
	for (let from = 0; from < ids.length && students.length < MOST_STUDENTS; from += READ_AT_ONCE) {
		const known = await knownStudents(database, ids.slice(from, from + READ_AT_ONCE));
		students.push(...known.filter(({ answers }) => answers.length >= ENOUGH_ANSWERS));
		yield { progress: { step: 'reading', students: students.length }, checkpoint: null };
	}
	if (students.length < ENOUGH_STUDENTS)
		return {
			problem: `${students.length} of ${ids.length} students have ${ENOUGH_ANSWERS} first tries or more; ${ENOUGH_STUDENTS} are needed.`
		};
	const steps = learnConstants(field.skills, students.slice(0, MOST_STUDENTS), field.constants);
	for (;;) {
		const step = steps.next();
		if (step.done) return step.value;
		yield { progress: step.value, checkpoint: null };
		await nextTurn();
	}
}
