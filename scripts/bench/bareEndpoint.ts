/** One INSERT a request by Node's own HTTP server, without a framework. Says its port to the process that forked it. */
import { createServer } from 'node:http';
import { bareInsert } from './bareInsert';

const server = createServer(async (request, response) => {
	const parts: Buffer[] = [];
	for await (const part of request) parts.push(part as Buffer);
	await bareInsert(Number(request.url!.split('/')[3]), JSON.parse(Buffer.concat(parts).toString()));
	response.setHeader('Content-Type', 'application/json');
	response.end('{"results":[]}');
});
server.listen(0, '127.0.0.1', () => process.send!((server.address() as { port: number }).port));
process.on('disconnect', () => process.exit());
