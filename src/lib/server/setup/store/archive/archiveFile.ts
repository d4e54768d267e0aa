/** One file of an archive: a table with what each of its columns means. */
export interface ArchiveFile {
	name: string;
	/** What a row is. */
	says: string;
	/** SQL, once for a school (a placeholder for its id), or for a part of its students (one for their ids). */
	sql: string;
	/** Every column that the SQL gives, in words. */
	columns: Record<string, string>;
	/** Columns that hold JSON. */
	json?: string[];
	/** Columns that tell rows apart, where the same one may come for several students. */
	once?: string[];
}

/** Columns that recur. */
export const STUDENT = 'number of the student’s row here; the file “students” names them';
export const SINCE = 'first day on which it holds';
export const UNTIL = 'first day on which it does not hold any more; empty for no end';
export const BY = 'who did it';
export const SKILL = 'code of the skill';
