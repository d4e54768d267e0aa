import { sveltekit } from '@sveltejs/kit/vite';
import { defineConfig } from 'vitest/config';

/** Tests against a real MariaDB, and of the scripts that start one. */
const STORE_TESTS = ['{src,demo,scripts}/**/*.store.test.ts'];

export default defineConfig({
	plugins: [sveltekit()],
	build: { assetsInlineLimit: 0 },
	worker: { format: 'es' },
	optimizeDeps: { exclude: ['highs'] },
	test: {
		projects: [
			{
				extends: true,
				test: {
					name: 'unit',
					include: ['{src,framework,demo,scripts}/**/*.test.ts'],
					exclude: STORE_TESTS
				}
			},
			{
				extends: true,
				test: {
					name: 'store',
					include: STORE_TESTS,
					globalSetup: ['./tests/throwawayDatabase.ts'],
					fileParallelism: false,
					testTimeout: 300_000,
					hookTimeout: 300_000
				}
			}
		]
	}
});
