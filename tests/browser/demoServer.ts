import { startDemoServer } from '../../scripts/demoServer.mjs';

/** One demo school for all browser tests; each uses students and classes of its own. */
export default async function () {
	// One that runs already can be named, to try a single test again and again.
	if (process.env.DEMO_ADDRESS) return;
	const demo = await startDemoServer();
	process.env.DEMO_ADDRESS = demo.address;
	process.env.DEMO_DATABASE = demo.databaseUrl;
	return () => demo.stop();
}
