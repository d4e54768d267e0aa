import { defineConfig } from '@playwright/test';
import { chromiumLaunch } from './scripts/chromium.mjs';

// Demo schools of the tests need not outlast them.
process.env.ORDERLY_TESTS = 'yes';

export default defineConfig({
	testDir: 'tests/browser',
	testMatch: '*.spec.ts',
	globalSetup: './tests/browser/demoServer.ts',
	workers: 1,
	// Generous, since the machine may be busy with other things; nothing here measures time.
	timeout: 300_000,
	expect: { timeout: 60_000 },
	reporter: 'list',
	use: {
		viewport: { width: 1280, height: 800 },
		launchOptions: chromiumLaunch,
		actionTimeout: 60_000,
		trace: 'off'
	}
});
