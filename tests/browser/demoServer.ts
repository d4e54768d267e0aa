import { startDemoServer } from '../../scripts/demoServer.mjs';

/** One demo school for all browser tests of a run (`npm test` makes two runs at once); each uses students of its own. */
export default async function () {
	// One that runs already can be named, to try a single test again and again.
	if (process.env.DEMO_ADDRESS) return;
	const demo = await startDemoServer();
	process.env.DEMO_ADDRESS = demo.address;
	process.env.DEMO_DATABASE = demo.databaseUrl;
	return () => demo.stop();
}
