import { startDemoServer } from '../../scripts/demoServer.mjs';
import { freePort } from '../../scripts/mariadb.mjs';
import { CLIENT } from '../../standins/identityProvider/server';

/** One demo school for all browser tests of a run (`npm test` makes two runs at once); each uses students of its own. */
export default async function () {
	// One that runs already can be named, to try a single test again and again.
	if (process.env.DEMO_ADDRESS) return;
	// Where the test of signing in with an identity provider starts one.
	const provider = await freePort();
	const demo = await startDemoServer([], {
		ORDERLY_OIDC_ISSUER: `http://127.0.0.1:${provider}`,
		ORDERLY_OIDC_CLIENT: CLIENT.id,
		ORDERLY_OIDC_SECRET: CLIENT.secret,
		ORDERLY_OIDC_NAME: 'Harbor account'
	});
	process.env.DEMO_ADDRESS = demo.address;
	process.env.DEMO_DATABASE = demo.databaseUrl;
	process.env.DEMO_PROVIDER = String(provider);
	return () => demo.stop();
}
