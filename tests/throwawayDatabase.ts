import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { TestProject } from 'vitest/node';
import { startMariadb } from '../scripts/mariadb.mjs';
import { ensureBuild } from '../scripts/prepare.mjs';

/** A MariaDB of its own for the store tests, gone when they end. */
export default async function (project: TestProject) {
	// Threads run as they are built.
	ensureBuild();
	const folder = mkdtempSync(join(tmpdir(), 'compass-test-'));
	const server = await startMariadb(folder, { isForgetful: true });
	project.provide('databaseUrl', server.url);
	project.provide('ownerUrl', server.ownerUrl);
	return async () => {
		await server.stop();
		rmSync(folder, { recursive: true, force: true });
	};
}

declare module 'vitest' {
	interface ProvidedContext {
		/** As the app connects. */
		databaseUrl: string;
		/** As who makes and changes tables connects. */
		ownerUrl: string;
	}
}
