import { defineConfig } from '@playwright/test';

export default defineConfig({
	testDir: 'tests/browser',
	testMatch: '*.spec.ts',
	globalSetup: './tests/browser/demoServer.ts',
	workers: 1,
	timeout: 60_000,
	expect: { timeout: 10_000 },
	reporter: 'list',
	use: {
		viewport: { width: 1280, height: 800 },
		launchOptions: {
			executablePath: '/usr/bin/chromium',
			args: [
				'--no-sandbox',
				'--disable-gpu',
				'--disable-background-networking',
				'--disable-component-update',
				'--disable-sync'
			]
		},
		trace: 'off'
	}
});
