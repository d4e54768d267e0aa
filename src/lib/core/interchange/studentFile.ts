/** A table of a student's file: what a row is, and what each column means. */
export interface FileTable {
	title: string;
	says: string;
	columns: { name: string; means: string }[];
	/** In the order of the columns. */
	rows: string[][];
}

const ESCAPES: Record<string, string> = { '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' };
const escape = (text: string) => text.replace(/[&<>"]/g, (character) => ESCAPES[character]);

const STYLE = `body { font: 15px/1.45 Georgia, serif; color: #1b2733; margin: 2rem auto; max-width: 64rem; padding: 0 1rem }
h1, h2 { line-height: 1.2 } h2 { margin-top: 2rem }
table { border-collapse: collapse; width: 100%; font-size: 13px }
th, td { border: 1px solid #d9d2c3; padding: 3px 6px; text-align: left; vertical-align: top; overflow-wrap: anywhere }
p.means { font-size: 13px; color: #54606c }
@media print { body { margin: 0; max-width: none } }`;

function tableHtml({ title, says, columns, rows }: FileTable): string {
	const heads = columns.map(({ name }) => `<th scope="col">${escape(name)}</th>`).join('');
	const body = rows.map((row) => `<tr>${row.map((cell) => `<td>${escape(cell)}</td>`).join('')}</tr>`).join('\n');
	const means = columns.map(({ name, means: words }) => `<b>${escape(name)}</b>: ${escape(words)}`).join('; ');
	return `<h2>${escape(title)}</h2>
<p>Each row is ${escape(says)}.</p>
${rows.length ? `<table><thead><tr>${heads}</tr></thead><tbody>\n${body}\n</tbody></table>` : '<p>There is none.</p>'}
<p class="means">${means}.</p>`;
}

/**
 * Everything that is kept of a student as one page that reads without anything else.
 *
 * @param about the student's name, the school's, and the day
 * @returns HTML, without scripts and without anything from elsewhere
 */
export function studentFile(about: { student: string; school: string; on: string }, tables: FileTable[]): string {
	const filled = tables.filter(({ rows }) => rows.length);
	const empty = tables.filter(({ rows }) => rows.length === 0);
	return `<!doctype html>
<html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width">
<title>${escape(about.student)}: everything that is kept</title><style>${STYLE}</style></head><body>
<h1>${escape(about.student)}</h1>
<p>Everything that ${escape(about.school)} keeps of ${escape(about.student)} in Orderly Compass, on ${escape(about.on)}.
The same stands in the JSON file beside this page, for programs. Times are UTC.</p>
${filled.map(tableHtml).join('\n')}
${empty.length ? `<h2>Nothing is kept of</h2><p>${escape(empty.map(({ title }) => title.toLowerCase()).join(', '))}.</p>` : ''}
</body></html>
`;
}

/** A column’s name as people read it: `answered_at` is “Answered at”. */
export const columnTitle = (name: string) => {
	const words = name.replaceAll('_', ' ');
	return words[0].toUpperCase() + words.slice(1);
};
