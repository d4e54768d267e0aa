// The built app as a process: node scripts/app.mjs FOLDER. Adds what its server does not say of the files that it serves itself.
import { pathToFileURL } from 'node:url';
import { join } from 'node:path';

const { server } = await import(pathToFileURL(join(process.argv[2], 'index.js')).href);
server.server.prependListener('request', (_, response) => {
	response.setHeader('X-Content-Type-Options', 'nosniff');
	response.setHeader('Cross-Origin-Resource-Policy', 'same-origin');
});
