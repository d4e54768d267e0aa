import type { Database } from '../../database';
import type { ArchiveFile } from './archive/archiveFile';

export type { ArchiveFile } from './archive/archiveFile';
export { PEOPLE_FILES } from './archive/peopleFiles';
export { SCHOOL_FILES } from './archive/schoolFiles';
export { WORK_FILES } from './archive/workFiles';

/** What a cell of an archive holds. */
export type Cell = string | number | boolean | null;

/**
 * The rows of a file of an archive, in its order.
 *
 * @param of a school's id, or the ids of some of its students, as the file is about the one or the other
 */
export async function archiveRows(
	database: Database,
	{ sql }: ArchiveFile,
	of: number | number[]
): Promise<Record<string, Cell>[]> {
	if (Array.isArray(of) && of.length === 0) return [];
	const places = sql.split('?').length - 1;
	const rows = await database.rows<Record<string, Cell | Date>>(sql, Array(places).fill(of));
	return rows.map(
		(row) =>
			Object.fromEntries(
				Object.entries(row).map(([name, value]) => [name, value instanceof Date ? value.toISOString() : value])
			) as Record<string, Cell>
	);
}
