import { defineConfig } from '@playwright/test';

/** The built app in Debian's Chromium; each worker has its own server on its own copy of the demo data. */
export default defineConfig({
	testDir: 'tests/e2e',
	testMatch: '**/*.e2e.ts',
	globalSetup: './tests/e2e/prepare.ts',
	outputDir: 'test-results/e2e',
	workers: 2,
	fullyParallel: false,
	forbidOnly: Boolean(process.env.CI),
	// A machine that others use too is slower; none of these tests is about the clock.
	timeout: 180_000,
	// Twice more where it failed: said at the end of the run, never kept quiet.
	retries: process.env.CI ? 2 : 0,
	expect: { timeout: 30_000 },
	reporter: 'list',
	use: {
		viewport: { width: 1280, height: 800 },
		locale: 'en-US',
		timezoneId: 'America/New_York',
		actionTimeout: 30_000,
		navigationTimeout: 60_000,
		screenshot: 'only-on-failure',
		permissions: ['clipboard-read', 'clipboard-write'],
		launchOptions: {
			executablePath: process.env.CHROMIUM_PATH ?? '/usr/bin/chromium',
			args: process.getuid?.() === 0 ? ['--no-sandbox'] : []
		}
	}
});
