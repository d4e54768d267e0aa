import { createHash } from 'node:crypto';
import type { ListLayout } from '../../../core/interchange/studentList';
import type { Database } from '../../database';
import type { Staff } from '../../request';

/** A list is known again by what its first line says, whatever the capitals. */
const markOf = (headings: string[]) =>
	createHash('sha256')
		.update(JSON.stringify(headings.map((heading) => heading.trim().toLowerCase())))
		.digest();

/** How a person of the school has said that a list with these headings is laid out; null where nobody has. */
export async function keptLayout(
	database: Database,
	{ schoolId }: Staff,
	headings: string[]
): Promise<ListLayout | null> {
	const row = await database.row<{ layout: string }>(
		'SELECT layout FROM list_layout WHERE school_id = ? AND headings = ?',
		[schoolId, markOf(headings)]
	);
	return row && (JSON.parse(row.layout) as ListLayout);
}

/** Keeps how a list with these headings is laid out, for the next one like it. */
export async function keepLayout(
	database: Database,
	{ schoolId }: Staff,
	headings: string[],
	layout: ListLayout,
	at: Date
): Promise<void> {
	await database.run(
		`INSERT INTO list_layout (school_id, headings, layout, kept_at) VALUES (?, ?, ?, ?)
		ON DUPLICATE KEY UPDATE layout = VALUES(layout), kept_at = VALUES(kept_at)`,
		[schoolId, markOf(headings), JSON.stringify(layout), at]
	);
}
