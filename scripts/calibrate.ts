/**
 * npm run calibrate -- responses.csv: item parameters from a table of answers. One row a person, a header of item names,
 * 1 right, 0 wrong, blank not answered.
 */
import { readFileSync } from 'node:fs';
import Papa from 'papaparse';
import { calibrateTwoParameter } from '../src/lib/core/measurement';

function stop(problem: string): never {
	console.error(
		`${problem}\nUse: npm run calibrate -- responses.csv (one row a person, a header of item names, cells 0, 1 or blank)`
	);
	process.exit(1);
}

function readAnswers(path: string): { names: string[]; matrix: (0 | 1 | null)[][] } {
	let text: string;
	try {
		text = readFileSync(path, 'utf8').replace(/^\ufeff/, '');
	} catch (error) {
		return stop(`${path} cannot be read: ${(error as Error).message}`);
	}
	const [names, ...rows] = Papa.parse<string[]>(text, { skipEmptyLines: 'greedy' }).data;
	if (!names || rows.length === 0) stop(`${path} has no rows below its header.`);
	const matrix = rows.map((cells, i) => {
		if (cells.length !== names.length) stop(`Row ${i + 1} has ${cells.length} cells; the header has ${names.length}.`);
		return cells.map((cell, c) => {
			const value = cell.trim();
			if (value === '') return null;
			if (value !== '0' && value !== '1') stop(`Row ${i + 1}, ${names[c]}: “${value}” is neither 0, 1 nor blank.`);
			return Number(value) as 0 | 1;
		});
	});
	return { names, matrix };
}

const path = process.argv[2] ?? stop('No file was named.');
const { names, matrix } = readAnswers(path);
const { items, logLikelihood, iterations, converged } = calibrateTwoParameter(matrix);
const show = (value: number) => (Number.isFinite(value) ? value.toFixed(3) : '—');
const table = items.map((item, i) => [
	names[i],
	String(item.answers),
	show(item.right / item.answers),
	show(item.discrimination),
	show(item.standardErrors.discrimination),
	show(item.difficulty),
	show(item.standardErrors.difficulty),
	show(item.misfit)
]);
const header = ['item', 'answers', 'right', 'discrimination', 'error', 'difficulty', 'error', 'misfit'];
const widths = header.map((heading, c) => Math.max(heading.length, ...table.map((row) => row[c].length)));
for (const row of [header, ...table])
	console.log(row.map((cell, c) => (c === 0 ? cell.padEnd(widths[c]) : cell.padStart(widths[c]))).join('  '));
console.log(`\npersons ${matrix.length}, items ${names.length}`);
console.log(`log-likelihood ${logLikelihood.toFixed(4)}`);
console.log(`${iterations} iterations, ${converged ? 'converged' : 'not converged'}`);
const closed = items.filter(({ discrimination }) => Number.isNaN(discrimination)).length;
if (closed) console.log(`${closed} without an estimate: answered by nobody, or by all alike.`);
