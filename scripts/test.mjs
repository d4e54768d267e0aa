// npm test: format, lint, layers, types, unit and store tests, browser tests. `npm test -- unit` runs one step.
import { spawnSync } from 'node:child_process';
import { ensureDebianPackage } from './mariadb.mjs';
import { ensureBuild, ensurePackages, root } from './prepare.mjs';

const npx = (...args) => {
	const { status } = spawnSync('npx', args, { cwd: root, stdio: 'inherit' });
	if (status !== 0) throw new Error(`“${args.join(' ')}” failed.`);
};

const steps = {
	format: () => npx('prettier', '--check', '--log-level', 'warn', '.'),
	lint: () => npx('eslint', '.', '--max-warnings', '0'),
	types: () => {
		npx('svelte-kit', 'sync');
		npx('svelte-check', '--fail-on-warnings', '--output', 'human');
	},
	unit: () => npx('vitest', 'run', '--project', 'unit', '--reporter', 'dot'),
	store: () => npx('vitest', 'run', '--project', 'store', '--reporter', 'dot'),
	browser: () => {
		ensureBuild();
		npx('playwright', 'test');
	}
};

try {
	const wanted = process.argv.slice(2);
	const unknown = wanted.filter((name) => !(name in steps));
	if (unknown.length) throw new Error(`No step ${unknown.join(', ')}; there are ${Object.keys(steps).join(', ')}.`);
	ensureDebianPackage('mariadbd', 'mariadb-server');
	ensureDebianPackage('chromium', 'chromium');
	ensurePackages();
	for (const [name, step] of Object.entries(steps)) {
		if (wanted.length && !wanted.includes(name)) continue;
		console.log(`\n— ${name}`);
		step();
	}
} catch (error) {
	console.error(`\n${error.message}`);
	process.exit(1);
}
