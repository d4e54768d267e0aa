import { addDays, type SchoolDate } from '../calendar';
import { DATE_EXAMPLES, dateStyleOf, readDate, type DateStyle } from './dates';

/** What a column of a score file can hold; a domain's scores are `domain:<id>`. */
export type ColumnRole = 'number' | 'date' | 'overall' | 'error' | `domain:${number}` | 'ignore';

/** Scores outside this range (points) are typing errors or another scale. */
const POINTS_RANGE = { least: 200, most: 800 };
/** Standard error (points) taken for a score that comes without one, and the range a given one lies in. */
export const ASSUMED_ERROR = 12;
const ERROR_RANGE = { least: 1, most: 60 };

const words = (text: string) =>
	text
		.toLowerCase()
		.replace(/[^a-z0-9]+/g, ' ')
		.trim();

/** Proposes a role for each column from its heading; a person confirms. */
export function proposeRoles(header: string[], domains: { id: number; code: string; name: string }[]): ColumnRole[] {
	const taken = new Set<ColumnRole>();
	return header.map((heading) => {
		const text = words(heading);
		const domain = domains.find(
			({ code, name }) =>
				text === words(code) || text === words(name) || (text.length > 3 && words(name).startsWith(text.split(' ')[0]))
		);
		const role: ColumnRole = /\b(id|number|no|student)\b/.test(text)
			? 'number'
			: /\b(error|sem)\b/.test(text)
				? 'error'
				: /\b(date|day|taken)\b/.test(text)
					? 'date'
					: /\b(overall|total|score|points|composite)\b/.test(text)
						? 'overall'
						: domain
							? `domain:${domain.id}`
							: 'ignore';
		if (role === 'ignore' || taken.has(role)) return 'ignore';
		taken.add(role);
		return role;
	});
}

/** How a source's columns are matched, kept by heading, so that its next file needs no matching. */
export function matchingOf(
	header: string[],
	roles: ColumnRole[],
	domains: { id: number; code: string }[]
): Record<string, string> {
	const codes = new Map(domains.map(({ id, code }) => [`domain:${id}`, `domain:${code}`]));
	return Object.fromEntries(header.map((heading, i) => [words(heading), codes.get(roles[i]) ?? roles[i]]));
}

/**
 * Roles by a kept matching; undefined when the file has another set of headings, as a person should look then.
 */
export function rolesByMatching(
	header: string[],
	matching: Record<string, string>,
	domains: { id: number; code: string }[]
): ColumnRole[] | undefined {
	const ids = new Map(domains.map(({ id, code }) => [`domain:${code}`, `domain:${id}` as ColumnRole]));
	const roles = header.map((heading) => {
		const kept = matching[words(heading)];
		return kept?.startsWith('domain:') ? ids.get(kept) : (kept as ColumnRole | undefined);
	});
	const isSame = Object.keys(matching).length === header.length && roles.every((role) => role !== undefined);
	return isSame ? (roles as ColumnRole[]) : undefined;
}

interface PlannedScore {
	domainId: number;
	points: number;
}

interface PlannedRow {
	/** Line of the file, 1 for the header. */
	line: number;
	number: string;
	effect: 'new' | 'changes' | 'same' | 'bad';
	/** Why a bad row is left out; empty for good rows. */
	reason: string;
	studentId: number | null;
	takenOn: SchoolDate;
	scores: PlannedScore[];
	/** Standard error of its scores, in points. */
	error: number;
}

interface Known {
	students: Map<string, number>;
	/** Points now stored, by `studentId domainId`. */
	existing: Map<string, { points: number; takenOn: SchoolDate }>;
	today: SchoolDate;
}

/**
 * What each row of a score file would do. Nothing is stored; bad rows are told with line number and reason, and do not
 * keep good rows from being taken.
 *
 * @param records cells of each row below the header
 * @param roles one a column
 * @param known.today also the date of rows in files without a date column
 */
export function planScoreImport(records: string[][], roles: ColumnRole[], known: Known): PlannedRow[] {
	const seen = new Map<string, number>();
	const dateColumn = roles.indexOf('date');
	const style = dateStyleOf(records.map((cells) => cells[dateColumn] ?? ''));
	return records.map((cells, i) => {
		const line = i + 2;
		const at = (role: ColumnRole) => (roles.includes(role) ? (cells[roles.indexOf(role)] ?? '').trim() : null);
		const number = at('number') ?? '';
		const row: PlannedRow = {
			line,
			number,
			effect: 'bad',
			reason: '',
			studentId: known.students.get(number) ?? null,
			takenOn: known.today,
			scores: [],
			error: ASSUMED_ERROR
		};
		const bad = (reason: string) => ({ ...row, reason });
		if (cells.every((cell) => cell.trim() === '')) return bad('The line is empty.');
		if (cells.length !== roles.length)
			return bad(`The line has ${cells.length} cells; the header has ${roles.length}.`);
		if (!number) return bad('No student number.');
		if (row.studentId === null) return bad(`No student has the number ${number}.`);
		if (seen.has(number)) return bad(`Student ${number} stands on line ${seen.get(number)} already.`);
		seen.set(number, line);
		const dateText = at('date');
		if (dateText !== null) {
			const date = readDate(dateText, style);
			if (!date) return bad(whyNoDate(dateText, style));
			if (date > known.today) return bad(`${date} lies in the future.`);
			if (date < addDays(known.today, -730)) return bad(`${date} lies more than two years back.`);
			row.takenOn = date;
		}
		const errorText = at('error');
		if (errorText) {
			const error = readNumber(errorText);
			if (error === null || error < ERROR_RANGE.least || error > ERROR_RANGE.most)
				return bad(`“${errorText}” is no standard error of ${ERROR_RANGE.least} to ${ERROR_RANGE.most} points.`);
			row.error = error;
		}
		for (const [column, role] of roles.entries()) {
			if (role !== 'overall' && !role.startsWith('domain:')) continue;
			const text = cells[column].trim();
			if (text === '') continue;
			const points = readNumber(text);
			if (points === null) return bad(`“${text}” is no score.`);
			if (points < POINTS_RANGE.least || points > POINTS_RANGE.most) {
				return bad(`${text} is outside ${POINTS_RANGE.least} to ${POINTS_RANGE.most} points.`);
			}
			row.scores.push({ domainId: role === 'overall' ? 0 : Number(role.slice(7)), points });
		}
		if (row.scores.length === 0) return bad('No score on this line.');
		const before = row.scores.map(({ domainId }) => known.existing.get(`${row.studentId} ${domainId}`));
		const same = row.scores.every(
			({ points }, s) => before[s] && Math.abs(before[s].points - points) < 1e-6 && before[s].takenOn === row.takenOn
		);
		return { ...row, effect: same ? 'same' : before.some(Boolean) ? 'changes' : 'new' };
	});
}

const readNumber = (text: string) => (/^-?\d+(\.\d+)?$/.test(text) ? Number(text) : null);

/** Why a text is no date: in another style than the file's other dates, or none at all. */
function whyNoDate(text: string, style: DateStyle): string {
	const other = (['year first', 'month first', 'day first'] as const).find((one) => readDate(text, one) !== null);
	if (!other) return `“${text}” is no date; write ${DATE_EXAMPLES[style]}.`;
	return `“${text}” is written with the ${other}, most dates of the file with the ${style}: make them alike.`;
}
