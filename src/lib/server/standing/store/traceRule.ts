import type { Database } from '../../database';

/** The rule that the stored traces were worked out by; null where nobody wrote it down. */
export async function storedTraceRule(database: Database): Promise<number | null> {
	return (await database.row<{ rule: number }>('SELECT rule FROM trace_rule'))?.rule ?? null;
}

export async function keepTraceRule(database: Database, rule: number): Promise<void> {
	await database.run('INSERT INTO trace_rule (rule) VALUES (?) ON DUPLICATE KEY UPDATE rule = VALUES(rule)', [rule]);
}
