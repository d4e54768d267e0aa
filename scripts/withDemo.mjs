// Runs a TypeScript script against the demo school in a throwaway database: node scripts/withDemo.mjs scripts/x.ts
import { spawnSync } from 'node:child_process';
import { startDemoServer } from './demoServer.mjs';
import { ensureChromium } from './chromium.mjs';
import { ensureBuild, ensurePackages, root } from './prepare.mjs';

let demo;
let status = 1;
try {
	ensureChromium();
	ensurePackages();
	ensureBuild();
	demo = await startDemoServer();
	({ status } = spawnSync(process.execPath, ['--import', 'tsx', ...process.argv.slice(2)], {
		cwd: root,
		stdio: 'inherit',
		env: { ...process.env, DEMO_ADDRESS: demo.address, DEMO_DATABASE: demo.databaseUrl, DEMO_OWNER: demo.ownerUrl }
	}));
} catch (error) {
	console.error(error.message);
} finally {
	await demo?.stop();
}
process.exit(status ?? 1);
