import { DEMO_CLOCK } from '../../scripts/demoServer.mjs';
import { serveApp } from '../../scripts/serve.mjs';

/** Another process of the app on the demo's database, which a test can stop and serve again. */
export const serveOn = (port: number) =>
	serveApp({ databaseUrl: process.env.DEMO_DATABASE!, port, environment: { ORDERLY_CLOCK: DEMO_CLOCK }, quiet: true });
