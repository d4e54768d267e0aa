/** What a row of an outcome file says; `problem` is why it is left out. */
interface OutcomeRow {
	line: number;
	number: string;
	studentId: number | null;
	met: boolean | null;
	problem: string;
}

const MET = new Set(['met', 'yes', 'pass', 'passed', '1', 'true']);
const NOT_MET = new Set(['not met', 'no', 'fail', 'failed', '0', 'false', 'not passed']);

/**
 * Reads outcomes: a student number and whether the goal was met, in the first two columns. Bad rows are told with their
 * line and do not keep good ones from being taken.
 *
 * @param records cells of each row below the header
 */
export function readOutcomes(records: string[][], students: Map<string, number>): OutcomeRow[] {
	const seen = new Map<string, number>();
	return records.map((cells, i) => {
		const line = i + 2;
		const number = (cells[0] ?? '').trim();
		const said = (cells[1] ?? '').trim().toLowerCase();
		const met = MET.has(said) ? true : NOT_MET.has(said) ? false : null;
		const studentId = students.get(number) ?? null;
		const before = seen.get(number);
		const problem = !number
			? 'No student number.'
			: studentId === null
				? `No student has the number ${number}.`
				: before !== undefined
					? `Student ${number} stands on line ${before} already.`
					: met === null
						? `“${cells[1] ?? ''}” is neither met nor not met.`
						: '';
		if (number && before === undefined) seen.set(number, line);
		return { line, number, studentId, met, problem };
	});
}
