import { sheetFile } from '$lib/server/reports/sheetPage';

/** A sheet of the student as a PDF file. */
export const GET = ({ locals, url, params }) => sheetFile(locals, url, params);
