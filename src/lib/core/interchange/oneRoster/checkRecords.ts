import { ROSTER_FILES, type RosterFile, type RosterRecords } from './records';
import type { Problems } from './rosterReader';

/** What one file's records refer to, by column. */
type Reference<File extends RosterFile> = {
	column: string;
	to: RosterFile;
	of: (record: RosterRecords[File][number]) => string[];
};

const some = (id: string | null) => (id ? [id] : []);

const REFERENCES: { [File in RosterFile]?: Reference<File>[] } = {
	orgs: [{ column: 'parentSourcedId', to: 'orgs', of: ({ parent }) => some(parent) }],
	academicSessions: [{ column: 'parentSourcedId', to: 'academicSessions', of: ({ parent }) => some(parent) }],
	classes: [
		{ column: 'courseSourcedId', to: 'courses', of: ({ course }) => [course] },
		{ column: 'schoolSourcedId', to: 'orgs', of: ({ school }) => [school] },
		{ column: 'termSourcedIds', to: 'academicSessions', of: ({ sessions }) => sessions }
	],
	roles: [
		{ column: 'userSourcedId', to: 'users', of: ({ user }) => [user] },
		{ column: 'orgSourcedId', to: 'orgs', of: ({ org }) => [org] }
	],
	enrollments: [
		{ column: 'classSourcedId', to: 'classes', of: (record) => [record.class] },
		{ column: 'userSourcedId', to: 'users', of: ({ user }) => [user] }
	],
	demographics: [{ column: 'sourcedId', to: 'users', of: ({ sourcedId }) => [sourcedId] }]
};

/**
 * What is wrong between the lines of a roster: ids that stand twice, references to what is not there, organizations and
 * sessions that lie within themselves, sessions that end before they begin.
 *
 * @param isDelta a reference may then be to what was known before
 * @param unread ids of lines that are there and could not be read
 */
export function checkRecords(
	records: RosterRecords,
	problems: Problems,
	{ isDelta = false, unread }: { isDelta?: boolean; unread?: Record<RosterFile, Set<string>> } = {}
): void {
	const lines = Object.fromEntries(ROSTER_FILES.map((file) => [file, linesById(records, file, problems)])) as Record<
		RosterFile,
		Map<string, number>
	>;
	if (!isDelta)
		for (const file of ROSTER_FILES)
			checkReferences(records, file, (to, id) => lines[to].has(id) || !!unread?.[to].has(id), problems);
	for (const file of ['orgs', 'academicSessions'] as const) checkCycles(records[file], file, problems);
	for (const { startsOn, endsOn, line } of records.academicSessions)
		if (endsOn <= startsOn)
			problems.add('academicSessions.csv', line, `endDate ${endsOn} is not after startDate ${startsOn}`);
}

function linesById(records: RosterRecords, file: RosterFile, problems: Problems): Map<string, number> {
	const lines = new Map<string, number>();
	for (const { sourcedId, line } of records[file]) {
		const before = lines.get(sourcedId);
		if (before === undefined) lines.set(sourcedId, line);
		else problems.add(`${file}.csv`, line, `sourcedId ${sourcedId} stands in line ${before} already`);
	}
	return lines;
}

function checkReferences<File extends RosterFile>(
	records: RosterRecords,
	file: File,
	isThere: (file: RosterFile, id: string) => boolean,
	problems: Problems
): void {
	for (const { column, to, of } of (REFERENCES[file] ?? []) as Reference<File>[]) {
		// A file that the package leaves out is not referred to.
		if (to !== 'users' && to !== 'orgs' && to !== 'classes' && records[to].length === 0) continue;
		for (const record of records[file])
			for (const id of of(record))
				if (!isThere(to, id)) problems.add(`${file}.csv`, record.line, `${column} ${id} is not in ${to}.csv`);
	}
}

function checkCycles(
	records: { sourcedId: string; parent: string | null; line: number }[],
	file: RosterFile,
	problems: Problems
): void {
	const parents = new Map(records.map(({ sourcedId, parent }) => [sourcedId, parent]));
	const isClear = new Set<string>();
	for (const { sourcedId, line } of records) {
		const way = new Set<string>();
		let id: string | null | undefined = sourcedId;
		while (id && !isClear.has(id) && !way.has(id)) {
			way.add(id);
			id = parents.get(id);
		}
		// Told once a circle, for the first of its lines.
		if (id === sourcedId)
			problems.add(`${file}.csv`, line, `${sourcedId} lies within itself: ${[...way, id].join(' in ')}`);
		for (const one of way) isClear.add(one);
	}
}
