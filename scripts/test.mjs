// npm test: format, lint, layers, types, unit and store tests, browser tests. `npm test -- unit` runs one step.
import { spawn, spawnSync } from 'node:child_process';
import { once } from 'node:events';
import { availableParallelism } from 'node:os';
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
	browser: async () => {
		ensureBuild();
		// Two halves at once, each with a demo school of its own.
		const parts = Math.min(2, availableParallelism());
		const runs = Array.from({ length: parts }, async (_, i) => {
			const shard = [`--shard=${i + 1}/${parts}`, `--output=test-results/${i + 1}`];
			const [code] = await once(
				spawn('npx', ['playwright', 'test', ...shard], { cwd: root, stdio: 'inherit' }),
				'exit'
			);
			return code;
		});
		if ((await Promise.all(runs)).some((code) => code !== 0)) throw new Error('A browser test failed.');
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
		await step();
	}
} catch (error) {
	console.error(`\n${error.message}`);
	process.exit(1);
}
