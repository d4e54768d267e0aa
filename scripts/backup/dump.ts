/** A database as a packed file of SQL, and back, by MariaDB's own programs. */
import { spawn, type ChildProcess } from 'node:child_process';
import { createReadStream, createWriteStream, mkdtempSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { createGunzip, createGzip } from 'node:zlib';
import { findProgram } from '../debian.mjs';

/** Runs one of MariaDB's programs; the password is in a file that only this user can read, not on the command line. */
async function withMariadb(
	program: string,
	url: string,
	options: string[],
	work: (child: ChildProcess) => Promise<void>
): Promise<void> {
	const { hostname, port, username, password, pathname } = new URL(url);
	const folder = mkdtempSync(join(tmpdir(), 'compass-backup-'));
	const settings = join(folder, 'client.cnf');
	const secret = decodeURIComponent(password).replaceAll('\\', '\\\\').replaceAll('"', '\\"');
	const lines = ['[client]', `host=${hostname}`, `port=${port || 3306}`, `user=${decodeURIComponent(username)}`];
	writeFileSync(settings, [...lines, `password="${secret}"`, 'protocol=tcp', ''].join('\n'), { mode: 0o600 });
	try {
		const child = spawn(
			findProgram(program) ?? program,
			[`--defaults-file=${settings}`, '--default-character-set=utf8mb4', ...options, pathname.slice(1)],
			{ stdio: ['pipe', 'pipe', 'pipe'] }
		);
		let said = '';
		child.stderr.setEncoding('utf8').on('data', (text) => (said += text));
		const ended = new Promise<void>((resolve, reject) => {
			child.on('error', reject);
			child.on('close', (code) => (code === 0 ? resolve() : reject(new Error(`${program}: ${said.trim()}`))));
		});
		// What the program says of its end tells more than that its pipe broke.
		const worked = work(child).then(
			() => null,
			(problem: Error) => {
				child.kill();
				return problem;
			}
		);
		const problem = await ended.then(
			() => worked,
			async (failed: Error) => ((await worked) && !said ? worked : failed)
		);
		if (problem) throw problem;
	} finally {
		rmSync(folder, { recursive: true, force: true });
	}
}

/** Writes a database, as it is at one moment, into a packed file. A file that was cut short never has the name. */
export async function dumpInto(file: string, url: string): Promise<void> {
	const unfinished = `${file}.unfinished`;
	const options = ['--single-transaction', '--quick', '--skip-lock-tables', '--hex-blob', '--skip-comments'];
	await withMariadb('mariadb-dump', url, options, async (child) => {
		child.stdin!.end();
		await pipeline(child.stdout!, createGzip(), createWriteStream(unfinished, { mode: 0o600 }));
	});
	renameSync(unfinished, file);
}

/** Runs the SQL of a packed file in a database. */
export async function loadFrom(file: string, url: string): Promise<void> {
	await withMariadb('mariadb', url, ['--batch'], async (child) => {
		child.stdout!.resume();
		await pipeline(createReadStream(file), createGunzip(), child.stdin!);
	});
}

/** Runs statements in a database. */
export async function runIn(url: string, sql: string): Promise<void> {
	await withMariadb('mariadb', url, ['--batch'], async (child) => {
		child.stdout!.resume();
		await pipeline(Readable.from([sql]), child.stdin!);
	});
}
