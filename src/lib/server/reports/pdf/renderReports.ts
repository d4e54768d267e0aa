import { createRequire } from 'node:module';
import pdfmake from 'pdfmake';
import type { TFontDictionary } from 'pdfmake/interfaces';
import type { ReportText } from '../../../core/screening';
import { reportDocument } from './reportPdf';

/** Shipped with pdfmake, as files beside this list of them. */
const fonts: TFontDictionary = createRequire(import.meta.url)('pdfmake/fonts/Roboto.js');
pdfmake.addFonts(fonts);
// A document is made of text and lines of our own: nothing is read from an address, and of files only the fonts.
pdfmake.setUrlAccessPolicy(() => false);
pdfmake.setLocalAccessPolicy((path) => Object.values(fonts.Roboto).includes(path));

export interface ReportsToRender {
	reports: ReportText[];
	school: string;
	/** When they are printed, in words. */
	printed: string;
}

/** Student reports as the bytes of a PDF. Takes a while: run it through `pdfOf`, off the request's thread. */
export default async function renderReports({ reports, school, printed }: ReportsToRender): Promise<Uint8Array> {
	return pdfmake.createPdf(reportDocument(reports, school, printed)).getBuffer();
}
