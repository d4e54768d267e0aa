import Papa from 'papaparse';
import { writeSkillTable } from '$lib/core/interchange/skillTable';
import { staffContext } from '$lib/server/shell/staffPage';
import { taughtFramework } from '$lib/server/library';

/** The skills as a table. */
export async function GET({ locals }) {
	const { school } = await staffContext(locals);
	const table = writeSkillTable(await taughtFramework(locals.database, school.id));
	return new Response(Papa.unparse(table, { escapeFormulae: true }), {
		headers: { 'Content-Type': 'text/csv; charset=utf-8', 'Content-Disposition': 'attachment; filename="skills.csv"' }
	});
}
