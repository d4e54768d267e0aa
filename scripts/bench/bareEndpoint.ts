/** What the answer endpoint is measured against: a server that parses a body and does one INSERT. */
import { createServer } from 'node:http';
import { openDatabase } from '../../src/lib/server/database/pool';

const database = openDatabase(process.env.DEMO_DATABASE!);
await database.run(
	`CREATE TABLE IF NOT EXISTS bare_answer (
		id UUID PRIMARY KEY, sitting_id INT UNSIGNED NOT NULL, position TINYINT UNSIGNED NOT NULL, response JSON NOT NULL,
		milliseconds INT UNSIGNED NOT NULL, answered_at DATETIME(3) NOT NULL)`
);
const server = createServer(async (request, response) => {
	const parts: Buffer[] = [];
	for await (const part of request) parts.push(part as Buffer);
	const { answers } = JSON.parse(Buffer.concat(parts).toString());
	const [{ id, position, response: given, milliseconds, answeredAt }] = answers;
	await database.run(
		'INSERT INTO bare_answer (id, sitting_id, position, response, milliseconds, answered_at) VALUES (?, ?, ?, ?, ?, ?)',
		[id, Number(request.url!.split('/')[3]), position, JSON.stringify(given), milliseconds, new Date(answeredAt)]
	);
	response.setHeader('Content-Type', 'application/json');
	response.end('{"results":[]}');
});
server.listen(0, '127.0.0.1', () => process.send!((server.address() as { port: number }).port));
