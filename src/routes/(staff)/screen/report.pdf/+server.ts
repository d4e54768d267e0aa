import { fullName } from '$lib/core/words';
import { sayDate } from '$lib/core/calendar';
import { reportText } from '$lib/core/screening';
import { pdfOf } from '$lib/server/reports';
import { reportsAsked } from '$lib/server/reports/reportPage';

/** The reports that the address asks for, as a PDF file: one a page. */
export async function GET({ locals, url }) {
	const { window, earlier, reports, all, audience, longer, school, scope } = await reportsAsked(locals, url);
	const bytes = await pdfOf({
		reports: reports.map((report) => reportText(report, { window, earlier, audience, longer })),
		school: school.name,
		printed: sayDate(school.today)
	});
	const who = all ? scope.label : reports.map(fullName).join();
	return new Response(bytes as BodyInit, {
		headers: {
			'Content-Type': 'application/pdf',
			'Content-Disposition': `attachment; filename*=UTF-8''${encodeURIComponent(`${window.name}, ${who}`)}.pdf`
		}
	});
}
