import { readCalendar, type CalendarWeeks } from '../../../core/interchange/calendarFile';
import { planLibraryFile, type LibraryFile, type LibraryPlan } from '../../library/libraryImport';
import { ownRoster, type RosterAsked, type RosterFound } from '../../people/rosters/ownRoster';
import { UnreadableFile } from './limits';
import { readRosterZip } from './rosterZip';
import { readTable, textOf } from './table';

/** Each kind of file: what its reading needs, and what comes of it. */
export interface Readings {
	table: { asked: { content: Uint8Array }; found: string[][] };
	calendar: { asked: { content: Uint8Array; timeZone: string }; found: CalendarWeeks };
	library: { asked: LibraryFile; found: LibraryPlan };
	roster: { asked: RosterAsked & { content: Uint8Array }; found: RosterFound };
}

export type Kind = keyof Readings;
export interface Asked<K extends Kind> {
	kind: K;
	asked: Readings[K]['asked'];
}
/** What was found in a file, or what keeps it from being read, in words for people. */
export type Found<K extends Kind> = { found: Readings[K]['found'] } | { problem: string };

const readers: { [K in Kind]: (asked: Readings[K]['asked']) => Promise<Readings[K]['found']> } = {
	table: ({ content }) => readTable(content),
	calendar: async ({ content, timeZone }) => {
		try {
			return readCalendar(textOf(content), timeZone);
		} catch (problem) {
			throw problem instanceof RangeError ? new UnreadableFile(problem.message) : problem;
		}
	},
	library: async (file) => planLibraryFile(file),
	roster: async ({ content, ...asked }) => ownRoster(await readRosterZip(content), asked)
};

/** Reads a file. It may be made to take for ever, or to fill the memory: ask for it through `readFile`. */
export default async function read<K extends Kind>({ kind, asked }: Asked<K>): Promise<Found<K>> {
	try {
		return { found: await readers[kind](asked) };
	} catch (problem) {
		if (problem instanceof UnreadableFile) return { problem: problem.message };
		throw problem;
	}
}
