import { error } from '@sveltejs/kit';
import { studentIn } from '../people';
import { idOf } from '../request';
import { findScope } from '../shell';
import { staffContext } from '../shell/staffPage';
import { familyLetters } from './store/sheets';
import { pdfOf } from './pdf/index';
import { PARTS, sheetAsked, studentSheet } from './studentSheet';

/** The student whom an address is about; 404 when they are not theirs to see. */
async function whose(locals: App.Locals, params: { student: string }) {
	const { staff, school } = await staffContext(locals);
	const scope = await findScope(locals.database, staff, 'school', school.today);
	const studentId = idOf(params.student);
	const student = scope && studentId !== null ? await studentIn(locals.database, scope.roster, studentId) : null;
	if (!student) error(404, 'No such student for you.');
	return { staff, school, student };
}

/** A sheet of a student, as the address asks for it, and what the family was sent. */
export async function sheetPage(locals: App.Locals, url: URL, params: { student: string }) {
	const { staff, school, student } = await whose(locals, params);
	const asked = sheetAsked(url);
	const [sheet, letters] = await Promise.all([
		studentSheet(locals.database, staff, school, student, { ...asked, parts: [] }),
		asked.kind === 'family' ? familyLetters(locals.database, [student.id]) : []
	]);
	return {
		student: { id: student.id as number, givenName: student.givenName, familyName: student.familyName },
		asked,
		/** All of its parts, those that are left out among them. */
		sheet,
		parts: PARTS[asked.kind],
		letters
	};
}

/** The same as a PDF file. */
export async function sheetFile(locals: App.Locals, url: URL, params: { student: string }): Promise<Response> {
	const { staff, school, student } = await whose(locals, params);
	const sheet = await studentSheet(locals.database, staff, school, student, sheetAsked(url));
	return pdfResponse(await pdfOf({ sheet, school: school.name }), sheet.title);
}

/** A PDF to be kept as a file of a name. */
export const pdfResponse = (bytes: Uint8Array, name: string): Response =>
	new Response(bytes as BodyInit, {
		headers: {
			'Content-Type': 'application/pdf',
			'Content-Disposition': `attachment; filename*=UTF-8''${encodeURIComponent(name)}.pdf`
		}
	});
