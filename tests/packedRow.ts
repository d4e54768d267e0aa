import { dayNumber, packCells, type Cell, type Standing } from '../src/lib/core/mastery';

const LETTERS: Record<string, Standing> = { g: 'gap', f: 'forming', s: 'secure', l: 'slipping', u: 'unseen' };

/**
 * A row of the needle map for tests, a word a cell: the standing's letter (upper case when inferred), how many answers,
 * `r` when ready next, `?` when known only roughly, and the day of the last answer behind `@`.
 *
 * packedRow('g5r@2026-11-18 s6 F0? u0')
 */
export function packedRow(words: string): Uint8Array {
	return packCells(words.split(' ').map(cellFrom));
}

export function cellFrom(word: string): Cell {
	const [, letter, answers, ready, rough, day] = /^(\w)(\d+)(r?)(\??)(?:@(.*))?$/.exec(word)!;
	const standing = LETTERS[letter.toLowerCase()];
	return {
		standing,
		inferred: letter !== letter.toLowerCase(),
		answers: Number(answers),
		readyNext: ready === 'r',
		isSure: rough !== '?',
		isMastered: standing === 'secure',
		lacks: standing === 'gap',
		lastDay: day ? dayNumber(day) : null
	};
}
