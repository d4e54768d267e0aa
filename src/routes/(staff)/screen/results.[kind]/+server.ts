import { screenContext } from '$lib/server/screen/screenPage';
import { error } from '@sveltejs/kit';
import Papa from 'papaparse';
import { resultsTable, screenResults, summaryTable } from '$lib/server/screen';
import { spreadsheetOf } from '$lib/server/reports';

const TYPES: Record<string, string> = {
	csv: 'text/csv; charset=utf-8',
	xlsx: 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet'
};

/**
 * The results of a window, for the scope, as a file: every student on a line, or with `table=classes` summed up. A
 * spreadsheet has both.
 */
export async function GET({ locals, url, params }) {
	const { school, scope, windows, window } = await screenContext(locals, url);
	const type = TYPES[params.kind];
	if (!type) error(404, 'Results go out as results.csv or results.xlsx.');
	if (!window) error(404, 'There is no window to give results of.');
	const results = await screenResults(locals.database, school, windows, window, await scope.students());
	const isSummary = url.searchParams.get('table') === 'classes';
	const name = `${window.name}, ${scope.label}${isSummary ? ', classes' : ''}`;
	// A leading mark tells spreadsheet programs that the text is UTF-8.
	const body =
		params.kind === 'csv'
			? `\ufeff${Papa.unparse(isSummary ? summaryTable(results) : resultsTable(results), { escapeFormulae: true })}`
			: await spreadsheetOf({ Students: resultsTable(results), Classes: summaryTable(results) });
	return new Response(body as BodyInit, {
		headers: {
			'Content-Type': type,
			'Content-Disposition': `attachment; filename*=UTF-8''${encodeURIComponent(name)}.${params.kind}`
		}
	});
}
