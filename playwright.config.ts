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
	timeout: 45_000,
	expect: { timeout: 7_000 },
	reporter: 'list',
	use: {
		viewport: { width: 1280, height: 800 },
		locale: 'en-US',
		timezoneId: 'America/New_York',
		actionTimeout: 8_000,
		navigationTimeout: 15_000,
		screenshot: 'only-on-failure',
		permissions: ['clipboard-read', 'clipboard-write'],
		launchOptions: {
			executablePath: process.env.CHROMIUM_PATH ?? '/usr/bin/chromium',
			args: process.getuid?.() === 0 ? ['--no-sandbox'] : []
		}
	}
});
