import Papa from 'papaparse';
import { writeSkillTable } from '$lib/core/interchange/skillTable';
import { staffContext } from '$lib/server/staffPage';
import { currentFramework } from '$lib/server/store/skills';

/** The skills as a table. */
export async function GET({ locals }) {
	await staffContext(locals);
	const table = writeSkillTable(await currentFramework(locals.database));
	return new Response(Papa.unparse(table, { escapeFormulae: true }), {
		headers: { 'Content-Type': 'text/csv; charset=utf-8', 'Content-Disposition': 'attachment; filename="skills.csv"' }
	});
}
