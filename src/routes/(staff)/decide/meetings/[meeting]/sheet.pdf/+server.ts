import { pdfOf } from '$lib/server/reports';
import { meetingSheetPage } from '$lib/server/reports/meetingSheetPage';
import { pdfResponse } from '$lib/server/reports/sheetPage';

/** The sheet of a review meeting as a PDF file. */
export async function GET({ locals, params }) {
	const { sheet, school } = await meetingSheetPage(locals, params);
	return pdfResponse(await pdfOf({ sheet, school: school.name }), sheet.title);
}
