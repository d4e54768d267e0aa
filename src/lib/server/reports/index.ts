/** What is printed or taken out: reports as pages, PDF and spreadsheets. */
export { pdfOf } from './pdf/index';
export { familyLetters } from './store/sheets';
export { spreadsheetOf } from './spreadsheet';
