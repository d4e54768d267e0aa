import { addDays, type SchoolDate } from '../calendar';
import { dateStyleOf, readDate } from './dates';

/** What a column of a list of interventions can hold, in the order in which people write them. */
export const INTERVENTION_COLUMNS = [
	'number',
	'name',
	'tier',
	'from',
	'until',
	'group',
	'focus',
	'adult',
	'days',
	'time',
	'minutes',
	'what was done',
	'what came of it'
] as const;
type Column = (typeof INTERVENTION_COLUMNS)[number];

const HEADINGS: Record<Column, RegExp> = {
	number: /^((student|pupil|school|local) )?(id|number|no|nr|#)\.?$/,
	name: /^((full|student|pupil|child) )?(name|student|pupil)$/,
	tier: /^tier( of support)?$/,
	from: /^(from|since|start(s|ed)?( on)?|began|start date)$/,
	until: /^(until|to|ends?|ended( on)?|end date|last day)$/,
	group: /^(small )?group( name)?$/,
	focus: /^(focus|skill|skill code)$/,
	adult: /^(adult|staff|held by|interventionist)$/,
	days: /^(days?|weekdays?)$/,
	time: /^(time|at|starts at)$/,
	minutes: /^(minutes|min)$/,
	'what was done': /^(what was done|what|intervention)$/,
	'what came of it': /^(what came of it|result|outcome)$/
};

/** Characters of a group's name, and of what was done or came of it. */
export const LONGEST_GROUP_NAME = 80;
export const LONGEST_TOLD = 300;
/** Days before today on which an intervention can have begun. */
const LONGEST_AGO = 15 * 366;

/** A line: one student's days of support, now or in the past. */
export interface ListedIntervention {
	/** Line of the file, from 1. */
	line: number;
	number: string;
	name: string;
	tier: 2 | 3;
	from: SchoolDate;
	/** The first day after it; null for what goes on. */
	until: SchoolDate | null;
	/** Empty for support outside of groups that are kept here. */
	group: string;
	focus: string;
	adult: string;
	/** ISO weekdays; empty where the line does not say. */
	days: number[];
	/** `HH:MM`; empty where the line does not say. */
	startsAt: string;
	/** Null where the line does not say. */
	minutes: number | null;
	did: string;
	came: string;
}

/** A line that cannot be taken, and why. */
export interface BadLine {
	line: number;
	says: string;
}

/**
 * Reads a list of interventions whose first line names the columns. Bad lines are told and keep no good one from being
 * taken.
 *
 * @returns what the lines say and which headings are none, or what keeps the list from being read at all
 */
export function readInterventions(
	cells: string[][],
	today: SchoolDate
): { listed: ListedIntervention[]; bad: BadLine[]; unread: string[] } | { problem: string } {
	const [head = [], ...rows] = cells;
	const columns = head.map((heading) => columnOf(heading));
	const lacks = (['tier', 'from'] as const).filter((column) => !columns.includes(column));
	if (lacks.length)
		return { problem: `The first line names no column ${lacks.map((one) => `“${one}”`).join(' and ')}` };
	if (!columns.includes('number') && !columns.includes('name'))
		return { problem: 'The first line names neither a column “number” nor “name”: whom is it about?' };
	const twice = columns.find((column, i) => column !== null && columns.indexOf(column) !== i);
	if (twice) return { problem: `Two columns are “${twice}”` };
	const at = (row: string[], column: Column) => (row[columns.indexOf(column)] ?? '').trim();
	const style = dateStyleOf(rows.flatMap((row) => [at(row, 'from'), at(row, 'until')]).filter(Boolean));
	const listed: ListedIntervention[] = [];
	const bad: BadLine[] = [];
	rows.forEach((row, i) => {
		if (row.every((cell) => !cell.trim())) return;
		const read = readLine((column) => at(row, column), i + 2, { today, style });
		if (typeof read === 'string') bad.push({ line: i + 2, says: read });
		else listed.push(read);
	});
	return { listed, bad, unread: head.filter((heading, i) => columns[i] === null && heading.trim()) };
}

function columnOf(heading: string): Column | null {
	const text = heading.trim().toLowerCase().replaceAll('_', ' ');
	return INTERVENTION_COLUMNS.find((column) => HEADINGS[column].test(text)) ?? null;
}

/** @returns the line, or why it cannot be taken */
function readLine(
	cell: (column: Column) => string,
	line: number,
	{ today, style }: { today: SchoolDate; style: Parameters<typeof readDate>[1] }
): ListedIntervention | string {
	if (!cell('number') && !cell('name')) return 'It says no student';
	const [, tier] = /^(?:tier\s*)?([23])$/i.exec(cell('tier')) ?? [];
	if (!tier) return `“${cell('tier')}” is neither tier 2 nor tier 3`;
	const from = readDate(cell('from'), style);
	if (!from) return `“${cell('from')}” is no day on which it began`;
	if (from > today) return 'It begins later than today';
	if (from < addDays(today, -LONGEST_AGO)) return 'It begins too long ago';
	const last = cell('until') ? readDate(cell('until'), style) : null;
	if (cell('until') && !last) return `“${cell('until')}” is no day on which it ended`;
	if (last && last < from) return 'It ends before it begins';
	const days = readDays(cell('days'));
	if (!days) return `“${cell('days')}” are no days from Monday to Friday`;
	const startsAt = readTime(cell('time'));
	if (startsAt === null) return `“${cell('time')}” is no time of day, as 09:15`;
	const minutes = cell('minutes') ? Number(cell('minutes')) : null;
	if (minutes !== null && (!Number.isInteger(minutes) || minutes < 5 || minutes > 180))
		return `“${cell('minutes')}” are no minutes of a session`;
	if (cell('group').length > LONGEST_GROUP_NAME) return `A group’s name has at most ${LONGEST_GROUP_NAME} characters`;
	for (const told of ['what was done', 'what came of it'] as const)
		if (cell(told).length > LONGEST_TOLD) return `“${told}” has more than ${LONGEST_TOLD} characters`;
	return {
		line,
		number: cell('number'),
		name: cell('name'),
		tier: tier === '3' ? 3 : 2,
		from,
		until: last && addDays(last, 1),
		group: cell('group'),
		focus: cell('focus'),
		adult: cell('adult'),
		days,
		startsAt,
		minutes,
		did: cell('what was done'),
		came: cell('what came of it')
	};
}

const WEEKDAYS = ['mon', 'tue', 'wed', 'thu', 'fri'];

/** ISO weekdays of `Mon Wed`, `Monday/Wednesday`; none for an empty text, null for what are no weekdays. */
function readDays(text: string): number[] | null {
	const words = text
		.toLowerCase()
		.split(/[^\p{L}]+/u)
		.filter(Boolean);
	const days = words.map((word) => WEEKDAYS.findIndex((day) => word.length > 2 && word.startsWith(day)) + 1);
	return days.includes(0) ? null : [...new Set(days)].sort();
}

/** `9:15`, `09:15` or `1:15 pm` as `HH:MM`; empty for an empty text, null for what is no time. */
function readTime(text: string): string | null {
	if (!text) return '';
	const [, hours, minutes, half] = /^(\d{1,2})[:.](\d{2})\s*([ap])?\.?m?\.?$/i.exec(text) ?? [];
	if (!hours) return null;
	const hour = half ? (Number(hours) % 12) + (half.toLowerCase() === 'p' ? 12 : 0) : Number(hours);
	return hour < 24 && Number(minutes) < 60 ? `${String(hour).padStart(2, '0')}:${minutes}` : null;
}
