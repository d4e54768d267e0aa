import { addDays, type SchoolDate } from '../calendar';
import { tidyName } from '../words';
import { dateStyleOf, readDate } from './dates';

/** What a column of a list of students can hold. `name` is a whole name in one cell. */
export const LIST_COLUMNS = [
	'name',
	'given name',
	'family name',
	'preferred name',
	'number',
	'grade',
	'birth date',
	'class',
	'home language',
	'nothing of use'
] as const;
export type ListColumn = (typeof LIST_COLUMNS)[number];

/** How a list is laid out. */
export interface ListLayout {
	/** Whether the first line names the columns. */
	hasHeader: boolean;
	columns: ListColumn[];
	/** In a whole name, whether the family name comes first. */
	isFamilyFirst: boolean;
}

/** A student as a list tells of them; what it does not tell is empty or null. */
export interface ListedStudent {
	/** Line of the list, from 1. */
	line: number;
	givenName: string;
	familyName: string;
	preferredName: string;
	number: string;
	/** 0 is kindergarten. */
	grade: number | null;
	birthDate: SchoolDate | null;
	className: string;
	homeLanguage: string;
	/** Why the line cannot be taken as it stands; empty where it can. */
	problem: string;
}

/** Characters that a name, and a student number, may have. */
export const LONGEST_NAME = 60;
export const LONGEST_NUMBER = 20;
export const HIGHEST_GRADE = 12;
/** What is said of a student under this name is a home language. */
export const HOME_LANGUAGE = 'Home language';
/** Ages (years) of those who go to a school; a birth date outside is a typing error. */
const AGES = { least: 3, most: 22 };

/**
 * Cells of pasted text: by tabs where a spreadsheet or table was copied, else by semicolons, else by commas where most
 * lines have two or more (`Ruiz, Ana` is one name). Marks of a list (`1.`, `•`) are dropped, and so are empty lines.
 */
export function cellsOfText(text: string): string[][] {
	const lines = text
		.split(/\r\n|\r|\n/)
		.map((line) => line.replace(/^\s*(?:\d{1,3}[.)]\s+|[•*–-]\s+)/, ''))
		.filter((line) => line.trim());
	const most = (times: number, mark: string) =>
		lines.filter((line) => line.split(mark).length > times).length > lines.length / 2;
	const delimiter = most(1, '\t') ? '\t' : most(1, ';') ? ';' : most(2, ',') ? ',' : null;
	return lines.map((line) =>
		(delimiter ? line.split(delimiter) : [line]).map((cell) =>
			cell
				.trim()
				.replace(/^"(.*)"$/, '$1')
				.trim()
		)
	);
}

