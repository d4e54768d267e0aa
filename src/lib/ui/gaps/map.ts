import { isOwn, readCell } from '$lib/core/mastery';

/** A student as a row of the needle map. */
export interface MapStudent {
	id: number;
	givenName: string;
	familyName: string;
	className: string;
	tier: number;
	/** Packed cells (core/mastery/cell.ts) in base 64. */
	cells: string;
}

/** A skill as a column of the needle map. */
export interface MapSkill {
	id: number;
	domainId: number;
	code: string;
	shortName: string;
	statement: string;
	grade: number;
	term: number;
	/** Its place in a student's cells. */
	place: number;
}

/** The packed cells of a row; each row is decoded once. */
const decoded = new Map<string, Uint8Array>();
export function cellsOf({ cells }: Pick<MapStudent, 'cells'>): Uint8Array {
	const known = decoded.get(cells);
	if (known) return known;
	if (decoded.size >= MOST_KEPT) decoded.clear();
	const bytes = Uint8Array.from(atob(cells), (character) => character.charCodeAt(0));
	decoded.set(cells, bytes);
	return bytes;
}

/** Rows whose cells are kept decoded. */
const MOST_KEPT = 2_000;

/** How a student stands on the skills of a folded domain: counts by own answers, and of those without enough. */
export function foldDomain(
	cells: Uint8Array,
	skills: MapSkill[]
): { secure: number; between: number; gap: number; unseen: number } {
	const counts = { secure: 0, between: 0, gap: 0, unseen: 0 };
	for (const { place } of skills) {
		const cell = readCell(cells, place);
		if (!isOwn(cell)) counts.unseen++;
		else counts[cell.standing === 'secure' || cell.standing === 'gap' ? cell.standing : 'between']++;
	}
	return counts;
}
