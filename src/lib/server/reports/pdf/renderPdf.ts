import { createRequire } from 'node:module';
import pdfmake from 'pdfmake';
import type { TFontDictionary } from 'pdfmake/interfaces';
import type { ReportText } from '../../../core/screening';
import type { Sheet } from '../../../core/sheets';
import { HEAD, TEXT } from './fonts';
import { reportDocument } from './reportPdf';
import { sheetDocument } from './sheetPdf';

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

/** What is made into a PDF: reports on students of a school, one a page, or a sheet. */
export type ToRender =
	| { reports: ReportText[]; school: string; /** When they are printed, in words. */ printed: string }
	| { sheet: Sheet; school: string };

/** Reports or a sheet as the bytes of a PDF. Takes a while: run it through `pdfOf`, off the request's thread. */
export default async function renderPdf(asked: ToRender): Promise<Uint8Array> {
	const document =
		'sheet' in asked
			? sheetDocument(asked.sheet, asked.school)
			: reportDocument(asked.reports, asked.school, asked.printed);
	return pdfmake.createPdf(document).getBuffer();
}
