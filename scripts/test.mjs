// npm test: format, lint, layers, types, unit and store tests, browser tests. `npm test -- unit` runs one step.
import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { availableParallelism, tmpdir } from 'node:os';
import { join } from 'node:path';
import { ensureChromium } from './chromium.mjs';
import { ensureDebianPackage } from './debian.mjs';
import { ensureBuild, ensurePackages, root } from './prepare.mjs';
import { throwawayFolder } from './throwaway.mjs';

/**
 * Runs a package's command and waits for it.
 *
 * @param {string[]} args
 * @param {(text: string) => void} [say] takes what it prints, where it should not go straight to the terminal
 */
const npx = (args, say) => run('npx', args, say);

/**
 * @param {string} program
 * @param {string[]} args
 * @param {(text: string) => void} [say]
 * @param {Record<string, string>} [more] of the environment
 */
async function run(program, args, say, more = {}) {
	const env = { ...process.env, ...more };
	const child = spawn(program, args, { cwd: root, env, stdio: say ? ['ignore', 'pipe', 'pipe'] : 'inherit' });
	for (const stream of say ? [child.stdout, child.stderr] : []) stream.setEncoding('utf8').on('data', say);
	const [code] = await once(child, 'close');
	if (code !== 0) throw new Error(`“${args.join(' ')}” failed.`);
}

const steps = {
	format: (say) => npx(['prettier', '--check', '--log-level', 'warn', '.'], say),
	lint: (say) => npx(['eslint', '.', '--max-warnings', '0'], say),
	types: async (say) => {
		await npx(['svelte-kit', 'sync'], say);
		await npx(['svelte-check', '--fail-on-warnings', '--output', 'human'], say);
	},
	store: (say) => npx(['vitest', 'run', '--project', 'store', '--reporter', 'dot'], say),
	unit: (say) => npx(['vitest', 'run', '--project', 'core', '--project', 'unit', '--reporter', 'dot'], say),
	browser: async () => {
		const folder = mkdtempSync(join(tmpdir(), 'compass-made-'));
		try {
			// The demo school is made once, while the app is built.
			const making = run(process.execPath, [join('scripts', 'makeDemoData.mjs'), folder], undefined, {
				ORDERLY_TESTS: 'yes'
			});
			ensureBuild();
			await making;
			// Two halves at once, each with a copy of its own. By turns, so that heavy ones of a name's beginning do not come together.
			const files = readdirSync(join(root, 'tests', 'browser')).filter((name) => name.endsWith('.spec.ts'));
			const parts = Math.min(2, availableParallelism());
			const halves = await Promise.allSettled(
				Array.from({ length: parts }, (_, part) => {
					// By their paths: a name alone would find others that end like it.
					const own = files.sort().flatMap((name, i) => (i % parts === part ? `tests/browser/${name}` : []));
					return run('npx', ['playwright', 'test', ...own, `--output=test-results/${part + 1}`], undefined, {
						ORDERLY_DEMO_DATA: folder
					});
				})
			);
			if (halves.some(({ status }) => status === 'rejected')) throw new Error('A browser test failed.');
		} finally {
			rmSync(folder, { recursive: true, force: true });
		}
	}
};

/** Rounds of lanes: the lanes of a round run at once, since none of them can use a second processor alone. */
const rounds = [[['format', 'lint', 'types'], ['store']], [['unit']], [['browser']]];

/** A lane's steps one after another; beside other lanes, what a step prints is held back until it ends. */
async function runLane(names, beside) {
	for (const name of names) {
		const begun = performance.now();
		let printed = '';
		if (!beside) console.log(`\n— ${name}`);
		try {
			await steps[name](beside ? (text) => (printed += text) : undefined);
		} finally {
			if (beside) console.log(`\n— ${name}\n${printed}`.trimEnd());
			console.log(`${name}: ${Math.round((performance.now() - begun) / 1000)} s`);
		}
	}
}

const temporary = throwawayFolder();
try {
	process.env.TMPDIR = temporary.folder;
	const wanted = process.argv.slice(2);
	const unknown = wanted.filter((name) => !(name in steps));
	if (unknown.length) throw new Error(`No step ${unknown.join(', ')}; there are ${Object.keys(steps).join(', ')}.`);
	ensureDebianPackage('mariadbd', 'mariadb-server');
	ensureChromium();
	ensurePackages();
	for (const round of rounds) {
		const lanes = round
			.map((names) => names.filter((name) => !wanted.length || wanted.includes(name)))
			.filter((names) => names.length);
		const ended = await Promise.allSettled(lanes.map((names) => runLane(names, lanes.length > 1)));
		const failed = ended.filter(({ status }) => status === 'rejected').map(({ reason }) => reason.message);
		if (failed.length) throw new Error(failed.join('\n'));
	}
} catch (error) {
	console.error(`\n${error.message}`);
	process.exitCode = 1;
} finally {
	temporary.remove();
}
