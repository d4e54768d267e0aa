import { spawn, spawnSync, type ChildProcess } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { root } from './prepare.mjs';

const folder = mkdtempSync(join(tmpdir(), 'compass-start-'));
const environment = { ...process.env, ORDERLY_DATA: folder, ORDERLY_CLOCK: '2026-11-23T15:00:00Z', DATABASE_URL: '' };
const script = join(root, 'scripts', 'start.mjs');

interface Running {
	process: ChildProcess;
	said: () => string;
	address: string;
	/** Resolves to the exit code. */
	ended: Promise<number | null>;
}

/** Starts as a person would, and waits until the address is said. */
function start(...flags: string[]): Promise<Running> {
	const child = spawn(process.execPath, [script, ...flags], { cwd: root, env: environment });
	let said = '';
	const ended = new Promise<number | null>((resolve) => child.on('exit', resolve));
	return new Promise((resolve, reject) => {
		const listen = (text: Buffer) => {
			said += text;
			const address = /is at (http:\S+)/.exec(said)?.[1];
			if (address) resolve({ process: child, said: () => said, address, ended });
		};
		child.stdout.on('data', listen);
		child.stderr.on('data', listen);
		void ended.then((code) => reject(new Error(`ended with ${code}: ${said}`)));
	});
}

/** Processes of this start: those that name its folder on their command line, or its address in their environment. */
function processesOf(address: string): number[] {
	const read = (file: string) => {
		try {
			return readFileSync(file, 'utf8');
		} catch {
			return '';
		}
	};
	return readdirSync('/proc')
		.filter((name) => /^\d+$/.test(name) && Number(name) !== process.pid)
		.filter(
			(pid) =>
				read(`/proc/${pid}/cmdline`).includes(folder) || read(`/proc/${pid}/environ`).includes(`ORIGIN=${address}\0`)
		)
		.map(Number);
}

const visit = (address: string, cookie: string) =>
	fetch(`${address}/screen`, { headers: { cookie }, redirect: 'manual' }).then(({ status }) => status);

async function signIn({ address, said }: Running): Promise<string> {
	const password = /with the password (\S+)/.exec(said())![1];
	const reply = await fetch(`${address}/sign-in?/staff`, {
		method: 'POST',
		body: new URLSearchParams({ userName: 'coordinator', password }),
		headers: { origin: address },
		redirect: 'manual'
	});
	return reply.headers
		.getSetCookie()
		.find((cookie) => cookie.startsWith('compass_sign_in='))!
		.split(';')[0];
}

describe('npm start', () => {
	let running: Running;
	let cookie: string;
	let standins: string[];
	beforeAll(async () => {
		running = await start('--empty', '--roster-service', '--mail-server');
		cookie = await signIn(running);
	});
	afterAll(() => {
		for (const pid of processesOf(running.address)) process.kill(pid, 'SIGKILL');
		rmSync(folder, { recursive: true, force: true });
	});

	it('serves an empty school that its coordinator can sign in to, and says no demo sign-ins for it', async () => {
		expect(await visit(running.address, cookie)).toBe(200);
		expect(await visit(running.address, 'compass_sign_in=made-up')).toBe(303);
		expect(running.said()).not.toContain('Demo sign-ins');
	});

	it('starts the stand-ins beside it that are asked for, and ends them with itself', async () => {
		const said = (pattern: RegExp) => pattern.exec(running.said())?.[1];
		const patterns = [
			/roster service \(a stand-in\) is at (http:[^:]+:\d+)/,
			/mail server .* came in at (http:[^:]+:\d+)/
		];
		await expect.poll(() => patterns.every(said), { timeout: 60_000 }).toBe(true);
		standins = patterns.map((pattern) => said(pattern)!);
		const pages = await Promise.all(standins.map(async (address) => (await fetch(address)).text()));
		expect(pages[0]).toContain('0 students in 0 classes');
		expect(pages[1]).toContain('None so far.');
	});

	it('refuses a second start on the same folder and leaves the first alone', async () => {
		const second = spawnSync(process.execPath, [script], { cwd: root, env: environment, encoding: 'utf8' });
		expect(second.status).toBe(1);
		expect(second.stderr).toContain(`running already at ${running.address}`);
		expect(await visit(running.address, cookie)).toBe(200);
	});

	it('refuses a flag it does not know', () => {
		const wrong = spawnSync(process.execPath, [script, '--reset'], { cwd: root, env: environment, encoding: 'utf8' });
		expect(wrong.status).toBe(1);
		expect(wrong.stderr).toContain(
			'There are --reset-demo, --empty, --roster-service, --mail-server, --identity-provider'
		);
	});

	it('lets standings be worked out anew while it runs', () => {
		const rebuilt = spawnSync(process.execPath, ['--import', 'tsx', join(root, 'scripts', 'rebuild.ts')], {
			cwd: root,
			env: environment,
			encoding: 'utf8'
		});
		expect(rebuilt.stdout).toMatch(/Standings of 0 students worked out anew in [\d.]+ s, 0 of them different/);
	});

	it('starts the app again when it dies, and says what it said', async () => {
		const app = () => JSON.parse(readFileSync(join(folder, 'start.json'), 'utf8')).app as number;
		const first = app();
		process.kill(first, 'SIGKILL');
		await expect.poll(app, { timeout: 60_000 }).not.toBe(first);
		await expect.poll(() => visit(running.address, cookie).catch(() => 0), { timeout: 60_000 }).toBe(200);
		expect(running.said()).toContain('The app has ended (SIGKILL). It is started again in 1 s.');
	});

	it('after being killed with its database starts again with nothing lost, and ends what was left', async () => {
		const left = processesOf(running.address);
		expect(left.length).toBeGreaterThanOrEqual(2);
		const before = running.address;
		running.process.kill('SIGKILL');
		await expect
			.poll(
				() =>
					Promise.all(
						standins.map((address) =>
							fetch(address).then(
								() => 'there',
								() => 'gone'
							)
						)
					),
				{ timeout: 30_000 }
			)
			.toEqual(['gone', 'gone']);
		const database = left.find((pid) => readFileSync(`/proc/${pid}/cmdline`, 'utf8').includes('mariadbd'))!;
		process.kill(database, 'SIGKILL');
		await running.ended;
		running = await start();
		expect(await visit(running.address, cookie)).toBe(200);
		await expect
			.poll(() => processesOf(before).filter((pid) => !processesOf(running.address).includes(pid)))
			.toEqual([]);
	});

	it('ends everything it started, and its lock, on Ctrl-C', async () => {
		running.process.kill('SIGINT');
		expect(await running.ended).toBe(0);
		expect(processesOf(running.address)).toEqual([]);
		expect(existsSync(join(folder, 'start.json'))).toBe(false);
	});
});
