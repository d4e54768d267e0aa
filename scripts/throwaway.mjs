// Where a run of the tests keeps what it throws away: databases, browser profiles.
import { existsSync, mkdtempSync, readdirSync, rmSync, statfsSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { isAlive } from './mariadb.mjs';

/** Linux keeps this folder in memory. */
const MEMORY = '/dev/shm';
/** Bytes that a run of the tests may need. */
const NEEDED = 6e9;
const PREFIX = 'orderly-run-';
/** The process that a folder was made by. */
const MADE_BY = new RegExp(`^${PREFIX}(\\d+)-`);

function hasRoom(folder) {
	if (!existsSync(folder)) return false;
	const { bavail, bsize } = statfsSync(folder);
	return bavail * bsize >= NEEDED;
}

/**
 * A new folder, in memory where there is room: there a database makes its tables in a third of the time. What runs that
 * were killed have left is taken away.
 *
 * @returns {{ folder: string, remove: () => void }}
 */
export function throwawayFolder() {
	const place = hasRoom(MEMORY) ? MEMORY : tmpdir();
	for (const name of readdirSync(place)) {
		const [, pid] = MADE_BY.exec(name) ?? [];
		if (pid && !isAlive(Number(pid))) rmSync(join(place, name), { recursive: true, force: true });
	}
	const folder = mkdtempSync(join(place, `${PREFIX}${process.pid}-`));
	return { folder, remove: () => rmSync(folder, { recursive: true, force: true }) };
}
