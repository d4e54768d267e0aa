import { availableParallelism } from 'node:os';
import { fileURLToPath } from 'node:url';
import { sveltekit } from '@sveltejs/kit/vite';
import { defineConfig } from 'vitest/config';

/** Tests against a real MariaDB, and of the scripts that start one. */
const STORE_TESTS = ['{src,demo,scripts,tests/border}/**/*.store.test.ts'];

const CORE_TESTS = 'src/lib/core/**/*.test.ts';

/** Generous, since the machine may be busy with other things; nothing here measures time. */
const UNIT = { maxWorkers: availableParallelism(), testTimeout: 60_000 };

export default defineConfig({
	plugins: [sveltekit()],
	build: {
		assetsInlineLimit: 0,
		// Core is pure: to import it does nothing, so that a browser gets those parts of it only that are used.
		rolldownOptions: { treeshake: { moduleSideEffects: [{ test: /\/src\/lib\/core\//, sideEffects: false }] } }
	},
	worker: { format: 'es' },
	optimizeDeps: { exclude: ['highs'] },
	test: {
		projects: [
			{
				extends: true,
				test: {
					...UNIT,
					name: 'core',
					include: [CORE_TESTS],
					// Pure functions leave nothing behind for the next file, so that modules need loading only once.
					isolate: false
				}
			},
			{
				extends: true,
				test: {
					...UNIT,
					name: 'unit',
					// Faults that tests make on purpose are not told.
					env: { LOG_LEVEL: 'silent' },
					include: ['{src,framework,demo,scripts}/**/*.test.ts'],
					exclude: [...STORE_TESTS, CORE_TESTS]
				}
			},
			{
				extends: true,
				test: {
					name: 'store',
					include: STORE_TESTS,
					globalSetup: ['./tests/throwawayDatabase.ts'],
					env: { ORDERLY_THREADS: fileURLToPath(new URL('build/threads', import.meta.url)) },
					maxWorkers: 2,
					isolate: false,
					// Modules are loaded anew for each file none the less.
					setupFiles: ['./tests/freshModules.ts'],
					testTimeout: 300_000,
					hookTimeout: 300_000
				}
			}
		]
	}
});
