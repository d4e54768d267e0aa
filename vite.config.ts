import { sveltekit } from '@sveltejs/kit/vite';
import { defineConfig } from 'vitest/config';

export default defineConfig({
	plugins: [sveltekit()],
	build: { assetsInlineLimit: 0 },
	worker: { format: 'es' },
	optimizeDeps: { exclude: ['highs'] },
	test: {
		projects: [
			{
				extends: true,
				test: { name: 'unit', include: ['src/**/*.test.ts', 'framework/**/*.test.ts', 'demo/**/*.test.ts'] }
			},
			{
				extends: true,
				test: {
					name: 'store',
					include: ['src/lib/server/**/*.store.ts', 'demo/**/*.store.ts', 'scripts/*.store.ts'],
					globalSetup: ['./tests/throwawayDatabase.ts'],
					fileParallelism: false,
					testTimeout: 60_000,
					hookTimeout: 120_000
				}
			}
		]
	}
});
