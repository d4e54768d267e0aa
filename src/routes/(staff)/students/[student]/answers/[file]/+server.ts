import { error } from '@sveltejs/kit';
import { visibleStudent } from '$lib/server/people';
import { NO_SUCH_FILE, resultFile, resultFileNamed } from '$lib/server/results';
import { studentAnswersTakenOut } from '$lib/server/results/studentAnswersPage';
import { staffContext } from '$lib/server/shell/staffPage';

/** Answers of a student as a file, narrowed as the page is. */
export async function GET({ locals, params, url }) {
	const { staff, school } = await staffContext(locals);
	const { database, at } = locals;
	const student = await visibleStudent(database, staff, params.student, school.today);
	const file = resultFileNamed(params.file);
	if (!student || !file) error(404, student ? NO_SUCH_FILE : 'No such student for you.');
	const taken = await studentAnswersTakenOut(database, student, url);
	const sent = await resultFile(database, staff, school, file, taken, { origin: url.origin, at });
	return sent ?? error(404, 'A student’s answers have a row each in answers.csv.');
}
