/**
 * npm run attack: a stranger's, a student's, a teacher's and a second school's attacks against a demo school of its own, a
 * line a case. What needs no running app (rubbish, roles, two schools, closed work, keys) and the kills are store tests,
 * run here again.
 */
import { spawnSync } from 'node:child_process';
import { stripVTControlCharacters } from 'node:util';
import { root } from '../prepare.mjs';
import { cases } from './cases';

const address = process.env.DEMO_ADDRESS!;
let failed = false;

function say(name: string, holds: boolean, what: string, from: number) {
	failed ||= !holds;
	console.log(
		`${holds ? 'held' : 'BROKE'}  ${name.padEnd(12)} ${Math.round((performance.now() - from) / 1000)} s  ${what}`
	);
}

for (const [name, attack] of Object.entries(cases)) {
	const from = performance.now();
	try {
		say(name, true, await attack(address), from);
	} catch (problem) {
		say(name, false, (problem as Error).message, from);
	}
}
for (const [name, files] of [
	['rubbish', ['tests/border/rubbish']],
	['roles', ['tests/border/roles']],
	['two schools', ['tests/border/waysToSchool', 'tests/border/storeFunctions']],
	['closed work', ['src/lib/server/sitting/store/closings']],
	['keys', ['tests/border/practiceKeys']],
	['sign-ins', ['src/lib/server/auth']],
	['kills', ['scripts/load/crash']]
] as const) {
	const from = performance.now();
	const run = spawnSync('npx', ['vitest', 'run', '--project', 'store', '--reporter', 'dot', ...files], {
		cwd: root,
		encoding: 'utf8'
	});
	const count = /Tests\s+(.+)/.exec(stripVTControlCharacters(run.stdout))?.[1] ?? '';
	say(name, run.status === 0, run.status === 0 ? count : run.stdout.slice(-2_000), from);
}
process.exit(failed ? 1 : 0);
