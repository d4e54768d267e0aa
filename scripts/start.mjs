// npm start: from a machine with only Node and npm to the running demo. Flags: --reset-demo, --empty, --roster-service, --mail-server, --identity-provider.
import { execFileSync, spawn } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { startMariadb, freePort } from './mariadb.mjs';
import { dataFolder, ensureBuild, ensurePackages, root } from './prepare.mjs';
import { appScript, keepServing } from './serve.mjs';

const lockFile = join(dataFolder, 'start.json');
/** Simulated outside services, each with its program. */
const STANDINS = {
	'--roster-service': join('standins', 'rosterService', 'start.ts'),
	'--mail-server': join('standins', 'mailServer', 'start.ts'),
	'--identity-provider': join('standins', 'identityProvider', 'start.ts')
};
const given = process.argv.slice(2);
const standins = Object.entries(STANDINS).filter(([flag]) => given.includes(flag));
const flags = given.filter((flag) => !(flag in STANDINS));
const stops = [];
let stopping = false;

async function stop(code) {
	if (stopping) return;
	stopping = true;
	while (stops.length)
		await stops
			.pop()()
			.catch((error) => console.error(error.message));
	process.exit(code);
}

/** Whether a process runs whose command line names a script. */
function runs(pid, script) {
	try {
		return readFileSync(`/proc/${pid}/cmdline`, 'utf8').includes(script);
	} catch {
		return false;
	}
}

/** Another start that still runs on this folder keeps its database; of one that was killed, the app is ended. */
function refuseSecond() {
	if (!existsSync(lockFile)) return;
	const { pid, address, app } = JSON.parse(readFileSync(lockFile, 'utf8'));
	if (runs(pid, 'start.mjs'))
		throw new Error(`Orderly Compass is running already${address ? ` at ${address}` : ''} (process ${pid}).`);
	if (app && runs(app, appScript)) process.kill(app, 'SIGTERM');
}

async function start() {
	const unknown = flags.filter((flag) => !['--reset-demo', '--empty'].includes(flag));
	if (unknown.length)
		throw new Error(
			`Unknown: ${unknown.join(' ')}. There are --reset-demo, --empty, ${Object.keys(STANDINS).join(', ')}.`
		);
	mkdirSync(dataFolder, { recursive: true });
	refuseSecond();
	const port = Number(process.env.PORT) || (await freePort());
	const note = (running) => writeFileSync(lockFile, JSON.stringify({ pid: process.pid, ...running }), { mode: 0o600 });
	note({});
	stops.push(async () => rmSync(lockFile, { force: true }));
	ensurePackages();
	ensureBuild();
	let { DATABASE_URL: databaseUrl, DATABASE_OWNER_URL: ownerUrl = databaseUrl } = process.env;
	if (!databaseUrl) {
		const mariadb = await startMariadb(join(dataFolder, 'mariadb'));
		stops.push(() => mariadb.stop());
		({ url: databaseUrl, ownerUrl } = mariadb);
	}
	if (stopping) return;
	execFileSync(process.execPath, ['--import', 'tsx', join('scripts', 'prepareDatabase.ts'), ...flags], {
		cwd: root,
		stdio: 'inherit',
		env: { ...process.env, DATABASE_URL: databaseUrl, DATABASE_OWNER_URL: ownerUrl }
	});
	// Stand-ins are asked on this machine, without TLS.
	const environment = standins.length ? { ORDERLY_STANDINS: 'yes' } : {};
	if (given.includes('--mail-server')) environment.ORDERLY_MAIL = `smtp://127.0.0.1:${await freePort()}`;
	if (given.includes('--identity-provider'))
		Object.assign(environment, {
			ORDERLY_OIDC_ISSUER: `http://127.0.0.1:${await freePort()}`,
			ORDERLY_OIDC_CLIENT: 'orderly-compass',
			ORDERLY_OIDC_SECRET: 'moon-and-mooring',
			ORDERLY_OIDC_NAME: 'the school’s account (a stand-in)'
		});
	const app = await keepServing(
		{ databaseUrl, port, environment },
		{
			served({ address, pid }) {
				note({ address, databaseUrl, ownerUrl, app: pid });
				console.log(`\nOrderly Compass is at ${address}\n`);
			},
			say: console.error
		}
	);
	stops.push(() => app.stop());
	for (const [, program] of standins) {
		const standin = spawn(process.execPath, ['--import', 'tsx', program], {
			cwd: root,
			// It ends when this end of its input does, also where this process is killed.
			stdio: ['pipe', 'inherit', 'inherit'],
			env: { ...process.env, ...environment, DATABASE_URL: databaseUrl, PORT: '' }
		});
		stops.push(async () => standin.kill());
	}
	console.log('Ctrl-C ends it.');
}

process.on('SIGINT', () => stop(0));
process.on('SIGTERM', () => stop(0));
start().catch(async (error) => {
	console.error(`\n${error.message}`);
	await stop(1);
});
