import { randomBytes } from 'node:crypto';
import type { Database } from '../../database';

/** What this installation signs with; made once, by whichever process needs it first. */
export async function signingKey(database: Database): Promise<Buffer> {
	const read = () => database.row<{ secret: Buffer }>('SELECT secret FROM signing_key WHERE only_row = 1');
	const stored = await read();
	if (stored) return stored.secret;
	await database.run('INSERT IGNORE INTO signing_key (only_row, secret) VALUES (1, ?)', [randomBytes(32)]);
	return (await read())!.secret;
}
