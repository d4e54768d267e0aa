/** The mail server. Started by `npm start -- --mail-server`, which says where it takes letters (`ORDERLY_MAIL`). */
import { serveMail } from './server';

const server = await serveMail(Number(new URL(process.env.ORDERLY_MAIL!).port), Number(process.env.PORT) || 0);
console.log(`The mail server (a stand-in) shows what came in at ${server.address}.`);
const stop = () => server.stop().then(() => process.exit(0));
for (const signal of ['SIGINT', 'SIGTERM'] as const) process.on(signal, stop);
// Whoever started it is gone.
process.stdin.on('end', stop).resume();
