// What start and test share: npm packages, and a build that is as new as the sources. Plain Node.
import { execFileSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, readdirSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

export const root = dirname(dirname(fileURLToPath(import.meta.url)));

/** Where `npm start` keeps its database; another folder is another school beside it. */
export const dataFolder = process.env.ORDERLY_DATA ?? join(root, '.data');

/**
 * The database that is meant by a command: of the environment, else of the `npm start` that runs.
 *
 * @returns {string | undefined} its address; undefined for neither
 */
export function databaseMeant() {
	if (process.env.DATABASE_URL) return process.env.DATABASE_URL;
	const startFile = join(dataFolder, 'start.json');
	return existsSync(startFile) ? JSON.parse(readFileSync(startFile, 'utf8')).databaseUrl : undefined;
}

function run(program, args, { quiet = false, env = process.env } = {}) {
	try {
		execFileSync(program, args, { cwd: root, env, stdio: quiet ? ['ignore', 'ignore', 'inherit'] : 'inherit' });
	} catch {
		throw new Error(`“${program} ${args.join(' ')}” failed.`);
	}
}

const readOrNothing = (file) => (existsSync(file) ? readFileSync(file, 'utf8') : '');

/** Installs npm packages when they are missing or package-lock.json has changed. */
export function ensurePackages() {
	const lock = createHash('sha256')
		.update(readFileSync(join(root, 'package-lock.json')))
		.digest('hex');
	const stamp = join(root, 'node_modules', '.installed-lock');
	if (readOrNothing(stamp) === lock) return;
	console.log('Installing npm packages …');
	// Just what is locked, so that what runs is what was tested.
	run('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error']);
	writeFileSync(stamp, lock);
}

function* filesBelow(folder) {
	for (const entry of readdirSync(folder, { withFileTypes: true })) {
		const path = join(folder, entry.name);
		if (entry.isDirectory()) yield* filesBelow(path);
		else yield path;
	}
}

/** Builds the app when a source has changed since the last build. */
export function ensureBuild() {
	const hash = createHash('sha256');
	const files = ['src', 'static']
		.flatMap((folder) => [...filesBelow(join(root, folder))])
		.filter((file) => !/\.test\.ts$/.test(file));
	for (const file of [
		...files,
		...['package-lock.json', 'svelte.config.js', 'vite.config.ts', 'vite.threads.config.ts'].map((name) =>
			join(root, name)
		)
	].sort()) {
		hash.update(file.slice(root.length)).update(readFileSync(file));
	}
	const wanted = hash.digest('hex');
	const stamp = join(root, 'build', '.built-from');
	if (existsSync(join(root, 'build', 'index.js')) && readOrNothing(stamp) === wanted) return;
	console.log('Building …');
	// What is built is for use, also where tests build it: their environment asks for builds that check themselves.
	const options = { quiet: true, env: { ...process.env, NODE_ENV: 'production' } };
	run('npx', ['vite', 'build', '--logLevel', 'error'], options);
	run('npx', ['vite', 'build', '--config', 'vite.threads.config.ts', '--logLevel', 'error'], options);
	mkdirSync(dirname(stamp), { recursive: true });
	writeFileSync(stamp, wanted);
}
