/** What the answer endpoint is measured against: one INSERT, without asking who sends it or what follows from it. */
import { openDatabase, type RootDatabase } from '../../src/lib/server/database/pool';

let ready: Promise<RootDatabase> | null = null;

async function open(): Promise<RootDatabase> {
	const database = openDatabase(process.env.DATABASE_URL!);
	await database.run(
		`CREATE TABLE IF NOT EXISTS bare_answer (
		id UUID PRIMARY KEY, sitting_id INT UNSIGNED NOT NULL, position TINYINT UNSIGNED NOT NULL, response JSON NOT NULL,
		milliseconds INT UNSIGNED NOT NULL, answered_at DATETIME(3) NOT NULL)`
	);
	return database;
}

/** @param body of a request to the answer endpoint that carries one answer */
export async function bareInsert(
	sittingId: number,
	body: {
		answers: { id: string; position: number; response: unknown; milliseconds: number; answeredAt: string }[];
	}
): Promise<void> {
	const database = await (ready ??= open());
	const [{ id, position, response, milliseconds, answeredAt }] = body.answers;
	await database.run(
		'INSERT INTO bare_answer (id, sitting_id, position, response, milliseconds, answered_at) VALUES (?, ?, ?, ?, ?, ?)',
		[id, sittingId, position, JSON.stringify(response), milliseconds, new Date(answeredAt)]
	);
}
