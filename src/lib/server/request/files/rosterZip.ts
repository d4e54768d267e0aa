import Papa from 'papaparse';
import { pipeline } from 'node:stream/promises';
import { StringDecoder } from 'node:string_decoder';
import { ROSTER_FILES, type RosterFile } from '../../../core/interchange/oneRoster/records';
import {
	Problems,
	readManifest,
	type ReadRoster,
	RosterReader
} from '../../../core/interchange/oneRoster/rosterReader';
import { UnreadableFile } from './limits';
import { isPacked, Parts } from './parts';

/** Unpacked, a roster of 50,000 students has a tenth of it. */
const MOST_UNPACKED = 600_000_000;
/** Of them, those of a manifest. */
const MOST_IN_MANIFEST = 200;

const NO_ZIP = 'The file is no ZIP package that can be read';

/**
 * Reads a ZIP of OneRoster 1.2 CSV files, line by line.
 *
 * @throws UnreadableFile for what is no such package, leads out of itself, or is too much
 */
export async function readRosterZip(content: Uint8Array, mostUnpacked = MOST_UNPACKED): Promise<ReadRoster> {
	if (!isPacked(content)) throw new UnreadableFile(NO_ZIP);
	try {
		return await readParts(await Parts.open(content, mostUnpacked));
	} catch (problem) {
		if (problem instanceof UnreadableFile) throw problem;
		const { message } = problem as Error;
		// In yauzl's words: paths with `..`, from a root, or with backslashes.
		if (/relative path|absolute path|characters in fileName/.test(message))
			throw new UnreadableFile(`A path in the package leads out of it (${message.slice(message.indexOf(':') + 2)})`);
		throw new UnreadableFile(`${NO_ZIP} (${message})`);
	}
}

async function readParts(parts: Parts): Promise<ReadRoster> {
	if (!parts.has('manifest.csv')) {
		const deeper = parts.names.find((name) => name.endsWith('/manifest.csv'));
		throw new UnreadableFile(
			deeper
				? `manifest.csv lies in a folder (${deeper}); the files have to lie at the top of the ZIP`
				: 'manifest.csv is missing: it says which files belong to a roster'
		);
	}
	const said = new Problems();
	const rows: string[][] = [];
	await eachRow(parts, 'manifest.csv', said, (row) => {
		if (rows.length < MOST_IN_MANIFEST) rows.push(row);
		return true;
	});
	const manifest = readManifest(rows, said);
	const isDelta = Object.values(manifest.modes).includes('delta');
	const reader = new RosterReader(isDelta, said);
	for (const file of ROSTER_FILES) {
		if (manifest.modes[file] === 'absent') continue;
		if (parts.has(`${file}.csv`)) await readFileOf(parts, file, reader);
		else said.add(`${file}.csv`, null, `Missing: manifest.csv says that it is ${manifest.modes[file]}`);
	}
	const { records, problems } = reader.end();
	return { manifest: { ...manifest, isDelta }, records, problems };
}

async function readFileOf(parts: Parts, file: RosterFile, reader: RosterReader): Promise<void> {
	let isBegun = false;
	await eachRow(parts, `${file}.csv`, reader.problems, (row, line) => {
		if (isBegun) reader.take(row, line);
		else {
			isBegun = true;
			return reader.begin(file, row);
		}
		return true;
	});
	if (!isBegun) reader.problems.add(`${file}.csv`, null, 'Empty, without even a head');
}

/** V8 copies shorter texts by itself. */
const COPIED_ANYWAY = 13;
/** A cell's text by itself: as a part of the file's it would keep all of that in memory. */
const ownText = (cell: string) => (cell.length < COPIED_ANYWAY ? cell : Buffer.from(cell).toString());

/** Ends the reading of a file early. */
class Enough extends Error {}

/**
 * Tells of each row that is not empty, with the line it begins in.
 *
 * @param take says whether to go on
 */
async function eachRow(
	parts: Parts,
	name: string,
	problems: Problems,
	take: (row: string[], line: number) => boolean
): Promise<void> {
	const parser = Papa.parse(Papa.NODE_STREAM_INPUT, { delimiter: ',' });
	const far: HowFar = { line: 1, bytes: 0 };
	try {
		await pipeline(textOf(parts, name, far), parser, async (rows: AsyncIterable<string[]>) => {
			for await (const row of rows) {
				const { line } = far;
				far.bytes = 0;
				const isEmpty = row.length === 1 && row[0].trim() === '';
				if (!isEmpty && !take(row.map(ownText), line)) throw new Enough();
				far.line++;
				for (const cell of row) if (cell.includes('\n')) far.line += cell.split('\n').length - 1;
			}
		});
	} catch (problem) {
		if (problem instanceof BadText) problems.add(name, problem.line, problem.message);
		else if (!(problem instanceof Enough)) throw problem;
	}
}

/** How far a file is read: the line of the next row, and bytes since the row before it. */
interface HowFar {
	line: number;
	bytes: number;
}

/** So many bytes hold a row, or it has no end. */
const MOST_IN_ROW = 4_000_000;

/** A file cannot be read on from a line. */
class BadText extends Error {
	constructor(
		readonly line: number,
		says = 'Not text in UTF-8'
	) {
		super(says);
	}
}

/** A file's text, piece by piece. @throws BadText */
async function* textOf(parts: Parts, name: string, far: HowFar): AsyncGenerator<string> {
	// It makes strings of one byte a character where TextDecoder makes them of two, and all of a roster is in memory.
	const decoder = new StringDecoder('utf8');
	let line = 1;
	for await (const chunk of parts.bytes(name)) {
		if (line === 1 && (chunk.subarray(0, 2).equals(UTF16[0]) || chunk.subarray(0, 2).equals(UTF16[1])))
			throw new BadText(1, 'Text in UTF-16; save it in UTF-8');
		const text = decoder.write(chunk);
		if (text.includes(NO_CHARACTER)) throw new BadText(line + linesBefore(chunk));
		far.bytes += chunk.length;
		if (far.bytes > MOST_IN_ROW) throw new BadText(far.line, 'A cell has no end: is a quote not closed?');
		yield text.startsWith(BYTE_ORDER_MARK) ? text.slice(1) : text;
		for (let at = chunk.indexOf(10); at >= 0; at = chunk.indexOf(10, at + 1)) line++;
	}
	if (decoder.end().includes(NO_CHARACTER)) throw new BadText(line);
}

const BYTE_ORDER_MARK = '\ufeff';
/** What stands in a text where its bytes are none of UTF-8. */
const NO_CHARACTER = '\ufffd';

/** The byte order marks of UTF-16. */
const UTF16 = [Buffer.from([0xff, 0xfe]), Buffer.from([0xfe, 0xff])];

/** How many lines of a chunk end before the first that is not UTF-8. Its first bytes may belong to a character before it. */
function linesBefore(chunk: Buffer): number {
	let begin = chunk.findIndex((byte) => (byte & 0xc0) !== 0x80);
	for (let lines = 0; begin >= 0; lines++) {
		const end = chunk.indexOf(10, begin);
		try {
			new TextDecoder('utf-8', { fatal: true }).decode(chunk.subarray(begin, end < 0 ? undefined : end));
		} catch {
			return lines;
		}
		if (end < 0) break;
		begin = end + 1;
	}
	return 0;
}
