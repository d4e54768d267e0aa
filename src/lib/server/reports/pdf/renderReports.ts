import { createRequire } from 'node:module';
import pdfmake from 'pdfmake';
import type { TFontDictionary } from 'pdfmake/interfaces';
import type { ReportText } from '../../../core/screening';
import { HEAD, reportDocument, TEXT } from './reportPdf';

const file = (path: string) => createRequire(import.meta.url).resolve(`@expo-google-fonts/${path}.ttf`);
/** The type of every page, as whole fonts: a browser's are cut into pieces, which no PDF can be set in. */
const fonts: TFontDictionary = {
	[TEXT]: {
		normal: file('atkinson-hyperlegible-next/400Regular/AtkinsonHyperlegibleNext_400Regular'),
		bold: file('atkinson-hyperlegible-next/600SemiBold/AtkinsonHyperlegibleNext_600SemiBold')
	},
	[HEAD]: { normal: file('literata/600SemiBold/Literata_600SemiBold') }
};
pdfmake.addFonts(fonts);
// A document is made of text and lines of our own: nothing is read from an address, and of files only the fonts.
pdfmake.setUrlAccessPolicy(() => false);
pdfmake.setLocalAccessPolicy((path) => Object.values(fonts).some((font) => Object.values(font).includes(path)));

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
