// Runs a TypeScript script against the demo school in a throwaway database: node scripts/withDemo.mjs scripts/x.ts
import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { startDemoServer } from './demoServer.mjs';
import { ensureChromium } from './chromium.mjs';
import { ensureBuild, ensurePackages, root } from './prepare.mjs';

let demo;
let child;
let status = 1;
// Whoever ends this early leaves no database behind: the script is ended, and then what it ran against.
let isEnding = false;
for (const signal of ['SIGINT', 'SIGTERM'])
	process.on(signal, () => {
		isEnding = true;
		child?.kill(signal);
	});
try {
	ensureChromium();
	ensurePackages();
	ensureBuild();
	demo = await startDemoServer();
	if (isEnding) throw new Error('Ended before it began.');
	child = spawn(process.execPath, ['--import', 'tsx', ...process.argv.slice(2)], {
		cwd: root,
		stdio: 'inherit',
		env: { ...process.env, DEMO_ADDRESS: demo.address, DEMO_DATABASE: demo.databaseUrl, DEMO_OWNER: demo.ownerUrl }
	});
	[status] = await once(child, 'close');
} catch (error) {
	console.error(error.message);
} finally {
	await demo?.stop();
}
process.exit(status ?? 1);
