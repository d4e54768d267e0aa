import type { Database } from '../../database';

/** Whom a browser is known to: an account that has signed in in it, or a class that was found in it. */
export type Known = { accountId: number } | { classId: number };

const columnOf = (known: Known) =>
	'accountId' in known ? (['account_id', known.accountId] as const) : (['class_id', known.classId] as const);

export async function isKnownBrowser(database: Database, browserHash: Buffer, known: Known): Promise<boolean> {
	const [column, id] = columnOf(known);
	const row = await database.row(`SELECT 1 FROM known_browser WHERE browser_hash = ? AND ${column} = ?`, [
		browserHash,
		id
	]);
	return row !== null;
}

/** Notes that a browser was used by an account, or for a class. */
export async function noteBrowser(database: Database, browserHash: Buffer, known: Known, at: Date): Promise<void> {
	const [column, id] = columnOf(known);
	await database.run(
		`INSERT INTO known_browser (browser_hash, ${column}, last_at) VALUES (?, ?, ?)
		ON DUPLICATE KEY UPDATE last_at = VALUES(last_at)`,
		[browserHash, id, at]
	);
}
