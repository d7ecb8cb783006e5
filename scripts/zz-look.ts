import { chromium } from '@playwright/test';
import { withStudio } from '../tests/bench/studio.ts';
const script = process.argv[2];
await withStudio(4871, async () => {}, async (url) => {
	const b = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox'] });
	const { default: run } = await import(script);
	await run(b, url);
	await b.close();
});
process.exit(0);
