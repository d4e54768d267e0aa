import { checkRecords } from './checkRecords';
import {
	BadLine,
	type Cells,
	LONGEST_CELL,
	NEEDED,
	readRecord,
	ROSTER_FILES,
	type RosterFile,
	type RosterRecords
} from './records';

/** What is wrong with a roster, and where. */
export interface RosterProblem {
	/** As it is named in the package; null for the package as a whole. */
	file: string | null;
	/** From 1 for the head; null for the file as a whole. */
	line: number | null;
	says: string;
}

/** Problems that are told; more are counted. */
export const MOST_PROBLEMS = 100;

/** Problems as they are found: of the first the words are kept, of the others that they are there. */
export class Problems {
	readonly told: RosterProblem[] = [];
	count = 0;

	add(file: string | null, line: number | null, says: string): void {
		this.count++;
		if (this.told.length < MOST_PROBLEMS) this.told.push({ file, line, says });
	}
}

export type FileMode = 'bulk' | 'delta' | 'absent';

/** What a package says of itself. */
export interface Manifest {
	modes: Record<RosterFile, FileMode>;
	/** The name of the system that wrote it; empty where it does not say. */
	source: string;
}

/** What a package of rosters holds, and what is wrong with it: where anything is, nothing of it may be used. */
export interface ReadRoster {
	manifest: Manifest & { isDelta: boolean };
	records: RosterRecords;
	problems: Problems;
}

/** The files that no roster is without. */
const ALWAYS: RosterFile[] = ['orgs', 'classes', 'users', 'roles', 'enrollments'];

/**
 * Reads the rows of manifest.csv (OneRoster 1.2, CSV binding, 4.1).
 *
 * @param rows with the head
 */
export function readManifest(rows: string[][], problems: Problems): Manifest {
	const named = new Map(rows.slice(1).map(([name = '', value = '']) => [name.trim(), value.trim()]));
	const bad = (says: string) => problems.add('manifest.csv', null, says);
	if (rows[0]?.[0]?.trim() !== 'propertyName') bad('The head is not propertyName,value');
	const version = named.get('oneroster.version');
	if (version !== '1.2') bad(`oneroster.version is “${version ?? ''}”; version 1.2 is read`);
	const modes = Object.fromEntries(
		ROSTER_FILES.map((file): [RosterFile, FileMode] => {
			const said = (named.get(`file.${file}`) ?? 'absent').toLowerCase();
			if (said === 'bulk' || said === 'delta' || said === 'absent') return [file, said];
			bad(`file.${file} is “${said}”; it can be bulk, delta or absent`);
			return [file, 'absent'];
		})
	) as Record<RosterFile, FileMode>;
	const present = ROSTER_FILES.filter((file) => modes[file] !== 'absent');
	if (present.some((file) => modes[file] === 'bulk') && present.some((file) => modes[file] === 'delta'))
		bad('Some files are bulk and others delta; send all of one kind');
	const isDelta = present.some((file) => modes[file] === 'delta');
	if (!isDelta) for (const file of ALWAYS) if (modes[file] === 'absent') bad(`file.${file} is absent; it is needed`);
	return { modes, source: named.get('source.systemName') ?? '' };
}

/**
 * Takes a roster in line by line, and says at the end what is wrong with it.
 *
 * const reader = new RosterReader();
 * reader.begin('orgs', ['sourcedId', 'name', 'type']);
 * reader.take(['1', 'Saltmarsh Bridge School', 'school'], 2);
 * const { records, problems } = reader.end();
 */
export class RosterReader {
	private readonly records: RosterRecords = {
		orgs: [],
		academicSessions: [],
		courses: [],
		classes: [],
		users: [],
		roles: [],
		enrollments: [],
		demographics: []
	};
	/** Ids of lines that could not be read: what refers to them is not wrong for that. */
	private readonly unread = Object.fromEntries(ROSTER_FILES.map((file) => [file, new Set<string>()])) as Record<
		RosterFile,
		Set<string>
	>;
	private file: RosterFile = 'orgs';
	private width = 0;
	private places = new Map<string, number>();
	private row: string[] = [];
	private readonly cells: Cells = (column) => {
		const place = this.places.get(column.toLowerCase());
		const text = place === undefined ? '' : this.row[place].trim();
		return column.endsWith('SourcedId') ? this.onceOnly(text) : text;
	};

	/** Ids that are referred to, each kept once however often it stands. */
	private readonly ids = new Map<string, string>();
	private onceOnly(id: string): string {
		const kept = this.ids.get(id);
		if (kept === undefined) this.ids.set(id, id);
		return kept ?? id;
	}

	/**
	 * @param isDelta whether what is referred to may be known from before
	 * @param problems what was found wrong so far
	 */
	constructor(
		private readonly isDelta = false,
		readonly problems = new Problems()
	) {}

	/** Begins a file by its head. @returns whether its lines can be read */
	begin(file: RosterFile, head: string[]): boolean {
		this.file = file;
		this.width = head.length;
		this.places = new Map(head.map((name, place) => [name.trim().toLowerCase(), place]));
		const missing = ['sourcedId', ...NEEDED[file]].filter((name) => !this.places.has(name.toLowerCase()));
		if (missing.length)
			this.problems.add(
				`${file}.csv`,
				1,
				`Without the ${missing.length === 1 ? 'column' : 'columns'} ${missing.join(', ')}`
			);
		return missing.length === 0;
	}

	/** Takes a line in. */
	take(row: string[], line: number): void {
		const bad = (says: string) => this.problems.add(`${this.file}.csv`, line, says);
		if (row.some((cell) => cell.length > LONGEST_CELL)) return bad('A cell has no end: is a quote not closed?');
		if (row.length !== this.width) return bad(`${row.length} cells, where the head has ${this.width}`);
		this.row = row;
		try {
			(this.records[this.file] as unknown[]).push(readRecord(this.file, this.cells, line));
		} catch (problem) {
			if (!(problem instanceof BadLine)) throw problem;
			bad(problem.message);
			const id = this.cells('sourcedId');
			if (id) this.unread[this.file].add(id);
		}
	}

	/** The roster, and what is wrong with it: where anything is, nothing of it may be used. */
	end(): { records: RosterRecords; problems: Problems } {
		checkRecords(this.records, this.problems, { isDelta: this.isDelta, unread: this.unread });
		return { records: this.records, problems: this.problems };
	}
}