/** Headings, as a whole: `Acalla` is a name, `Called` a heading. */
const HEADINGS: [RegExp, ListColumn][] = [
	[/^(preferred|nick-?|known as|goes by|called)( ?(given|first))?( ?names?)?$/, 'preferred name'],
	[/^(birth( ?da(te|y))?|date of birth|born( on)?|dob)$/, 'birth date'],
	[/^(given|first|fore)[ -]?(names?)?$/, 'given name'],
	[/^(family|last|sur)[ -]?(names?)?$/, 'family name'],
	[/^(grade|gr)( level)?\.?$/, 'grade'],
	[/^((home|first|native|family|spoken) )?language( (spoken )?at home)?$/, 'home language'],
	[/^(class|homeroom|room|section|teacher)( ?(room|name|code))?$/, 'class'],
	[/^((student|pupil|school|local)[ -]?)?(id|number|no|nr|#)\.?$/, 'number'],
	[/^((full|student|pupil|child)('?s)?[ -]?)?(names?|students?|pupils?|child(ren)?)$/, 'name']
];

const columnNamed = (heading: string): ListColumn | null =>
	HEADINGS.find(([pattern]) => pattern.test(heading.trim().toLowerCase().replaceAll('_', ' ')))?.[1] ?? null;

/** How a list seems to be laid out, by its headings or by what its cells look like; a person looks at it and corrects. */
export function proposeLayout(cells: string[][]): ListLayout {
	const [first = []] = cells;
	const hasHeader =
		first.some((cell) => columnNamed(cell)) && first.every((cell) => !/\d/.test(cell)) && cells.length > 1;
	const rows = hasHeader ? cells.slice(1) : cells;
	const width = Math.max(0, ...cells.map((row) => row.length));
	const inColumn = (column: number) => rows.map((row) => row[column] ?? '').filter(Boolean);
	const taken = new Set<ListColumn>();
	const columns = Array.from({ length: width }, (_, column): ListColumn => {
		const role = hasHeader ? columnNamed(first[column] ?? '') : columnLike(inColumn(column));
		if (role === null || (role !== 'name' && taken.has(role))) return 'nothing of use';
		taken.add(role);
		return role;
	});
	const names = columns.flatMap((role, column) => (role === 'name' ? [column] : []));
	if (names.length > 1) {
		// Lists go by family names; where neither column is in order, the first is taken for it.
		const isSecond = !isInOrder(inColumn(names[0])) && isInOrder(inColumn(names[1]));
		[columns[names[0]], columns[names[1]]] = isSecond ? ['given name', 'family name'] : ['family name', 'given name'];
		for (const column of names.slice(2)) columns[column] = 'nothing of use';
	}
	const whole = names.length === 1 ? inColumn(names[0]) : [];
	return { hasHeader, columns, isFamilyFirst: mostly(whole, (name) => /^\p{Lu}[\p{Lu}'’-]+ \p{Lu}\p{Ll}/u.test(name)) };
}

const mostly = (cells: string[], test: (cell: string) => boolean) =>
	cells.length > 0 && cells.filter(test).length > 0.8 * cells.length;

/** Whether names are in alphabetical order, but for a slip here and there. */
function isInOrder(names: string[]): boolean {
	const pairs = names.slice(1).map((name, i) => names[i].localeCompare(name, 'en') <= 0);
	return pairs.length > 2 && pairs.filter(Boolean).length > 0.9 * pairs.length;
}

/** What cells without a heading look like; null for what is of no use, as lines that are counted. */
function columnLike(cells: string[]): ListColumn | null {
	if (cells.length === 0) return null;
	if (cells.length > 2 && cells.every((cell, i) => cell === String(i + 1))) return null;
	const style = dateStyleOf(cells);
	if (mostly(cells, (cell) => readDate(cell, style) !== null)) return 'birth date';
	if (mostly(cells, (cell) => readGrade(cell) !== null)) return 'grade';
	if (mostly(cells, (cell) => /\d/.test(cell) && /^[\w-]+$/.test(cell))) return 'number';
	return mostly(cells, (cell) => /^[\p{L}\p{M}\s.,'’()"“”-]+$/u.test(cell)) ? 'name' : null;
}

/** A grade as lists write it (`4`, `4th`, `Grade 4`, `K`); null for none of K to 12. */
export function readGrade(text: string): number | null {
	const [, found] =
		/^(?:grade|gr\.?)?\s*(k|kg|kindergarten|\d{1,2})(?:st|nd|rd|th)?(?:\s+grade)?$/i.exec(text.trim()) ?? [];
	if (!found) return null;
	const grade = /^k/i.test(found) ? 0 : Number(found);
	return grade <= HIGHEST_GRADE ? grade : null;
}

/** Words before a family name that belong to it. */
const PARTICLES = new Set('al ap bin bint da de del della den der di dos du el la le san ter van von y zu'.split(' '));

/** A whole name in its parts: `Ruiz, Ana`, `Ana Ruiz`, `Jan van der Berg`; the name somebody goes by in parentheses. */
export function splitName(
	text: string,
	isFamilyFirst: boolean
): Pick<ListedStudent, 'givenName' | 'familyName' | 'preferredName'> {
	const [, preferred = ''] = /[("“]([^)"”]*)[)"”]/.exec(text) ?? [];
	const plain = text.replace(/[("“][^)"”]*[)"”]/, ' ').trim();
	const parts = (given: string, family: string) => ({
		givenName: tidyName(given),
		familyName: tidyName(family),
		preferredName: tidyName(preferred)
	});
	if (plain.includes(',')) {
		const [family, ...given] = plain.split(',');
		return parts(given.join(' '), family);
	}
	const words = plain.split(/\s+/).filter(Boolean);
	const isParticle = (word: string) => PARTICLES.has(word.toLowerCase());
	if (isFamilyFirst) {
		let end = 1;
		while (end < words.length - 1 && isParticle(words[end - 1])) end++;
		return parts(words.slice(end).join(' '), words.slice(0, end).join(' '));
	}
	let from = Math.max(words.length - 1, 0);
	while (from > 1 && isParticle(words[from - 1])) from--;
	return words.length > 1
		? parts(words.slice(0, from).join(' '), words.slice(from).join(' '))
		: parts(words.join(' '), '');
}

/**
 * The students of a list, each with what keeps the line from being taken as it stands.
 *
 * @param today by which a birth date is judged
 */
export function readStudentList(cells: string[][], layout: ListLayout, today: SchoolDate): ListedStudent[] {
	const { columns, hasHeader, isFamilyFirst } = layout;
	const rows = hasHeader ? cells.slice(1) : cells;
	const birthColumn = columns.indexOf('birth date');
	const style = dateStyleOf(rows.map((row) => row[birthColumn] ?? ''));
	return withRepeats(
		rows.map((row, i) => {
			const at = (column: ListColumn) => (columns.includes(column) ? (row[columns.indexOf(column)] ?? '') : '');
			const whole = splitName(at('name'), isFamilyFirst);
			const [gradeText, birthText] = [at('grade'), at('birth date')];
			const birthDate = readDate(birthText, style);
			const read = {
				line: i + (hasHeader ? 2 : 1),
				givenName: tidyName(at('given name')) || whole.givenName,
				familyName: tidyName(at('family name')) || whole.familyName,
				preferredName: tidyName(at('preferred name')) || whole.preferredName,
				number: at('number').trim(),
				grade: readGrade(gradeText),
				birthDate,
				className: at('class').trim(),
				homeLanguage: at('home language').trim()
			};
			const unread =
				gradeText.trim() && read.grade === null
					? `“${gradeText}” is no grade from K to 12`
					: birthText.trim() && birthDate === null
						? `“${birthText}” is no date`
						: '';
			return { ...read, problem: unread || problemOf(read, today) };
		})
	);
}

/** Why a student cannot be taken; empty where nothing keeps them from it. */
export function problemOf(student: Omit<ListedStudent, 'line' | 'problem'>, today: SchoolDate): string {
	const { givenName, familyName, preferredName, number, birthDate, homeLanguage } = student;
	if (!givenName && !familyName) return 'No name';
	if (!familyName) return 'Only one name: add the family name';
	if (!givenName) return 'Only one name: add the given name';
	if ([givenName, familyName, preferredName].some((name) => name.length > LONGEST_NAME))
		return `A name has more than ${LONGEST_NAME} characters`;
	if (number.length > LONGEST_NUMBER) return `The number has more than ${LONGEST_NUMBER} characters`;
	if (homeLanguage.length > LONGEST_NAME) return `The home language has more than ${LONGEST_NAME} characters`;
	const year = (years: number) => addDays(today, -Math.round(365.25 * years));
	if (birthDate && (birthDate > year(AGES.least) || birthDate < year(AGES.most)))
		return `Born ${birthDate}: not of school age`;
	return '';
}

/** Marks those who stand in a list before: by number, or by name where neither number nor birth date tells them apart. */
export function withRepeats<Student extends Omit<ListedStudent, 'line'>>(students: Student[]): Student[] {
	const seen = new Map<string, number>();
	return students.map((student, i) => {
		const { givenName, familyName, number, birthDate } = student;
		const keys = [
			...(number ? [`number ${number.toLowerCase()}`] : []),
			`name ${givenName} ${familyName}`.toLowerCase() + (number || birthDate ? ` ${number} ${birthDate}` : '')
		];
		const before = keys.map((key) => seen.get(key)).find((place) => place !== undefined);
		for (const key of keys) if (!seen.has(key)) seen.set(key, i);
		if (student.problem || before === undefined) return student;
		return { ...student, problem: `The same as number ${before + 1} of the list` };
	});
}
