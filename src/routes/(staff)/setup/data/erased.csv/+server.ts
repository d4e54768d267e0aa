import Papa from 'papaparse';
import { erasedStudents } from '$lib/server/setup';
import { staffWho } from '$lib/server/shell/staffPage';

/** Whom the school has erased, by number and mark, to be erased again after a backup was restored (`npm run erase:again`). */
export async function GET({ locals }) {
	const { school } = await staffWho(locals, 'set up the school');
	const erased = await erasedStudents(locals.database, school.id);
	const rows = erased.map(({ schoolId, studentId, mark, at }) => [schoolId, studentId, mark, at.toISOString()]);
	return new Response(Papa.unparse([['school', 'student', 'mark', 'erasedAt'], ...rows]), {
		headers: { 'Content-Type': 'text/csv; charset=utf-8', 'Content-Disposition': 'attachment; filename="erased.csv"' }
	});
}
